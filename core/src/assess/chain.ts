/**
 * The chain in the trade's own order of work, for one vector of calibration factors:
 * balance, power, structure, flight, mission. Score follows in `scoring.ts`. Plain numbers out.
 */
import { G0 } from '../air';
import { hovers, runsAlongStrip, type Brief, type Design, type Factors, type Loading } from '../design';
import {
  bestClimb,
  climbAt,
  dragAt,
  glide,
  groundRun,
  levelSpeed,
  stallSpeed,
  type PointModel,
} from '../flight';
import { thrustMoment } from '../layout';
import { heaviestState, loadedState, massSteps, type MassState } from '../mass';
import { flyLap, lapsInWindow } from '../mission';
import { interpolateLinear } from '../numeric';
import {
  buildDrive,
  MEAN_SOC,
  operate,
  operateForThrust,
  packVolts,
  settledWinding,
  type Drive,
} from '../power';
import { nearestPolar } from '../section';
import { sparCurve, sparSection } from '../structure';
import { findLiftLimit, liftShares, solveTrim, surfaceDrag, tailVolume, type LinearAero } from '../surface';
import { hasRubber, hoverValues, liftDrive, rubberDesignValues, rubberValues } from './powerValues';
import { largestLift, type LiftAtStall } from './largestLift';
import { actingFactors } from './sectionTrust';
import { METHOD_SPREAD } from './methodSpread';
import { aeroOf, type Prepared } from './prepare';

export type Values = Record<string, number>;

/** Numbers, curves (y only, on fixed x) and remarks of one run. Keys: `quantity@state`, `curve@state`. */
export interface ChainResult {
  values: Values;
  curves: Record<string, number[]>;
  remarks: Record<string, string[]>;
}

const TRANSITION_HEIGHT = 15;
/** Stands for a time or distance that does not end: finite, so that tables and files can hold it; always with a remark. */
const NEVER = 9999;

/** Quantities of the whole design. */
function designValues(
  design: Design,
  prep: Prepared,
  f: Factors,
  aero: LinearAero,
  drive: Drive | null,
  v: Values,
): void {
  const { air, wing } = prep;
  v['airDensity@all'] = air.density;
  v['densityAltitude@all'] = air.densityAltitude;
  v['wingArea@all'] = wing.area;
  v['wingSpan@all'] = wing.span;
  v['aspectRatio@all'] = wing.aspectRatio;
  v['meanChord@all'] = wing.mac;
  // a second wing behind the first is no tail: its volume says nothing
  if (prep.tail && wing.wings.length === 1) v['tailVolume@all'] = tailVolume(wing, prep.tail, false).volume;
  if (prep.fin) v['finVolume@all'] = tailVolume(wing, prep.fin, true).volume;
  v['liftSlope@all'] = aero.sol.coefficients.clAlpha;
  v['neutralPoint@all'] = aero.neutralX;
  v['cgForward@all'] = aero.neutralX - design.flight.marginMax * wing.mac;
  v['cgAft@all'] = aero.neutralX - design.flight.marginMin * wing.mac;

  if (drive) driveValues(prep, drive, v);
  const spar = sparSection(design.structure.spar);
  v['sparMoment@all'] = spar.momentUp * f.strength;
  v['sparStiffness@all'] = spar.stiffness * f.stiffness;
}

function driveValues(prep: Prepared, drive: Drive, v: Values): void {
  const { air } = prep;
  const still = operate(drive, 1, 0, MEAN_SOC);
  v['staticThrust@all'] = still.thrust;
  v['staticCurrent@all'] = still.current;
  v['staticRpm@all'] = still.omega;
  v['staticPower@all'] = still.power;
  v['packVoltage@all'] = still.voltage;
  v['windingHeat@all'] = settledWinding(drive, still, 0, air.temperature);
  v['tipMach@all'] = (still.omega * drive.curve.size.diameter) / 2 / air.soundSpeed;
  v['usableEnergy@all'] = drive.charge * packVolts(drive, MEAN_SOC);
}

/** The laps of one loading: speed at the lap throttle, turns, window, energy. */
interface LapTask {
  brief: Brief;
  design: Design;
  model: PointModel;
  drive: Drive;
  lapThrust: (v: number) => number;
  /** null where it does not run along a strip */ run: ReturnType<typeof groundRun> | null;
  climb: number;
  usable: number;
}

