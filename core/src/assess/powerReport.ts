/**
 * Everything about the drive of one state that does not fit into a ledger of numbers: the chain link by link, sweeps over
 * throttle and speed, the pack run down, rubber, hover and the change to the wing, sun, supply, phases, claims, swaps.
 * Reads the ledger for what is in it; made on demand, for the state that is looked at.
 */
import { say, sentence, type Said } from '../words';
import { G0, type Air } from '../air';
import {
  factorsOf,
  type Brief,
  type Calibration,
  type Design,
  type Factors,
  type State,
  powertrainOf,
  timedLegs,
  type TimedLeg,
  courseOf,
} from '../design';
import {
  climbGlide,
  glideRange,
  sinkAt,
  slopeWindow,
  type ClimbGlide,
  type PointModel,
  type SlopeWindow,
} from '../flight';
import { groundGeometry, thrustMoment } from '../layout';
import {
  loadedState,
  type MassState,
  controllerItem,
  isFitted,
  itemOfKind,
  labelText,
  itemMass,
} from '../mass';
import { phasePlan, type PhasePlan } from '../mission';
import { DomainError } from '../numeric';
import {
  CHEMISTRY,
  dethermalizerTime,
  discArea,
  driveChain,
  hoverPoint,
  idleDragArea,
  joinPacks,
  MEAN_SOC,
  operate,
  operateForThrust,
  packInUse,
  packOf,
  packVolts,
  pitchSpeed,
  rotorCruisePower,
  rubberMotor,
  simulateDischarge,
  solarArray,
  solarDay,
  staticCard,
  supplyReport,
  thinned,
  torqueRoll,
  transition,
  weakRotor,
  type Discharge,
  type Drive,
  type DriveChain,
  type HoverPoint,
  type MatchTask,
  type RubberMotor,
  type RubberRow,
  type SolarArray,
  type SolarDay,
  type StaticCard,
  type SupplyReport,
  type TorqueRoll,
  type Transition,
  type WeakRotor,
} from '../power';
import { actingFactors, derivativesOf, solveTrim } from '../surface';
import { claimQuestions } from './claims';
import {
  aero,
  air as airStep,
  airframe,
  balance,
  bodies,
  drives,
  energy,
  flyRubber,
  hasRubber,
  shape,
  trust,
  type Airframe,
  type QuantityId,
} from '../steps';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { entryOf, type Ledger } from './ledger';
import { rubberCase } from './rubberCase';
import type { Run } from './run';

export interface SpeedRow {
  speed: number;
  full: { thrust: number; current: number; omega: number };
  /** each link's share that gets through */ motor: number;
  propeller: number;
  overall: number;
  hold: { current: number; duty: number } | null;
}
export interface ThrottleRow {
  throttle: number;
  thrust: number;
  current: number;
  omega: number;
  power: number;
}
export interface RubberReport {
  motor: Omit<RubberMotor, 'torqueAt'>;
  curve: { turns: number; torque: number }[];
  rows: RubberRow[];
  time: number;
  peak: number;
  motorRun: number | null;
  turnsLeft: number;
  launchOmega: number;
  meanOmega: number;
  touched: number | null;
  end: string;
  /** [s]; null without wind or field */ dethermalizer: number | null;
  remarks: Said[];
}
export interface HoverReport {
  point: HoverPoint;
  rotors: number;
  weak: WeakRotor | null;
  lost: WeakRotor | null;
  transition: Transition | null;
  changeSpeed: number;
  sentences: Said[];
  compare: { distance: number; speed: number; wing: number; rotors: number; unused: number } | null;
}
export interface GlideReport {
  stall: number;
  sinkSpeed: number;
  sink: number;
  glideSpeed: number;
  ratio: number;
  fast: number;
  /** from 100 m against 0, 3, 6, 9 m/s */ reach: { wind: number; distance: number; speed: number }[];
  /** to 100 m and down again; null without motor or climb */ cycle: ClimbGlide | null;
  /** on a slope of 20 degrees */ slope: SlopeWindow | null;
  polar: { speed: number; sink: number }[];
}
export interface SwapRow {
  id: string;
  kind: string;
  label: string;
  mass: number;
  weighed: boolean;
  fitted: boolean;
  cgShift: number;
  massShift: number;
  text: string;
}

