/**
 * One spar in bending under elliptic lift, relieved by the mass in the wing. The spar carries all bending.
 *   M(y) = n g int_y^b (l'(t) - m'(t)) (t - y) dt,  sigma = M c / I,  w'' = M / EI
 * Sources: Roark's Formulas for Stress and Strain (beams); elliptic lift: l'(y) = 4 L_half / (pi b) sqrt(1 - (y/b)^2).
 * Left out: torsion, shear flow in the skin, local buckling of thin tubes and caps; stiffening by the skin.
 */
import { G0 } from '../air';
import type { Member } from '../design';
import { interpolateLinear } from '../numeric';
import { materialNamed, type Material } from './materials';

export interface SparSection {
  /** E I [N m2] */ stiffness: number;
  /** moment at failure of the upper cap in compression (up-load), lower cap in compression (down-load) [N m] */
  momentUp: number;
  momentDown: number;
  /** [kg/m] */ perLength: number;
  limitedBy: string;
  materials: Material[];
}

/** Section properties of the spar; throws nothing: unknown materials give zero strength and a name to show. */
export function sparSection(spar: Member['shape']): SparSection {
  if (spar.kind === 'tube') {
    const m = materialNamed(spar.material);
    const r = spar.outer / 2,
      ri = Math.max(0, r - spar.wall);
    const I = (Math.PI / 4) * (r ** 4 - ri ** 4);
    if (!m)
      return {
        stiffness: 0,
        momentUp: 0,
        momentDown: 0,
        perLength: 0,
        limitedBy: `unknown material “${spar.material}”`,
        materials: [],
      };
    const s = Math.min(m.compression, m.tension) * m.knockdown;
    return {
      stiffness: m.modulus * I,
      momentUp: (s * I) / r,
      momentDown: (s * I) / r,
      perLength: m.density * Math.PI * (r * r - ri * ri),
      limitedBy: `${m.name} in compression`,
      materials: [m],
    };
  }
  const cap = materialNamed(spar.capMaterial),
    web = materialNamed(spar.webMaterial);
  if (!cap || !web)
    return {
      stiffness: 0,
      momentUp: 0,
      momentDown: 0,
      perLength: 0,
      limitedBy: `unknown material “${cap ? spar.webMaterial : spar.capMaterial}”`,
      materials: [],
    };
  const h = spar.height,
    inner = Math.max(0, h - 2 * spar.cap);
  const iCaps = (spar.width * (h ** 3 - inner ** 3)) / 12;
  const iWebs = (2 * spar.web * inner ** 3) / 12;
  const EI = cap.modulus * iCaps + web.modulus * iWebs;
  const atCap = (Math.min(cap.compression, cap.tension) * cap.knockdown * EI) / (cap.modulus * (h / 2));
  const atWeb =
    inner > 0
      ? (Math.min(web.compression, web.tension) * web.knockdown * EI) / (web.modulus * (inner / 2))
      : Infinity;
  const moment = Math.min(atCap, atWeb);
  return {
    stiffness: EI,
    momentUp: moment,
    momentDown: moment,
    perLength: cap.density * 2 * spar.width * spar.cap + web.density * 2 * spar.web * inner,
    limitedBy: atCap <= atWeb ? `${cap.name} caps in compression` : `${web.name} webs in compression`,
    materials: [cap, web],
  };
}

export interface SparCurve {
  /** span places, root first [m] */ y: number[];
  /** at load factor 1 [N m] */ moment: number[];
  /** at load factor 1 [N] */ shear: number[];
  /** at load factor 1 [m] */ deflection: number[];
  rootMoment: number;
  tipDeflection: number;
}

/**
 * Shear, moment and deflection at load factor 1.
 * @param halfSpan [m]; @param mass whole aircraft [kg]; @param wingMass the part of it spread along the wing [kg]
 * @param chords relative chord at 0..1 of the half span: wing mass follows it
 * @param stiffness E I [N m2], constant along the span
 */
export function sparCurve(
  halfSpan: number,
  mass: number,
  wingMass: number,
  chords: { eta: number[]; chord: number[] },
  stiffness: number,
  stations = 80,
): SparCurve {
  const g = G0,
    n = stations,
    b = halfSpan;
  const y = Array.from({ length: n + 1 }, (_, i) => (b * i) / n);
  const chordAt = (eta: number) => interpolateLinear(chords.eta, chords.chord, eta);
  const chordSum = y.reduce((s, v, i) => s + chordAt(v / b) * (i === 0 || i === n ? 0.5 : 1), 0) * (b / n);
  const lift = (v: number) => ((4 * mass * g) / 2 / (Math.PI * b)) * Math.sqrt(Math.max(0, 1 - (v / b) ** 2));
  const relief = (v: number) => ((wingMass * g) / 2) * (chordAt(v / b) / chordSum);
  const shear = new Array<number>(n + 1).fill(0),
    moment = new Array<number>(n + 1).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    const h = b / n;
    const mid = 0.5 * (y[i] + y[i + 1]);
    const load =
      (lift(y[i]) + 4 * lift(mid) + lift(y[i + 1]) - relief(y[i]) - 4 * relief(mid) - relief(y[i + 1])) / 6;
    shear[i] = shear[i + 1] + load * h;
    moment[i] = moment[i + 1] + 0.5 * (shear[i] + shear[i + 1]) * h;
  }
  const slope = new Array<number>(n + 1).fill(0),
    deflection = new Array<number>(n + 1).fill(0);
  for (let i = 1; i <= n; i++) {
    const h = b / n;
    slope[i] = slope[i - 1] + (0.5 * (moment[i] + moment[i - 1]) * h) / stiffness;
    deflection[i] = deflection[i - 1] + 0.5 * (slope[i] + slope[i - 1]) * h;
  }
  return { y, moment, shear, deflection, rootMoment: moment[0], tipDeflection: deflection[n] };
}