function lapValues(
  { brief, design, model, drive, lapThrust, run, climb, usable }: LapTask,
  put: (id: string, x: number, remark?: string) => void,
): void {
  const { course, site } = brief;
  const { turnBank, reserve } = design.flight;
  const level = levelSpeed(model, lapThrust);
  const speed = level ?? stallSpeed(model) * 1.1;
  const n = 1 / Math.cos(turnBank);
  put(
    'lapSpeed',
    speed,
    level === null
      ? 'The lap throttle does not hold this loading level; the numbers that follow assume 1.1 times the stall speed.'
      : undefined,
  );
  const straight = operateForThrust(drive, model.drag(speed), speed);
  const turn = operateForThrust(drive, model.drag(speed, n), speed);
  put(
    'lapCurrent',
    straight.current,
    straight.duty > 1 ? 'More than full throttle would be needed.' : undefined,
  );
  put(
    'turnStallSpeed',
    stallSpeed(model, n),
    stallSpeed(model, n) > 0.9 * speed
      ? 'The lap turn is flown within 10 % of the stall: less bank or more speed.'
      : undefined,
  );
  const lap = flyLap(course, {
    speed,
    wind: site.wind,
    bank: turnBank,
    straightPower: straight.power,
    turnPower: turn.power,
  });
  put(
    'lapTime',
    Math.min(lap.time, NEVER),
    lap.time > NEVER
      ? 'The wind is not below the airspeed: the lap is never finished.'
      : turn.duty > 1
        ? 'Full throttle does not hold the speed in the turn; the real lap is slower.'
        : undefined,
  );
  put('lapEnergy', Math.min(lap.energy, NEVER * straight.power));
  const climbTime = climb > 0.05 ? TRANSITION_HEIGHT / climb : NEVER;
  const startTime = (run?.status === 'airborne' ? run.time : 0) + climbTime;
  const startEnergy = startTime * operate(drive, 1, speed).power;
  const count = lapsInWindow(
    course.window,
    startTime,
    lap.time,
    usable * (1 - reserve) - startEnergy,
    lap.energy,
  );
  put(
    'lapsExact',
    count.laps,
    count.byEnergy < count.byTime ? 'The pack, not the clock, ends the laps.' : undefined,
  );
  put('laps', Math.floor(count.laps));
  put(
    'timedTime',
    startTime + course.timedLaps * Math.min(lap.time, NEVER),
    climb > 0.05 ? undefined : 'It does not climb: the laps are never begun.',
  );
  put(
    'energyLeft',
    Math.max(0, 1 - (startEnergy + (count.laps >= 1 ? Math.floor(count.laps) * lap.energy : 0)) / usable),
  );
  put('endurance', ((1 - reserve) * drive.charge) / straight.current);
}

/**
 * Share of the weight that the wing with the spar carries near the stall, trimmed: a rear wing or foreplane
 * carries its own, a tail may push down.
 */
function carriedShare(design: Design, aero: LinearAero, clMax: number, cgX: number): number {
  const t = solveTrim(aero, 0.9 * clMax, cgX);
  return liftShares(aero.sol, t.alpha, t.elevator)[design.surfaces.find((s) => s.role === 'wing')!.id];
}

/** @param carried mass that the wing with the spar holds up [kg] */
function structureValues(
  design: Design,
  carried: number,
  wingMass: number,
  f: Factors,
  prep: Prepared,
  v: Values,
  put: (id: string, x: number) => void,
): { moment: number[]; deflection: number[] } {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  const half = prep.wing.span / 2;
  const chords = { eta: wing.stations.map((s) => s.y / half), chord: wing.stations.map((s) => s.chord) };
  const curve = sparCurve(half, carried, wingMass, chords, Math.max(v['sparStiffness@all'], 1e-9));
  put('failLoadFactor', v['sparMoment@all'] / curve.rootMoment);
  put('failLoadFactorDown', (sparSection(design.structure.spar).momentDown * f.strength) / curve.rootMoment);
  put('allowedLoadFactor', v['sparMoment@all'] / curve.rootMoment / design.structure.safetyFactor);
  put('tipDeflection', curve.tipDeflection);
  return curve;
}

