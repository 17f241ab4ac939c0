/** Where the sections of a design work: Reynolds numbers at the stall and on the lap, and the lift carried there. */
import { G0 } from '../air';
import type { QuantityId } from '../steps';
import { entryOf, type Ledger } from '../assess';

export interface SectionWork {
  /** rounded to two figures, so that small edits need no new polars */ atStall: number;
  atWork: number;
  /** lift coefficient on the lap */ lift: number;
}

const FALLBACK: SectionWork = { atStall: 1e5, atWork: 2e5, lift: 0.5 };
const twoFigures = (v: number): number => Number(v.toPrecision(2));

/** @param loading id of a loading; the usual numbers of a small model when the ledger has none */
export function sectionWork(ledger: Ledger | null, loading: string): SectionWork {
  if (!ledger) return FALLBACK;
  const value = (id: QuantityId, state: string) => entryOf(ledger, id, state)?.value ?? NaN;
  const stall = value('reynoldsStall', loading),
    work = value('reynoldsLap', loading);
  const lift =
    (2 * value('mass', loading) * G0) /
    (value('airDensity', 'all') * value('lapSpeed', loading) ** 2 * value('wingArea', 'all'));
  return {
    atStall: stall > 1e4 && stall < 1e7 ? twoFigures(stall) : FALLBACK.atStall,
    atWork: work > 1e4 && work < 1e7 ? twoFigures(work) : FALLBACK.atWork,
    lift: lift > 0.02 && lift < 3 ? twoFigures(lift) : FALLBACK.lift,
  };
}
