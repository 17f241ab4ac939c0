/**
 * Rubber motor: strands of strip between hook and shaft.
 *   A = strands w t,  m = rho A L                         (L of the made-up motor, relaxed)
 *   turns at breaking  N_b = kappa L / sqrt(A)            kappa 8.7, of breaking tests on indoor and P-30 motors (from memory)
 *   energy given back  E = e m,  e 8.0 kJ/kg lubricated   (3000 ft lb/lb, 9 kJ/kg, is what good rubber takes; from memory)
 *   torque             Q(N) = E / (2 pi N_b) s(N / N_b),  s(t) = a t^0.4 + b t^8: knee, plateau, burst; integral 1, s(1) = 3.2
 * so that torque goes with A^1.5 and turns with 1/sqrt(A), as builders find. Dry rubber: 0.75 of the turns, 0.8 of the energy
 * (from memory). Unwinding is taken on the same curve whatever it was wound to.
 */
import { requirePositive } from '../numeric';

export interface RubberData {
  width: number;
  thickness: number;
  strands: number;
  length: number;
  density: number;
  lubricated: boolean;
  breakTurns?: number;
  /** energy given back over the usual; 1 where left out */ vigour?: number;
  wound: number;
  backedOff: number;
  winder: number;
}

const KAPPA = 8.7;
const RUBBER_ENERGY = 8000;
const DRY_TURNS = 0.75,
  DRY_ENERGY = 0.8;
/** s(1), and the two weights that make the integral 1 */
const BURST = 3.2,
  KNEE = 0.4,
  RISE = 8;
const A_SHAPE = (1 - BURST / (RISE + 1)) / (1 / (KNEE + 1) - 1 / (RISE + 1)),
  B_SHAPE = BURST - A_SHAPE;
/** What the crank feels over what the motor gives back: about a quarter stays in the rubber (common practice, no source). */
const CRANK = 1.3;

export interface RubberMotor {
  /** [m2] */ area: number;
  /** [kg] */ mass: number;
  breakTurns: number;
  /** on the motor */ woundTurns: number;
  launchTurns: number;
  /** of the winder's crank */ crankTurns: number;
  /** given back from breaking turns down, and from the launch down [J] */ fullEnergy: number;
  energy: number;
  /** [N m] */ launchTorque: number;
  plateauTorque: number;
  crankTorque: number;
  torqueAt(turns: number): number;
}

/** @throws DomainError for sizes that are not above zero */
export function rubberMotor(r: RubberData): RubberMotor {
  for (const [name, v] of [
    ['strip width', r.width],
    ['strip thickness', r.thickness],
    ['strands', r.strands],
    ['motor length', r.length],
    ['density', r.density],
    ['winder ratio', r.winder],
  ] as const)
    requirePositive(name, v);
  const area = r.strands * r.width * r.thickness,
    mass = r.density * area * r.length;
  const breakTurns = r.breakTurns ?? ((r.lubricated ? 1 : DRY_TURNS) * KAPPA * r.length) / Math.sqrt(area);
  const fullEnergy = (r.vigour ?? 1) * (r.lubricated ? 1 : DRY_ENERGY) * RUBBER_ENERGY * mass;
  const mean = fullEnergy / (2 * Math.PI * breakTurns);
  const torqueAt = (turns: number) => {
    const t = Math.min(Math.max(turns / breakTurns, 0), 1);
    return mean * (A_SHAPE * t ** KNEE + B_SHAPE * t ** RISE);
  };
  const woundTurns = r.wound * breakTurns,
    launchTurns = Math.max(0, woundTurns - r.backedOff),
    t = launchTurns / breakTurns;
  return {
    area,
    mass,
    breakTurns,
    woundTurns,
    launchTurns,
    crankTurns: woundTurns / r.winder,
    fullEnergy,
    energy:
      fullEnergy * ((A_SHAPE * t ** (KNEE + 1)) / (KNEE + 1) + (B_SHAPE * t ** (RISE + 1)) / (RISE + 1)),
    launchTorque: torqueAt(launchTurns),
    plateauTorque: torqueAt(0.5 * breakTurns),
    crankTorque: (CRANK * torqueAt(woundTurns)) / r.winder,
    torqueAt,
  };
}

/**
 * Rotation [rad/s] from turns and seconds: 60 (launch turns - turns left) / s in rpm. @throws DomainError when no
 * time passed
 */
export function meanRotation(launchTurns: number, turnsLeft: number, seconds: number): number {
  requirePositive('time', seconds, 's');
  return (2 * Math.PI * (launchTurns - turnsLeft)) / seconds;
}

/** Pitch [m] that gives the same advance at another rotation: how far a blade has flared. */
export function effectivePitch(pitch: number, rotation: number, measured: number): number {
  requirePositive('rotation', measured, 'rad/s');
  return (pitch * rotation) / measured;
}

/**
 * Dethermalizer setting [s]: it must be down before it has drifted over the field's edge; drift = wind (t + height / sink).
 * @param height when the dethermalizer pops [m] @param sink under it [m/s]
 * @returns 0 when even popping at once drifts out; null for no wind
 */
export function dethermalizerTime(field: number, wind: number, height: number, sink = 2.5): number | null {
  return wind > 0 ? Math.max(0, field / wind - height / sink) : null;
}
