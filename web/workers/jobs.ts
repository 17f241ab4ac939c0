/** What the page may ask of the core's worker, and what comes back. */
import type { Entrant, FieldResult, Fix, Ledger, PolarTask, UnderRules } from '@skiametra/core/assess';
import type { Cell, Scored, Worth } from '@skiametra/core/trade';
import type { Said } from '@skiametra/core/words';
import type {
  GrowthReport,
  LayoutAdvice,
  LayoutReport,
  MissionReport,
  PowerReport,
  ByMass,
  RotorReport,
  SoldReport,
  StructureReport,
  SwapEffect,
  Trial,
} from '@skiametra/core/views';
import type {
  BenchBody,
  Brief,
  Calibration,
  Design,
  DesignDocument,
  Handling,
  LoadPlan,
  LoadTest,
  Section,
  Study,
  Swap,
} from '@skiametra/core/design';
import type { DropSpread, Falling } from '@skiametra/core/mission';
import type { MatchRow, MatchSlice, MatchTask, PartsList, RubberTrial } from '@skiametra/core/power';
import type { BenchResult } from '@skiametra/core/trial';
import type { FlowPicture, Polar } from '@skiametra/core/section';
import type { LogFormat } from '@skiametra/devices';
import type { ArmVerdict, SoldKind } from '@skiametra/core/structure';
import type { Advice, CalibrationResult, Effect, Explained, Observed } from '@skiametra/core/refine';

export type Job =
  | { task: 'assess'; document: DesignDocument }
  /** the numbers at once, with the uncertainties of the last assessment; null when they cannot be had that way */
  | { task: 'assessQuickly'; document: DesignDocument }
  /** polars that an assessment will want and this worker does not have */
  | { task: 'missing'; document: DesignDocument }
  /** polars computed elsewhere */
  | { task: 'remember'; entries: [key: string, polar: Polar][] }
  | { task: 'polar'; spec: PolarSpec }
  | {
      task: 'pictures';
      section: Pick<Section, 'shape' | 'change'>;
      reynolds: number;
      alphas: number[];
      nCrit: number;
      tripUpper: number;
      tripLower: number;
    }
  | { task: 'calibrate'; prior: Calibration; observed: Observed[]; from: string[] }
  | { task: 'effect'; document: DesignDocument; fix: Fix }
  | { task: 'explain'; before: DesignDocument; after: DesignDocument; keys: string[] }
  | {
      task: 'advise';
      document: DesignDocument;
      ledger: Ledger;
      notes: { loading: string; handling: Handling[]; test: string }[];
    }
  /** shape, stall, stability and balance of one state */
  | {
      task: 'layout';
      document: DesignDocument;
      ledger: Ledger;
      loading: string;
      stall: 'level' | 'sideslip' | 'rolling' | 'turn';
    }
  | { task: 'layoutAdvice'; document: DesignDocument; ledger: Ledger; loading: string }
  | { task: 'growth'; document: DesignDocument }
  /** another layout drawn at the size of this one */
  | { task: 'template'; design: Design; id: string }
  /** the drive of one state */
  | { task: 'power'; document: DesignDocument; ledger: Ledger; loading: string }
  /** what the wing bears in one state; null where nothing is drawn */
  | { task: 'structure'; document: DesignDocument; loading: string }
  | { task: 'byMass'; document: DesignDocument; loading: string }
  | { task: 'rotors'; document: DesignDocument; ledger: Ledger; loading: string }
  /** a mission, flown by the state that is looked at where it names none */
  | { task: 'mission'; document: DesignDocument; ledger: Ledger; loading: string; mission: string }
  /** some drops of a footprint */
  | { task: 'drops'; drop: Falling; spread: DropSpread; count: number; seed: number }
  /** members that are sold, for the place of one of the wing's */
  | { task: 'sold'; document: DesignDocument; member: string; kind: SoldKind }
  /** a load test of the wing, planned; null where nothing bears */
  | { task: 'loadPlan'; document: DesignDocument; loading: string; load: LoadTest }
  | { task: 'fitSwap'; document: DesignDocument; ledger: Ledger; swap: Swap }
  | { task: 'rubberAdvice'; document: DesignDocument; loading: string }
  /** a run of combinations of parts */
  | { task: 'match'; parts: PartsList; match: MatchTask; from: number; to: number }
  | { task: 'matchOne'; parts: PartsList; match: MatchTask; index: number }
  /** what combinations of parts score */
  | { task: 'scores'; document: DesignDocument; loading: string; changes: PathChange[][] }
  /** what one step of every input is worth in a state, and what limits the score */
  | { task: 'worth'; document: DesignDocument; state: string }
  /** some cells of a study */
  | { task: 'cells'; document: DesignDocument; study: StudyAsked; indices: readonly number[] }
  /** the best of them, with every limit held against it */
  | { task: 'winner'; document: DesignDocument; study: StudyAsked; cells: (Cell | null)[] }
  /** a person's own designs as if they were the whole field */
  | { task: 'field'; brief: Brief; entrants: Entrant[] }
  /** the same design under other rules */
  | { task: 'rules'; document: DesignDocument; others: { name: string; brief: Brief }[] }
  | { task: 'tryChanges'; document: DesignDocument; changes: { path: string; value: unknown }[] }
  | { task: 'bench'; document: DesignDocument; bench: BenchBody; temperature: number }
  | { task: 'fly'; document: DesignDocument; loading: string; laps: number; seed: number; format: LogFormat };

/** Paths under `design`. */
export interface PathChange {
  path: string;
  value: unknown;
}
export type StudyAsked = Pick<Study, 'axes' | 'state' | 'show'>;

/** One polar of a shape, as drawn or with building errors. */
export interface PolarSpec {
  section: Pick<Section, 'shape' | 'change'>;
  reynolds: number;
  nCrit?: number;
  tripUpper?: number;
  tripLower?: number;
  errors?: { thickness: number; camber: number; nose: number; edge: number };
  /** of the flow alone, as an assessment keeps it */ flow?: true;
}

export interface Answers {
  assess: Ledger;
  assessQuickly: Ledger | null;
  missing: PolarTask[];
  remember: number;
  polar: { key: string; polar: Polar };
  pictures: (FlowPicture | null)[];
  calibrate: CalibrationResult;
  effect: Effect[];
  explain: Explained[];
  advise: Advice[];
  /** null without a wing */ layout: LayoutReport | null;
  /** null where it neither runs nor is thrown */ byMass: ByMass | null;
  /** null where no rotor lifts */ rotors: RotorReport | null;
  /** null where there is no such mission */ mission: MissionReport | null;
  drops: Float64Array;
  layoutAdvice: LayoutAdvice;
  growth: GrowthReport;
  template: Design;
  power: PowerReport;
  structure: { wing: StructureReport | null; arms: readonly ArmVerdict[] };
  sold: SoldReport | null;
  loadPlan: LoadPlan | null;
  fitSwap: SwapEffect;
  rubberAdvice: RubberTrial[];
  match: MatchSlice;
  matchOne: MatchRow;
  scores: Scored[];
  worth: { worth: Worth; limits: Said };
  cells: Cell[];
  winner: { cells: (Cell | null)[]; best: number | null };
  field: FieldResult;
  rules: UnderRules[];
  tryChanges: Trial;
  bench: BenchResult;
  fly: string;
}

export type Reply =
  | { id: number; status: 'done'; value: Answers[Job['task']] }
  | { id: number; status: 'failed'; message: string };
