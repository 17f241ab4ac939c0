/**
 * Antisymmetric flow, interference, ground, modes, hinges and the coupled strips against published theory. Each
 * row names its source.
 */
import { describe, expect, it } from 'vitest';
import type { Surface } from '../src/design';
import { luInPlace, luSolveInPlace, solveDense } from '../src/numeric';
import { lateralRoots, longitudinalRoots, nameLateral, nameLongitudinal } from '../src/flight';
import { naca4, polarSet, type PolarSet } from '../src/section';
import {
  bodySlopes,
  bodyMomentSlope,
  coupleStrips,
  derivativesOf,
  flapAuthority,
  forcesOf,
  hingeSlopes,
  inducedDrag,
  linearAero,
  rollStroke,
  solveCoupled,
  solveLattice,
  stripSections,
  sweepStall,
} from '../src/surface';

const contours = new Map([
  ['s', naca4('0012')],
  ['c', naca4('4412')],
]);
type Row = [y: number, x: number, chord: number, twist?: number, z?: number];
const surface = (
  role: Surface['role'],
  rows: Row[],
  more: Partial<Surface> = {},
  section = 's',
): Surface => ({
  id: role,
  name: role,
  role,
  x: 0,
  z: 0,
  incidence: 0,
  stations: rows.map(([y, x, chord, twist = 0, z = 0]) => ({ y, x, z, chord, twist, section })),
  controls: [],
  ...more,
});
const rectangle = (ar: number, more: Partial<Surface> = {}) =>
  surface(
    'wing',
    [
      [0, 0, 1],
      [ar / 2, 0, 1],
    ],
    more,
  );
const ellipse = (ar: number) => {
  const n = 24;
  return surface(
    'wing',
    Array.from({ length: n + 1 }, (_, i): Row => {
      const y = Math.sin((Math.PI / 2) * (i / n)) * 0.9995 * (ar / 2),
        c = (4 / Math.PI) * Math.sqrt(1 - (y / (ar / 2)) ** 2);
      return [y, -c / 4, c];
    }),
  );
};
const none = { pitch: 0, yaw: 0, side: 0 };
const at = { alpha: 0, elevator: 0, x: 0.25, z: 0 };

function glauert(ar: number, taper: number, n = 80) {
  const th = Array.from({ length: n }, (_, i) => (Math.PI / 2) * ((i + 1) / n));
  const c = (t: number) => (2 / (1 + taper)) * (1 - (1 - taper) * Math.abs(Math.cos(t)));
  const A = solveDense(
    th.map((t) => {
      const mu = (2 * Math.PI * c(t)) / (4 * ar);
      return Array.from(
        { length: n },
        (_, k) => Math.sin((2 * k + 1) * t) * (mu * (2 * k + 1) + Math.sin(t)),
      );
    }),
    th.map((t) => ((2 * Math.PI * c(t)) / (4 * ar)) * Math.sin(t)),
  );
  return {
    e:
      1 /
      (1 +
        Array.from(A)
          .slice(1)
          .reduce((s, a, k) => s + (2 * k + 3) * (a / A[0]) ** 2, 0)),
  };
}

