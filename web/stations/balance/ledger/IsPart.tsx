'use client';
/** Which part of the design a line of the mass list weighs. What is linked follows the part; a mere mass follows nothing. */
import { CellSelect } from '../../../parts/fields/CellSelect';
import { PART_KINDS, type Item, type PartKind, powertrainOf } from '@skiametra/core/design';
import { partMass, plannedItem } from '@skiametra/core/mass';
import { DESIGN } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** A line linked to a part: where the part's own weight is known the planned mass follows it, unchanged today. */
function linked(item: Item, part: Item['part'], usual: number | null, now: number): Item {
  const { part: _was, ...plain } = item;
  if (!part)
    return { ...plain, planned: item.planned.kind === 'part' ? { kind: 'mass', mass: now } : item.planned };
  const follows = item.planned.kind === 'mass' || item.planned.kind === 'part';
  const planned: Item['planned'] =
    follows && usual
      ? { kind: 'part', factor: now > 0 ? now / usual : 1 }
      : follows
        ? { kind: 'mass', mass: now }
        : item.planned;
  return { ...plain, part, planned };
}

export function IsPart({ index }: { index: number }) {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const item = design.items[index];
  if (!item) return null;
  const several: { kind: PartKind; of: string; label: string }[] = [
    ...(powertrainOf(design).second ? [{ kind: 'pack' as const, of: 'second', label: 'second pack' }] : []),
    ...(powertrainOf(design).rubber
      ? [{ kind: 'propeller' as const, of: 'rubber', label: 'propeller of the rubber' }]
      : []),
    ...(powertrainOf(design).rotors ?? []).flatMap((r) => [
      { kind: 'lift motor' as const, of: r.id, label: `lift motor, ${r.name}` },
      { kind: 'lift rotor' as const, of: r.id, label: `lift rotor, ${r.name}` },
    ]),
  ];
  const set = (value: string) => {
    const [kind, of] = value.split('|');
    const part = kind === '' ? undefined : { kind: kind as PartKind, ...(of ? { of } : {}) };
    const usual = part ? partMass(design, part) : null;
    edit({
      type: 'set',
      path: `${DESIGN}.items.${index}`,
      value: linked(item, part, usual, plannedItem(item, design).mass),
    });
  };
  return (
    <CellSelect
      label={`Part that row ${index + 1} weighs`}
      value={item.part ? `${item.part.kind}${item.part.of ? `|${item.part.of}` : ''}` : ''}
      options={[
        { value: '', label: 'no part' },
        ...PART_KINDS.map((kind) => ({ value: kind, label: kind })),
        ...several.map((s) => ({ value: `${s.kind}|${s.of}`, label: s.label })),
      ]}
      onChange={set}
    />
  );
}
