/** What a log says: each number with the segment it came from, its method, how many rows and its spread. */
import type { KindName } from '../units';

export type ResultId =
  | 'windSpeed'
  | 'windFrom'
  | 'airspeedFactor'
  | 'airspeed'
  | 'climbRate'
  | 'sinkRate'
  | 'glideRatio'
  | 'dragArea'
  | 'inducedFactor'
  | 'stallSpeed'
  | 'maxLoadFactor'
  | 'peakHeight'
  | 'powerToWeight'
  | 'endurance';

export interface LogResult {
  readonly id: ResultId;
  /** SI, radians */ readonly value: number;
  readonly sigma: number;
  readonly kind: KindName;
  /** name of its segment */ readonly segment: string;
  readonly method: string;
  readonly count: number;
}
