/**
 * Electric drive: pack, wire, controller, motors by three constants, gear, propellers.
 *   pack        V = Voc(soc) - I R_pack,  I = N d I_m + I_avionics
 *   controller  V_m = d (V - d I_m R_c)                  (averaged switching, duty d 0 to 1; R_c controller and wire)
 *   motor       omega_m = Kv (V_m - I_m R),  Q_m = (I_m - I_0(omega_m)) / Kv     (Kv in rad/s/V)
 *   gear        omega = omega_m / g,  Q = eta g Q_m
 * Source: Drela, First-Order DC Electric Motor Model, MIT 2007 (from memory).
 */
import { findRoot } from '../numeric';
import { type Factors, type Powertrain } from '../design';
import { joinPacks, openCircuit, packOf, type Pack } from './battery';
import { fanCurve } from './ductedFan';
import { noLoadAt, wireResistance } from './motor';
import { propellerCurve, propellerLoad, type PropellerCurve } from './propeller';

export interface Drive {
  readonly curve: PropellerCurve;
  readonly pack: Pack;
  /** of the pack, worn, with calibration [ohm] */ readonly packResistance: number;
  /** of each motor's own controller, and of its wire [ohm] */ readonly escResistance: number;
  readonly wireResistance: number;
  readonly motor: Powertrain['motor'];
  readonly kv: number;
  readonly motorResistance: number;
  /** multiplies the no-load current */ readonly noLoadFactor: number;
  readonly gear: number;
  readonly gearEfficiency: number;
  /** motors, each with its propeller */ readonly count: number;
  /** two propellers behind each other share one stream */ readonly inLine: boolean;
  readonly density: number;
  readonly thrustFactor: number;
  readonly torqueFactor: number;
  readonly avionics: number;
  /** usable charge [A s] before the reserve */ readonly charge: number;
}

export interface OperatingPoint {
  /** of all propellers [N] */ thrust: number;
  /** of a propeller [rad/s] */ omega: number;
  /** on one propeller's shaft [N m] */ torque: number;
  /** from the pack, incl. avionics [A] */ current: number;
  /** of one motor */ motorCurrent: number;
  /** at the pack's terminals [V] */ voltage: number;
  duty: number;
  /** from the pack [W] */ power: number;
  /** all shafts together [W] */ shaftPower: number;
  /** thrust power / pack power */ efficiency: number;
}

/** State of charge used where one figure stands for a flight (energy-mean of the curve lies near half charge). */
export const MEAN_SOC = 0.5;

/** What turns: the fan where one is fitted, else the propeller. Costs some milliseconds; keep it. @throws DomainError */
export function thrusterOf(power: Pick<Powertrain, 'propeller' | 'fan'>): PropellerCurve {
  return power.fan ? fanCurve(power.fan) : propellerCurve(power.propeller);
}

/** Both packs as one; a pair that must not be joined counts as the first alone (the findings say so). */
export function packInUse(power: Pick<Powertrain, 'battery' | 'second'>): Pack {
  const first = packOf(power.battery);
  if (!power.second) return first;
  const pair = joinPacks(first, packOf(power.second.battery), power.second.joined);
  return pair.status === 'joined' ? pair.pack : first;
}

/** What a drive is built from. */
export type DriveParts = Pick<
  Powertrain,
  'battery' | 'second' | 'wire' | 'esc' | 'motor' | 'propeller' | 'fan' | 'arrangement' | 'avionicsCurrent'
>;

/**
 * The drive of a design at an air density, with calibration factors applied.
 * @param curve of its propeller where it is already at hand
 */
export function buildDrive(
  power: DriveParts,
  density: number,
  f: Pick<Factors, 'thrust' | 'electricalLoss' | 'capacity'> & Partial<Pick<Factors, 'torque'>>,
  curve: PropellerCurve = thrusterOf(power),
): Drive {
  const pack = packInUse(power),
    { arrangement, wire, motor } = power;
  return {
    curve,
    pack,
    motor,
    packResistance: pack.resistance * f.electricalLoss,
    escResistance: power.esc.resistance * f.electricalLoss,
    wireResistance: wire ? wireResistance(wire.length, wire.area) * f.electricalLoss : 0,
    kv: motor.kv,
    motorResistance: motor.resistance * f.electricalLoss,
    noLoadFactor: f.electricalLoss,
    gear: motor.gear ?? 1,
    gearEfficiency: motor.gear && motor.gear !== 1 ? (motor.gearEfficiency ?? 0.95) : 1,
    count: arrangement?.count ?? 1,
    inLine: arrangement?.kind === 'counter-rotating',
    density,
    thrustFactor: f.thrust,
    torqueFactor: f.torque ?? 1,
    avionics: power.avionicsCurrent,
    charge: pack.usableCharge * f.capacity,
  };
}

/** Open-circuit volts of the pack. */
export function packVolts(d: Pick<Drive, 'pack'>, soc: number): number {
  return d.pack.series * openCircuit(soc, d.pack.chemistry);
}

/**
 * Thrust and torque of one propeller. Two in line share a stream: standing still the pair needs 1.28 times the induced
 * power of two apart (from memory of coaxial rotor tests, Leishman), thrust 0.85 at the same power; the loss goes with the
 * induced speed's part of the flow and is gone in fast flight.
 */