describe('symmetric flow', () => {
  it.each([8, 12])(
    'taper 0.4, aspect ratio %d: span efficiency within 2 %% of Glauert’s converged series',
    (ar) => {
      const c = 2 / 1.4,
        s = solveLattice(
          {
            surfaces: [
              surface('wing', [
                [0, 0, c],
                [ar / 2, 0.15 * c, 0.4 * c],
              ]),
            ],
          },
          contours,
        );
      expect(
        Math.abs(
          s.coefficients.clAlpha ** 2 / (Math.PI * ar * inducedDrag(s, s.alpha)) / glauert(ar, 0.4).e - 1,
        ),
      ).toBeLessThan(0.02);
    },
  );
  it('the lift slope approaches the lifting line as aspect ratio grows (the gap falls below 1 % at 40)', () => {
    const gap = (ar: number) => {
      const mu = (2 * Math.PI) / (4 * ar),
        n = 80,
        th = Array.from({ length: n }, (_, i) => (Math.PI / 2) * ((i + 1) / n));
      const A = solveDense(
        th.map((t) =>
          Array.from({ length: n }, (_, k) => Math.sin((2 * k + 1) * t) * (mu * (2 * k + 1) + Math.sin(t))),
        ),
        th.map((t) => mu * Math.sin(t)),
      );
      return (
        1 - solveLattice({ surfaces: [rectangle(ar)] }, contours).coefficients.clAlpha / (Math.PI * ar * A[0])
      );
    };
    expect(gap(20)).toBeLessThan(gap(8));
    expect(gap(40)).toBeLessThan(0.0105);
  });
  it('near-field lift is the strip sum, and moments move with the reference point by lift times distance', () => {
    const s = solveLattice({ surfaces: [rectangle(7)] }, contours),
      a = forcesOf(s, { alpha: 0.05, x: 0.25, z: 0 }),
      b = forcesOf(s, { alpha: 0.05, x: 0.45, z: 0 });
    expect(a.CZ).toBeCloseTo(0.05 * s.coefficients.clAlpha * Math.cos(0.05), 3);
    expect(b.Cm - a.Cm).toBeCloseTo(0.2 * a.CZ, 10);
  });
  it.each([
    [0.1, 0.655],
    [0.2, 0.485],
    [0.3, 0.37],
  ])(
    'biplane, gap %d of the span: Prandtl’s interference factor %d within 0.01 (NACA Report 116; 0.485 from memory, others from his formula)',
    (gap, sigma) => {
      const b = 8,
        up: Surface = { ...rectangle(b), id: 'up', role: 'tail', z: gap * b };
      const two = solveLattice({ surfaces: [rectangle(b), up] }, contours),
        one = solveLattice({ surfaces: [rectangle(b)] }, contours);
      const load = (strips: typeof two.strips, share: number) =>
        Float64Array.from(strips, (q) => share * Math.sqrt(1 - (q.y / (b / 2)) ** 2));
      // the same lift on one wing, and in equal halves on two
      expect(
        Math.abs(
          (2 * two.refArea * inducedDrag(two, load(two.strips, 0.5))) /
            (one.refArea * inducedDrag(one, load(one.strips, 1))) -
            1 -
            sigma,
        ),
      ).toBeLessThan(0.01);
      expect((1 - 0.66 * gap) / (1.055 + 3.7 * gap)).toBeCloseTo(sigma, 2);
    },
  );
  it.each([0.1, 0.2, 0.4])(
    'ground effect at a height of %d spans: induced drag falls by exp(-2.48 (2h/b)^0.768) within 2 %% (Wieselsberger, NACA TM 77; the fit from memory)',
    (h) => {
      const b = 8,
        free = solveLattice({ surfaces: [rectangle(b)] }, contours),
        low = solveLattice({ surfaces: [rectangle(b)] }, contours, 1, h * b);
      const load = (strips: typeof low.strips) =>
        Float64Array.from(strips, (q) => Math.sqrt(1 - (q.y / (b / 2)) ** 2));
      expect(
        Math.abs(
          inducedDrag(low, load(low.strips)) /
            inducedDrag(free, load(free.strips)) /
            (1 - Math.exp(-2.48 * (2 * h) ** 0.768)) -
            1,
        ),
      ).toBeLessThan(0.02);
      expect(low.coefficients.clAlpha).toBeGreaterThan(free.coefficients.clAlpha);
    },
  );
});

