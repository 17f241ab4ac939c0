/** Load cases as they are called on the screen. */
import type { CaseId } from '@skiametra/core/structure';

export const CASE_NAMES: Readonly<Record<CaseId, string>> = {
  pull: 'Pull, at the stall',
  'fast-pull': 'Pull, at the fastest',
  'gust-up': 'Gust from below',
  'rolling-pull': 'Pull with ailerons',
  push: 'Push, at the stall',
  'fast-push': 'Push, at the fastest',
  'gust-down': 'Gust from above',
  'tip-lift': 'Lifted by its tips',
};
