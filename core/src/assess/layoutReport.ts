/**
 * Everything about shape, stall, stability and balance of one state that does not fit into a ledger of numbers: the map
 * of the stall, derivatives and modes with their meaning, schools, controls, ground, fit, pieces, hover, warp.
 * Reads the ledger for what is in it; made on demand, for the state that is looked at.
 */
import { say, sentence, type Said } from '../words';
import { G0 } from '../air';
import {
  hovers,
  factorsOf,
  type Brief,
  type Calibration,
  type Design,
  type State,
  powertrainOf,
} from '../design';
import {
  dimensional,
  handlingOf,
  lateralRoots,
  longitudinalRoots,
  nameLateral,
  nameLongitudinal,
  type HandlingLine,
  type Mode,
} from '../flight';
import {
  controlLoads,
  firstFlight,
  groundGeometry,
  groundRemarks,
  hoverShare,
  internalFit,
  piecesOf,
  schoolsOf,
  thrustLine,
  thrustMoment,
  warpEffect,
  type ControlLoad,
  type FirstFlight,
  type Fit,
  type GroundGeometry,
  type GroundRemark,
  type HoverShare,
  type Piece,
  type School,
  type ThrustLine,
  type WarpEffect,
} from '../layout';
import { cgPath } from '../mass';
import { DomainError } from '../numeric';
import { operate } from '../power';
import { parasiteItems, towedLine, type DragItem, type TowShape } from '../drag';
import {
  actingFactors,
  derivativesOf,
  inducedDrag,
  liftShares,
  momentAbout,
  planformOf,
  rollStroke,
  sectionLimits,
  solveLattice,
  solveTrim,
  stripSections,
  sweepStall,
  type Derivatives,
  type LinearAero,
  type StallSweep,
  type SweepCase,
  type TrimState,
} from '../surface';
import {
  aero as aeroStep,
  air as airStep,
  airframe,
  balance,
  bodies,
  coupled as coupledStep,
  drives,
  lattice,
  sections as sectionsStep,
  shape,
  trim as trimStep,
  trust,
  work,
  type QuantityId,
} from '../steps';
import { runOf } from './assess';
import type { StepCache } from './cache';
import { entryOf, type Ledger } from './ledger';
import type { Run } from './run';

export interface StateRow {
  loading: string;
  name: string;
  mass: number;
  cgX: number;
  cgSpread: number;
  ixx: number;
  iyy: number;
  izz: number;
  margin: number;
  yaw: number;
  extraDrag: number;
  hover: boolean;
  inside: boolean;
}

export interface LayoutReport {
  loading: string;
  /** speed and lift the numbers hold for [m/s] */ speed: number;
  CL: number;
  reference: { area: number; chord: number; span: number; x: number };
  cg: { x: number; z: number };
  neutralX: number;
  trim: TrimState & { control: 'control' | 'incidence' | 'none' };
  /** where it flies with the controls in line: lift coefficient and speed [m/s]; null when no lift trims it */ handsOff: {
    CL: number;
    alpha: number;
    speed: number;
  } | null;
  /** moment about the CG by angle of attack, controls in line [rad, -] */ moment: {
    alpha: number[];
    cm: number[];
    cl: number[];
  };
  /** Cm at no lift: must be above zero for a tailless aircraft to trim */ momentAtNoLift: number;
  shares: Record<string, number>;
  induced: number;
  derivatives: Derivatives;
  modes: Mode[];
  handling: HandlingLine[];
  stall: StallSweep;
  stallCase: SweepCase;
  ailerons: { surface: string; from: number; to: number; kind: string }[];
  schools: School[];
  first: FirstFlight;
  controls: ControlLoad[];
  thrust: ThrustLine | null;
  ground: GroundGeometry | null;
  groundRemarks: GroundRemark[];
  /** standing on its wheels: height of the wing over its span, lift slope and induced drag over those in free air */ inGround: {
    height: number;
    slope: number;
    induced: number;
  } | null;
  fit: Fit[];
  pieces: Piece[];
  hover: HoverShare | null;
  warp: WarpEffect | null;
  states: StateRow[];
  /** id and why */ worst: { loading: string; said: Said } | null;
  path: { count: number; mass: number; x: number; z: number }[];
  drag: DragItem[];
  tow: TowShape | null;
}

/** Hands-off lift: moment about the CG zero with the controls in line. */
function handsOffAt(aero: LinearAero, x: number): { CL: number; alpha: number } | null {
  const c = aero.sol.coefficients,
    m = momentAbout(aero, x);
  if (!(Math.abs(m.slope) > 1e-6)) return null;
  const alpha = -m.zero / m.slope;
  return { alpha, CL: c.cl0 + c.clAlpha * alpha };
}