/** A sentence when the wing's sections are known only roughly at its Reynolds number. */
function roughSections(
  design: Design,
  prep: Prepared,
  reynoldsOf: (chord: number) => number,
): string | undefined {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  for (const st of wing.stations) {
    const p = nearestPolar(prep.polars.get(st.section)!, reynoldsOf(st.chord));
    if (p?.confidence === 'low')
      return `Section ${design.sections.find((s) => s.id === st.section)!.name} is known only roughly here. ${p.warnings[0] ?? ''}`.trim();
  }
  return undefined;
}

/** Largest lift of a state with what was learnt of it, and the speed at which it is met. */
function stallOf(
  prep: Prepared,
  state: { mass: number; x: number },
  f: Factors,
): LiftAtStall & { speed: number } {
  const { air, wing } = prep;
  const speedAt = (clMax: number) =>
    stallSpeed({ mass: state.mass, density: air.density, area: wing.area, clMax });
  let clMax = 1.3 * f.clMax,
    at: LiftAtStall;
  for (let k = 0; k < 3; k++) {
    at = largestLift(prep.lift, (speedAt(clMax) * air.density) / air.viscosity, state.x);
    // sections that carry more carry it at a larger angle
    clMax = f.clMax * at.clMax;
  }
  const alphaStall = at!.alphaStall + (clMax - at!.clMax) / prep.lattice.coefficients.clAlpha;
  return { ...at!, clMax, alphaStall, speed: speedAt(clMax) };
}

/** A small change of what no factor stands for: mass and CG of every state by so many of its steps, methods by a factor. */
export interface Nudge {
  mass?: number;
  x?: number;
  z?: number;
  liftSlope?: number;
  yaw?: number;
  stallAngle?: number;
  rubberEnergy?: number;
}

function nudged(state: MassState, n: Nudge): MassState {
  if (!n.mass && !n.x && !n.z) return state;
  const h = massSteps(state);
  return {
    ...state,
    mass: state.mass + (n.mass ?? 0) * h.mass,
    x: state.x + (n.x ?? 0) * h.x,
    z: state.z + (n.z ?? 0) * h.z,
  };
}

/** What one run shares between its loadings. */
interface RunStep {
  nudge: Nudge;
  brief: Brief;
  design: Design;
  prep: Prepared;
  f: Factors;
  aero: LinearAero;
  drive: Drive | null;
  lifting: Drive | null;
  thrust: (v: number) => number;
  lapThrust: (v: number) => number;
}

