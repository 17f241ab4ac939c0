/**
 * Natural modes of small motions about steady level flight: short period and phugoid, roll, Dutch roll and spiral.
 * Source: Nelson, Flight Stability and Automatic Control, 2nd ed., 4.51 and 5.35 (state matrices), tables 3.5 and 3.6
 * (dimensional derivatives). Level path, small angles, product of inertia Ixz left out.
 */
import { eigenvaluesOf } from '../numeric';
import type { Derivatives } from '../surface';

/** Dimensional derivatives, SI, per mass or inertia. */
export interface Longitudinal {
  Xu: number;
  Xw: number;
  Zu: number;
  Zw: number;
  Mu: number;
  Mw: number;
  Mwdot: number;
  Mq: number;
  speed: number;
}
export interface Lateral {
  Yb: number;
  Yp: number;
  Yr: number;
  Lb: number;
  Lp: number;
  Lr: number;
  Nb: number;
  Np: number;
  Nr: number;
  speed: number;
}

export interface Root {
  re: number;
  im: number;
}

/** Eigenvalues [1/s] of u, w, q, theta. Nelson 4.51 */
export function longitudinalRoots(d: Longitudinal, g: number): Root[] {
  const { Xu, Xw, Zu, Zw, Mu, Mw, Mwdot, Mq, speed: u0 } = d;
  return eigenvaluesOf([
    [Xu, Xw, 0, -g],
    [Zu, Zw, u0, 0],
    [Mu + Mwdot * Zu, Mw + Mwdot * Zw, Mq + Mwdot * u0, 0],
    [0, 0, 1, 0],
  ]);
}

/** Eigenvalues [1/s] of beta, p, r, phi. Nelson 5.35 */
export function lateralRoots(d: Lateral, g: number): Root[] {
  const { Yb, Yp, Yr, Lb, Lp, Lr, Nb, Np, Nr, speed: u0 } = d;
  return eigenvaluesOf([
    [Yb / u0, Yp / u0, -(1 - Yr / u0), g / u0],
    [Lb, Lp, Lr, 0],
    [Nb, Np, Nr, 0],
    [0, 1, 0, 0],
  ]);
}

export type ModeName =
  'short period' | 'phugoid' | 'roll' | 'Dutch roll' | 'spiral' | 'pitch divergence' | 'slow lateral';

export interface Mode {
  name: ModeName;
  root: Root;
  /** s; null where it does not swing */ period: number | null;
  /** share of critical damping; below zero it grows */ damping: number;
  /** time to half, or to double where it grows [s] */ halfTime: number;
  stable: boolean;
}

const pairsOf = (roots: readonly Root[]): Root[] => roots.filter((r) => r.im >= 0);

function modeOf(name: ModeName, root: Root): Mode {
  const size = Math.sqrt(root.re * root.re + root.im * root.im);
  return {
    name,
    root,
    period: root.im > 1e-6 ? (2 * Math.PI) / root.im : null,
    damping: size > 0 ? -root.re / size : 0,
    halfTime: Math.LN2 / Math.max(1e-9, Math.abs(root.re)),
    stable: root.re < 0,
  };
}

const bySize = (a: Root, b: Root) => b.re * b.re + b.im * b.im - a.re * a.re - a.im * a.im;

/**
 * Names the longitudinal roots: the fast pair is the short period, the slow one the phugoid; a root that grows without
 * swinging is a divergence.
 */
export function nameLongitudinal(roots: readonly Root[]): Mode[] {
  const list = pairsOf(roots).sort(bySize);
  return list.map((r, i) =>
    modeOf(
      r.im < 1e-6 && r.re > 0.05
        ? 'pitch divergence'
        : i === 0 || (list.length > 2 && i < list.length - 1)
          ? 'short period'
          : 'phugoid',
      r,
    ),
  );
}

/** Names the lateral roots: the swinging pair is the Dutch roll, the fast single root the roll, the slow one the spiral. */
export function nameLateral(roots: readonly Root[]): Mode[] {
  const swinging = pairsOf(roots)
      .filter((r) => r.im > 1e-6)
      .sort((a, b) => b.im - a.im),
    single = roots.filter((r) => Math.abs(r.im) <= 1e-6).sort((a, b) => Math.abs(b.re) - Math.abs(a.re));
  const out = swinging.map((r, i) => modeOf(i === 0 ? 'Dutch roll' : 'slow lateral', r));
  return [
    ...single.slice(0, 1).map((r) => modeOf('roll', r)),
    ...out,
    ...single.slice(1).map((r) => modeOf('spiral', r)),
  ];
}

/** What dimensional derivatives need of the aircraft. */
export interface Flying {
  mass: number;
  ixx: number;
  iyy: number;
  izz: number;
  density: number;
  speed: number;
  area: number;
  chord: number;
  span: number;
  CL: number;
  CD: number;
  /** dCD/dalpha */ CDalpha: number;
}

export function dimensional(d: Derivatives, f: Flying): { longitudinal: Longitudinal; lateral: Lateral } {
  const q = 0.5 * f.density * f.speed * f.speed,
    S = f.area,
    u = f.speed;
  const X = (q * S) / (f.mass * u),
    M = (q * S * f.chord) / f.iyy,
    L = (q * S * f.span) / f.ixx,
    N = (q * S * f.span) / f.izz,
    c2 = f.chord / (2 * u),
    b2 = f.span / (2 * u);
  return {
    longitudinal: {
      Xu: -2 * f.CD * X,
      Xw: -(f.CDalpha - f.CL) * X,
      Zu: -2 * f.CL * X,
      Zw: -(d.CLalpha + f.CD) * X,
      Mu: 0,
      Mw: (d.Cmalpha * M) / u,
      Mwdot: (d.Cmalphadot * c2 * M) / u,
      Mq: d.Cmq * c2 * M,
      speed: u,
    },
    lateral: {
      Yb: d.CYbeta * X * u,
      Yp: d.CYp * b2 * X * u,
      Yr: d.CYr * b2 * X * u,
      Lb: d.Clbeta * L,
      Lp: d.Clp * b2 * L,
      Lr: d.Clr * b2 * L,
      Nb: d.Cnbeta * N,
      Np: d.Cnp * b2 * N,
      Nr: d.Cnr * b2 * N,
      speed: u,
    },
  };
}
