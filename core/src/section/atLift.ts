/**
 * The flow over a section at one lift coefficient, read off its polar: what a section costs where a wing works.
 *
 * Between two angles all numbers follow the lift linearly; nothing is read past the largest lift.
 */
import type { Polar } from './polar';

export interface FlowAtLift {
  /** [rad] */ readonly alpha: number;
  readonly cd: number;
  /** about the quarter chord, nose up positive */ readonly cm: number;
  /** share of the chord that is laminar */ readonly laminarUpper: number;
  readonly laminarLower: number;
  /** angle left to the largest lift [rad] */ readonly toStall: number;
}

/**
 * @param lift lift coefficient [-]
 * @returns null where the section does not reach that lift before its stall
 * Source: linear interpolation, common practice.
 */
export function flowAtLift(polar: Polar, lift: number): FlowAtLift | null {
  const attached = polar.points.filter((p) => !p.stalled && p.how !== 'extended');
  for (let i = 1; i < attached.length; i++) {
    const a = attached[i - 1],
      b = attached[i];
    if (!(b.cl > a.cl && lift >= a.cl && lift <= b.cl)) continue;
    const share = (lift - a.cl) / (b.cl - a.cl);
    const at = (key: Numbers) => a[key] + share * (b[key] - a[key]);
    return {
      alpha: at('alpha'),
      cd: at('cd'),
      cm: at('cm'),
      laminarUpper: at('transitionUpper'),
      laminarLower: at('transitionLower'),
      toStall: polar.alphaStall - at('alpha'),
    };
  }
  return null;
}
type Numbers = 'alpha' | 'cd' | 'cm' | 'transitionUpper' | 'transitionLower';
