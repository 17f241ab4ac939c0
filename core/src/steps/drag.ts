/** Trimmed drag of every state, its glide, and the drag and span efficiency that the design is known by. */
import { G0 } from '../air';
import {
  dragAt,
  glide as glideOf,
  inducedForm,
  parasiteAreas,
  profileTable,
  trimLine,
  type DragParts,
  type DragTable,
  type PointModel,
  type ProfileTable,
} from '../flight';
import type { Factors } from '../design';
import { actingDrag, surfaceDrag, type SectionTrust } from '../surface';
import { air, asked } from './air';
import { balance, unlearnt } from './balance';
import { lattice, VLM } from './lattice';
import { lift } from './lift';
import { curvesOf, quantitiesOf, part } from './quantity';
import { sections } from './sections';
import { shape } from './shape';
import { speedNodes, speeds, trust } from './speeds';
import { aero, latticeAero } from './stability';
import { NOTHING, step } from './step';

/** What moves the drag of a table. */
export const DRAG_CAUSES = ['dragArea', 'induced', 'sectionDrag'] as const;
type DragFactors = Pick<Factors, (typeof DRAG_CAUSES)[number]>;

/** The factors as they act on these sections. */
export function actingOnDrag(f: DragFactors, trust: SectionTrust): DragFactors {
  return { dragArea: f.dragArea, induced: f.induced, sectionDrag: actingDrag(f, trust) };
}

/** Made for the air that was asked: a warmer day changes its density, not the table. Shared by all states. */
const profile = step({
  id: 'profile drag',
  scope: 'all',
  needs: { asked, lattice, sections, speedNodes },
  keeps: 12,
  slice: NOTHING,
  run: ({ asked, lattice, sections, speedNodes }): ProfileTable =>
    profileTable(lattice, sections.polars, asked, speedNodes.at),
});

const induced = step({
  id: 'induced drag',
  scope: 'all',
  needs: { lattice },
  slice: NOTHING,
  run: ({ lattice }): { of: DragTable['induced'] } => ({ of: inducedForm(lattice) }),
});

/** Body, fin, what stands outside; and what a state opens, lowers or tows. */
const parasite = step({
  id: 'parasite drag',
  scope: 'state',
  needs: { asked, speedNodes },
  slice: ({ design: { surfaces, body, pods, dragItems, wheels } }, { addedDrag, towed }) => ({
    design: { surfaces, body, pods, dragItems, wheels },
    state: { addedDrag, towed },
  }),
  run: ({ asked, speedNodes }, { design, state }): { areas: readonly number[] } => ({
    areas: parasiteAreas(design, asked, speedNodes.at, state),
  }),
});

/** Trimmed about the CG as it is with nothing learnt. */
export const dragTable = step({
  id: 'drag table',
  scope: 'state',
  needs: { profile, induced, parasite, latticeAero, unlearnt },
  slice: NOTHING,
  run: ({ profile, induced, parasite, latticeAero, unlearnt }): DragTable => ({
    profile,
    induced: induced.of,
    trim: trimLine(latticeAero, unlearnt.x),
    parasite: parasite.areas,
    area: latticeAero.sol.refArea,
  }),
});

/** An aircraft in one state, without its thrust. */
export interface Airframe extends Omit<PointModel, 'fullThrust'> {
  /** by part [N], carrying a lift [N] */ parts(speed: number, lift: number): DragParts;
  /** stall speed in level flight [m/s] */ readonly stall: number;
  readonly chart: readonly number[];
  /** drag at those speeds [N], NaN where it does not fly */ readonly charted: readonly number[];
}

export const airframe = step({
  id: 'airframe',
  scope: 'state',
  needs: { air, shape, balance, lift, dragTable, speeds, trust },
  causes: DRAG_CAUSES,
  slice: NOTHING,
  run: ({ air, shape, balance: { state }, lift, dragTable, speeds, trust }, _, causes): Airframe => {
    const f = actingOnDrag(causes, trust);
    const parts = (speed: number, carried: number) => dragAt(dragTable, speed, carried, air.density, f);
    const weight = state.mass * G0;
    let charted: readonly number[] | null = null;
    return {
      mass: state.mass,
      density: air.density,
      area: shape.wing.area,
      clMax: lift.clMax,
      parts,
      drag: (speed, n = 1) => parts(speed, n * weight).total,
      fastest: speeds.high,
      stall: lift.speed,
      chart: speeds.curve,
      get charted() {
        // charts begin a little below the stall
        charted ??= speeds.curve.map((s) => (s < 0.85 * lift.speed ? NaN : parts(s, weight).total));
        return charted;
      },
    };
  },
});

