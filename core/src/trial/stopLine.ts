/** The stop line of a flight card: which computed limits the planned state is outside of. */
import { say, type Said } from '../words';
import { hovers, LEAST_LIFT, type Brief, type Design, type TestBody } from '../design';
import { proofStops } from './loadTest';
import { entryOf, type Ledger, type QuantityId } from '../assess';

/** What stops a hover: neither margin nor strip are asked of it. */
function hoverStops(lift: number | null): Said[] {
  if (lift === null) return [say('stop-no-lift', {})];
  return lift >= LEAST_LIFT ? [] : [say('stop-weak-lift', { ratio: lift, least: LEAST_LIFT })];
}

/** What every flight on the wing must know. */
const NEEDED = [
  ['failLoadFactor', 'what the wing breaks at'],
  ['failLoadFactorDown', 'what it breaks at downward'],
  ['staticMargin', 'the static margin'],
] as const;

/** Sentences in the order of danger; empty when the card may be flown. */
export function stopLine(
  brief: Brief,
  design: Design,
  ledger: Ledger,
  loading: string,
  /** load tests of this version, and whatever else was tested */ tests: readonly Pick<
    TestBody,
    'load' | 'record'
  >[] = [],
): Said[] {
  if (ledger.stopped) return [ledger.stopped];
  const state = design.states.find((l) => l.id === loading);
  if (!state) return [say('stop-no-state', {})];
  if (hovers(design, state)) return hoverStops(entryOf(ledger, 'hoverMargin', loading)?.value ?? null);
  const at = (id: QuantityId) => entryOf(ledger, id, loading)?.value ?? NaN;
  const unknown = NEEDED.filter(([id]) => !Number.isFinite(at(id))).map(([, words]) => words);
  if (unknown.length > 0) return [say('stop-unknown', { what: unknown })];
  const out: Said[] = [];
  const s = design.structure;
  const need = s.requiredLoadFactor * s.safetyFactor;
  if (!(at('failLoadFactor') >= need))
    out.push(
      say('stop-breaks', {
        at: at('failLoadFactor'),
        asked: s.requiredLoadFactor,
        factor: s.safetyFactor,
      }),
    );
  if (!(at('failLoadFactorDown') >= s.requiredNegative * s.safetyFactor))
    out.push(say('stop-breaks-down', { at: at('failLoadFactorDown') }));
  const mass = entryOf(ledger, 'mass', loading)?.value ?? NaN;
  out.push(...proofStops(design, tests, mass, s.requiredLoadFactor));
  const margin = at('staticMargin');
  if (!(margin >= design.flight.marginMin))
    out.push(say('stop-aft', { margin, least: design.flight.marginMin }));
  else if (!(margin <= design.flight.marginMax)) out.push(say('stop-forward', { margin }));
  // what leaves another way than along the strip has no run
  if (entryOf(ledger, 'groundRun', loading) && !(at('groundRun') <= brief.site.stripLength))
    out.push(say('stop-strip', { run: at('groundRun'), strip: brief.site.stripLength }));
  return out;
}
