/**
 * Propeller by blade elements and momentum, one inflow angle a radius:
 *   W sin(phi) = V + u_a,  W cos(phi) = omega r - u_t
 *   kappa = sigma c_n / (4 F sin phi),  kappa' = sigma c_t / (4 F sin phi),  sigma = B c / (2 pi r)
 *   u_a = W kappa, u_t = W kappa'  ->  omega r (sin phi - kappa) / (cos phi + kappa') = V
 * One equation for phi that holds standing still, in flight and windmilling. F: Prandtl's tip and hub loss.
 * Sources: Glauert, Airplane Propellers, 1935; Ning, Wind Energy 17, 2014, for solving in phi (both from memory).
 * Non-dimensional: T = CT rho n^2 D^4, P = CP rho n^3 D^5, J = V / (n D), n in rev/s.
 */
import { findRoot } from '../numeric';
import { bladeAngle, bladeSection, chordAt, type BladeShape } from './blades';

export interface BladeSet {
  readonly blade: BladeShape;
  /** [m] */ readonly diameter: number;
  readonly blades: number;
  /** pitch / diameter by r/R */ pitchRatio(x: number): number;
  /** added to every blade angle [rad]: softened by torque, or set by hand */ readonly shift?: number;
}

export interface BladeLoad {
  CT: number;
  CP: number;
  /** share of the disc's blade length past its section limit */ stalled: number;
}

/** radii at which the blade is cut, fine toward the tip */
const CUTS = 14;

/** Momentum balance at one radius. Returns thrust and torque per length over rho, [m^3/s^2] and [m^4/s^2]. */
function element(
  set: BladeSet,
  x: number,
  omega: number,
  speed: number,
  viscosity: number,
  soundSpeed: number,
): { dT: number; dQ: number; stalled: boolean } {
  const R = set.diameter / 2,
    r = x * R,
    c = chordAt(set.blade, x) * R;
  const beta = bladeAngle(set.pitchRatio(x), x) + (set.shift ?? 0);
  const sigma = (set.blades * c) / (2 * Math.PI * r);
  const ur = omega * r,
    w0 = Math.sqrt(ur * ur + speed * speed);
  const re = (w0 * c) / viscosity,
    mach = w0 / soundSpeed;
  const state = (phi: number) => {
    const s = Math.sin(phi),
      k = Math.cos(phi),
      alpha = beta - phi;
    const { cl, cd } = bladeSection(set.blade, alpha, re, c / r, mach);
    const a = Math.max(Math.abs(s), 1e-4);
    const tip = (2 / Math.PI) * Math.acos(Math.exp(-(set.blades / 2) * ((1 - x) / (x * a))));
    const hub =
      (2 / Math.PI) *
      Math.acos(Math.exp(-(set.blades / 2) * ((x - set.blade.root * 0.8) / (set.blade.root * 0.8 * a))));
    const F = Math.max(tip * hub, 1e-3);
    const cn = cl * k - cd * s,
      ct = cl * s + cd * k;
    const kappa = (sigma * cn) / (4 * F * s),
      kappaT = (sigma * ct) / (4 * F * s);
    return { s, k, cn, ct, kappa, kappaT, alpha, cl };
  };
  const g = (phi: number) => {
    const q = state(phi);
    return (ur * (q.s - q.kappa)) / Math.max(q.k + q.kappaT, 1e-3) - speed;
  };
  const root = findRoot(g, 2e-3, 1.45, 1e-5);
  const phi = root.status === 'no-bracket' ? Math.atan2(speed, ur) : root.x;
  const q = state(phi);
  const W = root.status === 'no-bracket' ? w0 : ur / Math.max(q.k + q.kappaT, 1e-3);
  const half = 0.5 * set.blades * c * W * W;
  return {
    dT: half * q.cn,
    dQ: half * q.ct * r,
    stalled: q.alpha - set.blade.alpha0 > set.blade.clMax / 5.7 + 0.03,
  };
}

/**
 * Coefficients of a blade set at rotation omega [rad/s] and airspeed V [m/s].
 * @param viscosity kinematic [m2/s] @param soundSpeed [m/s]
 */
export function bladeLoad(
  set: BladeSet,
  omega: number,
  speed: number,
  viscosity = 1.46e-5,
  soundSpeed = 340.3,
): BladeLoad {
  const R = set.diameter / 2,
    x0 = set.blade.root,
    n = omega / (2 * Math.PI);
  let T = 0,
    Q = 0,
    stalled = 0;
  // midpoints in the cosine of the blade length: the load falls steeply at the tip only
  for (let i = 0; i < CUTS; i++) {
    const a = x0 + (1 - x0) * Math.sin((Math.PI / 2) * (i / CUTS)),
      b = x0 + (1 - x0) * Math.sin((Math.PI / 2) * ((i + 1) / CUTS));
    const e = element(set, 0.5 * (a + b), omega, speed, viscosity, soundSpeed);
    T += e.dT * (b - a) * R;
    Q += e.dQ * (b - a) * R;
    if (e.stalled) stalled += (b - a) / (1 - x0);
  }
  const D = set.diameter;
  return { CT: T / (n * n * D ** 4), CP: (2 * Math.PI * Q) / (n * n * D ** 5), stalled };
}
