import { contentKey } from '@skiametra/core/numeric';
import type { PolarSpec } from './jobs';

/** Raised when the method changes, so that kept polars of an older one are not found. */
const METHOD = 'coupled-2';

/** Key of a polar by everything that was asked. */
export function specKey(spec: PolarSpec): string {
  return `shape-${contentKey([METHOD, spec.section.shape, spec.section.change ?? null, Math.round(spec.reynolds), spec.nCrit ?? 9, spec.tripUpper ?? 1, spec.tripLower ?? 1, spec.errors ?? null, ...(spec.flow ? ['flow'] : [])])}`;
}
