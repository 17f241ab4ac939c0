import { describe, expect, it } from 'vitest';
import { MATERIALS, materialNamed, sparCurve, sparSection } from '../src/structure';

const flat = { eta: [0, 1], chord: [1, 1] };
const g = 9.80665;

describe('spar under elliptic lift', () => {
  it('root moment without wing mass is (W/2) 4 b / (3 pi): centroid of an ellipse quadrant', () => {
    const c = sparCurve(0.8, 3, 0, flat, 50, 400);
    expect(c.rootMoment / (((3 * g) / 2) * ((4 * 0.8) / (3 * Math.PI)))).toBeCloseTo(1, 3);
  });
  it('root shear is half the weight less the wing half (statics)', () =>
    expect(sparCurve(0.8, 3, 0.6, flat, 50).shear[0] / (((3 - 0.6) * g) / 2)).toBeCloseTo(1, 2));
  it('uniform relief alone bends like a cantilever under even load: w L^2 / 2 and w L^4 / (8 EI) (Roark, table 8.1)', () => {
    const withMass = sparCurve(1, 3, 1, flat, 50, 400),
      without = sparCurve(1, 3, 0, flat, 50, 400);
    const w = (1 * g) / 2;
    expect((without.rootMoment - withMass.rootMoment) / (w / 2)).toBeCloseTo(1, 3);
    expect((without.tipDeflection - withMass.tipDeflection) / (w / (8 * 50))).toBeCloseTo(1, 2);
  });
  it('tip deflection of elliptic lift agrees with direct double integration by Simpson', () => {
    const b = 0.8,
      EI = 40,
      L = (3 * g) / 2;
    const q = (y: number) => ((4 * L) / (Math.PI * b)) * Math.sqrt(Math.max(0, 1 - (y / b) ** 2));
    // w_tip = int q(t) t^2 (3 b - t) / (6 EI) dt (Roark, point load superposed)
    const n = 4000;
    let sum = 0;
    for (let i = 0; i <= n; i++) {
      const t = (b * i) / n;
      sum += (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * ((q(t) * t * t * (3 * b - t)) / (6 * EI));
    }
    expect(sparCurve(b, 3, 0, flat, EI, 400).tipDeflection / ((sum * b) / n / 3)).toBeCloseTo(1, 3);
  });
  it('moment scales with mass, deflection falls with stiffness', () => {
    expect(sparCurve(1, 4, 0, flat, 50).rootMoment / sparCurve(1, 2, 0, flat, 50).rootMoment).toBeCloseTo(
      2,
      9,
    );
    expect(
      sparCurve(1, 4, 0, flat, 100).tipDeflection / sparCurve(1, 4, 0, flat, 50).tipDeflection,
    ).toBeCloseTo(0.5, 9);
  });
});

describe('cross-sections', () => {
  it('tube of 10 mm by 1 mm: I = pi/64 (10^4 - 8^4) = 289.8 mm4 (Gere, appendix E)', () => {
    const m = materialNamed('carbon-tube')!;
    const s = sparSection({ kind: 'tube', outer: 0.01, wall: 0.001, material: 'carbon-tube' });
    expect(s.stiffness / m.modulus / 289.8e-12).toBeCloseTo(1, 3);
    expect(s.momentUp).toBeCloseTo((m.compression * m.knockdown * 289.8e-12) / 0.005, 1);
    expect(s.perLength).toBeCloseTo(m.density * Math.PI * (25 - 16) * 1e-6, 6);
  });
  it('box with caps and webs of one material equals the hollow rectangle b h^3/12 less the hole', () => {
    const s = sparSection({
      kind: 'box',
      height: 0.03,
      width: 0.01,
      cap: 0.003,
      capMaterial: 'spruce',
      web: 0.002,
      webMaterial: 'spruce',
    });
    const I = (0.01 * 0.03 ** 3 - 0.01 * 0.024 ** 3 + 2 * 0.002 * 0.024 ** 3) / 12;
    expect(s.stiffness / (10.8e9 * I)).toBeCloseTo(1, 9);
  });
  it('a wall thicker than the radius is a rod, an unknown material stands nothing', () => {
    expect(
      sparSection({ kind: 'tube', outer: 0.01, wall: 0.05, material: 'alu-6061' }).stiffness,
    ).toBeCloseTo(68.9e9 * (Math.PI / 4) * 0.005 ** 4, 3);
    expect(sparSection({ kind: 'tube', outer: 0.01, wall: 0.001, material: 'moonrock' }).momentUp).toBe(0);
  });
});

describe('materials', () => {
  /**
   * Wood Handbook, FPL-GTR-190, table 5-3, 12 % moisture: E [GPa], compression parallel [MPa]; MMPDS for the aluminium.
   * From memory.
   */
  it.each([
    ['spruce', 10.8, 38.7],
    ['balsa', 3.4, 14.9],
    ['basswood', 10.1, 32.6],
    ['alu-6061', 68.9, 276],
  ])('%s', (id, E, comp) => {
    const m = materialNamed(id)!;
    expect(m.modulus / 1e9).toBeCloseTo(E, 6);
    expect(m.compression / 1e6).toBeCloseTo(comp, 6);
  });
  it('every material names its source and is knocked down', () => {
    for (const m of MATERIALS) {
      expect(m.source.length).toBeGreaterThan(15);
      expect(m.knockdown).toBeLessThan(1);
    }
  });
});
