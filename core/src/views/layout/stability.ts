/** Stability, modes and handling of one state at its speed. */
import { G0 } from '../../air';
import { handlingOf } from '../../flight';
import { liftShares, momentAbout, rollStroke } from '../../surface';
import { aero as aeroStep, air as airStep, airframe, lattice, shape } from '../../steps';

import { handsOffAt } from './motion';
import { modesOf } from './motion';

import type { LayoutReport } from './report';
import type { Scene } from './scene';

const ROLL_KINDS = ['aileron', 'elevon', 'flaperon'];
const rolls = (c: { kind: string }) => ROLL_KINDS.includes(c.kind);

/** What full aileron does to roll and yaw; null without any. */
function strokeOf({ run, design, trim, state, derivatives }: Scene) {
  const rollers = design.surfaces.flatMap((s) => s.controls.filter(rolls));
  if (rollers.length === 0) return null;
  const at = { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z },
    most = Math.max(...rollers.map((c) => c.maxDeflection)),
    differential = Math.min(...rollers.map((c) => c.differential ?? 1));
  return rollStroke(run.of(lattice), at, derivatives, most, differential);
}

/** Moment about the CG by angle of attack, controls in line. */
function momentCurve({ run, state }: Scene): LayoutReport['moment'] {
  const { cl0, clAlpha } = run.of(lattice).coefficients,
    about = momentAbout(run.of(aeroStep), state.x),
    alpha = Array.from({ length: 25 }, (_, i) => ((i - 6) * Math.PI) / 180);
  return {
    alpha,
    cm: alpha.map((a) => about.zero + about.slope * a),
    cl: alpha.map((a) => cl0 + clAlpha * a),
  };
}

type StabilityPart = Pick<
  LayoutReport,
  | 'neutralX'
  | 'trim'
  | 'handsOff'
  | 'moment'
  | 'momentAtNoLift'
  | 'shares'
  | 'induced'
  | 'derivatives'
  | 'modes'
  | 'handling'
  | 'ailerons'
>;

export function stabilityPart(s: Scene): StabilityPart {
  const { run, design, loading, state, trim, derivatives } = s,
    aero = run.of(aeroStep),
    sol = run.of(lattice),
    { wing } = run.of(shape),
    W = state.mass * G0;
  const free = handsOffAt(aero, state.x),
    { cl0, clAlpha } = sol.coefficients,
    modes = modesOf(run, loading, derivatives, s.speed);
  const freeSpeed = (CL: number) => Math.sqrt((2 * W) / (run.of(airStep).density * wing.area * CL));
  return {
    neutralX: aero.neutralX,
    trim: { ...trim, control: sol.pitchControl },
    handsOff: free && free.CL > 0.02 ? { ...free, speed: freeSpeed(free.CL) } : null,
    moment: momentCurve(s),
    momentAtNoLift: aero.near.zero - (aero.cmAlpha / clAlpha) * cl0,
    shares: liftShares(sol, trim.alpha, trim.elevator),
    induced: run.of(airframe, loading.id).parts(s.speed, W).induced / (s.q * wing.area),
    derivatives,
    modes,
    handling: handlingOf(derivatives, (aero.neutralX - state.x) / wing.mac, modes, strokeOf(s)),
    ailerons: design.surfaces.flatMap((q) =>
      q.controls.filter(rolls).map(({ from, to, kind }) => ({ surface: q.id, from, to, kind })),
    ),
  };
}