export const glide = step({
  id: 'glide',
  scope: 'state',
  needs: { airframe },
  slice: NOTHING,
  run: ({ airframe }) => ({
    ...glideOf(airframe),
    wingLoading: airframe.mass / airframe.area,
  }),
});

/** Lift coefficients at which drag area and span efficiency are told. */
const AREA_LIFT = 0.4,
  SPAN_LIFT = 0.6;

/** Drag of the first state at the speed of the heaviest. */
const reference = step({
  id: 'reference drag',
  scope: 'all',
  needs: { air, shape, speeds, trust, dragTable },
  causes: DRAG_CAUSES,
  slice: ({ design }) => ({ first: design.states[0].id }),
  run: ({ air, shape, speeds, trust, dragTable }, { first }, causes): { area: number } => {
    const steady = speeds.usual * Math.sqrt(0.6 / AREA_LIFT),
      q = 0.5 * air.density * steady * steady;
    const f = actingOnDrag(causes, trust),
      d = dragAt(dragTable.of(first), steady, AREA_LIFT * q * shape.wing.area, air.density, f);
    return { area: (d.parasite + d.profile) / q };
  },
});

const spanwise = step({
  id: 'span efficiency',
  scope: 'all',
  needs: { air, aero, sections, shape, speeds, balance },
  causes: ['induced'],
  slice: ({ design }) => ({ first: design.states[0].id }),
  run: ({ air, aero, sections, shape, speeds, balance }, { first }, f): { e: number } => {
    const steady = speeds.usual * Math.sqrt(0.6 / AREA_LIFT),
      nu = air.viscosity / air.density,
      x = balance.of(first).state.x;
    const d = surfaceDrag(aero, SPAN_LIFT, x, sections.polars, (c) => (steady * c) / nu);
    return { e: SPAN_LIFT ** 2 / (Math.PI * shape.wing.aspectRatio * d.induced * f.induced) };
  },
});

const LEVEL = 'Anderson, Introduction to Flight, ch. 6, on the trimmed drag and the full-throttle thrust';

const DRAG = {
  ...quantitiesOf(reference, {
    dragArea: {
      name: 'Drag area without lift',
      kind: 'dragArea',
      station: 'flight',
      formula: 'body + fin + items + wing profile at CL 0.4 and the speed of the heaviest state there',
      method: 'Flat-plate friction and form factors (Hoerner), strips for the wing',
      better: 'less',
      read: (r) => r.area,
    },
  }),
  ...quantitiesOf(spanwise, {
    spanEfficiency: {
      name: 'Span efficiency',
      kind: 'ratio',
      station: 'shape',
      formula: 'CL² / (π · {aspectRatio} · CDi) at CL 0.6, trimmed',
      method: VLM,
      better: 'more',
      read: (r) => r.e,
    },
  }),
  ...quantitiesOf(glide, {
    wingLoading: {
      name: 'Wing loading',
      kind: 'wingLoading',
      station: 'flight',
      formula: '{mass} / {wingArea}',
      method: 'Definition',
      better: 'less',
      read: (r) => r.wingLoading,
    },
    glideRatio: {
      name: 'Best glide',
      kind: 'ratio',
      station: 'flight',
      formula: 'max L / D at {mass}, propeller folded; D with {dragArea} and {spanEfficiency}',
      method: LEVEL,
      better: 'more',
      read: (r) => r.ratio,
    },
    glideSpeed: {
      name: 'Best glide speed',
      kind: 'speed',
      station: 'flight',
      formula: 'V at {glideRatio}',
      method: LEVEL,
      read: (r) => r.speed,
    },
    minSink: {
      name: 'Least sink',
      kind: 'climbRate',
      station: 'flight',
      formula: 'min D · V / ({mass} · g)',
      method: LEVEL,
      better: 'less',
      read: (r) => r.sink,
    },
    sinkSpeed: {
      name: 'Speed of least sink',
      kind: 'speed',
      station: 'flight',
      formula: 'V at {minSink}',
      method: LEVEL,
      read: (r) => r.sinkSpeed,
    },
  }),
};

const DRAG_CURVES = curvesOf(airframe, {
  drag: {
    xKind: 'speed',
    yKind: 'force',
    read: (a) => ({ x: a.chart, y: a.charted }),
  },
});

export const DRAG_PART = part(
  [profile, induced, parasite, dragTable, airframe, glide, reference, spanwise],
  DRAG,
  DRAG_CURVES,
);

export { LEVEL };