function loadingValues(step: RunStep, loading: Loading, r: ChainResult): void {
  const { design, prep, f, aero, drive, lifting, thrust } = step;
  const { air, wing } = prep;
  const v = r.values;
  const put = (id: string, x: number, remark?: string) => {
    v[`${id}@${loading.id}`] = x;
    if (remark) (r.remarks[`${id}@${loading.id}`] ??= []).push(remark);
  };

  // balance
  const state = nudged(loadedState(design, loading, 'best', f.massGrowth), step.nudge);
  const payload = loading.count * design.payload.unitMass;
  put('mass', state.mass);
  put('plannedMass', loadedState(design, loading, 'plan', 1).mass);
  put('payloadMass', payload);
  put('payloadCount', loading.count);
  put('cgX', state.x);
  put('cgSpread', state.sigmaX);
  put('cgChord', (state.x - wing.macX) / wing.mac);
  put('staticMargin', (aero.neutralX - state.x) / wing.mac);
  const { lattice } = prep,
    side = loading.sideArea;
  // side area that a state opens: a low plate, side force slope 1.6 per rad on its area (aspect ratio near 1, from memory)
  put(
    'yawStiffness',
    (step.nudge.yaw ?? 1) *
      (prep.yaw.Cnbeta +
        (prep.yaw.CYbeta * (state.x - lattice.refX)) / wing.span +
        (side ? (1.6 * side.area * (side.x - state.x)) / (wing.area * wing.span) : 0)),
  );

  // largest lift: Reynolds number and stall speed settle together
  const nu = air.viscosity / air.density;
  const atStall = stallOf(prep, state, f);
  let vs = atStall.speed;
  const limit = findLiftLimit(aero, state.x, prep.polars, (c) => (vs * c) / nu, f.clMax);
  put(
    'clMax',
    atStall.clMax,
    roughSections(design, prep, (c) => (vs * c) / nu),
  );
  if (atStall.unsure)
    put(
      'clMax',
      atStall.clMax,
      'The flow did not settle up to the stall: this is the largest lift that was found.',
    );
  // known to about a strip
  const strips = ((step.nudge.stallAngle ?? 1) - 1) / METHOD_SPREAD.stallAngle;
  put('stallEta', limit.eta + strips * limit.width);
  r.curves[`stallRatio@${loading.id}`] = limit.ratios().map((p) => p.ratio);

  // flight
  const table = prep.dragTables.get(loading.id)!;
  const model: PointModel = {
    mass: state.mass,
    density: air.density,
    area: wing.area,
    clMax: atStall.clMax,
    drag: (speed, n = 1) => dragAt(table, speed, n * state.mass * G0, air.density, f).total,
    fullThrust: thrust,
    fastest: prep.speeds.high,
  };
  vs = stallSpeed(model);
  put('stallSpeed', vs);
  put('wingLoading', state.mass / wing.area);
  const gl = glide(model);
  put('glideRatio', gl.ratio);
  put('glideSpeed', gl.speed);
  put('minSink', gl.sink);
  if (drive && !hovers(loading))
    poweredValues(step as RunStep & { drive: Drive }, loading, model, table, r, put);
  else {
    // the work speed of what has no motor, or hangs on its rotors, is that of its best glide
    put('lapSpeed', gl.speed, drive ? undefined : 'No motor: the speed of the best glide.');
    put('turnStallSpeed', stallSpeed(model, 1 / Math.cos(design.flight.turnBank)));
  }
  if (design.power.rubber && hasRubber(design, loading))
    rubberValues({ design, prep, f, loading, mass: state.mass, table }, put, step.nudge.rubberEnergy ?? 1);
  if (lifting && hovers(loading)) hoverValues(design, lifting, state.mass, put);
  const q = 0.5 * air.density * v[`lapSpeed@${loading.id}`] ** 2;
  const pull = drive && !hovers(loading) ? model.drag(v[`lapSpeed@${loading.id}`]) : 0;
  put(
    'trimElevator',
    solveTrim(
      aero,
      (state.mass * G0) / (q * wing.area),
      state.x,
      thrustMoment(design, pull, q, wing.area, wing.mac, { x: state.x, z: state.z }).cm,
    ).elevator,
  );

  put('reynoldsStall', (vs * wing.mac) / nu);
  put('reynoldsLap', (v[`lapSpeed@${loading.id}`] * wing.mac) / nu);

  // structure
  const wingMass = state.points.filter((p) => p.inWing).reduce((s, p) => s + p.mass, 0);
  const carried = state.mass * carriedShare(design, aero, atStall.clMax, state.x);
  const spar = structureValues(design, carried, wingMass, f, prep, v, put);
  r.curves[`sparMoment@${loading.id}`] = spar.moment;
  r.curves[`sparDeflection@${loading.id}`] = spar.deflection;
  const flown = (f: (s: number) => number) => prep.speeds.curve.map((s) => (s < 0.85 * vs ? NaN : f(s)));
  r.curves[`drag@${loading.id}`] = flown((s) => model.drag(s));
  if (drive && !hovers(loading)) r.curves[`climb@${loading.id}`] = flown((s) => climbAt(model, s));
}

/** What only an aircraft with a motor does: leave the ground, climb, fly laps. */
function poweredValues(
  step: RunStep & { drive: Drive },
  loading: Loading,
  model: PointModel,
  table: Parameters<typeof dragAt>[0],
  r: ChainResult,
  put: (id: string, x: number, remark?: string) => void,
): void {
  const { brief, design, drive, thrust } = step;
  const v = r.values,
    state = { mass: model.mass };
  const run = runsAlongStrip(design, loading) ? stripRun(step, model, table, put) : null;
  const climb = bestClimb(model);
  put('climbRate', climb.rate);
  const top = levelSpeed(model, thrust);
  put('topSpeed', top ?? 0, top === null ? 'Full throttle does not hold level flight.' : undefined);
  put('thrustToWeight', v['staticThrust@all'] / (state.mass * G0));
  put('powerToWeight', v['staticPower@all'] / state.mass);
  const usable = v['usableEnergy@all'],
    lap = { brief, design, model, drive, lapThrust: step.lapThrust, run, climb: climb.rate, usable };
  lapValues(lap, put);
}

