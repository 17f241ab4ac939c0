/** Missions, legs and load cases that a requirement may be asked of. */
import { quantityDef } from '@skiametra/core/assess';
import type { Brief, Requirement } from '@skiametra/core/design';

export interface Placed {
  readonly value: string;
  readonly label: string;
  readonly place: Pick<Requirement, 'part' | 'leg' | 'case'>;
}

export function hasPlaces(quantity: string): boolean {
  const def = quantityDef(quantity);
  return def?.of !== undefined || def?.cases !== undefined;
}

/** @returns what a requirement on this quantity may be of; nothing where it has one number a state */
export function placesFor(quantity: string, { missions }: Pick<Brief, 'missions'>): Placed[] {
  const def = quantityDef(quantity);
  if (def?.cases)
    return [
      { value: '', label: 'every case', place: {} },
      ...def.cases.map((c) => ({ value: c, label: c.replace(/-/g, ' '), place: { case: c } })),
    ];
  if (def?.of === 'mission')
    return missions.map((m) => ({ value: m.id, label: m.name, place: { part: m.id } }));
  if (def?.of === 'leg')
    return missions.flatMap((m) =>
      m.rounds.flatMap((r) =>
        r.legs.map((l) => ({ value: `${m.id}/${l.id}`, label: l.name, place: { part: m.id, leg: l.id } })),
      ),
    );
  return [];
}

/** Of which of them a requirement is. */
export function placeOf(r: Pick<Requirement, 'part' | 'leg' | 'case'>): string {
  return r.case ?? (r.leg === undefined ? (r.part ?? '') : `${r.part}/${r.leg}`);
}