export interface PowerReport {
  loading: string;
  kind: 'electric' | 'rubber' | 'glider';
  chain: { still: DriveChain; flight: DriveChain; full: DriveChain; speed: number } | null;
  cards: { still: StaticCard; flight: StaticCard } | null;
  speeds: SpeedRow[];
  throttles: ThrottleRow[];
  discharge: { flight: Discharge; full: Discharge } | null;
  volts: { printed: number; full: number; half: number; loaded: number; least: number } | null;
  idle: { windmilling: number; stopped: number; folded: number | null } | null;
  glide: GlideReport;
  /** largest propeller that still clears the ground by 25 mm [m] */ largestPropeller: number | null;
  pitchSpeed: number | null;
  stalledBlade: number | null;
  from: string | null;
  torque: TorqueRoll | null;
  rubber: RubberReport | null;
  hover: HoverReport | null;
  solar: { array: SolarArray; day: SolarDay; load: number } | null;
  supply: SupplyReport | null;
  packs: Said[];
  phases: PhasePlan | null;
  claims: Said[];
  swaps: SwapRow[];
  match: MatchTask | null;
}

interface Scene {
  brief: Brief;
  design: Design;
  run: Run;
  air: Air;
  area: number;
  frame: Airframe;
  f: Factors;
  ledger: Ledger;
  loading: State;
  state: MassState;
  drive: Drive | null;
  lift: Drive | null;
  speed: number;
  stall: number;
  drag(speed: number, lift?: number): number;
}

const CLEARANCE = 0.025;

/** @throws DomainError when the ledger stopped, or the loading is unknown */
export function powerReport(
  brief: Brief,
  design: Design,
  cal: Calibration,
  ledger: Ledger,
  loadingId: string,
  cache: StepCache,
): PowerReport {
  const loading = design.states.find((l) => l.id === loadingId);
  if (!loading) throw new DomainError('unknown-name', `there is no state ${loadingId}`);
  if (ledger.stopped && ledger.entries.length === 0)
    throw new DomainError('out-of-range', sentence(ledger.stopped));
  const run = runOf({ brief, design }, cal, cache),
    f = actingFactors(factorsOf(cal.mean), run.of(trust)),
    { cruise, lifting } = run.of(drives),
    charge = run.of(energy),
    frame = run.of(airframe, loading.id);
  // what is left of the charge is the step's, not the drive's
  const drive = cruise && { ...cruise, charge: charge.cruise };
  const s: Scene = {
    brief,
    design,
    run,
    air: run.of(airStep),
    area: run.of(shape).wing.area,
    frame,
    f,
    ledger,
    loading,
    state: run.of(balance, loading.id).state,
    drive,
    lift: lifting && (lifting === cruise ? drive : { ...lifting, charge: charge.lifting }),
    speed: entryOf(ledger, 'lapSpeed', loading.id)!.value,
    stall: entryOf(ledger, 'stallSpeed', loading.id)!.value,
    drag: (v, lift = frame.mass * G0) => frame.parts(v, lift).total,
  };
  const { rubber, supply, battery } = powertrainOf(design);
  return {
    loading: loading.id,
    kind: drive ? 'electric' : rubber ? 'rubber' : 'glider',
    ...electricPart(s),
    torque: drive ? torqueOf(s, drive) : null,
    glide: glidePart(s),
    rubber: rubber && hasRubber(design, loading) ? rubberPart(s) : null,
    hover: s.lift ? hoverPart(s, s.lift) : null,
    solar: solarPart(s),
    supply: supply ? supplyReport(supply, battery.chemistry) : null,
    packs: packRemarks(design),
    phases: phasesPart(s),
    claims: drive || s.lift ? claimQuestions(design, claimContext(s)) : [],
    swaps: swapRows(s),
    match: drive ? matchTask(s, drive) : null,
  };
}

