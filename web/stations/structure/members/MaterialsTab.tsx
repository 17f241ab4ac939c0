'use client';
/** What may be counted on of every material that the members name, where it comes from, and materials of one's own. */
import { designStress, materialsOf, namedIn, type Material } from '@skiametra/core/structure';
import { ShownTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { OwnMaterials } from './OwnMaterials';

function useUsed(): Material[] {
  const structure = useWorkspace((w) => w.content.document.design.structure),
    named = namedIn({ structure }),
    ids = structure.members.flatMap((m) =>
      [m.shape, ...(m.steps ?? []).map((s) => s.shape)].flatMap(materialsOf),
    );
  return [...new Set(ids)].flatMap((id) => named(id) ?? []);
}

export function MaterialsTab() {
  const used = useUsed();
  return (
    <div className="stack">
      <section className="block">
        <h2>What may be counted on</h2>
        <ShownTable
          name="Materials of the members"
          rows={used}
          rowKey={(m) => m.id}
          columns={[
            { key: 'name', label: 'Material', value: (m) => m.name, fixed: true },
            { key: 'modulus', label: 'E along', kind: 'modulus', width: 76, value: (m) => m.modulus },
            { key: 'across', label: 'E across', kind: 'modulus', width: 76, value: (m) => m.across },
            {
              key: 'pull',
              label: 'Pulled',
              kind: 'stress',
              width: 76,
              value: (m) => designStress(m, 'tension'),
            },
            {
              key: 'press',
              label: 'Pressed',
              kind: 'stress',
              width: 76,
              value: (m) => designStress(m, 'compression'),
            },
            {
              key: 'shear',
              label: 'Sheared',
              kind: 'stress',
              width: 76,
              value: (m) => designStress(m, 'shear'),
            },
            { key: 'source', label: 'Source', value: (m) => m.source },
          ]}
        />
        <p className="dim note flush">
          Mean strength less 1.64 times the scatter of pieces (19 of 20 reach it), less what notches, glue
          lines, damp and heat take.
        </p>
      </section>
      <OwnMaterials />
    </div>
  );
}
