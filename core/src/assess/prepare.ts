/**
 * The costly steps that no calibration factor changes: section polars, lattice, drag tables.
 * Each is kept in the caller's cache under the key of its own inputs.
 */
import { cached, type StepCache } from './cache';
import { actingFactors, sectionTrust, type SectionTrust } from './sectionTrust';
import type { LiftTask } from './largestLift';
import { airAt, G0, type Air } from '../air';
import {
  factorsOf,
  priorCalibration,
  type Brief,
  type Calibration,
  type Design,
  type Factors,
  type Section,
} from '../design';
import { contentKey, DomainError } from '../numeric';
import {
  buildDrive,
  flaringCurves,
  operate,
  propellerCurve,
  thrusterOf,
  type FlaringCurves,
  type PropellerCurve,
  type RubberFlight,
} from '../power';
import { buildDragTable, speedScale, speedWithoutThrust, type DragTable, type SpeedScale } from '../flight';
import { heaviestState, loadedState } from '../mass';
import {
  contourFacts,
  flowKey,
  flowPolar,
  modelPolars,
  recallPolar,
  sectionModel,
  TABLE_POINTS,
  type Contour,
  type ContourFacts,
  type Polar,
  type PolarSet,
  type SectionModel,
} from '../section';
import {
  bodySlopes,
  coupleStrips,
  derivativesOf,
  linearAero,
  nearMoments,
  planformOf,
  referencePlanform,
  solveLattice,
  type BodySlopes,
  type CoupledStrips,
  type LatticeSolution,
  type LinearAero,
  type NearMoments,
  type Planform,
} from '../surface';

export interface Prepared {
  air: Air;
  contours: Map<string, Contour>;
  facts: Map<string, ContourFacts>;
  polars: Map<string, PolarSet>;
  /** of all wings together, span and chord of the front one */ wing: Planform & { wings: string[] };
  tail: Planform | null;
  fin: Planform | null;
  lattice: LatticeSolution;
  /** strips coupled to their sections; made with the lattice */ coupled: CoupledStrips;
  bodySlope: number;
  /** pitching moments of the surfaces about the height of the heaviest state's CG */ near: NearMoments;
  body: BodySlopes;
  /** side force and yawing moment by sideslip about the lattice's reference point */ yaw: {
    CYbeta: number;
    Cnbeta: number;
  };
  /** what coupled sweeps for the largest lift need */ lift: LiftTask;
  /** by loading id */ dragTables: Map<string, DragTable>;
  /** coefficients of the propeller or fan; null where no electric motor is fitted */ thruster: PropellerCurve | null;
  /** of the lift rotors */ lifter: PropellerCurve | null;
  /** of the rubber motor's propeller */ rubberBlades: FlaringCurves | null;
  /** flights on rubber of this assessment, by state and factors */ rubberFlights: Map<
    string,
    { flight: RubberFlight; free: RubberFlight }
  >;
  /** from below the stall to where thrust is nil */ speeds: SpeedScale;
  /** how far the sections of the wing are to be believed */ trust: SectionTrust;
}

/** Reynolds numbers at which polars are computed; in between they are interpolated in log Re. */
export const POLAR_REYNOLDS = [5e4, 1e5, 2e5, 4e5, 8e5];
/** Below those for sheets and films, which cost nothing; */
const SHEET_REYNOLDS = [5e3, 1e4, 2e4];
/** for outlines where the aircraft flies there: rubber and indoor models, small tails of slow ones. */
const SLOW_REYNOLDS = [1e4, 2e4];

/**
 * Does the smallest chord meet less than the least computed Reynolds number near the stall? In the standard air,
 * so that a warm day asks for no new polars.
 */
