/** The ledger's curves: same run, same numbers, on fixed axes. */
import type { Design } from '../design';
import type { KindName } from '../units';
import type { ChainResult } from './chain';
import type { LedgerCurve } from './ledger';
import type { Prepared } from './prepare';

export function designCurves(design: Design, prep: Prepared, run: ChainResult): LedgerCurve[] {
  const out: LedgerCurve[] = [];
  const speedCurve = (key: string, yKind: KindName = 'force') => {
    const [id, state] = key.split('@');
    out.push({
      id,
      state,
      xKind: 'speed',
      yKind,
      x: [...prep.speeds.curve],
      y: run.curves[key],
      sigma: null,
    });
  };
  for (const key of ['thrust@all', 'lapThrust@all']) if (run.curves[key]) speedCurve(key);
  const half = prep.wing.span / 2;
  const wingStrips = prep.lattice.strips.map((s, i) => ({ s, i })).filter((p) => p.s.role === 'wing');
  for (const l of design.loadings) {
    speedCurve(`drag@${l.id}`);
    if (run.curves[`climb@${l.id}`]) speedCurve(`climb@${l.id}`, 'climbRate');
    for (const [id, yKind] of [
      ['sparMoment', 'moment'],
      ['sparDeflection', 'length'],
    ] as const) {
      const y = run.curves[`${id}@${l.id}`];
      out.push({
        id,
        state: l.id,
        xKind: 'length',
        yKind,
        x: y.map((_, i) => (half * i) / (y.length - 1)),
        y,
        sigma: null,
      });
    }
    out.push({
      id: 'stallRatio',
      state: l.id,
      xKind: 'chordPercent',
      yKind: 'percent',
      x: wingStrips.map((p) => p.s.y / half),
      y: run.curves[`stallRatio@${l.id}`],
      sigma: null,
    });
  }
  for (const s of design.sections) {
    for (const p of prep.polars.get(s.id)!.polars) {
      const re = Math.round(p.reynolds / 1000);
      const series = (id: string, f: (q: (typeof p.points)[number]) => number) =>
        out.push({
          id: `${id}-${re}k`,
          state: s.id,
          xKind: 'angle',
          yKind: 'ratio',
          x: p.points.map((q) => q.alpha),
          y: p.points.map(f),
          sigma: null,
        });
      series('cl', (q) => q.cl);
      series('cd', (q) => q.cd);
      series('cm', (q) => q.cm);
    }
  }
  return out;
}