function electricPart(
  s: Scene,
): Pick<
  PowerReport,
  | 'chain'
  | 'cards'
  | 'speeds'
  | 'throttles'
  | 'discharge'
  | 'volts'
  | 'idle'
  | 'largestPropeller'
  | 'pitchSpeed'
  | 'stalledBlade'
  | 'from'
> {
  const { drive: d, air, design, state, speed } = s;
  if (!d)
    return {
      chain: null,
      cards: null,
      speeds: [],
      throttles: [],
      discharge: null,
      volts: null,
      idle: null,
      largestPropeller: null,
      pitchSpeed: null,
      stalledBlade: null,
      from: null,
    };
  const limits = {
    escCurrent: powertrainOf(design).esc.maxCurrent,
    wireArea: powertrainOf(design).wire?.area ?? null,
    soundSpeed: air.soundSpeed,
    air: air.temperature,
  };
  const still = operate(d, 1, 0),
    need = s.drag(speed),
    hold = operateForThrust(d, need, speed),
    full = operate(d, 1, speed);
  return {
    chain: {
      still: driveChain(d, still, 0, limits),
      flight: driveChain(d, hold, speed, limits),
      full: driveChain(d, full, speed, limits),
      speed,
    },
    cards: {
      still: staticCard(d, state.mass, 0, air.soundSpeed, G0),
      flight: staticCard(d, state.mass, speed, air.soundSpeed, G0),
    },
    speeds: Array.from({ length: 22 }, (_, i) => speedRow(s, d, (1.45 * Math.max(speed, s.stall) * i) / 21)),
    throttles: Array.from({ length: 19 }, (_, i) => {
      const throttle = 0.1 + 0.05 * i,
        o = operate(d, throttle, 0);
      return { throttle, thrust: o.thrust, current: o.current, omega: o.omega, power: o.power };
    }),
    discharge: {
      flight: shortened(
        simulateDischarge(d, [{ seconds: 7200, speed, thrust: need }], air.temperature, 1, 5),
      ),
      full: shortened(
        simulateDischarge(d, [{ seconds: 3600, speed: 0, throttle: 1 }], air.temperature, 1, 2),
      ),
    },
    volts: {
      printed: d.pack.nominal,
      full: d.pack.full,
      half: packVolts(d, MEAN_SOC),
      loaded: still.voltage,
      least: d.pack.least,
    },
    idle: d.curve.from === 'fan' ? null : idleDragArea(d.curve),
    largestPropeller: largestPropeller(s, d),
    pitchSpeed: pitchSpeed(d.curve.size, still.omega),
    stalledBlade: d.curve.from === 'blade elements' ? d.curve.stalled : null,
    from: d.curve.from === 'table' ? d.curve.size.table!.name : d.curve.from,
  };
}

/** Diameter [m] that clears the ground by `CLEARANCE`, standing on the wheels; null where none are given. */
function largestPropeller(s: Scene, d: Drive): number | null {
  const clearance = groundGeometry(s.design, { x: s.state.x, z: s.state.z })?.propellerClearance;
  return clearance == null ? null : Math.max(0.05, d.curve.size.diameter + 2 * (clearance - CLEARANCE));
}

function speedRow(s: Scene, d: Drive, v: number): SpeedRow {
  const o = operate(d, 1, v),
    inMotor = o.power - d.avionics * o.voltage;
  const hold = v > 0.95 * s.stall ? operateForThrust(d, s.drag(v), v) : null;
  return {
    speed: v,
    full: { thrust: o.thrust, current: o.current, omega: o.omega },
    motor: o.shaftPower / Math.max(inMotor, 1e-9),
    propeller: o.shaftPower > 0 ? Math.max(0, (o.thrust * v) / o.shaftPower) : 0,
    overall: Math.max(0, o.efficiency),
    hold: hold && hold.duty <= 1 ? { current: hold.current, duty: hold.duty } : null,
  };
}