function fliesSlow(design: Design): boolean {
  const wing = referencePlanform(design.surfaces),
    air = airAt(0);
  const speed = Math.sqrt((2 * heaviestState(design, 1).mass * G0) / (air.density * wing.area * 1.2));
  const chord = Math.min(...design.surfaces.flatMap((s) => s.stations.map((p) => p.chord)));
  return (speed * chord * air.density) / air.viscosity < 0.9 * POLAR_REYNOLDS[0];
}

/** Reynolds numbers of a section's polars in a design. */
function reynoldsFor(design: Design, model: SectionModel): number[] {
  if (model.flow.kind !== 'coupled') return [...SHEET_REYNOLDS, ...POLAR_REYNOLDS];
  return fliesSlow(design) ? [...SLOW_REYNOLDS, ...POLAR_REYNOLDS] : POLAR_REYNOLDS;
}

/** What a section of a design is computed from. @throws DomainError naming what is wrong with the shape */
export function modelOf(section: Pick<Section, 'shape' | 'change'>, n?: number): SectionModel {
  return sectionModel(section.shape, section.change ?? null, n);
}

/** One polar that an assessment will want. */
export interface PolarTask {
  key: string;
  section: Pick<Section, 'shape' | 'change'>;
  reynolds: number;
}

/**
 * The polars of a design that are not in memory: to be computed elsewhere first, side by side. A section that
 * cannot be drawn has none.
 */
export function missingPolars(design: Design): PolarTask[] {
  const out = new Map<string, PolarTask>();
  for (const { shape, change } of design.sections) {
    let model: SectionModel;
    try {
      model = modelOf({ shape, change }, TABLE_POINTS);
    } catch {
      continue;
    }
    if (model.flow.kind !== 'coupled') continue;
    for (const reynolds of reynoldsFor(design, model)) {
      const key = flowKey(model, reynolds);
      if (key && !recallPolar(key)) out.set(key, { key, section: { shape, change }, reynolds });
    }
  }
  return [...out.values()];
}

/** Computes one of them. @throws DomainError */
export function computePolar(task: PolarTask): Polar {
  return flowPolar(modelOf(task.section, TABLE_POINTS), task.reynolds);
}

