/** From what a designer names to what is computed: outline, flow model and how far to trust it. */
import { DomainError, requireInRange } from '../numeric';
import { contourFacts, type Contour } from './contour';
import { contourSlope, isSharp, LEAST_COUPLED, lowReynoldsPolar, subcriticalPolar } from './lowReynolds';
import { contourFromPoints } from './importedOutline';
import { FREE } from './prepared';
import { arcLine, bentPlate, classShape, foldLine, naca4, naca4Modified, naca5 } from './families';
import { blendOf, scaled, stepped, warped, withFlap, type BuildErrors, type Step } from './modify';
import { heldAtNose, NOSE_STALL } from './noseStall';
import { platePolar } from './plate';
import { beyondFlow, effectiveAngle, FLOW, movedPolar, movedSet, type FlapIncrements } from './flapped';
import type { FlowPoint } from './flowPoint';
import {
  analyseAngles,
  freeMoments,
  largestLift,
  polarKey,
  polarOf,
  polarSet,
  prepareContour,
  recallPolar,
  rememberPolar,
  type Polar,
  type PolarOptions,
  type PolarSet,
  type SweepHooks,
} from './polar';
import { solveInviscid } from './panels';
import { thinAirfoil } from './thinAirfoil';

export type PlainShape =
  | { kind: 'naca4'; digits: string }
  | { kind: 'naca4m'; digits: string; nose: number; at: number }
  | { kind: 'naca5'; digits: string }
  | { kind: 'classShape'; upper: readonly number[]; lower: readonly number[] }
  | { kind: 'points'; points: readonly (readonly [number, number])[] }
  | { kind: 'plate'; thickness: number; camber: number; at: number }
  | { kind: 'film'; camber: number; at: number; thickness: number }
  | { kind: 'folded'; corners: readonly (readonly [number, number])[]; thickness: number };

export type ShapeSpec =
  | PlainShape
  | { kind: 'stepped'; digits: string; steps: readonly Step[] }
  | { kind: 'blend'; a: PlainShape; b: PlainShape; share: number };

export interface ShapeChange {
  /** factors on the drawing */ thickness: number;
  camber: number;
  flap: { hinge: number; /** [rad], down positive */ angle: number } | null;
}

/** What the polars of a shape are computed from. */
export interface SectionModel {
  /** as it is built */ readonly outline: Contour;
  /** with the camber line that a wing in potential flow is to see */ readonly lifting: Contour;
  /** what a flap adds that is set further than the flow follows */ readonly beyond: FlapIncrements | null;
  readonly flow:
    | {
        kind: 'coupled';
        contour: Contour;
        tripUpper: number;
        tripLower: number;
        addedDrag: number;
        note: string | null;
      }
    | { kind: 'thin'; slope: (x: number) => number; thickness: number };
}

/** Panels for tables (many polars) and for a picture (one). */
export const TABLE_POINTS = 100,
  PICTURE_POINTS = 160;

/**
 * A step's wake pulls on its face: base pressure of about -0.15 on the step's height (Eaton and Johnston 1981,
 * from memory).
 */
const STEP_DRAG = 0.15;

function thinLine(shape: PlainShape): ((x: number) => { y: number; slope: number }) | null {
  switch (shape.kind) {
    case 'plate':
    case 'film':
      return arcLine(shape.camber, shape.at);
    case 'folded': {
      const c = shape.corners;
      if (
        c.length < 2 ||
        Math.abs(c[0][0]) > 1e-9 ||
        Math.abs(c[c.length - 1][0] - 1) > 1e-9 ||
        c.some((p, i) => i > 0 && !(p[0] > c[i - 1][0] + 0.005))
      )
        throw new DomainError(
          'bad-shape',
          'a fold line runs from x = 0 to x = 1 with corners in ascending order',
          { corners: c.length },
        );
      const y0 = c[0][1],
        rise = c[c.length - 1][1] - y0;
      return foldLine(c.map((p) => [p[0], p[1] - y0 - rise * p[0]] as const));
    }
    default:
      return null;
  }
}