describe('antisymmetric flow', () => {
  it.each([8, 12])(
    'roll damping of an elliptic wing, aspect ratio %d: lifting line -(pi/4) AR/(AR + 4), a lattice some 3 to 9 % below it',
    (ar) => {
      const d = derivativesOf(solveLattice({ surfaces: [ellipse(ar)] }, contours), at, none),
        line = -(Math.PI / 4) * (ar / (ar + 4));
      expect(d.Clp / line).toBeGreaterThan(0.89);
      expect(d.Clp / line).toBeLessThan(0.98);
    },
  );
  it('dihedral effect at aspect ratio 6: about -0.00021 to -0.00025 per square degree (Perkins and Hage, Airplane Performance Stability and Control, from memory)', () => {
    const G = (5 * Math.PI) / 180,
      w = surface('wing', [
        [0, 0, 1],
        [3, 0, 1, 0, 3 * Math.tan(G)],
      ]);
    const k = derivativesOf(solveLattice({ surfaces: [w] }, contours), at, none).Clbeta / 5 / (180 / Math.PI);
    expect(-k).toBeGreaterThan(0.00019);
    expect(-k).toBeLessThan(0.00026);
  });
  it('a sweptback wing has a dihedral effect that grows with lift; a straight one hardly (trade)', () => {
    const swept = solveLattice(
      {
        surfaces: [
          surface('wing', [
            [0, 0, 1],
            [3, 1.5, 1],
          ]),
        ],
      },
      contours,
    );
    const cl = (alpha: number) => derivativesOf(swept, { ...at, alpha }, none).Clbeta;
    expect(cl(0.1)).toBeLessThan(cl(0.02) - 0.01);
  });
  it('a fin weathercocks in proportion to its distance, and sideways symmetry leaves straight flight alone', () => {
    const with_ = (x: number) =>
      solveLattice(
        {
          surfaces: [
            rectangle(6),
            surface(
              'fin',
              [
                [0, 0, 0.6],
                [0.8, 0.2, 0.5],
              ],
              { x },
            ),
          ],
        },
        contours,
      );
    const near = derivativesOf(with_(3), at, none),
      far = derivativesOf(with_(6), at, none);
    expect(far.Cnbeta / near.Cnbeta).toBeGreaterThan(1.7);
    expect(far.CYbeta / near.CYbeta).toBeCloseTo(1, 1);
    const still = forcesOf(with_(3), { alpha: 0.06, x: 0.25, z: 0 });
    for (const v of [still.CY, still.Cl, still.Cn]) expect(Math.abs(v)).toBeLessThan(1e-12);
  });
  it('yawing speeds up one wing: Clr near CL/4 (Nelson, table 3.4, from memory), within 25 %', () => {
    const s = solveLattice({ surfaces: [rectangle(8)] }, contours),
      d = derivativesOf(s, { ...at, alpha: 0.1 }, none);
    expect(Math.abs(d.Clr / ((0.1 * s.coefficients.clAlpha) / 4) - 1)).toBeLessThan(0.25);
  });
  it.each([
    [12, 0.1],
    [24, 0.05],
    [40, 0.04],
  ])(
    'rolling yaws an elliptic wing of aspect ratio %d away from the roll: lifting line Cnp = -(CL/8)(AR - 2)/(AR + 4), met within %d as the wing grows slender (14 %% off at 8)',
    (ar, off) => {
      // from w = V sum n A_n sin n th / sin th and A_2 = mu (p/2) / (1 + 2 mu), mu = 2/AR; strip theory's -CL/8
      // leaves out what the roll induces
      const s = solveLattice({ surfaces: [ellipse(ar)] }, contours),
        d = derivativesOf(s, { ...at, alpha: 0.05, x: s.refX }, none);
      expect(
        Math.abs(d.Cnp / (((-0.05 * s.coefficients.clAlpha) / 8) * ((ar - 2) / (ar + 4))) - 1),
      ).toBeLessThan(off);
    },
  );
  it('differential takes from adverse yaw: with no downward travel the yaw is less adverse than with equal travel (trade)', () => {
    const ail = {
      id: 'a',
      name: 'a',
      kind: 'aileron' as const,
      from: 0.5,
      to: 0.95,
      chordFraction: 0.25,
      maxDeflection: 0.3,
    };
    const sol = solveLattice(
        {
          surfaces: [
            surface(
              'wing',
              [
                [0, 0, 1],
                [4, 0, 1],
              ],
              { controls: [ail] },
            ),
          ],
        },
        contours,
      ),
      m = { ...at, alpha: 0.15 },
      d = derivativesOf(sol, m, none);
    const equal = rollStroke(sol, m, d, 0.3, 1),
      up = rollStroke(sol, m, d, 0.3, 0);
    expect(equal.yawShare).toBeLessThan(0);
    expect(up.yawShare).toBeGreaterThan(equal.yawShare + 0.01);
    expect(up.helix / equal.helix).toBeCloseTo(0.5, 2);
  });
  it('ailerons of the same span on a wing of twice the size work alike (scaling)', () => {
    const ail = {
      id: 'a',
      name: 'a',
      kind: 'aileron' as const,
      from: 0.5,
      to: 0.95,
      chordFraction: 0.25,
      maxDeflection: 0.3,
    };
    const d = (k: number) =>
      derivativesOf(
        solveLattice(
          {
            surfaces: [
              surface(
                'wing',
                [
                  [0, 0, k],
                  [3 * k, 0, k],
                ],
                { controls: [ail] },
              ),
            ],
          },
          contours,
        ),
        { ...at, x: 0.25 * k },
        none,
      );
    expect(d(2).Claileron).toBeCloseTo(d(1).Claileron, 9);
    expect(d(1).Claileron).toBeGreaterThan(0);
  });
});