/** @throws DomainError from a section or a lattice that cannot be computed */
export function prepare(brief: Brief, design: Design, cache: StepCache): Prepared {
  const air = airAt(brief.site.elevation, brief.site.temperature);
  const contours = new Map<string, Contour>(),
    facts = new Map<string, ContourFacts>(),
    polars = new Map<string, PolarSet>();
  for (const s of design.sections) {
    const inputs = [s.shape, s.change ?? null];
    const model = cached(cache, 'contour', inputs, () => modelOf(s, TABLE_POINTS));
    contours.set(s.id, model.outline);
    facts.set(
      s.id,
      cached(cache, 'facts', inputs, () => contourFacts(model.outline)),
    );
    const wanted = reynoldsFor(design, model);
    const set = cached(cache, 'polars', [inputs, wanted], () => modelPolars(model, wanted));
    if (set.polars.length === 0)
      throw new DomainError(
        'out-of-range',
        `no flow about section ${s.name} could be found; look at its outline`,
        { section: s.id },
      );
    polars.set(s.id, set);
  }
  const by = (role: 'wing' | 'tail' | 'fin') => design.surfaces.find((s) => s.role === role);
  const wing = referencePlanform(design.surfaces);
  const tail = by('tail') ? planformOf(by('tail')!) : null;
  const fin = by('fin') ? planformOf(by('fin')!) : null;
  const shapes = contentKey([design.surfaces, design.sections]);
  const drag = contentKey([shapes, design.body, design.pods ?? null, design.dragItems, air]);
  const lattice = cached(cache, 'lattice', shapes, () => solveLattice(design, contours));
  const coupled = cached(cache, 'coupled', shapes, () => coupleStrips(lattice));
  const body = cached(cache, 'body', [shapes, design.body, design.pods ?? null], () =>
    bodySlopes(design, lattice),
  );
  const bodySlope = body.pitch;
  const heaviest = heaviestState(design, 1);
  const near = nearMoments(lattice, heaviest.z);
  const aero = linearAero(lattice, bodySlope, 0, near);
  const yaw = cached(cache, 'yaw', [shapes, design.body, design.pods ?? null], () => {
    const d = derivativesOf(lattice, { alpha: 0.05, elevator: 0, x: lattice.refX, z: 0 }, body);
    return { CYbeta: d.CYbeta, Cnbeta: d.Cnbeta };
  });
  const lift: LiftTask = {
    key: contentKey([shapes, design.body, design.pods ?? null]),
    design,
    coupled,
    aero: linearAero(lattice, bodySlope, 0),
    polars,
    cache,
  };
  const thruster = design.power.unpowered ? null : thrusterFor(design.power, cache);
  const usual = Math.sqrt((2 * heaviest.mass * G0) / (wing.area * air.density * 0.6));
  const speeds = speedScale(
    usual,
    thruster &&
      cached(cache, 'noThrust', [design.power, air.density], () =>
        noThrustSpeed(design.power, air.density, thruster),
      ),
  );
  const dragTables = new Map<string, DragTable>();
  for (const l of design.loadings) {
    const cgX = Math.round(loadedState(design, l, 'best', 1).x * 500) / 500;
    dragTables.set(
      l.id,
      cached(cache, 'drag', [drag, cgX, l.addedDrag ?? 0, l.towed ?? null, speeds.table], () =>
        buildDragTable(design, aero, cgX, polars, air, speeds.table, l),
      ),
    );
  }
  const { lift: rotors, rubber } = design.power;
  const lifter = rotors
    ? cached(cache, 'lifter', rotors.propeller, () => propellerCurve(rotors.propeller))
    : null;
  const rubberBlades = rubber
    ? cached(cache, 'rubber', [rubber.propeller, rubber.flare > 0, bladeSpeed(usual)], () =>
        flaringCurves(rubber.propeller, bladeSpeed(usual), rubber.flare),
      )
    : null;
  return {
    air,
    contours,
    facts,
    polars,
    wing,
    tail,
    fin,
    lattice,
    coupled,
    bodySlope,
    near,
    body,
    yaw,
    lift,
    dragTables,
    thruster,
    lifter,
    rubberBlades,
    rubberFlights: new Map(),
    speeds,
    trust: sectionTrust(design, polars, (c) => (0.7 * usual * c * air.density) / air.viscosity),
  };
}

/** The aircraft's linear aerodynamics. @param shift neutral-point shift aft [mean chords] */
export function aeroOf(prep: Prepared, shift: number): LinearAero {
  return linearAero(prep.lattice, prep.bodySlope, shift, prep.near);
}

/** Factors as they act in this design, at the mean of what was learnt. */
export function learntFactors(prep: Prepared, cal: Calibration): Factors {
  return actingFactors(factorsOf(cal.mean), prep.trust);
}

/** Coefficients of what turns; where it stands and how it is tilted do not matter to them. */
export function thrusterFor(
  power: Pick<Design['power'], 'propeller' | 'fan'>,
  cache: StepCache,
): PropellerCurve {
  const { x: _x, z: _z, downThrust: _d, sideThrust: _s, ...blades } = power.propeller;
  return cached(cache, 'thruster', [blades, power.fan ?? null], () => thrusterOf(power));
}

/** Speed that a rubber model's blades are computed for: to two figures, so that a crumb of clay does not make new ones. */
export function bladeSpeed(usual: number): number {
  return Number(usual.toPrecision(2));
}

/** Where full throttle pulls no more, with nothing learnt yet [m/s]. */
function noThrustSpeed(power: Design['power'], density: number, thruster: PropellerCurve): number | null {
  const drive = buildDrive(power, density, factorsOf(priorCalibration().mean), thruster);
  return speedWithoutThrust((v) => operate(drive, 1, v).thrust);
}
