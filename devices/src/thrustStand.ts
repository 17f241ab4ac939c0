/**
 * The simulated thrust stand: a motor, propeller and pack on a clamp, read by lines of text. One line in, one or more out.
 *   HELLO                      STAND 1 rate=10
 *   FIT {power as in a design} OK what is on it          the scale's zero is disturbed by the work
 *   TARE                       OK                        zero where it now stands; motor stopped only
 *   ARM | STOP                 OK armed | OK stopped     a throttle is refused while not armed
 *   THROTTLE 0.5               OK
 *   READ 40                    forty lines D t throttle volts amps newton rpm celsius, then END
 *   ALIVE                      no answer: somebody is still there
 * A motor that turns while nobody has spoken for a second is stopped by the stand itself; it must be armed again.
 * Anything else, or a number out of range, is answered by ERR and a sentence; the motor keeps what it was told.
 * What is on it differs from the data sheet by `truth`, which the person does not see. The clock is its own: it runs while read.
 */
import { drivePartsSchema, type Powertrain } from '@skiametra/core/design';
import {
  buildDrive,
  heatStep,
  motorLoss,
  operate,
  thermalOf,
  thrusterOf,
  type Drive,
  type HeatState,
} from '@skiametra/core/power';
import { normalFrom } from './random';

export interface StandTruth {
  thrust: number;
  torque: number;
  electricalLoss: number;
}

/** As parts come: less thrust than computed, a little more torque, more loss. */
export const STAND_TRUTH: StandTruth = { thrust: 0.93, torque: 1.04, electricalLoss: 1.15 };

/** Silence after which the stand stops a turning motor [ms]. */
export const WATCHDOG = 1000;

const RATE = 10;
const MOST_ROWS = 600;

export class ThrustStand {
  private noise: () => number;
  private drive: Drive | null = null;
  private armed = false;
  private throttle = 0;
  private tripped = false;
  private clock = 0;
  private omega = 0;
  private soc = 0.98;
  private heat: HeatState;
  /** newtons that the scale shows with nothing pulling; wanders */ private zero: number;
  private tares = 0;

  constructor(
    seed = 1,
    private readonly air: { density: number; temperature: number } = { density: 1.22, temperature: 288.15 },
    private readonly truth: StandTruth = STAND_TRUTH,
  ) {
    this.noise = normalFrom(seed);
    this.heat = { winding: air.temperature, case: air.temperature };
    this.zero = 0.12 + 0.05 * this.noise();
  }

  /** @returns the lines it answers */
  command(line: string): string[] {
    const [word, ...rest] = line.trim().split(/\s+/),
      text = line.trim().slice(word!.length).trim();
    switch (word) {
      case 'HELLO':
        return [`STAND 1 rate=${RATE}`];
      case 'FIT':
        return this.fit(text);
      case 'TARE':
        return this.tare();
      case 'ALIVE':
        return [];
      case 'ARM':
        if (!this.drive) return ['ERR nothing is on the stand'];
        this.armed = true;
        this.tripped = false;
        return ['OK armed'];
      case 'STOP':
        this.armed = false;
        this.throttle = 0;
        return ['OK stopped'];
      case 'THROTTLE':
        return this.setThrottle(Number(rest[0]), rest.length);
      case 'READ':
        return this.read(Number(rest[0]), rest.length);
      default:
        return [`ERR no such command: ${word!.slice(0, 20)}`];
    }
  }

  /** Whether the motor is told to turn. */
  get turning(): boolean {
    return this.throttle > 0;
  }

  /** Stops the motor because nobody spoke for {@link WATCHDOG}. */
  trip(): void {
    this.tripped = this.turning;
    this.armed = false;
    this.throttle = 0;
  }

  private fit(text: string): string[] {
    if (this.armed) return ['ERR disarm first: hands go near the propeller'];
    let data: unknown;
    try {
      data = JSON.parse(text);
    } catch {
      return ['ERR FIT takes the power part of a design as JSON on one line'];
    }
    const power = drivePartsSchema.safeParse(data);
    if (!power.success) return ['ERR what is to be fitted is not complete'];
    this.drive = driveOf(power.data, this.air.density, this.truth);
    this.soc = 0.98;
    this.heat = { winding: this.air.temperature, case: this.air.temperature };
    this.zero = 0.16 + 0.09 * Math.abs(this.noise());
    return ['OK fitted'];
  }

  private tare(): string[] {
    if (this.throttle > 0) return ['ERR stop the motor first'];
    this.tares++;
    // every second tare is taken while a cable still swings
    this.zero = this.tares % 2 === 0 ? 0.21 + 0.02 * this.noise() : 0.004 * this.noise();
    return ['OK'];
  }

  private setThrottle(t: number, words: number): string[] {
    if (words !== 1 || !(t >= 0 && t <= 1)) return ['ERR THROTTLE takes a number from 0 to 1'];
    if (!this.armed && t > 0)
      return [this.tripped ? 'ERR the motor was stopped: nobody spoke for a second' : 'ERR not armed'];
    this.throttle = t;
    return ['OK'];
  }

  private read(count: number, words: number): string[] {
    if (words !== 1 || !(Number.isInteger(count) && count >= 1 && count <= MOST_ROWS))
      return [`ERR READ takes a whole number from 1 to ${MOST_ROWS}`];
    return [...Array.from({ length: count }, () => this.row()), 'END'];
  }

  private row(): string {
    const dt = 1 / RATE,
      d = this.drive,
      n = this.noise;
    this.clock += dt;
    this.zero += 0.0006 * n();
    let volts = 0,
      amps = 0,
      thrust = 0;
    if (d) {
      const o = operate(d, Math.max(this.throttle, 1e-6), 0, this.soc);
      const target = this.throttle > 0 ? o.omega : 0;
      // the rotor follows in a fifth of a second
      this.omega += (target - this.omega) * (1 - Math.exp(-dt / 0.2));
      const share = o.omega > 0 && this.throttle > 0 ? this.omega / o.omega : 0;
      amps = this.throttle > 0 ? o.current * (0.3 + 0.7 * share * share) : 0.02;
      volts = this.throttle > 0 ? o.voltage : d.pack.full - (1 - this.soc) * 0.5 * d.pack.series;
      thrust = this.throttle > 0 ? o.thrust * share * share : 0;
      this.soc = Math.max(0, this.soc - (amps * dt) / d.pack.charge);
      this.heat = heatStep(
        thermalOf(d.motor),
        this.heat,
        this.throttle > 0 ? motorLoss(d, o) : { copper: 0, iron: 0 },
        { temperature: this.air.temperature, speed: this.throttle > 0 ? 8 : 0 },
        dt,
      );
    }
    const gust = 1 + 0.012 * n();
    const f = (v: number, k: number) => (Math.abs(v) < 0.5 * 10 ** -k ? 0 : v).toFixed(k);
    return `D ${f(this.clock, 1)} ${f(this.throttle, 3)} ${f(volts + 0.02 * n(), 2)} ${f(Math.max(0, amps * (1 + 0.012 * n()) + 0.03 * n()), 2)} ${f(thrust * gust + this.zero + 0.015 * n(), 3)} ${f(Math.max(0, (this.omega * 30) / Math.PI) * (1 + 0.003 * n()), 0)} ${f(this.heat.case - 273.15, 1)}`;
  }
}

function driveOf(power: Powertrain, density: number, truth: StandTruth): Drive {
  return {
    ...buildDrive(
      power,
      density,
      { thrust: truth.thrust, electricalLoss: truth.electricalLoss, capacity: 1, torque: truth.torque },
      thrusterOf(power),
    ),
    avionics: 0,
  };
}
