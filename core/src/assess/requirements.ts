/** Requirements held against the ledger: met, missed, or unproven while the uncertainty straddles the limit. */
import { hovers, type Brief, type Design, type Requirement } from '../design';
import { formatQuantity } from '../units';
import { entryNamed, type Ledger } from './ledger';
import { quantityDef } from '../steps';

export interface RequirementCheck {
  requirement: Requirement;
  status: 'met' | 'unproven' | 'missed' | 'unknown';
  /** the worst loading */ state: string;
  value: number;
  sigma: number;
  /** distance inside the limit, SI; negative when missed */ margin: number;
  sentence: string;
}

function marginOf(r: Requirement, x: number): number {
  const low = r.op === 'atMost' ? Infinity : x - r.min!;
  const high = r.op === 'atLeast' ? Infinity : r.max! - x;
  return Math.min(low, high);
}

/** One check per requirement, at its worst loading. */
export function checkRequirements(brief: Brief, design: Design, ledger: Ledger): RequirementCheck[] {
  return brief.requirements.map((r) => {
    const def = quantityDef(r.quantity);
    const states =
      r.state === 'all'
        ? design.states.filter((l) => !hovers(l) || r.quantity === 'mass').map((l) => l.id)
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
        sentence: `A requirement names “${r.quantity}” in “${r.state}”, which this design does not have.`,
      };
    const worst = found.reduce((a, e) => (marginOf(r, e.value) < marginOf(r, a.value) ? e : a));
    const margin = marginOf(r, worst.value);
    const status =
      margin < 0 ? ('missed' as const) : margin < worst.sigma ? ('unproven' as const) : ('met' as const);
    const show = (x: number) => formatQuantity(x, def.kind, 'metric');
    const limit =
      r.op === 'atLeast'
        ? `at least ${show(r.min!)}`
        : r.op === 'atMost'
          ? `at most ${show(r.max!)}`
          : `${show(r.min!)} to ${show(r.max!)}`;
    const where =
      worst.state === 'all'
        ? ''
        : ` in ${design.states.find((l) => l.id === worst.state)?.name ?? worst.state}`;
    return {
      requirement: r,
      status,
      state: worst.state,
      value: worst.value,
      sigma: worst.sigma,
      margin,
      sentence: `${def.name}${where} is ${show(worst.value)}; ${limit} is asked${r.rule ? ` (${r.rule})` : ''}.`,
    };
  });
}
