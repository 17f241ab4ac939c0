/**
 * What the two section factors do to the strips of a design. Their priors are those of the coupled method against published
 * tests; sheets and subcritical sections are computed from tests already, so that the correction is not theirs,
 * and what is known with low confidence is moved further by the same deviation: a wider prior.
 */
import { FACTORS, type Design, type Factors } from '../design';
import { clamp } from '../numeric';
import { nearestPolar, type Polar, type PolarSet } from '../section';

/** Widening of the spread by what the polars at the stall say of themselves. Common practice, no source. */
const WIDEN = { good: 1, fair: 1.4, low: 2.2 } as const;

export interface SectionTrust {
  /** the coupled method made the wing's polars */ coupled: boolean;
  widen: number;
  /** what the prior mean of the largest lift becomes for these sections */ lift: number;
}

const priorOf = (id: 'sectionDrag' | 'sectionLift') => FACTORS.find((f) => f.id === id)!.mean;

/** The published correction is the layer's: a nose that gives way first keeps its own measured bound. */
function liftPrior(p: Polar): number {
  const mean = priorOf('sectionLift');
  return p.layerClMax === undefined ? mean : clamp((mean * p.layerClMax) / p.clMax, mean, 1);
}

/** @param reynoldsOf of a chord, near the stall */
export function sectionTrust(
  design: Pick<Design, 'surfaces'>,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
): SectionTrust {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  const used = wing.stations.flatMap((st) => {
    const p = nearestPolar(polars.get(st.section)!, reynoldsOf(st.chord));
    return p ? [p] : [];
  });
  const coupled = used.some((p) => p.points.some((q) => q.how === 'solved'));
  return {
    coupled,
    widen: Math.max(1, ...used.map((p) => WIDEN[p.confidence])),
    lift: coupled ? used.reduce((sum, p) => sum + liftPrior(p) / used.length, 0) : 1,
  };
}

const acting = (trust: SectionTrust, mean: number, learnt: number, prior: number) =>
  Math.max(0.3, mean + trust.widen * (learnt - prior));

/** What multiplies the profile drag of the strips. */
export function actingDrag(f: Pick<Factors, 'sectionDrag'>, trust: SectionTrust): number {
  const prior = priorOf('sectionDrag');
  return acting(trust, trust.coupled ? prior : 1, f.sectionDrag, prior);
}

/** What multiplies the largest lift: of the whole, with that of the sections in it. */
export function actingLift(f: Pick<Factors, 'clMax' | 'sectionLift'>, trust: SectionTrust): number {
  return f.clMax * acting(trust, trust.lift, f.sectionLift, priorOf('sectionLift'));
}

/** Factors as they act: those of the sections by their trust. */
export function actingFactors(f: Factors, trust: SectionTrust): Factors {
  return { ...f, sectionDrag: actingDrag(f, trust), clMax: actingLift(f, trust) };
}
