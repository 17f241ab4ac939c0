/** What the flown aircraft and its day really are: the person does not see it. SI. */

export interface FlightTruth {
  /** [kg] */ readonly mass: number;
  /** [m2] */ readonly area: number;
  /** [kg/m3] */ readonly density: number;
  /** without lift [m2] */ readonly dragArea: number;
  /** drag coefficient per square of lift coefficient */ readonly inducedFactor: number;
  readonly stallSpeed: number;
  /** towards which it blows [m/s] */ readonly windEast: number;
  readonly windNorth: number;
  readonly groundRun: number;
  readonly landingRun: number;
  readonly liftOffSpeed: number;
  readonly climbRate: number;
  readonly climbSpeed: number;
  readonly lapSpeed: number;
  /** in level turns [rad] */ readonly turnBank: number;
  /** pack under full throttle, and on the level [W] */ readonly fullPower: number;
  readonly lapPower: number;
  readonly hoverPower: number;
  /** of the pack at rest, and its resistance [ohm] */ readonly volts: number;
  readonly packResistance: number;
  /** by which the airspeed sensor's reading is too small */ readonly airspeedFactor: number;
}

/** What is flown, one after another. */
export type Manoeuvre =
  | { readonly kind: 'stand'; readonly seconds: number }
  | { readonly kind: 'run' }
  | { readonly kind: 'climb'; readonly to: number }
  | { readonly kind: 'circles'; readonly rounds: number }
  | { readonly kind: 'laps'; readonly count: number; readonly straight: number }
  | { readonly kind: 'straight'; readonly seconds: number }
  | { readonly kind: 'turn'; readonly by: number }
  | { readonly kind: 'glide'; readonly speed: number; readonly seconds: number }
  | { readonly kind: 'stall' }
  | { readonly kind: 'pull'; readonly load: number }
  | { readonly kind: 'mark'; readonly name: string }
  | { readonly kind: 'rise'; readonly to: number }
  | { readonly kind: 'hover'; readonly seconds: number }
  | { readonly kind: 'sink' }
  | { readonly kind: 'land' };

/** What a logger does to what it sees. Deterministic for its seed. */
export interface LoggerFaults {
  /** rows left out at a time, seconds each */ readonly gaps: number;
  readonly spikes: number;
  /** seconds in which the fix stands still, in the air */ readonly frozen: number;
  /** rows written twice */ readonly repeats: number;
  /** pairs of rows in the wrong order */ readonly swaps: number;
}

export const NO_FAULTS: LoggerFaults = { gaps: 0, spikes: 0, frozen: 0, repeats: 0, swaps: 0 };
