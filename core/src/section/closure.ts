/**
 * Closure relations of the two-equation integral boundary layer: what shape parameter, friction, dissipation,
 * slip speed and equilibrium stress follow from momentum thickness, displacement thickness and edge speed.
 * Source: Drela and Giles, AIAA Journal 25(10), 1987, with the later refinements of the same author's lecture
 * notes (laminar fits to H = 4.35, wall term in the equilibrium stress, lag constant 5.6); all from memory, and
 * checked against Falkner-Skan solutions and plate laws in `core/validation`.
 * Lengths are in chords, speeds in stream speeds, so that nu = 1 / Re.
 */

export const LAMINAR = 0,
  TURBULENT = 1,
  WAKE = 2;
export type Regime = 0 | 1 | 2;

/** Places in a closure record. */
export const H = 0,
  HS = 1,
  /** cf */ CF = 2,
  /** 2 CD / H* */ DI = 3,
  /** slip speed */ US = 4,
  /** equilibrium sqrt(C_tau) */ SEQ = 5,
  /** thickness delta */ DELTA = 6,
  RT = 7,
  /** dn/dx */ AMP = 8,
  WIDTH = 9;

/** The G-beta locus constants and the lag length constant. */
const G_A = 6.75,
  G_B = 0.83,
  G_C = 18,
  LAG = 5.6;
export const WAKE_LENGTH = 0.9;

function laminarEnergy(h: number): number {
  const d = h - 4.35;
  if (h < 4.35) return 1.528 + (0.0111 * d * d - 0.0278 * d * d * d) / (h + 1) - 0.0002 * (d * h) ** 2;
  return 1.528 + (0.015 * d * d) / h;
}
function laminarFriction(h: number, rt: number): number {
  const v = h < 7.4 ? (0.01977 * (7.4 - h) ** 2) / (h - 1) - 0.067 : 0.022 * (1 - 1.4 / (h - 6)) ** 2 - 0.067;
  return (2 * v) / rt;
}
function laminarDissipation(h: number, rt: number): number {
  const d = h - 4;
  return (h < 4 ? 0.207 + 0.00205 * (-d) ** 5.5 : 0.207 - (0.0016 * d * d) / (1 + 0.02 * d * d)) / rt;
}
function turbulentEnergy(h: number, rtIn: number): number {
  const rt = Math.max(rtIn, 200);
  const ho = rtIn > 400 ? 3 + 400 / rtIn : 4;
  if (h < ho) {
    const r = (ho - h) / (ho - 1);
    return 1.5 + 4 / rt + ((0.5 - 4 / rt) * r * r * 1.5) / (h + 0.5);
  }
  const ln = Math.log(rt),
    d = h - ho;
  return 1.5 + 4 / rt + d * d * ((0.007 * ln) / (d + 4 / ln) ** 2 + 0.015 / h);
}
/** Swafford's friction. */
function turbulentFriction(h: number, rt: number): number {
  const g = Math.max(Math.log(rt), 3) / Math.LN10;
  return 0.3 * Math.exp(-1.33 * h) * g ** (-1.74 - 0.31 * h) + 0.00011 * (Math.tanh(4 - h / 0.875) - 1);
}

/** Envelope growth of the most amplified wave per chord, and its onset. */
function amplification(h: number, theta: number, rt: number): number {
  const m = 1 / (h - 1);
  const lgCritical = 2.492 * m ** 0.43 + 0.7 * (Math.tanh(14 * m - 9.24) + 1);
  const lg = Math.log10(rt),
    half = 0.08;
  if (lg < lgCritical - half) return 0;
  const r = Math.min(1, (lg - lgCritical + half) / (2 * half));
  const ramp = r * r * (3 - 2 * r);
  const slope = 0.028 * (h - 1) - 0.0345 * Math.exp(-((3.87 * m - 2.52) ** 2));
  const stretch = -0.05 + 2.7 * m - 5.5 * m * m + 3 * m * m * m;
  return Math.max(0, ((stretch * slope) / theta) * ramp);
}

/**
 * Fills ten numbers at `o`.
 * @param s sqrt of the shear stress coefficient (turbulent and wake); unused when laminar
 */
export function closure(
  regime: Regime,
  theta: number,
  dstar: number,
  ue: number,
  s: number,
  re: number,
  out: Float64Array,
  o: number,
): void {
  const h = Math.max(dstar / theta, regime === WAKE ? 1.00005 : 1.05);
  const rt = Math.max(re * ue * theta, 1);
  out[o + H] = h;
  out[o + RT] = rt;
  out[o + DELTA] = Math.min(theta * (3.15 + 1.72 / (h - 1)) + dstar, 12 * theta);
  if (regime === LAMINAR) {
    out[o + HS] = laminarEnergy(h);
    out[o + CF] = laminarFriction(h, rt);
    out[o + DI] = laminarDissipation(h, rt);
    out[o + AMP] = amplification(h, theta, rt);
    out[o + US] = 0;
    out[o + SEQ] = 0;
    return;
  }
  const wake = regime === WAKE;
  const hs = turbulentEnergy(h, rt);
  const cf = wake ? 0 : Math.max(turbulentFriction(h, rt), laminarFriction(h, rt));
  const us = Math.min(0.5 * hs * (1 - (h - 1) / (G_B * h)), wake ? 0.99995 : 0.95);
  const hkc = wake ? h - 1 : Math.max(h - 1 - G_C / rt, 0.01);
  const seq = Math.sqrt(((0.5 / (G_A * G_A * G_B)) * hs * ((h - 1) * hkc * hkc)) / ((1 - us) * h * h * h));
  let di = wake ? 0 : (cf * us) / hs;
  di += (2 * s * s * (0.995 - us)) / hs + (0.3 * (0.995 - us) ** 2) / (rt * hs);
  if (wake) di *= 2;
  else di = Math.max(di, laminarDissipation(h, rt));
  out[o + HS] = hs;
  out[o + CF] = cf;
  out[o + DI] = di;
  out[o + US] = us;
  out[o + SEQ] = seq;
  out[o + AMP] = 0;
}

/** Start of the stress where the layer turns turbulent, as a share of its equilibrium. */
export function startingStress(h: number, seq: number): number {
  return Math.min(Math.max(1.8 * Math.exp(-3.3 / (h - 1)) * seq, 1e-4), 0.7);
}

/** Lag rate and the G-beta gradient of edge speed, averaged by the caller. */
export function lagRate(us: number): number {
  return (LAG * 1.333) / (1 + us);
}
export function equilibriumGradient(
  regime: Regime,
  h: number,
  cf: number,
  rt: number,
  dstar: number,
): number {
  const hk = regime === WAKE ? h - 1 : Math.max(h - 1 - G_C / rt, 0.01);
  const hr = hk / (G_A * h);
  return (0.5 * cf - hr * hr) / (G_B * dstar);
}