/** Outline of a plain shape. @throws DomainError naming what is wrong with it */
export function plainContour(shape: PlainShape, n = PICTURE_POINTS): Contour {
  switch (shape.kind) {
    case 'naca4':
      return naca4(shape.digits, n);
    case 'naca4m':
      return naca4Modified(shape.digits, shape.nose, shape.at, n);
    case 'naca5':
      return naca5(shape.digits, n);
    case 'classShape':
      return classShape(shape.upper, shape.lower, n);
    case 'points':
      return contourFromPoints(shape.points, n);
    default:
      requireInRange('sheet thickness', shape.thickness, 0.0005, 0.1);
      return bentPlate(thinLine(shape)!, Math.max(shape.thickness, 0.003), n);
  }
}

type Drawn = Pick<SectionModel, 'outline' | 'flow'>;

/** The shape with its flap set to an angle. */
const flapAt = (change: ShapeChange, angle: number): ShapeChange => ({
  ...change,
  flap: change.flap && { ...change.flap, angle },
});

/** @throws DomainError naming what is wrong with the shape */
export function sectionModel(
  shape: ShapeSpec,
  change: ShapeChange | null = null,
  n = PICTURE_POINTS,
): SectionModel {
  const flap = change?.flap,
    drawn = drawnModel(shape, change, n);
  if (!change || !flap || Math.abs(flap.angle) <= FLOW)
    return { ...drawn, lifting: drawn.outline, beyond: null };
  const still = effectiveAngle(flap.angle),
    lifting = drawnModel(shape, flapAt(change, still), n);
  // sheets are computed from tests and theory: theirs is the deflection that still acts
  if (drawn.flow.kind === 'thin')
    return { outline: drawn.outline, lifting: lifting.outline, flow: lifting.flow, beyond: null };
  const followed = drawnModel(shape, flapAt(change, Math.sign(flap.angle) * FLOW), n);
  return { ...followed, outline: drawn.outline, lifting: lifting.outline, beyond: beyondFlow(flap) };
}

function drawnModel(shape: ShapeSpec, change: ShapeChange | null, n: number): Drawn {
  const altered = (c: Contour): Contour => {
    if (!change) return c;
    const s = change.thickness !== 1 || change.camber !== 1 ? scaled(c, change.thickness, change.camber) : c;
    return change.flap ? withFlap(s, change.flap.hinge, change.flap.angle) : s;
  };
  const coupled = (contour: Contour): SectionModel['flow'] => ({
    kind: 'coupled',
    contour,
    tripUpper: 1,
    tripLower: 1,
    addedDrag: 0,
    note: null,
  });
  if (shape.kind === 'stepped') {
    const base = naca4(shape.digits, n);
    const trip = (face: 'upper' | 'lower') =>
      Math.min(1, ...shape.steps.filter((s) => s.face === face).map((s) => s.at));
    return {
      outline: altered(stepped(base, shape.steps, false)),
      flow: {
        kind: 'coupled',
        contour: altered(stepped(base, shape.steps, true)),
        tripUpper: trip('upper'),
        tripLower: trip('lower'),
        addedDrag: STEP_DRAG * shape.steps.reduce((s, p) => s + p.depth, 0),
        note: 'Stepped: computed with the bubble behind each step filled, its drag added from tests on steps. A step does not keep a section from stalling.',
      },
    };
  }
  if (shape.kind === 'blend') {
    const c = altered(blendOf(plainContour(shape.a, n), plainContour(shape.b, n), shape.share));
    return { outline: c, flow: coupled(c) };
  }
  const outline = altered(plainContour(shape, n));
  const line = thinLine(shape);
  if (!line) return { outline, flow: coupled(outline) };
  const flap = change?.flap,
    f = change?.camber ?? 1;
  const slope = (x: number) => f * line(x).slope - (flap && x > flap.hinge ? Math.tan(flap.angle) : 0);
  return {
    outline,
    flow: {
      kind: 'thin',
      slope,
      thickness: 'thickness' in shape ? shape.thickness * (change?.thickness ?? 1) : 0.003,
    },
  };
}

function withAdded(p: Polar, drag: number, note: string | null): Polar {
  if (drag === 0 && !note) return p;
  return {
    ...p,
    points: p.points.map((q) => ({ ...q, cd: q.cd + drag })),
    attachedCd: p.attachedCd.map((v) => v + drag),
    confidence: 'low',
    warnings: note ? [...p.warnings, note] : p.warnings,
  };
}

