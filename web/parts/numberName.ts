/** A number in words: what it is, and of which mission, leg or load case. */
import { quantityDef } from '@skiametra/core/assess';
import type { Brief, Measurement } from '@skiametra/core/design';

type Placed = Pick<Measurement, 'leg' | 'part' | 'case'>;

/** Mission, leg and case of a number in words; empty where it is of none. */
export function placeName({ leg, part, case: of }: Placed, { missions }: Pick<Brief, 'missions'>): string {
  const mission = missions.find((m) => m.id === part),
    legs = mission?.rounds.flatMap((r) => r.legs) ?? [];
  return [mission?.name ?? part, legs.find((l) => l.id === leg)?.name ?? leg, of?.replace(/-/g, ' ')]
    .filter(Boolean)
    .join(', ');
}

/** Name of a number with its place; its id where the computation has no such number. */
export function numberName(quantity: string, at: Placed, brief: Pick<Brief, 'missions'>): string {
  const place = placeName(at, brief);
  return `${quantityDef(quantity)?.name ?? quantity}${place && `: ${place}`}`;
}