function shortened(d: Discharge): Discharge {
  const step = Math.max(1, Math.ceil(d.rows.length / 120));
  return { ...d, rows: d.rows.filter((_, i) => i % step === 0 || i === d.rows.length - 1) };
}

/** At full throttle just above the stall, where torque is felt most. */
function torqueOf(s: Scene, d: Drive): TorqueRoll {
  const v = 1.2 * s.stall,
    { design, state, run } = s,
    { wing } = run.of(shape),
    linear = run.of(aero),
    q = 0.5 * s.air.density * v * v;
  const o = operate(d, 1, v);
  const cg = { x: state.x, z: state.z };
  const trim = solveTrim(
    linear,
    (state.mass * G0) / (q * wing.area),
    state.x,
    thrustMoment(powertrainOf(design).propeller, o.thrust, q, wing.area, wing.mac, cg).cm,
  );
  const roll = derivativesOf(
    linear.sol,
    { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z },
    run.of(bodies),
  ).Claileron;
  const controls = design.surfaces.flatMap((x) =>
    x.controls.filter((c) => ['aileron', 'elevon', 'flaperon'].includes(c.kind)),
  );
  const cancelled = d.inLine;
  return torqueRoll(cancelled ? 0 : o.torque * d.count, {
    q,
    area: wing.area,
    span: wing.span,
    roll: controls.length ? roll : 0,
    most: Math.max(0, ...controls.map((c) => c.maxDeflection)),
    pusher: powertrainOf(design).propeller.x > state.x,
    cancelled,
  });
}

const CYCLE_HEIGHT = 100,
  SLOPE = (20 * Math.PI) / 180;

/** Power off: the propeller folded or taken off. */
function glidePart(s: Scene): GlideReport {
  const { state, drive, ledger } = s,
    thrust = drive ? (v: number) => operate(drive, 1, v).thrust : () => 0;
  const m: PointModel = {
    mass: state.mass,
    density: s.air.density,
    area: s.area,
    clMax: entryOf(ledger, 'clMax', s.loading.id)!.value,
    drag: (v, n = 1) => s.drag(v, n * state.mass * G0),
    fullThrust: thrust,
  };
  const { reach, ...g } = glideRange(m),
    usable = (entryOf(ledger, 'usableEnergy', 'all')?.value ?? 0) * (1 - s.design.flight.reserve);
  const climbing = drive ? operate(drive, 1, 1.35 * g.stall).power : 0,
    off = drive ? drive.avionics * packVolts(drive, MEAN_SOC) : 0;
  return {
    ...g,
    reach: [0, 3, 6, 9].map((wind) => ({ wind, ...reach(CYCLE_HEIGHT, wind) })),
    cycle: drive ? climbGlide(m, CYCLE_HEIGHT, { climb: climbing, off }, usable) : null,
    slope: slopeWindow(m, SLOPE),
    polar: Array.from({ length: 25 }, (_, i) => {
      const speed = g.stall * (1.02 + 0.09 * i);
      return { speed, sink: sinkAt(m, speed) };
    }),
  };
}

function rubberPart(s: Scene): RubberReport {
  const r = powertrainOf(s.design).rubber!,
    flight = flyRubber(rubberCase(s.run, s.loading.id, r));
  const { torqueAt, ...motor } = rubberMotor(r);
  const remarks: Said[] = [say('share-of-rubber', { share: motor.mass / s.state.mass })];
  if (r.wound > 0.95) remarks.push(say('wound-hard', {}));
  if (!r.lubricated) remarks.push(say('dry-rubber', {}));
  return {
    motor,
    curve: Array.from({ length: 41 }, (_, i) => {
      const turns = (motor.breakTurns * i) / 40;
      return { turns, torque: torqueAt(turns) };
    }),
    rows: thinned(flight),
    time: flight.time,
    peak: flight.peak,
    motorRun: flight.motorRun,
    turnsLeft: flight.turnsLeft,
    launchOmega: flight.launchOmega,
    meanOmega: flight.meanOmega,
    touched: flight.touched,
    end: flight.end,
    dethermalizer: r.field !== null ? dethermalizerTime(r.field, s.brief.site.wind, 0.7 * flight.peak) : null,
    remarks,
  };
}

