'use client';
/** The pack and how several are joined. */
import { Button } from '@mantine/core';
import { withSecondPack, withoutSecondPack } from '@skiametra/core/design';
import { estimateCellResistance } from '@skiametra/core/power';
import { DocField, IntField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useDrive } from '../useDrive';
import { Choice, CELLS } from './Choice';

export function PackFields({ at, tracked }: { at: string; tracked?: boolean | undefined }) {
  return (
    <div className="fields">
      <IntField label="Cells in series" path={`${at}.series`} />
      <IntField label="Cells in parallel" path={`${at}.parallel`} />
      <DocField label="Capacity" path={`${at}.capacity`} tracked={tracked} />
      <DocField label="Per cell" path={`${at}.cellResistance`} tracked={tracked} />
      <DocField label="Rate, C" path={`${at}.maxC`} tracked={tracked} />
      <DocField label="Usable" path={`${at}.usable`} tracked={tracked} />
      <Choice label="Chemistry" path={`${at}.chemistry`} data={CELLS} fallback="LiPo" />
      <DocField label="Lost to age" optional path={`${at}.age`} />
      <DocField label="Cells at" optional path={`${at}.temperature`} hint="25 °C where left empty" />
    </div>
  );
}

export function Packs({ at }: { at: { drive: string; pack: string | null; second: string | null } }) {
  const { design, power, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const { battery: b } = power;
  if (!at.pack) return <p className="dim">No pack feeds this drive.</p>;
  const estimate = Number(
    estimateCellResistance(b.capacity / b.parallel, b.maxC, b.chemistry).toPrecision(2),
  );
  return (
    <>
      <PackFields at={at.pack} tracked />
      <Button
        size="compact-xs"
        variant="subtle"
        mt={6}
        title="0.1 / (Ah √C), for a pack at room temperature; cold and age come on top"
        onClick={() => edit({ type: 'set', path: `${at.pack}.cellResistance`, value: estimate })}
      >
        Estimate the resistance
      </Button>
      {at.second ? (
        <div className="part">
          <h2 className="head">
            Second pack{' '}
            <Button
              className="atend"
              size="compact-xs"
              variant="subtle"
              onClick={() => apply(withoutSecondPack(design), 'Second pack taken out')}
            >
              Take out
            </Button>
          </h2>
          <Choice label="Joined" path={`${at.drive}.joined`} fallback="parallel" data={JOINED} />
          <PackFields at={at.second} />
        </div>
      ) : (
        <Button
          size="compact-xs"
          variant="subtle"
          mt={6}
          onClick={() => apply(withSecondPack(design), 'Second pack')}
        >
          Add a second pack
        </Button>
      )}
    </>
  );
}
const JOINED = [
  { value: 'parallel', label: 'in parallel' },
  { value: 'series', label: 'in series' },
];
