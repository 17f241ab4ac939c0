/** The stop line of a flight card: which computed limits the planned state is outside of. */
import type { Brief, Design } from '../design';
import { entryOf, type Ledger } from '../assess';

/** Sentences in the order of danger; empty when the card may be flown. */
export function stopLine(brief: Brief, design: Design, ledger: Ledger, loading: string): string[] {
  if (ledger.stopped) return [ledger.stopped];
  const at = (id: string) => entryOf(ledger, id, loading)?.value ?? NaN;
  const out: string[] = [];
  const s = design.structure;
  const need = s.requiredLoadFactor * s.safetyFactor;
  if (!(at('failLoadFactor') >= need))
    out.push(
      `The wing is computed to break at ${at('failLoadFactor').toFixed(1)} g in this loading; ${need.toFixed(1)} g is asked (${s.requiredLoadFactor} g with factor ${s.safetyFactor}).`,
    );
  if (!(at('failLoadFactorDown') >= s.requiredNegative * s.safetyFactor))
    out.push(`Downward the wing is computed to break at ${at('failLoadFactorDown').toFixed(1)} g.`);
  const margin = at('staticMargin');
  if (!(margin >= design.flight.marginMin))
    out.push(
      `The CG is behind the aft limit: static margin ${(margin * 100).toFixed(1)} %, at least ${(design.flight.marginMin * 100).toFixed(0)} % is wanted.`,
    );
  else if (!(margin <= design.flight.marginMax))
    out.push(`The CG is ahead of the forward limit: static margin ${(margin * 100).toFixed(1)} %.`);
  // what is launched by hand has no ground run
  if (entryOf(ledger, 'groundRun', loading) && !(at('groundRun') <= brief.site.stripLength))
    out.push(
      `The ground run of ${at('groundRun').toFixed(1)} m is longer than the strip of ${brief.site.stripLength} m.`,
    );
  return out;
}