const CHANGE = 1.2;

function hoverPart(s: Scene, lift: Drive): HoverReport {
  const { design, state } = s,
    law = powertrainOf(design).lift?.law ?? 'duty',
    reserve = design.flight.reserve;
  const point = hoverPoint(lift, state.mass, G0, law, reserve),
    W = state.mass * G0;
  const arms = (powertrainOf(design).rotors ?? []).map((r) => ({
    x: r.x - state.x,
    y: r.y - state.y,
    most: point.maxThrust / lift.count,
  }));
  const weak = arms.length >= 3 ? weakRotor(arms, W, 0.7) : null,
    lost = arms.length >= 3 ? weakRotor(arms, W, 0) : null;
  const own = s.drive && s.drive !== lift ? s.drive : null;
  const idleRotors = design.dragItems
    .filter((d) => d.part?.kind === 'lift rotor')
    .reduce((a, d) => a + d.dragArea, 0);
  const change = own
    ? transition(lift, own, {
        mass: state.mass,
        gravity: G0,
        stall: s.stall,
        margin: CHANGE,
        drag: (v, l) => s.drag(v, l),
        rotorDragArea: 1.5 * idleRotors,
      })
    : null;
  const sentences: Said[] = [];
  if (weak)
    sentences.push(say(weak.margin < 1 ? 'weak-motor-falls' : 'weak-motor-holds', { margin: weak.margin }));
  if (lost && lost.margin < 1) sentences.push(say('lost-motor', {}));
  if (change)
    sentences.push(
      change.status === 'done'
        ? say('changes-over', {
            speed: change.speed,
            times: CHANGE,
            time: change.time,
            distance: change.distance,
            energy: change.energy,
            least: CHANGE * s.stall,
          })
        : say('no-change-over', { least: CHANGE * s.stall, times: CHANGE }),
    );
  return {
    point,
    rotors: lift.count,
    weak,
    lost,
    transition: change,
    changeSpeed: CHANGE * s.stall,
    sentences,
    compare: own ? compareModes(s, lift, own, point, change, idleRotors) : null,
  };
}

/** The same distance on the wing and on the rotors, and what the stopped rotors and their motors cost the wing. */
function compareModes(
  s: Scene,
  lift: Drive,
  cruise: Drive,
  point: HoverPoint,
  change: Transition | null,
  idleRotors: number,
): HoverReport['compare'] {
  const { design, speed, state } = s,
    plan = timedLegs(s.brief)
      .filter((p) => p.kind === 'cruise')
      .reduce((a, p) => a + p.time * (p.speed ?? speed), 0);
  const distance = plan > 0 ? plan : 2000,
    seconds = distance / speed;
  const drag = s.drag(speed),
    power = operateForThrust(cruise, drag, speed).power;
  const q = 0.5 * s.air.density * speed * speed;
  const lifting = new Set(
    design.items
      .filter((i) => i.part?.kind === 'lift motor' || i.part?.kind === 'lift rotor')
      .map((i) => i.id),
  );
  const carried = state.points.filter((p) => lifting.has(p.id)).reduce((a, p) => a + p.mass, 0);
  const light = s.drag(speed, (state.mass - carried) * G0) - q * idleRotors * s.f.dragArea;
  const without = operateForThrust(cruise, Math.max(0, light), speed).power;
  const areaOf = drag / q;
  return {
    distance,
    speed,
    wing: power * seconds + 2 * (change?.status === 'done' ? change.energy : 0),
    rotors: rotorCruisePower(lift, state.mass, G0, speed, areaOf, point.overall) * seconds,
    unused: (power - without) * seconds,
  };
}

