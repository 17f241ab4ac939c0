/** What a combination's parts are called. */
import type { MatchRow, PartsList } from '@skiametra/core/power';

export const named = (list: readonly { id: string; name: string }[], id: string) =>
  list.find((p) => p.id === id)?.name ?? id;

export function nameOf(parts: PartsList, r: MatchRow): string {
  const { motors, propellers, packs } = parts;
  return [named(motors, r.motor), named(propellers, r.propeller), named(packs, r.pack)].join(' · ');
}
