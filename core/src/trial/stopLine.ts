/** The stop line of a flight card: which computed limits the planned state is outside of. */
import { hovers, LEAST_LIFT, type Brief, type Design } from '../design';
import { entryOf, type Ledger, type QuantityId } from '../assess';

/** What stops a hover: neither margin nor strip are asked of it. */
function hoverStops(lift: number | null): string[] {
  if (lift === null) return ['Nothing is computed to lift it: describe the lift motors under Power, Hover.'];
  return lift >= LEAST_LIFT
    ? []
    : [
        `Lift thrust is ${lift.toFixed(2)} times the weight; ${LEAST_LIFT} is the least for a hover that can be steered.`,
      ];
}

/** What every flight on the wing must know. */
const NEEDED = [
  ['failLoadFactor', 'what the wing breaks at'],
  ['failLoadFactorDown', 'what it breaks at downward'],
  ['staticMargin', 'the static margin'],
] as const;

/** Sentences in the order of danger; empty when the card may be flown. */
export function stopLine(brief: Brief, design: Design, ledger: Ledger, loading: string): string[] {
  if (ledger.stopped) return [ledger.stopped];
  const state = design.states.find((l) => l.id === loading);
  if (!state) return ['This state is not in the design any more: choose one that is.'];
  if (hovers(state)) return hoverStops(entryOf(ledger, 'hoverMargin', loading)?.value ?? null);
  const at = (id: QuantityId) => entryOf(ledger, id, loading)?.value ?? NaN;
  const unknown = NEEDED.filter(([id]) => !Number.isFinite(at(id))).map(([, words]) => words);
  if (unknown.length > 0)
    return [`Not computed for this state: ${unknown.join(', ')}. Unknown is no leave to fly.`];
  const out: string[] = [];
  const s = design.structure;
  const need = s.requiredLoadFactor * s.safetyFactor;
  if (!(at('failLoadFactor') >= need))
    out.push(
      `The wing is computed to break at ${at('failLoadFactor').toFixed(1)} g in this state; ${need.toFixed(1)} g is asked (${s.requiredLoadFactor} g with factor ${s.safetyFactor}).`,
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
  // what leaves another way than along the strip has no run
  if (entryOf(ledger, 'groundRun', loading) && !(at('groundRun') <= brief.site.stripLength))
    out.push(
      `The ground run of ${at('groundRun').toFixed(1)} m is longer than the strip of ${brief.site.stripLength} m.`,
    );
  return out;
}
