/**
 * The costly steps that no calibration factor changes: section polars, lattice, drag tables.
 * Each is kept in the caller's cache under the key of its own inputs.
 */
import { airAt, type Air } from '../air';
import type { Brief, Design, SectionShape } from '../design';
import { contentKey } from '../numeric';
import { buildDragTable, type DragTable } from '../flight';
import { loadedState } from '../mass';
import { contourFacts, contourFromPoints, naca4, polarSet, type Contour, type ContourFacts, type PolarSet } from '../section';
import { bodyMomentSlope, linearAero, planformOf, solveLattice, type LatticeSolution, type Planform } from '../surface';

/** Results of earlier runs, by step and content. Owned by the caller. */
export type StepCache = Map<string, unknown>;
const CACHE_LIMIT = 400;

export function cached<T>(cache: StepCache, step: string, inputs: unknown, make: () => T): T {
  const key = `${step}:${contentKey(inputs)}`;
  if (cache.has(key)) return cache.get(key) as T;
  const value = make();
  if (cache.size >= CACHE_LIMIT) cache.delete(cache.keys().next().value!);
  cache.set(key, value);
  return value;
}

export interface Prepared {
  air: Air;
  contours: Map<string, Contour>;
  facts: Map<string, ContourFacts>;
  polars: Map<string, PolarSet>;
  wing: Planform;
  tail: Planform | null;
  fin: Planform | null;
  lattice: LatticeSolution;
  bodySlope: number;
  /** by loading id */ dragTables: Map<string, DragTable>;
}

/** Reynolds numbers at which polars are computed; in between they are interpolated in log Re. */
export const POLAR_REYNOLDS = [4e4, 8e4, 1.6e5, 3.2e5, 6.4e5];

export function contourOf(shape: SectionShape): Contour {
  return shape.kind === 'naca4' ? naca4(shape.digits) : contourFromPoints(shape.points);
}

/** @throws DomainError from a section or a lattice that cannot be computed */
export function prepare(brief: Brief, design: Design, cache: StepCache): Prepared {
  const air = airAt(brief.site.elevation, brief.site.temperature);
  const contours = new Map<string, Contour>(), facts = new Map<string, ContourFacts>(), polars = new Map<string, PolarSet>();
  for (const s of design.sections) {
    const c = cached(cache, 'contour', s.shape, () => contourOf(s.shape));
    contours.set(s.id, c);
    facts.set(s.id, cached(cache, 'facts', s.shape, () => contourFacts(c)));
    polars.set(s.id, cached(cache, 'polars', [s.shape, POLAR_REYNOLDS], () => polarSet(c, POLAR_REYNOLDS)));
  }
  const by = (role: string) => design.surfaces.find((s) => s.role === role);
  const wing = planformOf(by('wing')!);
  const tail = by('tail') ? planformOf(by('tail')!) : null;
  const fin = by('fin') ? planformOf(by('fin')!) : null;
  const shapes = contentKey([design.surfaces, design.sections]);
  const drag = contentKey([shapes, design.body, design.dragItems, air]);
  const lattice = cached(cache, 'lattice', shapes, () => solveLattice(design, contours));
  const bodySlope = bodyMomentSlope(design.body, wing.area, wing.mac);
  const aero = linearAero(lattice, bodySlope, 0);
  const dragTables = new Map<string, DragTable>();
  for (const l of design.loadings) {
    const cgX = Math.round(loadedState(design, l, 'best', 1).x * 500) / 500;
    dragTables.set(l.id, cached(cache, 'drag', [drag, cgX], () => buildDragTable(design, aero, cgX, polars, air)));
  }
  return { air, contours, facts, polars, wing, tail, fin, lattice, bodySlope, dragTables };
}
