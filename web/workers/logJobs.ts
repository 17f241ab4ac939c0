/** What the page may ask of the worker that holds a log, and what comes back. */
import type { LogColumn } from '@skiametra/core/design';
import type { ChannelId, Fault, Flown, LogResult, Segment } from '@skiametra/core/log';
import type { Course, LegReading } from '@skiametra/core/trial';

/** A table as it was read: for the step in which a person says what its columns are. */
export interface TableHead {
  readonly names: readonly string[];
  readonly delimiter: string;
  readonly decimal: '.' | ',';
  /** lines before the values */ readonly before: number;
  /** first rows, as written */ readonly rows: readonly (readonly string[])[];
  readonly columns: readonly LogColumn[];
}

export interface Opened {
  readonly rows: number;
  /** [s] */ readonly length: number;
  readonly begun: string | null;
  readonly channels: readonly ChannelId[];
  /** null of a format that says so itself */ readonly table: TableHead | null;
}

/** Traces that are not columns of the file: airspeed as it came out, climb by the height. */
export type TraceId = ChannelId | 'air' | 'climbing';

export interface Line {
  readonly t: readonly number[];
  /** NaN where nothing is known */ readonly v: readonly number[];
}

export interface Reduced {
  readonly faults: readonly Fault[];
  readonly counts: Readonly<Record<string, number>>;
  readonly segments: readonly Segment[];
  /** legs of the mission in it, in time */ readonly legs: readonly {
    readonly leg: string;
    readonly name: string;
    readonly from: number;
    readonly to: number;
  }[];
  readonly legReadings: readonly LegReading[];
  readonly results: readonly LogResult[];
  readonly traces: readonly TraceId[];
  /** way over ground, thinned */ readonly way: {
    readonly t: number[];
    east: number[];
    north: number[];
  } | null;
  /** towards which the wind blows [m/s] */ readonly wind: {
    readonly east: number;
    readonly north: number;
  } | null;
  readonly letGo: readonly { readonly t: number; name: string; east: number; north: number }[];
  /** largest and least load at speeds that were flown */ readonly loads: readonly {
    readonly speed: number;
    readonly load: number;
    readonly t: number;
  }[];
  /** steady glides: speed and sink */ readonly glides: readonly {
    readonly speed: number;
    readonly sink: number;
  }[];
}

export type LogJob =
  | { task: 'open'; file: Blob; columns: readonly LogColumn[] | null }
  | {
      task: 'reduce';
      flown: Flown;
      kept: readonly string[];
      segments: readonly Segment[] | null;
      /** whose legs are looked for */ course: Course | null;
    }
  | { task: 'trace'; ids: readonly TraceId[]; from: number; to: number };

export interface LogAnswers {
  open: { status: 'ok'; opened: Opened } | { status: 'error'; message: string };
  reduce: Reduced;
  trace: Partial<Record<TraceId, Line>>;
}

export type LogReply =
  | { id: number; status: 'progress'; bytes: number }
  | { id: number; status: 'done'; value: LogAnswers[LogJob['task']] }
  | { id: number; status: 'failed'; message: string };
