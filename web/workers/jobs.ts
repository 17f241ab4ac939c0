/** What the page may ask of the core's worker, and what comes back. */
import type { Fix, Ledger } from '@skiametra/core/assess';
import type { Calibration, DesignDocument, Handling } from '@skiametra/core/design';
import type { Advice, CalibrationResult, Effect, Explained, Observed } from '@skiametra/core/refine';

export type Job =
  | { task: 'assess'; document: DesignDocument }
  | { task: 'calibrate'; prior: Calibration; observed: Observed[]; from: string[] }
  | { task: 'effect'; document: DesignDocument; fix: Fix }
  | { task: 'explain'; before: DesignDocument; after: DesignDocument; keys: string[] }
  | { task: 'advise'; document: DesignDocument; ledger: Ledger; notes: { loading: string; handling: Handling[]; test: string }[] }
  | { task: 'fly'; document: DesignDocument; loading: string; laps: number; seed: number };

export interface Answers {
  assess: Ledger;
  calibrate: CalibrationResult;
  effect: Effect[];
  explain: Explained[];
  advise: Advice[];
  fly: string;
}

export type Reply = { id: number; status: 'done'; value: Answers[Job['task']] } | { id: number; status: 'failed'; message: string };
