'use client';
/** What the spar is made of, and where its numbers come from. */
import { NativeSelect } from '@mantine/core';
import { sparOf } from '@skiametra/core/design';
import { MATERIALS, materialNamed, sparSection } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Material({ label, path }: { label: string; path: string }) {
  const edit = useWorkspace((w) => w.edit);
  const key = path.split('.').pop()! as 'material';
  const value = useWorkspace(
    (w) => (sparOf(w.content.document.design)?.shape as unknown as Record<string, string>)[key] ?? '',
  );
  return (
    <NativeSelect
      className="wide"
      label={label}
      value={value}
      data={[
        ...(materialNamed(value) ? [] : [{ value, label: `${value} (not in the store)` }]),
        ...MATERIALS.map((m) => ({ value: m.id, label: m.name })),
      ]}
      onChange={(e) => edit({ type: 'set', path, value: e.currentTarget.value })}
    />
  );
}

export function Sources() {
  const spar = useWorkspace((w) => sparOf(w.content.document.design)?.shape);
  const units = useWorkspace((w) => w.units);
  return (
    <section className="block">
      <h2>Material values</h2>
      {(spar ? sparSection(spar).materials : []).map((m) => (
        <div key={m.id} className="note mb8">
          <b>{m.name}</b>: E {formatQuantity(m.modulus, 'modulus', units)}, compression{' '}
          {formatQuantity(m.compression, 'stress', units)}, tension{' '}
          {formatQuantity(m.tension, 'stress', units)}; {Math.round(100 * m.knockdown)} % of the weaker is
          used.
          <div className="dim">Source: {m.source}.</div>
        </div>
      ))}
    </section>
  );
}