function driveLoad(d: Drive, omega: number, speed: number): { thrust: number; torque: number } {
  const load = propellerLoad(d.curve, omega, speed, d.density);
  let thrust = load.thrust * d.thrustFactor;
  if (d.inLine && d.count > 1 && thrust > 0) {
    const area = (Math.PI / 4) * d.curve.size.diameter ** 2;
    const vi = -speed / 2 + Math.sqrt((speed / 2) ** 2 + thrust / (2 * d.density * area));
    thrust *= 1 - (0.15 * vi) / (speed / 2 + vi);
  }
  return { thrust, torque: load.torque * d.torqueFactor };
}

const shaftKv = (d: Drive) => d.kv / d.gear;
const noLoad = (d: Drive, omega: number) => noLoadAt(d.motor, omega * d.gear) * d.noLoadFactor;

function pointAt(
  d: Drive,
  omega: number,
  speed: number,
  motorCurrent: number,
  duty: number,
  voc: number,
): OperatingPoint {
  const load = driveLoad(d, omega, speed);
  const thrust = load.thrust * d.count;
  const current = d.count * duty * motorCurrent + d.avionics;
  const voltage = voc - current * d.packResistance;
  const power = voltage * current;
  return {
    thrust,
    omega,
    torque: load.torque,
    current,
    motorCurrent,
    voltage,
    duty,
    power,
    shaftPower: d.count * load.torque * omega,
    efficiency: power > 0 ? (thrust * speed) / power : 0,
  };
}

/**
 * Ohms on the pack's side of the controller, which carry duty times one motor's current: shared pack as all motors
 * together.
 */
export const sourceOf = (d: Drive) => d.count * d.packResistance + d.wireResistance;
/** Ohms that carry the motor's own current at any duty: its winding, and the controller's switches, on or freewheeling. */
const motorSide = (d: Drive) => d.motorResistance + d.escResistance;

/** Operating point at a duty (throttle), airspeed [m/s] and state of charge; `volts` replaces the pack's open-circuit volts. */
export function operate(
  d: Drive,
  duty: number,
  speed: number,
  soc = MEAN_SOC,
  volts?: number,
): OperatingPoint {
  const voc = volts ?? packVolts(d, soc);
  const source = sourceOf(d),
    kv = shaftKv(d),
    free = duty * (voc - d.avionics * d.packResistance);
  const currentAt = (omega: number) =>
    Math.max(0, (free - omega / kv) / (motorSide(d) + duty * duty * source));
  // current does not flow backward through a controller that coasts: past the free speed the propeller windmills
  const excess = (omega: number) =>
    ((currentAt(omega) - noLoad(d, omega)) / kv) * d.gearEfficiency - driveLoad(d, omega, speed).torque;
  const top = Math.max(kv * duty * voc, (6.3 * speed) / (0.3 * d.curve.j0 * d.curve.size.diameter));
  const root = findRoot(excess, 1e-3, top + 1, 1e-8);
  const omega = root.status === 'no-bracket' ? 0 : root.x;
  return pointAt(
    d,
    omega,
    speed,
    omega > 0 ? currentAt(omega) : free / (d.motorResistance + duty * duty * source),
    duty,
    voc,
  );
}

/**
 * Operating point that gives a wanted thrust at an airspeed: rpm from the propeller, then current and duty
 * in closed form. `duty` above 1 means that the drive cannot give it.
 */
export function operateForThrust(d: Drive, thrust: number, speed: number, soc = MEAN_SOC): OperatingPoint {
  const voc = packVolts(d, soc);
  const D = d.curve.size.diameter,
    kv = shaftKv(d);
  const still = (2 * Math.PI * speed) / (d.curve.j0 * D);
  const want = Math.max(thrust, 0) / d.count;
  const top = Math.max(2 * still, 200) + 4 * kv * voc;
  const root = findRoot((w) => driveLoad(d, w, speed).thrust - want - 1e-9, still * 0.9 + 1e-3, top, 1e-8);
  const omega = root.status === 'no-bracket' ? still : root.x;
  const motorCurrent = Math.max(
    0,
    (driveLoad(d, omega, speed).torque * kv) / d.gearEfficiency + noLoad(d, omega),
  );
  const vm = omega / kv + motorCurrent * motorSide(d);
  // d (Voc - a R_pack) - d^2 I (N R_pack + R_wire) = Vm
  const a = motorCurrent * sourceOf(d),
    b = voc - d.avionics * d.packResistance;
  const disc = b * b - 4 * a * vm;
  const duty = a < 1e-9 ? vm / b : disc >= 0 ? (b - Math.sqrt(disc)) / (2 * a) : Infinity;
  return pointAt(d, omega, speed, motorCurrent, Math.min(duty, 9), voc);
}

/** Air past the motors [m/s]: the airspeed and half of what the propellers add to it. */
export function streamSpeed(
  d: Pick<Drive, 'count' | 'curve' | 'density'>,
  thrust: number,
  speed: number,
): number {
  const area = d.count * (Math.PI / 4) * d.curve.size.diameter ** 2;
  return speed / 2 + Math.sqrt((speed / 2) ** 2 + Math.max(0, thrust) / (2 * d.density * area));
}

/** Copper and iron loss of one motor at an operating point [W]; `resistance` as it is when warm. */
export function motorLoss(
  d: Drive,
  o: OperatingPoint,
  resistance = d.motorResistance,
): { copper: number; iron: number } {
  return {
    copper: o.motorCurrent ** 2 * resistance,
    iron: o.omega > 0 ? (noLoad(d, o.omega) * o.omega) / shaftKv(d) : 0,
  };
}
