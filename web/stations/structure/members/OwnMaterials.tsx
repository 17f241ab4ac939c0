'use client';
/** Materials of one's own: typed, with the share of the strengths that is used, or learnt from pieces that were broken. */
import { useState } from 'react';
import { couponResult, MATERIAL_KINDS, MODES, type Mode } from '@skiametra/core/structure';
import type { OwnMaterial } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { STRUCTURE } from '../../../parts/paths';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { MaterialShelf } from './MaterialShelf';

const MODE_NAMES: Readonly<Record<Mode, string>> = {
  tension: 'Pulled',
  compression: 'Pressed',
  shear: 'Sheared',
};

/** Pieces broken one way: add one, take one away, see what may be counted on. */
function Coupons({ material, mode }: { material: OwnMaterial; mode: Mode }) {
  const units = useWorkspace((w) => w.units),
    edit = useWorkspace((w) => w.edit),
    values = material.coupons?.[mode] ?? [],
    found = couponResult(values),
    [draft, setDraft] = useState(0);
  const set = (list: number[]) => {
    const { [mode]: _, ...rest } = material.coupons ?? {},
      coupons = list.length > 0 ? { ...rest, [mode]: list } : rest;
    edit({
      type: 'set',
      path: `${STRUCTURE}.materials.${material.id}.coupons`,
      value: Object.keys(coupons).length > 0 ? coupons : undefined,
    });
  };
  const stress = (v: number) => formatQuantity(v, 'stress', units);
  return (
    <div className="couponrow">
      <b>{MODE_NAMES[mode]}</b>
      <span className="num">
        {values.map((v, i) => (
          <button
            key={i}
            type="button"
            className="textbutton"
            aria-label={`Take ${stress(v)} away`}
            onClick={() => set(values.filter((_, k) => k !== i))}
          >
            {stress(v)} ✕{' '}
          </button>
        ))}
      </span>
      <QuantityField
        key={draft}
        label={`${MODE_NAMES[mode]}: another piece broke at`}
        hideLabel
        kind="stress"
        value={null}
        onCommit={(v) => {
          set([...values, v]);
          setDraft(draft + 1);
          return null;
        }}
      />
      <span className="note">
        {!found
          ? 'typed value'
          : found.design === null
            ? 'one piece says nothing of the others'
            : `${found.n} pieces, ${stress(found.mean)} ± ${stress(found.spread!)}: ${stress(found.design)} is counted on`}
      </span>
    </div>
  );
}

export function OwnMaterials() {
  const materials = useWorkspace((w) => w.content.document.design.structure.materials) ?? [];
  const number = (key: string, label: string) => ({
    key,
    label,
    width: 70,
    cell: { type: 'quantity' as const },
  });
  return (
    <section className="block">
      <h2>My own materials</h2>
      <DocTable
        path={`${STRUCTURE}.materials`}
        caption="My own materials"
        addLabel="Add a material"
        newRow={() => ({
          id: freshId('own', materials),
          name: 'My tube',
          kind: 'composite',
          density: 1520,
          modulus: 70e9,
          across: 25e9,
          shearModulus: 8e9,
          tension: 600e6,
          compression: 450e6,
          shear: 60e6,
          used: 0.7,
          note: '',
        })}
        columns={[
          { key: 'name', label: 'Material', cell: { type: 'text' } },
          {
            key: 'kind',
            label: 'Kind',
            width: 84,
            cell: { type: 'choice', options: MATERIAL_KINDS.map((k) => ({ value: k, label: k })) },
          },
          number('density', 'Density'),
          number('modulus', 'E along'),
          number('across', 'E across'),
          number('shearModulus', 'G'),
          number('tension', 'Pulled'),
          number('compression', 'Pressed'),
          number('shear', 'Sheared'),
          number('used', 'Used'),
        ]}
      />
      <MaterialShelf materials={materials} />
      {materials.map((m) => (
        <details key={m.id}>
          <summary className="dim clickable">Pieces of {m.name} that were broken</summary>
          {MODES.map((mode) => (
            <Coupons key={mode} material={m} mode={mode} />
          ))}
          <p className="dim note">
            Counted on is what 95 of 100 pieces exceed, stated with 75 % confidence, as timber standards have
            it: mean less k times the spread, k by the number of pieces.
          </p>
        </details>
      ))}
    </section>
  );
}
