/** The way from the first drawing to the open version: which versions lie on it, and what each began with. */
import { quantityDef, type Ledger, type LedgerEntry } from '@skiametra/core/assess';
import {
  priorCalibration,
  type Calibration,
  type DesignDocument,
  type Measurement,
} from '@skiametra/core/design';
import { entryMeasured, measuredKey } from '@skiametra/core/trial';
import type { ContentTest } from '../../../parts/workspace/content';

interface Head {
  readonly id: number;
  readonly parentId: number | null;
}

/** Ids from the first ancestor to a version; one that is not there ends the way. */
export function ancestry(versions: readonly Head[], id: number): number[] {
  const way: number[] = [];
  for (let at: number | null = id; at !== null && !way.includes(at);) {
    const here = versions.find((v) => v.id === at);
    if (!here) break;
    way.unshift(here.id);
    at = here.parentId;
  }
  return way;
}

/**
 * What a version was computed with before its own tests: what its parent had learnt, unless that has learnt from these very
 * tests since; else the factors before any test.
 */
export function begunWith(parent: DesignDocument | null, ownTests: readonly string[]): Calibration {
  const learnt = parent?.calibration,
    pure = learnt && !learnt.from.some((id) => ownTests.includes(id));
  return pure ? learnt : priorCalibration();
}

/** Whether two fits are the same one. */
export const sameFit = (a: Calibration, b: Calibration) =>
  a.from.length === b.from.length && a.mean.every((x, i) => x === b.mean[i]);

interface Reading {
  readonly m: Measurement;
  readonly title: string;
}

export interface Stop {
  readonly id: number;
  readonly name: string;
  /** before its own tests; null while it is computed, or where they taught nothing yet */
  readonly before: Ledger | null;
  /** null while it is computed */
  readonly now: Ledger | null;
  readonly tests: readonly Pick<ContentTest, 'body'>[];
}

/** A version on the line of one number. */
export interface Lane {
  readonly id: number;
  readonly name: string;
  readonly before: LedgerEntry | null;
  readonly now: LedgerEntry | null;
  readonly readings: readonly Reading[];
}

interface NumberWay {
  /** written reference */ readonly key: string;
  readonly lanes: readonly Lane[];
}

/** Every number of the ledger that was measured on the way, in the order in which it first was, with a lane for each version. */
export function waysOf(stops: readonly Stop[]): NumberWay[] {
  const first = new Map<string, Measurement>();
  for (const s of stops)
    for (const t of s.tests)
      for (const m of t.body.measurements)
        if (quantityDef(m.quantity) && !first.has(measuredKey(m))) first.set(measuredKey(m), m);
  return [...first].flatMap(([key, of]) => {
    const at = (l: Ledger | null) => (l && entryMeasured(l, of)) ?? null;
    const lanes = stops.flatMap((s): Lane[] => {
      const readings = s.tests.flatMap((t) =>
        t.body.measurements.flatMap((m) => (measuredKey(m) === key ? [{ m, title: t.body.card.title }] : [])),
      );
      const lane = { id: s.id, name: s.name, before: at(s.before), now: at(s.now), readings };
      return lane.now || readings.length > 0 ? [lane] : [];
    });
    return lanes.some((l) => l.now) ? [{ key, lanes }] : [];
  });
}
