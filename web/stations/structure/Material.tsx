'use client';
/** What the spar is made of, and where its numbers come from. */
import { sparOf } from '@skiametra/core/design';
import { MATERIALS, materialNamed, sparSection } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Material({ label, path }: { label: string; path: string }) {
  const edit = useWorkspace((w) => w.edit);
  const key = path.split('.').pop()! as 'material';
  const value = useWorkspace(
    (w) => (sparOf(w.content.document.design)?.shape as unknown as Record<string, string>)[key],
  );
  return (
    <div className="qf wide">
      <label htmlFor={path}>{label}</label>
      <select
        id={path}
        className="cell plaininput"
        value={value}
        onChange={(e) => edit({ type: 'set', path, value: e.target.value })}
      >
        {!materialNamed(value) && <option value={value}>{value} (not in the store)</option>}
        {MATERIALS.map((m) => (
          <option key={m.id} value={m.id}>
            {m.name}
          </option>
        ))}
      </select>
    </div>
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
