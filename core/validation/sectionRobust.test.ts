import { expect, it } from 'vitest';
import {
  FREE,
  naca4,
  naca5,
  polarOfPrepared,
  prepareContour,
  sectionModel,
  type Contour,
} from '../src/section';

const DEG = Math.PI / 180,
  N = 120;

/** Thin, thick, cambered, reflexed, undercambered: 4 to 18 %. */
const SECTIONS: [string, Contour][] = [
  ...['0004', '0009', '0012', '0018', '2412', '4412', '4415', '6409', '6406'].map((d): [string, Contour] => [
    `NACA ${d}`,
    naca4(d, N),
  ]),
  ['NACA 23012', naca5('23012', N)],
  ['NACA 23112, reflexed', naca5('23112', N)],
  [
    'class-shape, undercambered aft',
    sectionModel(
      { kind: 'classShape', upper: [0.17, 0.24, 0.22, 0.28], lower: [-0.12, 0.02, 0.06, 0.14] },
      null,
      N,
    ).outline,
  ],
];

it(
  '12 sections at Re 5e4, 1e5, 2e5 and 5e5, -4 degrees to 2 beyond the stall: at least 97 % of the angles settle, the rest are marked, nothing is not a number',
  { timeout: 900_000 },
  () => {
    let good = 0,
      asked = 0;
    for (const [name, contour] of SECTIONS) {
      const prep = prepareContour(contour);
      for (const re of [5e4, 1e5, 2e5, 5e5]) {
        const p = polarOfPrepared(prep, re, { ...FREE, step: 1.5 * DEG });
        const inside = (a: number) => a >= -4.01 * DEG && a <= p.alphaStall + 2.01 * DEG;
        const solved = p.points.filter((q) => q.how === 'solved' && inside(q.alpha));
        good += solved.length;
        asked += solved.length + p.missed.filter(inside).length;
        expect(p.clMax, name).toBeGreaterThan(0.2);
        for (const q of p.points)
          for (const v of Object.values(q))
            if (typeof v === 'number') expect(Number.isFinite(v), `${name} at ${re}`).toBe(true);
        if (p.missed.length > 0) expect(p.warnings.join(' ')).toMatch(/did not settle/);
      }
    }
    expect(good / asked, `${good} of ${asked}`).toBeGreaterThanOrEqual(0.97);
  },
);
