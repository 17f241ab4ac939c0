/** Quantities by name, for lists to choose from. */
import { QUANTITIES, type QuantityDef } from '@skiametra/core/assess';
import { STATIONS } from './frame/stationList';

/** Points are of one task: the score stands for them. */
const LISTED: readonly QuantityDef[] = Object.values(QUANTITIES).filter((q) => q.id !== 'points');

const optionsOf = (list: readonly QuantityDef[]) =>
  list.map((q) => ({ value: q.id, label: q.name })).sort((a, b) => a.label.localeCompare(b.label));

export const quantityOptions = optionsOf(LISTED);

/** Under the stations that they live on. */
export function quantityGroups() {
  return STATIONS.map((s) => ({
    group: s.name,
    items: optionsOf(LISTED.filter((q) => q.station === s.id)),
  })).filter((g) => g.items.length > 0);
}