function solarPart(s: Scene): PowerReport['solar'] {
  const { solar } = powertrainOf(s.design);
  if (!solar) return null;
  const load = s.drive ? operateForThrust(s.drive, s.drag(slowSpeed(s)), slowSpeed(s)).power : 0;
  const usable =
    entryOf(s.ledger, 'usableEnergy', 'all')?.value ??
    packOf(powertrainOf(s.design).battery).energy * powertrainOf(s.design).battery.usable;
  return { array: solarArray(solar), day: solarDay(solar, load, usable, s.air.temperature), load };
}

/** Where the least power holds it up, with a margin over the stall [m/s]. */
function slowSpeed(s: Scene): number {
  let best = 1.2 * s.stall,
    least = Infinity;
  for (let k = 0; k < 12; k++) {
    const v = s.stall * (1.2 + 0.06 * k),
      p = s.drag(v) * v;
    if (p < least) {
      least = p;
      best = v;
    }
  }
  return best;
}

function packRemarks(design: Design): Said[] {
  const { battery, second } = powertrainOf(design),
    a = packOf(battery);
  const listed = design.items
      .filter((i) => i.group === 'battery')
      .reduce((m, i) => m + itemMass(i, design), 0),
    usual = a.mass + (second ? packOf(second.battery).mass : 0);
  const { series, nominal, full, least } = a,
    out = [
      say('pack-volts', { series, parallel: battery.parallel, nominal, full, least }),
      say('pack-weighs', {
        several: second !== undefined,
        usual,
        listed,
        care: CHEMISTRY[a.chemistry].care,
      }),
    ];
  if (!second) return out;
  const pair = joinPacks(a, packOf(second.battery), second.joined);
  return pair.status === 'unsafe'
    ? [...out, pair.said]
    : [
        ...out,
        say('packs-together', {
          cells: pair.pack.cells,
          charge: pair.pack.charge,
          volts: pair.pack.nominal,
          how: second.joined,
        }),
        ...pair.remarks,
      ];
}

function phasesPart(s: Scene): PhasePlan | null {
  const { brief, design, ledger, drive } = s,
    phases = timedLegs(brief);
  if (!phases.length) return null;
  const usable = entryOf(ledger, 'usableEnergy', 'all')?.value ?? 0;
  return phasePlan(
    phases.map((p) => ({
      id: p.id,
      name: p.name,
      kind: p.kind,
      time: p.time,
      flown: p.flown ?? false,
      power: phasePower(s, p, drive),
    })),
    usable,
    design.flight.reserve,
  );
}

/** Pack power of a phase [W]; null when the drive cannot hold it. */
function phasePower(s: Scene, p: TimedLeg, drive: Drive | null): number | null {
  const { design, ledger } = s,
    l = design.states.find((x) => x.id === p.state)!,
    frame = s.run.of(airframe, l.id),
    weight = frame.mass * G0;
  const rest = drive ? drive.avionics * packVolts(drive, MEAN_SOC) : 0,
    stall = entryOf(ledger, 'stallSpeed', l.id)!.value;
  const held = (d: Drive, thrust: number, v: number) => {
    const o = operateForThrust(d, thrust, v);
    return o.duty <= 1 ? o.power : null;
  };
  if (p.kind === 'glide') return rest;
  if (p.kind === 'hover' || p.kind === 'drop') {
    if (s.lift) return held(s.lift, weight, 0);
    if (p.kind === 'hover') return null;
  }
  if (p.kind === 'transition' && s.lift && drive) {
    const h = held(s.lift, 0.6 * weight, 0);
    return h === null ? null : h + operate(drive, 1, 0.6 * stall).power;
  }
  if (!drive) return null;
  if (p.kind === 'climb') return operate(drive, 1, p.speed ?? 1.35 * stall).power;
  if (p.kind === 'ground') return p.speed === 0 ? rest : operate(drive, 1, p.speed ?? 0.7 * stall).power;
  const v = p.speed ?? entryOf(ledger, 'lapSpeed', l.id)!.value;
  return held(drive, frame.drag(v), v);
}

