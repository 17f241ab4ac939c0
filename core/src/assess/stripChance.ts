/** Chance that the ground run stays inside the strip, from the prediction and its uncertainty taken as normal. */
import type { Brief, Design } from '../design';
import type { LedgerEntry } from './ledger';
import { QUANTITIES, inputsOf } from '../steps';

/** Standard normal distribution function; Abramowitz and Stegun 26.2.17, error below 7.5e-8. */
export function normalCdf(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI)) * poly;
  return x >= 0 ? 1 - tail : tail;
}

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
