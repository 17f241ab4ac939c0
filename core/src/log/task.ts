/** What a reduction works with, made once. */
import { airAt } from '../air';
import type { AirData } from './airData';
import type { FlightLog } from './channels';
import type { SteadyGlide } from './glideResults';
import type { Motion } from './motion';
import { startHeight, type Segment } from './phases';

/** What is known of the aircraft that flew; null where it is not. */
export interface Flown {
  /** [kg] */ readonly mass: number | null;
  /** [m2] */ readonly area: number | null;
  /** [kg/m3]; null: the standard air at the log's height */ readonly density: number | null;
}

export interface ReduceTask {
  readonly log: FlightLog;
  readonly motion: Motion;
  readonly segments: readonly Segment[];
  readonly air: AirData;
  /** steady ones */ readonly glides: readonly SteadyGlide[];
  readonly flown: Flown;
}

export const longest = (segments: readonly Segment[], kind: Segment['kind']): Segment | undefined =>
  segments.filter((s) => s.kind === kind).sort((a, b) => b.to - b.from - (a.to - a.from))[0];

export const densityOf = ({ motion, flown }: ReduceTask): number =>
  flown.density ?? airAt(Number.isFinite(startHeight(motion)) ? startHeight(motion) : 0).density;
