/**
 * First-order derivatives about a steady trimmed state, by central differences of the lattice's forces, in stability
 * axes (turned with the angle of attack). Body: Munk/Multhopp moments added. Rates non-dimensional the usual way:
 * p b/2V, q c/2V, r b/2V. Sources of the definitions: Etkin and Reid, Dynamics of Flight, 3rd ed., ch. 5; Nelson, Flight
 * Stability and Automatic Control, ch. 3.
 */
import { forcesOf, type Forces, type Motion } from './forces';
import type { LatticeSolution } from './lattice';

export interface Derivatives {
  CLalpha: number;
  Cmalpha: number;
  CLq: number;
  Cmq: number;
  Cmalphadot: number;
  CLelevator: number;
  Cmelevator: number;
  CLflap: number;
  Cmflap: number;
  CYbeta: number;
  Clbeta: number;
  Cnbeta: number;
  CYp: number;
  Clp: number;
  Cnp: number;
  CYr: number;
  Clr: number;
  Cnr: number;
  Claileron: number;
  Cnaileron: number;
  CYrudder: number;
  Clrudder: number;
  Cnrudder: number;
  /** mean downwash slope at what lies behind the wing */ downwash: number;
}

/** What the body adds: slopes per rad on S c (pitch) and S b (yaw), side force on S. */
export interface BodySlopes {
  pitch: number;
  yaw: number;
  side: number;
}

const H = 1e-4;

/** Forces in stability axes: rolling and yawing moment turned by the angle of attack. */
function stability(f: Forces, alpha: number): Forces {
  const c = Math.cos(alpha),
    s = Math.sin(alpha);
  return { ...f, Cl: f.Cl * c + f.Cn * s, Cn: f.Cn * c - f.Cl * s };
}

/** Trimmed angle of attack and elevator; x, z of the CG. */
type Trimmed = Pick<Motion, 'alpha' | 'elevator' | 'flap' | 'x' | 'z'>;

const slope = (up: Forces, down: Forces): Forces =>
  Object.fromEntries(
    Object.entries(up).map(([k, v]) => [k, (v - down[k as keyof Forces]) / (2 * H)]),
  ) as unknown as Forces;

/** Forces about a state, and how they change with a change of its motion. */
function aboutState(sol: LatticeSolution, at: Trimmed) {
  const d = (change: Partial<Motion>, alpha = at.alpha): Forces =>
    stability(forcesOf(sol, { ...at, ...change }), alpha);
  return { d, by: (make: (h: number) => Partial<Motion>): Forces => slope(d(make(H)), d(make(-H))) };
}

/** Side force and yawing moment by sideslip alone, per rad. */
export function sideslipSlopes(
  sol: LatticeSolution,
  at: Trimmed,
  body: BodySlopes,
): Pick<Derivatives, 'CYbeta' | 'Cnbeta'> {
  const be = aboutState(sol, at).by((h) => ({ beta: h }));
  return { CYbeta: be.CY + body.side, Cnbeta: be.Cn + body.yaw };
}