function stateRows(design: Design, ledger: Ledger, run: Run): StateRow[] {
  const at = (id: QuantityId, l: string) => entryOf(ledger, id, l)?.value ?? NaN;
  return design.states.map((l) => {
    const { state: s } = run.of(balance, l.id);
    return {
      loading: l.id,
      name: l.name,
      mass: s.mass,
      cgX: s.x,
      cgSpread: s.sigmaX,
      ixx: s.ixx,
      iyy: s.iyy,
      izz: s.izz,
      margin: at('staticMargin', l.id),
      yaw: at('yawStiffness', l.id),
      extraDrag: (l.addedDrag ?? 0) + (l.towed?.dragArea ?? 0),
      hover: hovers(l),
      inside: hovers(l) || (s.x >= at('cgForward', 'all') - 1e-6 && s.x <= at('cgAft', 'all') + 1e-6),
    };
  });
}

/** Largest thrust of one lift rotor by its drive [N]; null where no drive is described for them. */
function rotorThrust(design: Design, run: Run): number | null {
  if (!powertrainOf(design).lift) return null;
  const { lifting } = run.of(drives);
  return lifting && operate(lifting, 1, 0).thrust / lifting.count;
}

function worstState(design: Design, rows: readonly StateRow[]): LayoutReport['worst'] {
  const flying = rows.filter((r) => !r.hover && Number.isFinite(r.margin));
  if (flying.length === 0) return null;
  const least = flying.reduce((a, r) => (r.margin < a.margin ? r : a)),
    wag = flying.reduce((a, r) => (r.yaw < a.yaw ? r : a));
  const { marginMin, marginMax } = design.flight;
  const most = flying.reduce((a, r) => (r.margin > a.margin ? r : a));
  if (least.margin < marginMin)
    return {
      loading: least.loading,
      said: say('worst-margin', { state: least.name, margin: least.margin, least: marginMin }),
    };
  if (most.margin > marginMax)
    return {
      loading: most.loading,
      said: say('worst-nose-heavy', { state: most.name, margin: most.margin }),
    };
  if (wag.yaw < 0.03)
    return {
      loading: wag.loading,
      said: say('worst-yaw', { state: wag.name, stiffness: wag.yaw }),
    };
  return {
    loading: least.loading,
    said: say('least-margin', { state: least.name, margin: least.margin }),
  };
}

