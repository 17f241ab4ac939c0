/** A polar as it is asked for: of a shape as it is read, or of its flow alone as an assessment keeps it. */
import { computePolar, modelOf } from '@skiametra/core/assess';
import { modelPolar, TABLE_POINTS, warpedModel, type Polar } from '@skiametra/core/section';
import type { PolarSpec } from './jobs';

/** @throws DomainError for a shape that cannot be drawn */
export function polarOfSpec(spec: PolarSpec): Polar {
  const { section, reynolds, nCrit = 9, tripUpper = 1, tripLower = 1, errors } = spec;
  if (spec.flow) return computePolar({ key: '', section, reynolds });
  const drawn = modelOf(section, TABLE_POINTS);
  return modelPolar(errors ? warpedModel(drawn, errors) : drawn, reynolds, { nCrit, tripUpper, tripLower });
}
