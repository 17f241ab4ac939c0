/** Chance that the ground run stays inside the strip, from the prediction and its uncertainty taken as normal. */
import type { Brief, Design } from '../design';
import { normalCdf } from '../numeric';
import type { LedgerEntry } from './ledger';
import { QUANTITIES, inputsOf } from '../steps';

export function stripChances(brief: Brief, design: Design, entries: readonly LedgerEntry[]): LedgerEntry[] {
  const def = QUANTITIES.stripChance;
  return design.states.flatMap((l) => {
    const run = entries.find((e) => e.id === 'groundRun' && e.state === l.id);
    if (!run) return [];
    const value =
      run.sigma > 0
        ? normalCdf((brief.site.stripLength - run.value) / run.sigma)
        : Number(run.value <= brief.site.stripLength);
    return [
      {
        id: 'stripChance' as const,
        state: l.id,
        value,
        sigma: 0,
        kind: def.kind,
        method: def.method,
        inputs: inputsOf(def),
        warnings: [],
        shares: run.shares.map(() => 0),
        inputShares: run.inputShares.map(() => 0),
      },
    ];
  });
}
