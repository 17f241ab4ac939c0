/** Outlines and polars of the sections, at the Reynolds numbers that the aircraft meets. */
import { airAt, G0 } from '../air';
import { hasWing, type Design, type Section } from '../design';
import { DomainError } from '../numeric';
import {
  addsToFlow,
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
import { configured, heaviestState, itemPoints } from '../mass';
import { drooped, referencePlanform } from '../surface';
import { heaviest } from './balance';
import { step } from './step';
import { part } from './quantity';

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
function fliesSlow(mass: number, surfaces: Design['surfaces']): boolean {
  const wing = referencePlanform(surfaces),
    air = airAt(0);
  const speed = Math.sqrt((2 * mass * G0) / (air.density * wing.area * 1.2));
  const chord = Math.min(...surfaces.flatMap((s) => s.stations.map((p) => p.chord)));
  return (speed * chord * air.density) / air.viscosity < 0.9 * POLAR_REYNOLDS[0];
}

/** Reynolds numbers of a section's polars. */
function reynoldsFor(slow: boolean, model: SectionModel): number[] {
  if (model.flow.kind !== 'coupled') return [...SHEET_REYNOLDS, ...POLAR_REYNOLDS];
  return slow ? [...SLOW_REYNOLDS, ...POLAR_REYNOLDS] : POLAR_REYNOLDS;
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
  /** what is kept is the flow alone: a step's drag, or a flap's further angle, is added each time it is read */ flow?: true;
}

/**
 * The polars of a design that are not in memory: to be computed elsewhere first, side by side. A section that
 * cannot be drawn has none.
 */
export function missingPolars(design: Design): PolarTask[] {
  const out = new Map<string, PolarTask>(),
    mass = heaviestState(itemPoints(design, 'best', 1), design).mass;
  if (!hasWing(design)) return [];
  const slow = fliesSlow(mass, design.surfaces);
  for (const { shape, change } of sectionsFlown(design)) {
    let model: SectionModel;
    try {
      model = modelOf({ shape, change }, TABLE_POINTS);
    } catch {
      continue;
    }
    if (model.flow.kind !== 'coupled') continue;
    for (const reynolds of reynoldsFor(slow, model)) {
      const key = flowKey(model, reynolds);
      if (!key || recallPolar(key)) continue;
      const task = { key, section: { shape, change }, reynolds };
      out.set(key, addsToFlow(model) ? { ...task, flow: true } : task);
    }
  }
  return [...out.values()];
}

/** With those of every state that sets its flaps. */
function sectionsFlown(design: Design): Section[] {
  const all = design.states.flatMap((s) => drooped(configured(design, s), s.flaps).sections);
  return [...new Map([...design.sections, ...all].map((s) => [s.id, s])).values()];
}

/** Computes one of them. @throws DomainError */
export function computePolar(task: PolarTask): Polar {
  return flowPolar(modelOf(task.section, TABLE_POINTS), task.reynolds);
}

/** By section id. */
export interface Sections {
  readonly contours: ReadonlyMap<string, Contour>;
  readonly facts: ReadonlyMap<string, ContourFacts>;
  readonly polars: ReadonlyMap<string, PolarSet>;
}

/** Whether polars of the least Reynolds numbers are wanted too. */
const slowness = step({
  id: 'slowness',
  scope: 'all',
  needs: { heaviest },
  byContent: true,
  slice: ({ design: { surfaces } }) => ({ surfaces }),
  run: ({ heaviest }, { surfaces }) => ({
    slow: hasWing({ surfaces }) && fliesSlow(heaviest.mass, surfaces),
  }),
});

export const sections = step({
  id: 'sections',
  scope: 'all',
  needs: { slowness },
  keeps: 24,
  slice: ({ design, flaps }) => ({
    sections: drooped(design, flaps).sections.map(({ id, shape, change }) => ({ id, shape, change })),
  }),
  run: ({ slowness: { slow } }, slice, _causes, keep): Sections => {
    const contours = new Map<string, Contour>(),
      facts = new Map<string, ContourFacts>(),
      polars = new Map<string, PolarSet>();
    for (const s of slice.sections) {
      const inputs = [s.shape, s.change ?? null];
      const model = keep('contour', inputs, () => modelOf(s, TABLE_POINTS));
      contours.set(s.id, model.lifting);
      facts.set(
        s.id,
        keep('facts', inputs, () => contourFacts(model.lifting)),
      );
      const wanted = reynoldsFor(slow, model);
      const set = keep('polars', [inputs, wanted], () => modelPolars(model, wanted));
      if (set.polars.length === 0)
        throw new DomainError('no-flow', 'no flow about a section could be found; look at its outline', {
          section: s.id,
        });
      polars.set(s.id, set);
    }
    return { contours, facts, polars };
  },
});

export const SECTIONS_PART = part([slowness, sections], {});
