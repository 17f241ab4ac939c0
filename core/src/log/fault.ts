/** Faults of a log: what kind, where, how many; jumps, spikes and frozen fixes are taken back by their names. */
import type { ChannelId } from './channels';

const FAULT_KINDS = ['duplicates', 'disorder', 'jumps', 'gaps', 'spikes', 'frozen', 'empty'] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

export interface Fault {
  readonly kind: FaultKind;
  readonly channel: ChannelId | 'position' | null;
  /** [s] */ readonly from: number;
  readonly to: number;
  /** rows, or cells of its channel */ readonly count: number;
}

/** By which a jump, a spike or a frozen fix is taken back; order, repeats, gaps and empty cells are as they are. */
export const faultId = (f: Pick<Fault, 'kind' | 'channel' | 'from'>): string =>
  `${f.kind} ${f.channel ?? ''} ${f.from.toFixed(3)}`;

/** How often each was found. */
export function faultCounts(faults: readonly Fault[]): Record<FaultKind, number> {
  const out = Object.fromEntries(FAULT_KINDS.map((k) => [k, 0])) as Record<FaultKind, number>;
  for (const f of faults) out[f.kind] += f.count;
  return out;
}