describe('modes of the textbook general-aviation example (Nelson, Flight Stability and Automatic Control, examples 4.2 and 5.2; from memory, feet and seconds)', () => {
  const g = 32.2,
    u = 176;
  it('short period -2.5 ± 2.59i, phugoid -0.017 ± 0.213i', () => {
    const m = nameLongitudinal(
      longitudinalRoots(
        {
          Xu: -0.045,
          Xw: 0.036,
          Zu: -0.369,
          Zw: -2.02,
          Mu: 0,
          Mw: -0.05,
          Mwdot: -0.0051,
          Mq: -2.05,
          speed: u,
        },
        g,
      ),
    );
    const sp = m.find((q) => q.name === 'short period')!.root,
      ph = m.find((q) => q.name === 'phugoid')!.root;
    expect(sp.re).toBeCloseTo(-2.5, 1);
    expect(sp.im).toBeCloseTo(2.59, 1);
    expect(ph.re).toBeCloseTo(-0.017, 2);
    expect(ph.im).toBeCloseTo(0.213, 2);
  });
  it('spiral -0.0088, roll -8.4, Dutch roll -0.487 ± 2.34i', () => {
    const m = nameLateral(
      lateralRoots(
        {
          Yb: -0.254 * u,
          Yp: 0,
          Yr: 0,
          Lb: -16.02,
          Lp: -8.4,
          Lr: 2.19,
          Nb: 4.488,
          Np: -0.35,
          Nr: -0.76,
          speed: u,
        },
        g,
      ),
    );
    const find = (n: string) => m.find((q) => q.name === n)!.root;
    expect(find('roll').re).toBeCloseTo(-8.43, 1);
    expect(find('spiral').re).toBeCloseTo(-0.0088, 3);
    expect(find('Dutch roll').re).toBeCloseTo(-0.487, 2);
    expect(find('Dutch roll').im).toBeCloseTo(2.335, 1);
  });
});

