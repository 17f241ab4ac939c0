'use client';
/** How a planned mass is found: typed, by the part it is, by area of a surface, or from what a part is made of. */
import { CellSelect } from '../../../parts/fields/CellSelect';
import type { Design, Item } from '@skiametra/core/design';
import { partMass, plannedItem } from '@skiametra/core/mass';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

/** A printed shell as it is first taken: 0.8 mm of polymer over an open core. */
const PRINTED = {
  skin: { thickness: 0.0008, density: 1240 },
  core: { density: 1240, infill: 0.03 },
  covering: null,
};

export function MassFrom({ index }: { index: number }) {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const item = design.items[index];
  if (!item) return null;
  const set = (choice: string) =>
    edit({ type: 'set', path: `${DESIGN}.items.${index}`, value: foundBy(item, choice, design) });
  return (
    <CellSelect
      label={`Where the planned mass of row ${index + 1} comes from`}
      value={choiceOf(item.planned)}
      options={choices(item, design)}
      onChange={set}
    />
  );
}

/** A way to a mass as the list names it: `areal:wing`. */
function choiceOf(planned: Item['planned']): string {
  if (planned.kind === 'areal') return `areal:${planned.surface}`;
  if (planned.kind === 'made') return `made:${planned.part}`;
  return planned.kind;
}

function choices(item: Item, design: Design) {
  const follows = item.part && partMass(design, item.part) !== null;
  const parts = [...design.surfaces, { id: 'body', name: 'Body' }];
  return [
    { value: 'mass', label: 'typed' },
    ...(follows ? [{ value: 'part', label: `follows the ${item.part?.kind}` }] : []),
    ...design.surfaces.map((s) => ({ value: `areal:${s.id}`, label: `${s.name}, by area` })),
    ...parts.map((s) => ({ value: `made:${s.id}`, label: `${s.name}, skin and core` })),
  ];
}

/** What it weighed and where it stood stays: only the way it is found changes. */
function foundBy(item: Item, choice: string, design: Design): unknown {
  const now = plannedItem(item, design);
  const usual = item.part ? partMass(design, item.part) : null;
  const [kind, part] = choice.split(':');
  const planned = {
    mass: { kind, mass: Math.round(now.mass * 1e5) / 1e5 },
    part: { kind, factor: usual && now.mass > 0 ? now.mass / usual : 1 },
    areal: { kind, surface: part, perArea: 1 },
    made: { kind, part, ...PRINTED },
  }[kind as Item['planned']['kind']];
  return { ...item, planned, x: Math.round(now.x * 1e4) / 1e4, z: Math.round(now.z * 1e4) / 1e4 };
}
