/** What of a combination is shown, and what it is called. */
import type { MatchRow, PartsList } from '@skiametra/core/power';
import type { KindName } from '@skiametra/core/units';
import type { Trial } from '@skiametra/core/views';

export const COLUMNS: { key: keyof MatchRow; label: string; kind: KindName; better: 1 | -1 }[] = [
  { key: 'levelSpeed', label: 'Level', kind: 'speed', better: -1 },
  { key: 'thrustAtSpeed', label: 'Thrust', kind: 'force', better: -1 },
  { key: 'climb', label: 'Climb', kind: 'climbRate', better: -1 },
  { key: 'run', label: 'Run', kind: 'distance', better: 1 },
  { key: 'time', label: 'Time', kind: 'duration', better: -1 },
  { key: 'mass', label: 'All-up', kind: 'allUpMass', better: 1 },
  { key: 'used', label: 'Limit', kind: 'percent', better: 1 },
];
/** Stands in the ledger for a run or lap that does not end. */
export const NEVER = 9999;
export const MOST_SHOWN = 24;
const MOST_POINTS = 350;
export const MOST_COMPARED = 4;
export interface Column {
  id: string;
  name: string;
  changes: { path: string; value: unknown }[];
  trial: Trial | null;
}

export const nameOf = (parts: PartsList, r: Pick<MatchRow, 'motor' | 'propeller' | 'pack'>) => ({
  motor: parts.motors.find((x) => x.id === r.motor)?.name ?? r.motor,
  propeller: parts.propellers.find((x) => x.id === r.propeller)?.name ?? r.propeller,
  pack: parts.packs.find((x) => x.id === r.pack)?.name ?? r.pack,
});

export function thin(rows: readonly MatchRow[]): { x: number[]; y: number[] } {
  const step = Math.max(1, Math.ceil(rows.length / MOST_POINTS)),
    kept = rows.filter((_, i) => i % step === 0);
  return { x: kept.map((r) => r.time), y: kept.map((r) => r.thrustAtSpeed) };
}
