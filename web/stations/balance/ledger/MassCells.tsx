'use client';
/** Cells of the mass ledger. */
import { Checkbox } from '@mantine/core';
import type { Item } from '@skiametra/core/design';
import { plannedItem, standsWherePut } from '@skiametra/core/mass';
import { formatQuantity, formatValue, type UnitSystem } from '@skiametra/core/units';
import { DocField } from '../../../parts/fields/DocField';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

interface Cell {
  index: number;
}

function useItem(index: number) {
  const item = useWorkspace((w) => w.content.document.design.items[index]);
  const edit = useWorkspace((w) => w.edit);
  const set = (key: string, value: unknown) =>
    edit({ type: 'set', path: `${DESIGN}.items.${index}.${key}`, value });
  return { item, set };
}

/** What it is planned to weigh: typed, or followed from what it is. */
export function Planned({ index }: Cell) {
  const { item, set } = useItem(index);
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  if (!item) return null;
  if (item.planned.kind !== 'mass')
    return (
      <span className="num" title={plannedTitle(item, units)}>
        {formatValue(plannedItem(item, design).mass, 'mass', units)}
      </span>
    );
  return (
    <QuantityField
      label={`Planned, row ${index + 1}`}
      hideLabel
      hideUnit
      value={item.planned.mass}
      kind="mass"
      onCommit={(si) => set('planned', { kind: 'mass', mass: si })}
    />
  );
}

/** What the scale says. */
export function Weighed({ index }: Cell) {
  const { item, set } = useItem(index);
  return (
    <QuantityField
      label={`Weighed, row ${index + 1}`}
      hideLabel
      hideUnit
      value={item?.weighed ?? null}
      kind="mass"
      onCommit={(si) => set('weighed', si)}
      onClear={() => set('weighed', null)}
    />
  );
}

/** Where it sits: as put, or where the part that it is sits. */
export function Place({ index }: Cell) {
  const { item } = useItem(index);
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  if (item && !standsWherePut(item))
    return <span className="num dim">{formatValue(plannedItem(item, design).x, 'length', units)}</span>;
  return <DocField label={`x, row ${index + 1}`} path={`${DESIGN}.items.${index}.x`} hideLabel hideUnit />;
}

/** Room to either side that a part gets when it is first said to move [m]. */
const FIRST_ROOM = 0.05;

export function Movable({ index }: Cell) {
  const { item, set } = useItem(index);
  const units = useWorkspace((w) => w.units);
  if (!item) return null;
  const { movable, x } = item;
  const said = (m: number) => formatQuantity(m, 'length', units);
  return (
    <Checkbox
      aria-label={`${item.name} can move`}
      checked={movable !== null}
      title={movable ? `from ${said(movable.from)} to ${said(movable.to)}` : 'fixed'}
      onChange={(e) =>
        set('movable', e.currentTarget.checked ? { from: x - FIRST_ROOM, to: x + FIRST_ROOM } : null)
      }
    />
  );
}

/** Half of it in each wing: it relieves the spar and counts in roll. */
export function InWing({ index }: Cell) {
  const { item, set } = useItem(index);
  if (!item) return null;
  return (
    <Checkbox
      aria-label={`${item.name} lies in the wing`}
      title="Half of it in each wing: relieves the spar, counts in roll"
      checked={item.inWing}
      onChange={(e) => set('inWing', e.currentTarget.checked)}
    />
  );
}

/** Where a calculated mass comes from, for whoever points at it. */
function plannedTitle(item: Item, units: UnitSystem): string {
  const { planned } = item;
  if (planned.kind === 'areal')
    return `Calculated from ${formatQuantity(planned.perArea, 'arealMass', units)} over the surface`;
  if (planned.kind !== 'part') return 'Calculated from skin, core and covering';
  const share = `${Math.round(planned.factor * 100)} % of the usual`;
  return `Follows the ${item.part?.kind ?? 'part'}: ${share}. A reading of the scale stands over it.`;
}