describe('flaps and hinges (Glauert, ARC R&M 1095)', () => {
  it('a flap of a quarter chord is worth 0.61 of the angle; the whole chord all of it', () => {
    expect(flapAuthority(0.25)).toBeCloseTo(0.609, 3);
    expect(flapAuthority(1)).toBeCloseTo(1, 12);
  });
  it('the whole section about its leading edge: -pi/2 per rad (cl over four)', () => {
    const h = hingeSlopes(1);
    expect(h.alpha).toBeCloseTo(-Math.PI / 2, 2);
    expect(h.flap).toBeCloseTo(-Math.PI / 2, 2);
  });
  it.each([0.2, 0.35, 0.5])(
    'share %d: a two-dimensional vortex lattice of 400 rows gives the same moments within 3 %%',
    (share) => {
      const n = 400,
        a = new Float64Array(n * n);
      for (let i = 0; i < n; i++)
        for (let j = 0; j < n; j++) a[i * n + j] = -1 / (2 * Math.PI * ((i + 0.5 - j) / n));
      const order = luInPlace(a, n);
      const moment = (wash: (x: number) => number) => {
        const b = Float64Array.from({ length: n }, (_, i) => -wash((i + 0.75) / n));
        luSolveInPlace(a, order, b);
        return (
          -b.reduce((s, g, j) => s + 2 * g * Math.max(0, (j + 0.25) / n - (1 - share)), 0) / (share * share)
        );
      };
      const h = hingeSlopes(share);
      expect(Math.abs(moment(() => 1) / h.alpha - 1)).toBeLessThan(0.03);
      expect(Math.abs(moment((x) => (x > 1 - share ? 1 : 0)) / h.flap - 1)).toBeLessThan(0.03);
    },
  );
});

describe('bodies in the wing’s wash (Multhopp)', () => {
  const body = [
    { x: -1.5, width: 0, height: 0, z: 0 },
    { x: -1, width: 0.3, height: 0.3, z: 0 },
    { x: 3, width: 0.3, height: 0.3, z: 0 },
    { x: 3.5, width: 0, height: 0, z: 0 },
  ];
  it('the part under the wing counts nothing and the tail less: below the free-stream moment of the whole body, above that of the nose alone', () => {
    const wing = rectangle(8),
      sol = solveLattice({ surfaces: [wing] }, contours);
    const whole = bodyMomentSlope(body, sol.refArea, sol.refChord),
      got = bodySlopes({ body, surfaces: [wing] }, sol).pitch;
    expect(got).toBeLessThan(whole);
    expect(got).toBeGreaterThan(0.2 * whole);
    expect(bodySlopes({ body, surfaces: [wing] }, sol).yaw).toBeLessThan(0);
  });
});