function claimContext(s: Scene): Parameters<typeof claimQuestions>[1] {
  const { design, ledger, drive, lift } = s,
    value = (id: QuantityId) => entryOf(ledger, id, 'all');
  const still = value('staticThrust');
  const masses = design.states
    .map((l) => loadedState(design, l, 'best', 1))
    .map((m, i) => m.mass - design.states[i].count * design.payload.unitMass);
  return {
    density: s.air.density,
    emptyMass: Math.min(...masses),
    discArea: lift ? discArea(lift) : null,
    still:
      drive && still
        ? {
            thrust: still.value,
            thrustSigma: still.sigma,
            current: value('staticCurrent')!.value,
            currentSigma: value('staticCurrent')!.sigma,
            omega: value('staticRpm')!.value,
          }
        : null,
    pitch: powertrainOf(design).propeller.pitch,
    packCurrent: packInUse(powertrainOf(design)).maxCurrent,
    packEnergy: value('usableEnergy')?.value ?? 0,
    cruisePower: drive ? operateForThrust(drive, s.drag(s.speed), s.speed).power : null,
    hoverPower: lift ? hoverPoint(lift, s.state.mass, G0, 'duty', 0).electric : null,
  };
}

function swapRows(s: Scene): SwapRow[] {
  return (s.design.swaps ?? []).map((w) => {
    const item = itemOfKind(s.design, w.kind),
      now = item && s.state.points.find((p) => p.id === item.id);
    const mass = s.state.mass + w.mass - (now?.mass ?? 0),
      x = w.x ?? now?.x ?? 0;
    const moment = s.state.mass * s.state.x - (now ? now.mass * now.x : 0) + w.mass * x;
    return {
      id: w.id,
      kind: w.kind,
      label: w.label,
      mass: w.mass,
      weighed: w.weighed,
      fitted: isFitted(s.design, w),
      cgShift: now ? moment / mass - s.state.x : 0,
      massShift: w.mass - (now?.mass ?? 0),
      text: labelText(w),
    };
  });
}

/** What a match of parts is asked in this state: the airframe without its drive, and the brief's limits. */
function matchTask(s: Scene, d: Drive): MatchTask {
  const { design, brief, state, f, ledger, air } = s;
  const out = new Set(
    [itemOfKind(design, 'motor'), itemOfKind(design, 'propeller'), controllerItem(design)].map((i) => i?.id),
  );
  const driveMass = state.points
    .filter((p) => {
      const i = design.items.find((x) => x.id === p.id);
      return i && (out.has(i.id) || i.group === 'battery');
    })
    .reduce((a, p) => a + p.mass, 0);
  const v = Math.max(s.speed, 1.1 * s.stall),
    L = state.mass * G0,
    parts = s.frame.parts(v, L),
    q = 0.5 * air.density * v * v;
  const limit = (id: string) =>
    brief.requirements.find((r) => r.quantity === id && r.op !== 'atLeast' && !r.wish)?.max ?? null;
  return {
    airframeMass: state.mass - driveMass,
    area: s.area,
    clMax: entryOf(ledger, 'clMax', s.loading.id)!.value,
    dragArea: (parts.parasite + parts.profile) / q,
    induced: (parts.induced * q) / L ** 2,
    density: air.density,
    soundSpeed: air.soundSpeed,
    gravity: G0,
    avionics: powertrainOf(design).avionicsCurrent,
    reserve: design.flight.reserve,
    factors: { thrust: f.thrust, electricalLoss: f.electricalLoss, capacity: f.capacity, torque: f.torque },
    strip: brief.site.stripLength,
    wind: brief.site.wind,
    friction: brief.site.rollingFriction,
    groundCl: design.flight.groundCl,
    liftOffFactor: design.flight.liftOffFactor,
    throttle: design.flight.lapThrottle,
    speed: Math.round(1.5 * s.stall),
    limits: {
      diameter: largestPropeller(s, d),
      current: limit('staticCurrent'),
      mass: limit('mass'),
      climb: 2,
      time: courseOf(brief)?.window ?? 0,
      margin: 0.15,
    },
  };
}
