/**
 * What a station may say of itself. Nothing is called fine before it was computed, and nothing that nobody described is fine.
 */
import type { UnitSystem } from '@skiametra/core/units';
import { sentence } from '@skiametra/core/words';
import { checkRequirements, entryOf, type Ledger } from '@skiametra/core/assess';
import {
  hasWing,
  hovers,
  liftingPlaces,
  powertrainOf,
  runsAlongStrip,
  type DesignDocument,
} from '@skiametra/core/design';
import type { StationId } from './stationList';

export type Mark = 'not begun' | 'computing' | 'fine' | 'look' | 'stop';

export interface Known {
  ledger: Ledger | null;
  document: DesignDocument;
  /** a flight of this version is recorded */ flown: boolean;
}

/** Nothing has been put in yet that the station could judge. */
function notBegun(id: StationId, { document, flown }: Known): boolean {
  const { brief, design } = document;
  switch (id) {
    case 'brief':
      return brief.requirements.length === 0;
    case 'score':
      return brief.tasks.length === 0;
    case 'trade':
      return (document.trade?.tables.length ?? 0) + (document.trade?.studies.length ?? 0) === 0;
    case 'balance':
      return design.items.length === 0;
    case 'test':
    case 'refine':
      return !flown;
    default:
      return false;
  }
}

/** The mark of a station in the rail. */
export function stationMark(id: StationId, known: Known): Mark {
  const { ledger } = known;
  if (!ledger) return 'computing';
  const mine = ledger.findings.filter((f) => f.station === id);
  if (mine.some((f) => f.severity === 'stop')) return 'stop';
  if (mine.some((f) => f.severity === 'look')) return 'look';
  return notBegun(id, known) ? 'not begun' : 'fine';
}

function briefWell({ brief, design }: DesignDocument, ledger: Ledger): string {
  if (brief.requirements.length === 0)
    return 'No requirement is set: nothing is asked of the prediction yet.';
  const open = checkRequirements(brief, design, ledger).filter((c) => c.status === 'unproven').length;
  if (open === 0) return 'Every requirement is met by the prediction, beyond its uncertainty.';
  return `Every requirement is met by the prediction, ${open} of them by less than its uncertainty.`;
}

function balanceWell({ brief, design }: DesignDocument, ledger: Ledger, units: UnitSystem): string {
  if (design.items.length === 0) return 'The mass list is empty: nothing is known of the balance.';
  if (!hasWing(design))
    return liftingPlaces(design).length > 1
      ? 'The rotors hold the CG in every state.'
      : 'No rotor stands anywhere yet: whether they hold the CG is not known.';
  if (design.states.every((l) => hovers(design, l)))
    return 'No state flies on its wing: no margin is asked of any.';
  const missed = checkRequirements(brief, design, ledger).find(
    (c) => c.status === 'missed' && /^(staticMargin|cg|yawStiffness)/.test(c.requirement.quantity),
  );
  return missed
    ? `Every state lies inside the margins of the design, not of the brief: ${sentence(missed.said, units)}`
    : 'Every state lies inside its limits.';
}

function powerWell(design: DesignDocument['design']): string | null {
  const power = powertrainOf(design);
  if (!power.unpowered) return 'Current, tip speed and pack are inside their limits.';
  return power.rubber || power.lift ? null : 'No motor is fitted: nothing to judge here.';
}

function armsWell({ structure }: DesignDocument['design']): string {
  return structure.arms?.length
    ? 'Arms and legs bear what loads them in every state.'
    : 'No arm is drawn: nothing is known of what they bear.';
}

/** Without a wing it flies on its rotors: nothing is said of what was not computed. */
function rotorsWell(design: DesignDocument['design'], ledger: Ledger): string | null {
  const held = design.states.every((l) => (entryOf(ledger, 'windMargin', l.id)?.value ?? -1) >= 0);
  return held ? 'It holds the wind of the day with its gusts in every state.' : null;
}

function flightWell({ design }: DesignDocument, ledger: Ledger): string | null {
  if (!hasWing(design)) return rotorsWell(design, ledger);
  const flying = design.states.filter((l) => !hovers(design, l));
  if (flying.length === 0) return null;
  if (powertrainOf(design).unpowered)
    return 'It holds its speed in the turns of every state that flies on its wing.';
  const start = flying.some((l) => runsAlongStrip(design, l)) ? 'It leaves the strip, climbs' : 'It climbs';
  return `${start} and turns in every state that flies on its wing.`;
}

/** The sentence of a station that has nothing to find; null while nothing may be said. */
export function wellSentence(
  id: StationId,
  { ledger, document }: Known,
  units: UnitSystem = 'metric',
): string | null {
  if (!ledger || ledger.stopped) return null;
  switch (id) {
    case 'brief':
      return briefWell(document, ledger);
    case 'balance':
      return balanceWell(document, ledger, units);
    case 'structure':
      if (!hasWing(document.design)) return armsWell(document.design);
      return document.design.states.every((l) => hovers(document.design, l))
        ? 'No state flies on its wing: nothing is asked of the spar.'
        : 'The spar stands what is asked, up and down, in every state that flies on its wing.';
    case 'sections':
      return hasWing(document.design) ? null : 'It has no wing: no section is chosen.';
    case 'power':
      return powerWell(document.design);
    case 'flight':
      return flightWell(document, ledger);
    default:
      return null;
  }
}

/** What Refine may say when no test asks for a change: nothing before it is computed, and what else is open after. */
export function refineSentence(
  ledger: Ledger | null,
  advised: boolean,
  units: UnitSystem = 'metric',
): string {
  if (!ledger || !advised) return 'Computing: no advice before the numbers are there.';
  const open = ledger.findings.filter((f) => f.severity !== 'ask');
  if (open.length === 0)
    return 'No handling note and no finding asks for a change. Fly the next card, or make a version for an idea of your own.';
  const more = open.length > 1 ? ` (and ${open.length - 1} more)` : '';
  return `No test asks for a change; the prediction does: ${sentence(open[0]!, units)}${more}`;
}
