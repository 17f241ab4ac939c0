/** `skia power`, `skia propeller`, `skia rubber`: the drive of a design, one propeller, one run on rubber, as JSON. */
import { sentence } from '@skiametra/core/words';
import { airAt, G0 } from '@skiametra/core/air';
import { assess, StepCache } from '@skiametra/core/assess';
import { powerReport } from '@skiametra/core/views';
import { hovers, factorsOf, type DesignDocument, powertrainOf } from '@skiametra/core/design';
import {
  bladeLoad,
  bladeSetOf,
  buildDrive,
  driveChain,
  flaringCurves,
  operate,
  packInUse,
  propellerCurve,
  rubberFlight,
  rubberMotor,
  staticCard,
  thinned,
  type Drive,
  type OperatingPoint,
  type RubberFlight,
  liftDrive,
} from '@skiametra/core/power';
import { UsageError } from './usage';

export const POWER_OPTIONS = {
  throttle: { type: 'string' },
  soc: { type: 'string' },
  'diameter-in': { type: 'string' },
  'pitch-in': { type: 'string' },
  blades: { type: 'string' },
  family: { type: 'string' },
  rpm: { type: 'string' },
  'width-mm': { type: 'string' },
  'thickness-mm': { type: 'string' },
  strands: { type: 'string' },
  'length-mm': { type: 'string' },
  wound: { type: 'string' },
  'back-off': { type: 'string' },
  winder: { type: 'string' },
  dry: { type: 'boolean' },
  'mass-g': { type: 'string' },
  'area-dm2': { type: 'string' },
  'aspect-ratio': { type: 'string' },
  cd0: { type: 'string' },
  'trim-cl': { type: 'string' },
  ceiling: { type: 'string' },
  flare: { type: 'string' },
} as const;
type Values = { [K in keyof typeof POWER_OPTIONS]?: string | boolean } & { speed?: string };

const INCH = 0.0254,
  RPM = Math.PI / 30;
const round = (v: number): number => (Number.isFinite(v) ? Number(v.toPrecision(6)) : v);

function numberOf(values: Values, name: keyof Values, lo: number, hi: number, fallback?: number): number {
  const text = values[name];
  if (text === undefined && fallback !== undefined) return fallback;
  const v = Number(text);
  if (typeof text !== 'string' || text.trim() === '' || !(v >= lo && v <= hi))
    throw new UsageError(`--${name} takes a number from ${lo} to ${hi}.`);
  return v;
}

interface Propulsor {
  name: string;
  thrust: number;
  rpm: number;
  torque: number;
  current: number;
  voltage: number;
  powerElectric: number;
  powerShaft: number;
  efficiency: number;
  limits: { name: string; value: number; limit: number; used: number; ok: boolean }[];
}

function propulsors(
  name: string,
  d: Drive,
  o: OperatingPoint,
  speed: number,
  limits: { esc: number; wire: number | null; sound: number; air: number },
  soc: number,
): Propulsor[] {
  const chain = driveChain(
    d,
    o,
    speed,
    { escCurrent: limits.esc, wireArea: limits.wire, soundSpeed: limits.sound, air: limits.air },
    soc,
  );
  const own = chain.links.flatMap((l) =>
    l.margins
      .filter((m) => l.id !== 'pack' || m.what === 'current')
      .map((m) => ({
        name: `${l.name.toLowerCase()} ${m.what}`,
        value: round(m.value),
        limit: round(m.limit),
        used: round(m.used),
        ok: m.used <= 1,
      })),
  );
  const share = 1 / d.count,
    shaft = o.shaftPower * share,
    electric = (o.power - d.avionics * o.voltage) * share;
  return Array.from({ length: d.count }, (_, i) => ({
    name: d.count > 1 ? `${name} ${i + 1}` : name,
    thrust: round(o.thrust * share),
    rpm: round(o.omega / RPM),
    torque: round(o.torque),
    current: round((o.current - d.avionics) * share),
    voltage: round(o.voltage),
    powerElectric: round(electric),
    powerShaft: round(shaft),
    efficiency: round(
      speed > 0 ? (o.thrust * share * speed) / Math.max(electric, 1e-9) : shaft / Math.max(electric, 1e-9),
    ),
    limits: own,
  }));
}

/** At full throttle, standing. */
function standing(c: ReturnType<typeof staticCard>) {
  return {
    thrust: round(c.thrust),
    current: round(c.current),
    rpm: round(c.omega / RPM),
    power: round(c.power),
    wattsPerKilogram: round(c.specificPower),
    thrustToWeight: round(c.thrustToWeight),
    tipMach: round(c.tipMach),
    pitchSpeed: round(c.pitchSpeed),
    gramsPerWatt: round(c.gramsPerWatt),
  };
}