export function derivativesOf(sol: LatticeSolution, at: Trimmed, body: BodySlopes): Derivatives {
  const { refChord: c, refSpan: b } = sol;
  const ca = Math.cos(at.alpha),
    sa = Math.sin(at.alpha);
  const { d, by } = aboutState(sol, at);
  // alpha: the axes of CL turn with it, the moments' do not matter in pitch
  const a = slope(d({ alpha: at.alpha + H }, at.alpha + H), d({ alpha: at.alpha - H }, at.alpha - H));
  const q = by((h) => ({ q: (2 * h) / c }));
  const e = by((h) => ({ elevator: (at.elevator ?? 0) + h })),
    fl = by((h) => ({ flap: (at.flap ?? 0) + h }));
  const be = by((h) => ({ beta: h }));
  const p = by((h) => ({ p: (2 * h * ca) / b, r: (2 * h * sa) / b }));
  const r = by((h) => ({ p: (-2 * h * sa) / b, r: (2 * h * ca) / b }));
  const ai = by((h) => ({ aileron: h })),
    ru = by((h) => ({ rudder: h }));
  const downwash = downwashSlope(sol);
  const pitch = tailPart(sol, at.x);
  return {
    CLalpha: a.CL,
    Cmalpha: a.Cm + body.pitch,
    CLq: q.CL,
    Cmq: q.Cm,
    // lag of the downwash, which reaches the tail arm / V later: the tail's share of the pitch damping times d(epsilon)/d(alpha)
    Cmalphadot: q.Cm * pitch * downwash,
    CLelevator: e.CL,
    Cmelevator: e.Cm,
    CLflap: fl.CL,
    Cmflap: fl.Cm,
    CYbeta: be.CY + body.side,
    Clbeta: be.Cl,
    Cnbeta: be.Cn + body.yaw,
    CYp: p.CY,
    Clp: p.Cl,
    Cnp: p.Cn,
    CYr: r.CY,
    Clr: r.Cl,
    Cnr: r.Cn,
    Claileron: ai.Cl,
    Cnaileron: ai.Cn,
    CYrudder: ru.CY,
    Clrudder: ru.Cl,
    Cnrudder: ru.Cn,
    downwash,
  };
}

/** Mean of -w per rad of angle of attack at the bound vortices behind the wing, by the wing's vortices. 0 without a tail. */
export function downwashSlope(sol: LatticeSolution): number {
  const { panels, pairs, boundWash, symmetric } = sol.model;
  const wing = panels.find((p) => sol.strips[p.strip].role === 'wing')!.surface;
  let sum = 0,
    area = 0;
  for (let i = 0; i < pairs; i++) {
    const t = sol.strips[panels[i].strip];
    if (t.role !== 'tail') continue;
    let w = 0;
    for (let j = 0; j < pairs; j++)
      if (panels[j].surface === wing) w += boundWash.symmetric[2][i * pairs + j] * symmetric.alpha[j];
    const part = t.chord * t.dy;
    sum -= w * part;
    area += part;
  }
  return area > 0 ? sum / area : 0;
}

/** Share of the pitch damping that comes from the tail, 0 to 1. */
function tailPart(sol: LatticeSolution, x: number): number {
  const { panels, pairs, symmetric } = sol.model;
  const shift = sol.refX - x;
  let tail = 0,
    all = 0;
  for (let i = 0; i < pairs; i++) {
    const b = panels[i],
      m = (symmetric.q[i] + shift * symmetric.alpha[i]) * (b.yb - b.ya) * (0.5 * (b.xa + b.xb) - x);
    all += m;
    if (sol.strips[b.strip].role === 'tail') tail += m;
  }
  return all > 0 ? Math.min(1, Math.max(0, tail / all)) : 0;
}

/** Yawing moment by one rad of rudder, about the lattice's reference point; 0 without one. */
export function rudderPower(sol: LatticeSolution): number {
  const at = { alpha: 0.05, x: sol.refX, z: 0 };
  return forcesOf(sol, { ...at, rudder: 1 }).Cn - forcesOf(sol, at).Cn;
}

export interface RollStroke {
  /** steady roll, p b / 2V */ helix: number;
  /** yawing over rolling moment; below zero adverse */ yawShare: number;
}

/**
 * A full stroke of the ailerons: `up` on one side, `up` times `differential` down on the other.
 * @param d derivatives about the same state, for the roll damping
 */
export function rollStroke(
  sol: LatticeSolution,
  at: Pick<Motion, 'alpha' | 'elevator' | 'flap' | 'x' | 'z'>,
  d: Derivatives,
  up: number,
  differential: number,
): RollStroke {
  const plain = stability(forcesOf(sol, at), at.alpha),
    full = stability(
      forcesOf(sol, { ...at, aileron: 0.5 * up * (1 + differential), droop: -0.5 * up * (1 - differential) }),
      at.alpha,
    );
  const roll = full.Cl - plain.Cl,
    yaw = full.Cn - plain.Cn;
  return { helix: roll / -d.Clp, yawShare: Math.abs(roll) > 1e-9 ? yaw / roll : 0 };
}
