/** Values of inputs and of what is shown, in a person's units. */
import { quantityDef, readRef } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import type { Lever } from '@skiametra/core/trade';
import { formatQuantity, type KindName, type UnitSystem } from '@skiametra/core/units';

export function leverValue(lever: Lever, v: number | null, units: UnitSystem): string {
  if (v === null) return '–';
  if (lever.choices) return lever.choices[Math.round(v)] ?? '–';
  return formatQuantity(v, lever.kind, units);
}

export function shownKind(show: string): KindName {
  return quantityDef(readRef(show)?.id ?? '')?.kind ?? 'ratio';
}

export function shownName(show: string, doc: DesignDocument): string {
  const ref = readRef(show),
    def = ref && quantityDef(ref.id);
  if (!def) return show;
  const state = doc.design.states.find((s) => s.id === ref.state)?.name;
  return state ? `${def.name}, ${state}` : def.name;
}
