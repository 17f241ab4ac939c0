/** What the parts of the power report share: one state of one run, with its drives. */
import { type Air } from '../../air';
import { type Brief, type Design, type Factors, type State } from '../../design';
import { type MassState } from '../../mass';
import { type Drive } from '../../power';
import { type Airframe } from '../../steps';
import { type Ledger } from '../../assess';
import type { Run } from '../../assess';

export interface Scene {
  brief: Brief;
  design: Design;
  run: Run;
  air: Air;
  area: number;
  frame: Airframe;
  f: Factors;
  ledger: Ledger;
  loading: State;
  state: MassState;
  drive: Drive | null;
  lift: Drive | null;
  speed: number;
  stall: number;
  drag(speed: number, lift?: number): number;
}

/** Where the least power holds it up, with a margin over the stall [m/s]. */
export function slowSpeed(s: Scene): number {
  let best = 1.2 * s.stall,
    least = Infinity;
  for (let k = 0; k < 12; k++) {
    const v = s.stall * (1.2 + 0.06 * k),
      p = s.drag(v) * v;
    if (p < least) {
      least = p;
      best = v;
    }
  }
  return best;
}
