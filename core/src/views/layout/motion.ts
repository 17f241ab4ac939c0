/** How one state is trimmed and moves: hands off, at a speed, over the ground. */
import { G0 } from '../../air';
import { hovers, type Design, type State, powertrainOf } from '../../design';
import {
  dimensional,
  lateralRoots,
  longitudinalRoots,
  nameLateral,
  nameLongitudinal,
  type Mode,
} from '../../flight';
import { thrustMoment } from '../../layout';
import {
  inducedDrag,
  momentAbout,
  planformOf,
  solveLattice,
  solveTrim,
  type Derivatives,
  type LinearAero,
  type TrimState,
} from '../../surface';
import {
  aero as aeroStep,
  airframe,
  balance,
  lattice,
  sections as sectionsStep,
  shape,
  trim as trimStep,
  work,
} from '../../steps';
import type { Run } from '../../assess';

import { type LayoutReport } from './report';

/** Hands-off lift: moment about the CG zero with the controls in line. */
export function handsOffAt(aero: LinearAero, x: number): { CL: number; alpha: number } | null {
  const c = aero.sol.coefficients,
    m = momentAbout(aero, x);
  if (!(Math.abs(m.slope) > 1e-6)) return null;
  const alpha = -m.zero / m.slope;
  return { alpha, CL: c.cl0 + c.clAlpha * alpha };
}

export function modesOf(run: Run, loading: State, d: Derivatives, speed: number): Mode[] {
  const { state: s } = run.of(balance, loading.id),
    { wing } = run.of(shape),
    frame = run.of(airframe, loading.id);
  const rho = frame.density,
    q = 0.5 * rho * speed * speed,
    S = wing.area,
    W = s.mass * G0;
  const at = frame.parts(speed, W),
    up = frame.parts(speed, W * 1.05);
  const CL = W / (q * S),
    CD = at.total / (q * S),
    CDalpha = ((up.total - at.total) / (q * S) / (0.05 * CL)) * d.CLalpha;
  const dims = dimensional(d, {
    mass: s.mass,
    ixx: s.ixx,
    iyy: s.iyy,
    izz: s.izz,
    density: rho,
    speed,
    area: S,
    chord: wing.mac,
    span: wing.span,
    CL,
    CD,
    CDalpha,
  });
  return [
    ...nameLongitudinal(longitudinalRoots(dims.longitudinal, G0)),
    ...nameLateral(lateralRoots(dims.lateral, G0)),
  ];
}

/** Trimmed with the thrust that holds this speed turning it about its CG, too. */
export function trimAt(run: Run, loading: State, speed: number): TrimState {
  const { design } = run.source;
  if (!hovers(design, loading) && speed === run.of(work, loading.id).speed)
    return run.of(trimStep, loading.id);
  const frame = run.of(airframe, loading.id),
    { wing } = run.of(shape),
    { mass, x, z } = run.of(balance, loading.id).state;
  const q = 0.5 * frame.density * speed * speed,
    pull = powertrainOf(design).unpowered ? 0 : frame.drag(speed);
  const moment = thrustMoment(powertrainOf(design).propeller, pull, q, wing.area, wing.mac, { x, z });
  return solveTrim(run.of(aeroStep), (mass * G0) / (q * wing.area), x, moment.cm);
}

/** The lattice over a ground plane at wheel height against the free one, at one lift coefficient. */
export function groundEffect(design: Design, run: Run, lowest: number): LayoutReport['inGround'] {
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  if (!(wing.macZ - lowest > 0.02 * wing.span)) return null;
  const near = solveLattice(design, run.of(sectionsStep).contours, 1, -lowest),
    free = run.of(lattice);
  const drag = (l: typeof free) => inducedDrag(l, l.alpha) / l.coefficients.clAlpha ** 2;
  return {
    height: (wing.macZ - lowest) / wing.span,
    slope: near.coefficients.clAlpha / free.coefficients.clAlpha,
    induced: drag(near) / drag(free),
  };
}