/** Polar of a shape's flow model, a step's own drag not in it: what is kept and handed about by its key. */
export function flowPolar(model: SectionModel, reynolds: number, options?: Partial<PolarOptions>): Polar {
  const { flow } = model;
  if (flow.kind === 'thin') return platePolar(flow.slope, flow.thickness, reynolds);
  const o = modelOptions(model, options);
  if (reynolds >= LEAST_COUPLED) return polarOf(flow.contour, reynolds, o);
  const key = polarKey(flow.contour, reynolds, { ...o, low: true }),
    kept = recallPolar(key);
  if (kept) return kept;
  const low = lowReynoldsPolar(flow.contour, reynolds, o);
  rememberPolar(key, low);
  return low;
}

/** Whether a shape's polar is more than its flow's: a step's drag, a flap set further than the flow follows. */
export function addsToFlow({ flow, beyond }: SectionModel): boolean {
  return beyond !== null || (flow.kind === 'coupled' && (flow.addedDrag > 0 || flow.note !== null));
}

/** Polar of a shape at one Reynolds number, by the method that fits it. */
export function modelPolar(model: SectionModel, reynolds: number, options?: Partial<PolarOptions>): Polar {
  const { flow, beyond } = model,
    p = flowPolar(model, reynolds, options);
  if (flow.kind === 'thin') return p;
  const built = withAdded(p, flow.addedDrag, flow.note);
  return beyond ? movedPolar(built, beyond) : built;
}

/** Key of a flow model's polar. */
export function flowKey(model: SectionModel, reynolds: number): string | null {
  if (model.flow.kind === 'thin') return null;
  const o = modelOptions(model);
  return polarKey(model.flow.contour, reynolds, reynolds < LEAST_COUPLED ? { ...o, low: true } : o);
}

/** Options of the coupled solution for a shape: its own trips, and the asker's where they come first. */
export function modelOptions(model: SectionModel, options: Partial<PolarOptions> = {}): PolarOptions {
  const o: PolarOptions = { ...FREE, step: (1.5 * Math.PI) / 180, ...options };
  if (model.flow.kind === 'coupled') {
    o.tripUpper = Math.min(o.tripUpper, model.flow.tripUpper);
    o.tripLower = Math.min(o.tripLower, model.flow.tripLower);
  }
  return o;
}

/** Polars of a shape over Reynolds numbers, ascending. */
export function modelPolars(
  model: SectionModel,
  reynolds: readonly number[],
  options?: Partial<PolarOptions>,
): PolarSet {
  const { flow, beyond } = model;
  if (beyond) return movedSet(modelPolars({ ...model, beyond: null }, reynolds, options), beyond);
  if (flow.kind === 'thin') {
    const t = thinAirfoil(flow.slope);
    return { polars: reynolds.map((re) => modelPolar(model, re)), zeroLift: t.zeroLift, moment: t.moment };
  }
  if (reynolds.every((re) => re >= LEAST_COUPLED) && flow.addedDrag === 0)
    return polarSet(flow.contour, reynolds, modelOptions(model, options));
  return {
    polars: reynolds.map((re) => modelPolar(model, re, options)).filter((p) => p.attachedCl.length > 1),
    ...freeMoments(solveInviscid(flow.contour)),
  };
}

/** The drawing with building errors put in; thin shapes take the camber error on their line. */
export function warpedModel(model: SectionModel, e: BuildErrors): SectionModel {
  const outline = warped(model.outline, e);
  if (model.flow.kind === 'thin') {
    const { slope, thickness } = model.flow;
    return {
      ...model,
      outline,
      flow: {
        kind: 'thin',
        slope: (x) => slope(x) + 4 * e.camber * (1 - 2 * x),
        thickness: thickness * (1 + e.thickness),
      },
    };
  }
  return { ...model, outline, flow: { ...model.flow, contour: warped(model.flow.contour, e) } };
}

export interface AnalysedPoint {
  alpha: number;
  converged: boolean;
  point: FlowPoint | null;
}
export interface Analysis {
  readonly points: readonly AnalysedPoint[];
  readonly clMax: number | null;
  /** [rad] */ readonly alphaClMax: number | null;
  readonly confidence: Polar['confidence'];
  readonly warnings: readonly string[];
}

