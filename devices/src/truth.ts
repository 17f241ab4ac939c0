/** How a flown aircraft differs from its drawing; the person does not see it. */
import type { FactorId } from '@skiametra/core/design';

export type Truth = Partial<Record<FactorId, number>>;

/** The demo aircraft as it really is: draggier, a little less thrust, balance as drawn. */
export const DEMO_TRUTH: Truth = {
  dragArea: 1.17,
  thrust: 0.95,
  electricalLoss: 1.12,
  capacity: 0.96,
  clMax: 0.95,
  neutralPoint: 0.985,
};
