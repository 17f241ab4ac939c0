/** Requirements held against the ledger: met, missed, or unproven while the uncertainty straddles the limit. */
import { hovers, type Brief, type Design, type Requirement } from '../design';
import { entryNamed, type Ledger } from './ledger';
import { ofHanging, quantityDef } from '../steps';
import { say, type Said } from '../words';

export interface RequirementCheck {
  requirement: Requirement;
  status: 'met' | 'unproven' | 'missed' | 'unknown';
  /** the worst loading */ state: string;
  value: number;
  sigma: number;
  /** distance inside the limit, SI; negative when missed */ margin: number;
  said: Said;
}

function marginOf(r: Requirement, x: number): number {
  const low = r.op === 'atMost' ? Infinity : x - r.min!;
  const high = r.op === 'atLeast' ? Infinity : r.max! - x;
  return Math.min(low, high);
}

/** What is asked of all states is asked of those that fly on a wing, or of those that hang where it is theirs. */
function asksOf(design: Design, state: Design['states'][number], quantity: string): boolean {
  return quantity === 'mass' || hovers(design, state) === ofHanging(quantity);
}

/** One check per requirement, at its worst loading. */
export function checkRequirements(brief: Brief, design: Design, ledger: Ledger): RequirementCheck[] {
  return brief.requirements.map((r) => {
    const def = quantityDef(r.quantity);
    const states =
      r.state === 'all'
        ? design.states.filter((l) => asksOf(design, l, r.quantity)).map((l) => l.id)
        : [r.state];
    const found = states.flatMap((s) => {
      const e = entryNamed(ledger, r.quantity, s);
      return e ? [e] : [];
    });
    if (!def || found.length === 0)
      return {
        requirement: r,
        status: 'unknown' as const,
        state: r.state,
        value: NaN,
        sigma: 0,
        margin: NaN,
        said: say('requirement-nameless', { quantity: r.quantity, state: r.state }),
      };
    const worst = found.reduce((a, e) => (marginOf(r, e.value) < marginOf(r, a.value) ? e : a));
    const margin = marginOf(r, worst.value);
    const status =
      margin < 0 ? ('missed' as const) : margin < worst.sigma ? ('unproven' as const) : ('met' as const);
    const name =
      worst.state === 'all' ? null : (design.states.find((l) => l.id === worst.state)?.name ?? worst.state);
    return {
      requirement: r,
      status,
      state: worst.state,
      value: worst.value,
      sigma: worst.sigma,
      margin,
      said: say('requirement', {
        op: r.op,
        min: r.min,
        max: r.max,
        name: def.name,
        kind: def.kind,
        state: name,
        value: worst.value,
        rule: r.rule,
      }),
    };
  });
}