const MIXED = [
  'cl',
  'cd',
  'cm',
  'transitionUpper',
  'transitionLower',
  'separationUpper',
  'separationLower',
] as const;

/** Between the two points on either side of an angle; null outside the polar. */
function pointAt({ points }: Polar, alpha: number): FlowPoint | null {
  const i = points.findIndex((q) => q.alpha >= alpha);
  if (i < 1) return points[0]?.alpha === alpha ? points[0] : null;
  const [a, b] = [points[i - 1], points[i]],
    t = (alpha - a.alpha) / (b.alpha - a.alpha);
  const between = Object.fromEntries(MIXED.map((k) => [k, a[k] + t * (b[k] - a[k])]));
  return { ...a, ...between, alpha };
}

/** What a polar says at given angles. */
function analysisOf(p: Polar, alphas: readonly number[]): Analysis {
  return {
    points: alphas.map((alpha) => {
      const point = pointAt(p, alpha);
      return { alpha, converged: point !== null, point };
    }),
    clMax: p.clMax,
    alphaClMax: p.alphaStall,
    confidence: p.confidence,
    warnings: p.warnings,
  };
}

/**
 * A shape at given angles, and its largest lift; the latter is walked to when the angles do not reach it.
 * @param alphas [rad]
 */
export function analyseModel(
  model: SectionModel,
  reynolds: number,
  alphas: readonly number[],
  options: Partial<PolarOptions> = {},
  hooks: SweepHooks = {},
): Analysis {
  const { flow } = model;
  const sorted = [...alphas].sort((a, b) => a - b);
  if (model.beyond) return analysisOf(modelPolar(model, reynolds, options), sorted);
  const low =
    flow.kind === 'coupled' && reynolds < LEAST_COUPLED ? modelPolar(model, reynolds, options) : null;
  if (flow.kind === 'thin' || (low && low.points.every((q) => q.how === 'table'))) {
    const p =
      flow.kind === 'thin'
        ? platePolar(flow.slope, flow.thickness, reynolds, sorted)
        : isSharp(flow.contour)
          ? platePolar(contourSlope(flow.contour), contourFacts(flow.contour).thickness, reynolds, sorted)
          : subcriticalPolar(flow.contour, reynolds, sorted);
    return {
      points: p.points.map((q) => ({ alpha: q.alpha, converged: true, point: q })),
      clMax: p.clMax,
      alphaClMax: p.alphaStall,
      confidence: 'low',
      warnings: p.warnings,
    };
  }
  const o = modelOptions(model, options);
  const prep = prepareContour(flow.contour);
  const settled = analyseAngles(prep, reynolds, sorted, o, hooks).map((p) => p.point);
  const { points: held, stall } = heldAtNose(settled, prep.basis, reynolds);
  const points = held.map((point, i) => ({
    alpha: sorted[i],
    converged: point !== null,
    point: point && { ...point, cd: point.cd + flow.addedDrag },
  }));
  const found = largestLift(points.flatMap((p) => (p.point ? [p.point] : [])));
  const missed = points.filter((p) => !p.converged).length;
  const warnings = [
    ...(flow.note ? [flow.note] : []),
    ...(missed > 0 ? [`${missed} of ${points.length} angles did not settle.`] : []),
    ...(stall ? [NOSE_STALL] : []),
  ];
  const inside = stall ?? (found?.inside ? found : null);
  const top = inside
    ? { cl: inside.cl, alpha: inside.alpha }
    : topOf(polarOf(flow.contour, reynolds, o, prep));
  return {
    points,
    clMax: top?.cl ?? null,
    alphaClMax: top?.alpha ?? null,
    confidence:
      flow.note || low
        ? 'low'
        : reynolds < 6e4 || (stall && reynolds < 1e6) || missed > points.length / 6
          ? 'fair'
          : 'good',
    warnings,
  };
}

function topOf(p: Polar): { cl: number; alpha: number } | null {
  return p.attachedCl.length > 1 ? { cl: p.clMax, alpha: p.alphaStall } : null;
}