/** The run of what leaves along the strip. */
function stripRun(
  { brief, design, prep, f }: RunStep,
  model: PointModel,
  table: Parameters<typeof dragAt>[0],
  put: (id: string, x: number, remark?: string) => void,
): ReturnType<typeof groundRun> {
  const { air, wing } = prep,
    vs = stallSpeed(model);
  put('liftOffSpeed', design.flight.liftOffFactor * vs);
  // at the speed whose square is the mean one of the run
  const rolling = (design.flight.liftOffFactor * vs) / Math.SQRT2,
    qRolling = 0.5 * air.density * rolling * rolling;
  const groundDrag =
    dragAt(table, rolling, qRolling * wing.area * design.flight.groundCl, air.density, f).total / qRolling;
  const run = groundRun(model, {
    friction: brief.site.rollingFriction,
    wind: brief.site.wind,
    liftOffFactor: design.flight.liftOffFactor,
    groundCl: design.flight.groundCl,
    dragArea: groundDrag,
  });
  put(
    'groundRun',
    run.status === 'airborne' ? run.distance : NEVER,
    run.status === 'never'
      ? 'Thrust does not overcome friction and drag: it never leaves the ground.'
      : undefined,
  );
  return run;
}

/** One run of the chain. */
export function runChain(
  brief: Brief,
  design: Design,
  prep: Prepared,
  factors: Factors,
  nudge: Nudge = {},
): ChainResult {
  const f = actingFactors(factors, prep.trust);
  const r: ChainResult = { values: {}, curves: {}, remarks: {} };
  const aero = aeroOf(prep, f.neutralPoint - 1);
  const drive = prep.thruster ? buildDrive(design.power, prep.air.density, f, prep.thruster) : null;
  designValues(design, prep, f, aero, drive, r.values);
  if (prep.wing.wings.length > 1)
    r.remarks['wingArea@all'] = [
      `Reference: ${prep.wing.wings.join(' and ')} together; span and mean chord of the front one.`,
    ];
  const nodes = prep.speeds.thrust;
  const thrustCurve = (throttle: number) => {
    if (!drive) return () => 0;
    const list = nodes.map((s) => operate(drive, throttle, s).thrust);
    return (s: number) => interpolateLinear(nodes, list, s);
  };
  const thrust = thrustCurve(1),
    lapThrust = thrustCurve(design.flight.lapThrottle);
  if (drive) {
    r.curves['thrust@all'] = prep.speeds.curve.map(thrust);
    r.curves['lapThrust@all'] = prep.speeds.curve.map(lapThrust);
  }
  const lifting = liftDrive(design, prep.air.density, f, prep.lifter, drive);
  // a craft that only hovers flies on the pack of its lift motors
  if (!drive && lifting) r.values['usableEnergy@all'] = lifting.charge * packVolts(lifting, MEAN_SOC);
  if (design.power.rubber) rubberDesignValues(design, r.values, nudge.rubberEnergy ?? 1);
  for (const l of design.loadings)
    loadingValues({ nudge, brief, design, prep, f, aero, drive, lifting, thrust, lapThrust }, l, r);
  // angles of the stall belong to the heaviest state that flies
  const heaviest = nudged(heaviestState(design, f.massGrowth), nudge),
    worst = stallOf(prep, heaviest, f);
  // two angles of one sweep: their difference is known no better than a share of it
  if (worst.reserve !== null) r.values['aileronReserve@all'] = (nudge.stallAngle ?? 1) * worst.reserve;
  r.values['stallAngle@all'] = (nudge.stallAngle ?? 1) * worst.alphaStall;
  r.values['liftSlope@all'] *= nudge.liftSlope ?? 1;
  const first = design.loadings[0].id;
  const table = prep.dragTables.get(first)!;
  // the speed at which the heaviest state flies at that lift
  const steady = prep.speeds.usual * Math.sqrt(0.6 / 0.4),
    q = 0.5 * prep.air.density * steady * steady;
  const d = dragAt(table, steady, 0.4 * q * prep.wing.area, prep.air.density, f);
  r.values['dragArea@all'] = (d.parasite + d.profile) / q;
  const ref = surfaceDrag(
    aero,
    0.6,
    r.values[`cgX@${first}`],
    prep.polars,
    (c) => (steady * c) / (prep.air.viscosity / prep.air.density),
  );
  r.values['spanEfficiency@all'] = 0.36 / (Math.PI * prep.wing.aspectRatio * ref.induced * f.induced);
  return r;
}