/** Of lift rotors; not a number where nothing hovers. */
function hovering(h: ReturnType<typeof powerReport>['hover']) {
  return {
    thrust: round(h?.point.maxThrust ?? NaN),
    hoverThrottle: round(h?.point.throttle ?? NaN),
    hoverPower: round(h?.point.electric ?? NaN),
    hoverMinutes: round((h?.point.time ?? NaN) / 60),
    thrustToWeight: round(h?.point.thrustToWeight ?? NaN),
  };
}

/**
 * The operating point of everything that pushes or lifts. Efficiency: thrust power over electric power; on the bench,
 * shaft over electric.
 */
export function powerCommand(doc: DesignDocument, loading: string | null, values: Values): object {
  const { brief, design } = doc,
    air = airAt(brief.site.elevation, brief.site.temperature, brief.site.humidity),
    f = factorsOf(doc.calibration.mean),
    p = powertrainOf(design);
  const throttle = numberOf(values, 'throttle', 0.01, 1, 1),
    speed = numberOf(values, 'speed', 0, 150, 0),
    soc = numberOf(values, 'soc', 0.01, 1, 0.5);
  if (p.unpowered && !p.lift && !p.rubber) throw new UsageError('This design is a glider: it has no motor.');
  if (p.unpowered && !p.lift) throw new UsageError('This design flies on rubber: use skia rubber FILE.');
  const common = { wire: p.wire?.area ?? null, sound: air.soundSpeed, air: air.temperature };
  const list: Propulsor[] = [],
    still: object[] = [];
  const cache: StepCache = new StepCache(),
    ledger = assess(brief, design, doc.calibration, cache);
  const state = loading ?? (design.states.find((l) => !hovers(design, l)) ?? design.states[0])!.id,
    mass = ledger.entries.find((e) => e.id === 'mass' && e.state === state)?.value ?? NaN;
  const add = (name: string, d: Drive, esc: number) => {
    list.push(...propulsors(name, d, operate(d, throttle, speed, soc), speed, { ...common, esc }, soc));
    const c = staticCard(d, mass, 0, air.soundSpeed, G0, soc);
    still.push({ name, ...standing(c) });
  };
  if (!p.unpowered)
    add(
      p.fan ? 'Ducted fan' : p.lift ? 'Cruise' : 'Propeller',
      buildDrive(p, air.density, f),
      p.esc.maxCurrent,
    );
  if (p.lift) {
    const d = liftDrive(
      p,
      powertrainOf(design).rotors?.length,
      air.density,
      f,
      propellerCurve(p.lift.propeller),
      null,
    )!;
    list.push(
      ...propulsors(
        'Lift',
        d,
        operate(d, throttle, 0, soc),
        0,
        { ...common, esc: p.lift.esc.maxCurrent },
        soc,
      ),
    );
    const h = powerReport(brief, design, doc.calibration, ledger, state, cache).hover;
    still.push({ name: 'Lift', ...hovering(h) });
  }
  const sum = (k: 'thrust' | 'current' | 'powerElectric' | 'powerShaft') =>
    round(list.reduce((s, x) => s + x[k], 0));
  return {
    throttle,
    speed,
    soc,
    state,
    propulsors: list,
    total: {
      thrust: sum('thrust'),
      current: round(sum('current') + p.avionicsCurrent),
      powerElectric: sum('powerElectric'),
      powerShaft: sum('powerShaft'),
      packLimit: round(packInUse(p).maxCurrent),
    },
    static:
      still.length === 1
        ? still[0]
        : {
            thrust: round(
              list.length ? (still as { thrust: number }[]).reduce((s, x) => s + x.thrust, 0) : 0,
            ),
            parts: still,
          },
  };
}

export function propellerCommand(values: Values): object {
  const d = numberOf(values, 'diameter-in', 0.5, 120) * INCH,
    pitch = numberOf(values, 'pitch-in', 0.1, 120) * INCH,
    blades = numberOf(values, 'blades', 2, 4, 2);
  if (!Number.isInteger(blades)) throw new UsageError('--blades takes 2, 3 or 4.');
  const family = typeof values.family === 'string' ? values.family : 'thin-electric',
    rpm = numberOf(values, 'rpm', 1, 100_000),
    speed = numberOf(values, 'speed', 0, 150, 0);
  const air = airAt(0, 288.15),
    n = rpm / 60,
    omega = rpm * RPM;
  const load = bladeLoad(
    bladeSetOf({ diameter: d, pitch, blades, family }),
    omega,
    speed,
    air.viscosity / air.density,
    air.soundSpeed,
  );
  const J = speed / (n * d),
    thrust = load.CT * air.density * n * n * d ** 4,
    power = load.CP * air.density * n ** 3 * d ** 5;
  return {
    CT: round(load.CT),
    CP: round(load.CP),
    J: round(J),
    eta: round(power > 0 ? Math.max(0, (J * load.CT) / load.CP) : 0),
    thrust: round(thrust),
    torque: round(power / omega),
    power: round(power),
    stalledShare: round(load.stalled),
    warnings: [
      ...(load.stalled > 0.4
        ? [`${(load.stalled * 100).toFixed(0)} % of the blade is past its section limit`]
        : []),
      ...(pitch / d < 0.35 || pitch / d > 1.1
        ? ['pitch over diameter outside 0.35 to 1.1, where the blades were compared with tests']
        : []),
    ],
  };
}