function modesOf(run: Run, loading: State, d: Derivatives, speed: number): Mode[] {
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
function trimAt(run: Run, loading: State, speed: number): TrimState {
  if (!hovers(loading) && speed === run.of(work, loading.id).speed) return run.of(trimStep, loading.id);
  const { design } = run.source,
    frame = run.of(airframe, loading.id),
    { wing } = run.of(shape),
    { mass, x, z } = run.of(balance, loading.id).state;
  const q = 0.5 * frame.density * speed * speed,
    pull = powertrainOf(design).unpowered ? 0 : frame.drag(speed);
  const moment = thrustMoment(powertrainOf(design).propeller, pull, q, wing.area, wing.mac, { x, z });
  return solveTrim(run.of(aeroStep), (mass * G0) / (q * wing.area), x, moment.cm);
}

const ROLL_KINDS = ['aileron', 'elevon', 'flaperon'];

/**
 * @param ledger of the same document
 * @param speed [m/s]; the lap speed of the state where left out
 * @throws DomainError when the ledger stopped, or the loading is unknown
 */
export function layoutReport(
  brief: Brief,
  design: Design,
  cal: Calibration,
  ledger: Ledger,
  loadingId: string,
  cache: StepCache,
  options: { stall?: 'level' | 'sideslip' | 'rolling' | 'turn'; speed?: number } = {},
): LayoutReport {
  const loading = design.states.find((l) => l.id === loadingId);
  if (!loading) throw new DomainError('unknown-name', `there is no state ${loadingId}`);
  if (ledger.stopped && ledger.entries.length === 0)
    throw new DomainError('out-of-range', sentence(ledger.stopped));
  const run = runOf({ brief, design }, cal, cache),
    air = run.of(airStep),
    aero = run.of(aeroStep),
    sol = run.of(lattice),
    { wing } = run.of(shape),
    { polars, facts } = run.of(sectionsStep),
    { state } = run.of(balance, loading.id),
    frame = run.of(airframe, loading.id),
    coupled = run.of(coupledStep),
    body = run.of(bodies);
  const rho = air.density,
    nu = air.viscosity / rho,
    S = wing.area,
    W = state.mass * G0;
  const value = (id: QuantityId, at: string) => entryOf(ledger, id, at)?.value;
  const vs = value('stallSpeed', loading.id) ?? Math.sqrt((2 * W) / (rho * S * 1.2));
  const speed = options.speed ?? Math.max(1.05 * vs, value('lapSpeed', loading.id) ?? 1.4 * vs);
  const CL = W / (0.5 * rho * speed * speed * S);
  const learnt = actingFactors(factorsOf(cal.mean), run.of(trust));
  const trim = trimAt(run, loading, speed);
  const d = derivativesOf(sol, { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z }, body);
  // one neutral point: the stiffness in pitch is the ledger's margin times the lift slope
  d.Cmalpha = -((aero.neutralX - state.x) / wing.mac) * d.CLalpha;
  const modes = modesOf(run, loading, d, speed);
  const ailerons = design.surfaces.flatMap((s) =>
    s.controls
      .filter((c) => ROLL_KINDS.includes(c.kind))
      .map((c) => ({ surface: s.id, from: c.from, to: c.to, kind: c.kind })),
  );
  const rollers = design.surfaces.flatMap((s) => s.controls.filter((c) => ROLL_KINDS.includes(c.kind)));
  const stroke =
    rollers.length > 0
      ? rollStroke(
          sol,
          { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z },
          d,
          Math.max(...rollers.map((c) => c.maxDeflection)),
          Math.min(...rollers.map((c) => c.differential ?? 1)),
        )
      : null;
  const how: SweepCase =
    options.stall === 'sideslip'
      ? { kind: 'sideslip', beta: (10 * Math.PI) / 180 }
      : options.stall === 'rolling'
        ? { kind: 'rolling', helix: 0.05 }
        : options.stall === 'turn'
          ? { kind: 'turn', bank: design.flight.turnBank, mass: state.mass, density: rho }
          : { kind: 'level' };
  const sections = stripSections(coupled, polars, (c) => (vs * c) / nu, learnt.clMax);
  const stall = sweepStall({ coupled, sections, design, aero, x: state.x, z: state.z }, how);
  const free = handsOffAt(aero, state.x),
    c = sol.coefficients,
    about = momentAbout(aero, state.x);
  const alphas = Array.from({ length: 25 }, (_, i) => ((i - 6) * Math.PI) / 180);
  const q = 0.5 * rho * speed * speed,
    fast = value('topSpeed', loading.id) ?? value('lapSpeed', loading.id) ?? speed,
    qFast = 0.5 * rho * Math.max(fast, speed) ** 2;
  const rows = stateRows(design, ledger, run);
  const limits = { forward: value('cgForward', 'all')!, aft: value('cgAft', 'all')! };
  const ground = groundGeometry(design, { x: state.x, z: state.z });
  const main = design.surfaces.find((s) => s.role === 'wing')!;
  const thickness = (id: string) => facts.get(id)?.thickness ?? 0.1;
  return {
    loading: loading.id,
    speed,
    CL,
    reference: { area: S, chord: wing.mac, span: wing.span, x: sol.refX },
    cg: { x: state.x, z: state.z },
    neutralX: aero.neutralX,
    trim: { ...trim, control: sol.pitchControl },
    handsOff: free && free.CL > 0.02 ? { ...free, speed: Math.sqrt((2 * W) / (rho * S * free.CL)) } : null,
    moment: {
      alpha: alphas,
      cm: alphas.map((a) => about.zero + about.slope * a),
      cl: alphas.map((a) => c.cl0 + c.clAlpha * a),
    },
    momentAtNoLift: aero.near.zero - (aero.cmAlpha / c.clAlpha) * c.cl0,
    shares: liftShares(sol, trim.alpha, trim.elevator),
    induced: frame.parts(speed, W).induced / (q * S),
    derivatives: d,
    modes,
    handling: handlingOf(d, (aero.neutralX - state.x) / wing.mac, modes, stroke),
    stall,
    stallCase: how,
    ailerons,
    schools: schoolsOf(
      design,
      aero,
      Array.from(sectionLimits(aero, polars, (ch) => (vs * ch) / nu, learnt.clMax)),
    ),
    first: firstFlight(design, limits, state.x),
    controls: controlLoads(design, qFast, trim.alpha, G0),
    thrust: thrustLine(
      design,
      value('staticThrust', 'all') ?? 0,
      q,
      S,
      wing.mac,
      { x: state.x, z: state.z },
      d,
    ),
    ground,
    groundRemarks: ground
      ? groundRemarks(
          ground,
          powertrainOf(design).rotors?.length || powertrainOf(design).unpowered
            ? 0
            : Math.max(0, 0.85 * stall.alphaStall - main.incidence),
        )
      : [],
    inGround: ground ? groundEffect(design, run, ground.ground) : null,
    fit: internalFit(design),
    pieces: piecesOf(design, thickness),
    hover: hoverShare(design, state, rotorThrust(design, run)),
    warp: warpEffect(design, coupled, d, { speed, density: rho, g: G0 }),
    states: rows,
    worst: worstState(design, rows),
    path: cgPath(design, loading, run.causes.massGrowth),
    drag: parasiteItems(design, speed, nu, loading),
    tow: loading.towed ? towedLine(loading.towed, speed, rho) : null,
  };
}

/** The lattice over a ground plane at wheel height against the free one, at one lift coefficient. */
function groundEffect(design: Design, run: Run, lowest: number): LayoutReport['inGround'] {
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
