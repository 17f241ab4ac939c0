/** What ends a mission, and what would end it next. */
import type { Fault } from './stretch';
import { HARD, leastByKind, tightestOf, type MarginOf } from './margins';

export type EndBy = 'done' | 'clock' | 'charge' | Fault | MarginOf;

export interface Limit {
  readonly by: EndBy;
  /** of what there is; past 1 it ends there */ readonly used: number;
  /** rounds flown as often as fits that it allows; null where it is not what counts them */ readonly rounds:
    number | null;
}

export interface Ending {
  readonly by: EndBy;
  /** leg that it ends in; null: all was flown */ readonly leg: string | null;
  /** place of that leg among those flown */ readonly at: number | null;
  /** the clock or the pack stopped rounds that were to be flown as often as fits, and all else was done */
  readonly counted: boolean;
  readonly limits: readonly Limit[];
  /** nearest of the others; null where nothing else bears on it */ readonly next: Limit | null;
}

/** Rounds that were flown as often as fits. */
export interface Counted {
  readonly by: 'clock' | 'charge';
  /** unrounded */ readonly rounds: number;
  readonly clock: number;
  readonly charge: number;
}

interface Ended {
  readonly leg: { readonly id: string };
  readonly from: number;
  readonly time: number;
  /** of the charge that may be used, reserve taken off, at its end */ readonly share: number;
  readonly margins: readonly { readonly of: MarginOf; readonly ratio: number }[];
  readonly done: { readonly fault: Fault | null };
}

const CLOSE = 1e-6;

/** Why a leg is not flown to its end; null where it is. */
function stopOf(l: Ended, window: number | null): EndBy | null {
  if (l.done.fault) return l.done.fault;
  const hard = tightestOf(l.margins.filter((m) => HARD.has(m.of) && m.ratio < 1 - CLOSE));
  if (hard) return hard.of;
  if (window !== null && l.from + l.time > window + CLOSE) return 'clock';
  return l.share > 1 + CLOSE ? 'charge' : null;
}

export function endingOf(legs: readonly Ended[], window: number | null, counted: Counted | null): Ending {
  const at = legs.findIndex((l) => stopOf(l, window) !== null),
    stop = at < 0 ? null : stopOf(legs[at], window),
    by: EndBy = stop ?? counted?.by ?? 'done';
  const last = legs[at < 0 ? legs.length - 1 : at],
    time = last ? last.from + last.time : 0;
  const limits: Limit[] = [
    ...(window === null
      ? []
      : [{ by: 'clock' as const, used: time / window, rounds: counted?.clock ?? null }]),
    ...(last && last.share > 0
      ? [{ by: 'charge' as const, used: last.share, rounds: counted?.charge ?? null }]
      : []),
    ...[...leastByKind(legs.flatMap((l) => l.margins))].map(([of, ratio]) => ({
      by: of,
      used: ratio > 0 ? 1 / ratio : Infinity,
      rounds: null,
    })),
  ];
  const others = limits.filter((l) => l.by !== by && (HARD.has(l.by as MarginOf) || counts(l.by))),
    // of rounds that are counted the other counter is nearer than any margin of flight
    other = counted && stop === null ? others.find((l) => counts(l.by)) : undefined;
  const next = other ?? others.reduce<Limit | null>((a, l) => (a === null || l.used > a.used ? l : a), null);
  return {
    by,
    leg: at < 0 ? null : legs[at].leg.id,
    at: at < 0 ? null : at,
    counted: stop === null && counted !== null,
    limits,
    next,
  };
}

const counts = (by: EndBy) => by === 'clock' || by === 'charge';
