/** Run and throw over all-up mass, so that either may be asked of the other. */
import { G0 } from '../../air';
import { leavingOf, runsAlongStrip, USUAL_THROW, type DesignDocument } from '../../design';
import { groundRun, stallSpeed, throwNeeded, type PointModel } from '../../flight';
import { DomainError, interpolateLinear } from '../../numeric';
import { airframe, aimOf, fullThrust, rollingDragArea, THROW_LIMITS, thrustAt } from '../../steps';
import { runOf, type StepCache } from '../../assess';

export interface ByMass {
  /** of the state as it is [kg] */ readonly mass: number;
  readonly masses: readonly number[];
  /** ground run, or throw that is needed; Infinity where it does not get away [m, m/s] */ readonly asked: readonly number[];
  readonly what: 'run' | 'throw';
}

/** Masses from half to twice that of the state. */
const SHARES = Array.from({ length: 31 }, (_, i) => 0.5 + i * 0.05);

/** @returns null where the state neither runs nor is thrown, or has no wing @throws DomainError for an unknown state */
export function byMass(doc: DesignDocument, stateId: string, cache: StepCache): ByMass | null {
  const { brief, design, calibration } = doc,
    state = design.states.find((l) => l.id === stateId);
  if (!state) throw new DomainError('unknown-name', `there is no state ${stateId}`);
  const run = runOf({ brief, design }, calibration, cache).inState(stateId),
    frame = run.maybe(airframe, stateId),
    thrust = run.maybe(fullThrust);
  if (!frame) return null;
  const way = leavingOf(design, state),
    runs = runsAlongStrip(design, state) && thrust?.curve;
  if (!runs && way !== 'hand') return null;
  const modelAt = (mass: number): PointModel => ({
    mass,
    density: frame.density,
    area: frame.area,
    clMax: frame.clMax,
    fastest: frame.fastest,
    fullThrust: thrustAt(thrust?.curve ?? null),
    drag: (v, n = 1) => frame.parts(v, n * mass * G0).total,
  });
  const masses = SHARES.map((s) => s * frame.mass);
  return {
    mass: frame.mass,
    masses,
    what: runs ? 'run' : 'throw',
    asked: masses.map((m) => (runs ? runFor(doc, modelAt(m), frame, way) : throwFor(doc, modelAt(m)))),
  };
}

function runFor(
  { brief: { site }, design }: DesignDocument,
  m: PointModel,
  frame: Parameters<typeof rollingDragArea>[0],
  way: string,
): number {
  const { liftOffFactor, groundCl } = design.flight,
    r = groundRun(m, {
      friction: site.rollingFriction,
      wind: site.wind,
      liftOffFactor,
      groundCl,
      slope: site.slope ?? 0,
      carried: way === 'dolly' ? (design.launch?.dollyMass ?? 0) : 0,
      dragArea: rollingDragArea(frame, liftOffFactor * stallSpeed(m), groundCl, m.density),
    });
  return r.status === 'airborne' ? r.distance : Infinity;
}

function throwFor({ brief: { site }, design: { launch = {} } }: DesignDocument, m: PointModel): number {
  const from = {
    angle: launch.throwAngle ?? USUAL_THROW.angle,
    height: launch.throwHeight ?? USUAL_THROW.height,
    aim: aimOf(m),
    wind: site.wind,
  };
  return throwNeeded(m, from, THROW_LIMITS.clear, THROW_LIMITS.fastest) ?? (stallSpeed(m) < 3 ? 0 : Infinity);
}

/** Heaviest that gets away with so much strip or so fast a throw [kg]; null beyond what was gone through. */
export function massFor(b: Pick<ByMass, 'masses' | 'asked'>, given: number): number | null {
  const n = b.asked.findIndex((a) => a > given);
  if (n === 0) return null;
  if (n < 0) return b.masses.at(-1)!;
  const low = b.asked[n - 1]!,
    high = b.asked[n]!;
  if (!Number.isFinite(high)) return b.masses[n - 1]!;
  return interpolateLinear([low, high], [b.masses[n - 1]!, b.masses[n]!], given);
}