describe('strips at their sections’ lift (Mukherjee and Gopalarathnam 2006)', () => {
  /** A section that is thin-airfoil theory itself, with a stall as a plateau. */
  const ideal = (stall: number): PolarSet => {
    const points = Array.from({ length: 121 }, (_, i) => {
      const alpha = ((i - 40) * Math.PI) / 360,
        cl = 2 * Math.PI * Math.min(alpha, stall);
      return {
        alpha,
        cl,
        cd: 0.01,
        cm: 0,
        transitionUpper: 1,
        transitionLower: 1,
        separationUpper: 1,
        separationLower: 1,
        bubble: null,
        stalled: alpha > stall,
        how: 'solved' as const,
      };
    });
    return {
      polars: [
        {
          reynolds: 1e5,
          points,
          clMax: 2 * Math.PI * stall,
          clMin: -1,
          alphaStall: stall,
          missed: [],
          confidence: 'good',
          warnings: [],
          attachedCl: [-1, 1],
          attachedCd: [0.01, 0.01],
        },
      ],
      zeroLift: 0,
      moment: 0,
    };
  };
  const flow = (w: Surface, alpha: number, set = ideal(0.24), m = {}) => {
    const sol = solveLattice({ surfaces: [w] }, contours),
      c = coupleStrips(sol);
    return {
      sol,
      f: solveCoupled(
        c,
        stripSections(c, new Map([['s', set]]), () => 1e5),
        { alpha, x: 0.25, z: 0, ...m },
      ),
    };
  };
  it('with the thin-airfoil slope nothing is decambered: the lattice’s own lift', () => {
    const { sol, f } = flow(rectangle(8), 0.1);
    expect(f.CL).toBeCloseTo(0.1 * sol.coefficients.clAlpha, 3);
    expect(Math.max(...f.added.map(Math.abs))).toBeLessThan(1e-3);
  });
  it('a rectangular wing reaches about 0.9 of its section’s largest lift and lets go at the root (trade)', () => {
    const w = rectangle(8),
      sol = solveLattice({ surfaces: [w] }, contours),
      c = coupleStrips(sol);
    const s = sweepStall({
      coupled: c,
      sections: stripSections(c, new Map([['s', ideal(0.22)]]), () => 1e5),
      design: { surfaces: [w] },
      aero: linearAero(sol, 0, 0),
      x: 0.25,
      z: 0,
    });
    expect(s.clMax / (2 * Math.PI * 0.22)).toBeGreaterThan(0.85);
    expect(s.clMax / (2 * Math.PI * 0.22)).toBeLessThan(1);
    expect(s.first[0].eta).toBeLessThan(0.2);
  });
  const first = (rows: Row[], how?: Parameters<typeof sweepStall>[1]) => {
    const w = surface('wing', rows),
      sol = solveLattice({ surfaces: [w] }, contours),
      c = coupleStrips(sol);
    return sweepStall(
      {
        coupled: c,
        sections: stripSections(c, new Map([['s', ideal(0.22)]]), () => 1e5),
        design: { surfaces: [w] },
        aero: linearAero(sol, 0, 0),
        x: 0.25,
        z: 0,
      },
      how,
    ).first[0];
  };
  it('strong taper stalls outboard, washout brings it back in (Anderson, Fundamentals of Aerodynamics, ch. 5; trade)', () => {
    const sharp = first([
      [0, 0, 1.6],
      [4, 0.3, 0.4],
    ]);
    expect(sharp.eta).toBeGreaterThan(0.5);
    expect(
      first([
        [0, 0, 1.6],
        [4, 0.3, 0.4, -0.08],
      ]).eta,
    ).toBeLessThan(sharp.eta - 0.1);
  });
  it('sweepback stalls further out than a straight wing', () =>
    expect(
      first([
        [0, 0, 1],
        [4, 2.5, 1],
      ]).eta,
    ).toBeGreaterThan(
      first([
        [0, 0, 1],
        [4, 0, 1],
      ]).eta + 0.3,
    ));
  it('in a slow banked turn the inner wing lets go first, and earlier than level', () => {
    const level = first([
        [0, 0, 1],
        [4, 0, 1],
      ]),
      turn = first(
        [
          [0, 0, 1],
          [4, 0, 1],
        ],
        { kind: 'turn', bank: 0.8, mass: 12, density: 1.2 },
      );
    expect(turn.side).toBe('right');
    expect(turn.alpha).toBeLessThan(level.alpha + 1e-9);
  });
  it('with real polars: lift stays below the section’s and every angle to 20 degrees settles', () => {
    const set = polarSet(naca4('4412'), [1e5, 2e5]),
      w = surface(
        'wing',
        [
          [0, 0, 0.27],
          [0.4, 0, 0.27],
          [0.8, 0.03, 0.19, -0.035],
        ],
        {},
        'c',
      ),
      sol = solveLattice({ surfaces: [w] }, contours),
      c = coupleStrips(sol);
    const s = sweepStall({
      coupled: c,
      sections: stripSections(c, new Map([['c', set]]), (ch) => 6e5 * ch),
      design: { surfaces: [w] },
      aero: linearAero(sol, 0, 0),
      x: 0.38,
      z: 0,
    });
    expect(s.rough).toBe(false);
    expect(s.clMax).toBeLessThan(1.02 * Math.max(...set.polars.map((p) => p.clMax)));
    expect(s.first[0].eta).toBeLessThan(0.5);
  });
});