/** The flight of a design on its rubber. */
function rubberOf(doc: DesignDocument, loading: string | null): object {
  const cache: StepCache = new StepCache(),
    ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  if (ledger.stopped && ledger.entries.length === 0) throw new UsageError(sentence(ledger.stopped));
  if (!powertrainOf(doc.design).rubber) throw new UsageError('This design has no rubber motor.');
  const state = loading ?? doc.design.states[0]!.id,
    r = powerReport(doc.brief, doc.design, doc.calibration, ledger, state, cache).rubber!;
  return {
    state,
    ...shown(r.motor),
    flight: { ...flightShown(r), dethermalizer: r.dethermalizer },
    remarks: r.remarks,
    run: r.rows.map(rowShown),
  };
}

/** @param doc a design with a rubber motor, or null: then motor and aircraft come from the options */
export function rubberCommand(doc: DesignDocument | null, loading: string | null, values: Values): object {
  if (doc) return rubberOf(doc, loading);
  const motor = {
    width: numberOf(values, 'width-mm', 0.1, 50) / 1000,
    thickness: numberOf(values, 'thickness-mm', 0.1, 10, 1.05) / 1000,
    strands: numberOf(values, 'strands', 2, 80),
    length: numberOf(values, 'length-mm', 10, 5000) / 1000,
    density: 930,
    lubricated: values.dry !== true,
    wound: numberOf(values, 'wound', 0.1, 1, 0.9),
    backedOff: numberOf(values, 'back-off', 0, 5000, 0),
    winder: numberOf(values, 'winder', 1, 100, 15),
  };
  if (!Number.isInteger(motor.strands)) throw new UsageError('--strands takes a whole number.');
  const { torqueAt: _t, ...m } = rubberMotor(motor);
  if (values['diameter-in'] === undefined && values['mass-g'] === undefined) return shown(m);
  const mass = numberOf(values, 'mass-g', 0.3, 5000) / 1000,
    area = numberOf(values, 'area-dm2', 0.1, 500) / 100,
    ar = numberOf(values, 'aspect-ratio', 1, 40, 6),
    cd0 = numberOf(values, 'cd0', 0.005, 0.5, 0.05),
    trimCl = numberOf(values, 'trim-cl', 0.1, 2, 0.8),
    flare = numberOf(values, 'flare', 0, 2000, 0);
  const size = {
    diameter: numberOf(values, 'diameter-in', 0.5, 120) * INCH,
    pitch: numberOf(values, 'pitch-in', 0.1, 120) * INCH,
    blades: 2,
    family: typeof values.family === 'string' ? values.family : 'indoor',
  };
  const density = 1.22,
    speed = Math.sqrt((2 * mass * G0) / (density * area * trimCl));
  const f = rubberFlight({
    motor,
    blades: flaringCurves(size, speed, flare),
    flare,
    mass,
    area,
    trimCl,
    density,
    gravity: G0,
    ceiling: values.ceiling === undefined ? null : numberOf(values, 'ceiling', 1, 200),
    drag: (v, L) => {
      const q = 0.5 * density * v * v;
      return q * area * cd0 + (L * L) / (q * area * Math.PI * ar * 0.85);
    },
  });
  return {
    ...shown(m),
    flight: flightShown(f),
    run: thinned(f).map(rowShown),
  };
}

/** A flight on rubber in the numbers that are asked of it. */
const flightShown = (
  f: Pick<
    RubberFlight,
    'time' | 'peak' | 'motorRun' | 'turnsLeft' | 'launchOmega' | 'meanOmega' | 'touched'
  > & { end: string },
) => ({
  time: round(f.time),
  peak: round(f.peak),
  motorRun: f.motorRun,
  turnsLeft: round(f.turnsLeft),
  launchRpm: round(f.launchOmega / RPM),
  meanRpm: round(f.meanOmega / RPM),
  touchedCeiling: f.touched,
  end: f.end,
});

const shown = (m: Omit<ReturnType<typeof rubberMotor>, 'torqueAt'>) => ({
  motor: Object.fromEntries(Object.entries(m).map(([k, v]) => [k, round(v)])),
});
const rowShown = (r: {
  time: number;
  height: number;
  turns: number;
  torque: number;
  omega: number;
  speed: number;
  climb: number;
}) => ({
  time: round(r.time),
  height: round(r.height),
  turns: round(r.turns),
  torque: round(r.torque),
  rpm: round(r.omega / RPM),
  speed: round(r.speed),
  climb: round(r.climb),
});
