'use client';
/** The eight numbers this project cares most about, always in sight. */
import { formatSpread, kindAt, spreadMatters } from '@skiametra/core/units';
import { describeMarks, ThreeMark, valueText } from './ThreeMark';
import { useMarks } from './useMarks';
import { useWorkspace } from './workspace/useWorkspace';

export function LedgerStrip() {
  const watch = useWorkspace((w) => w.content.document.brief.watch);
  const work = useWorkspace((w) => w.polarWork);
  const busy = useWorkspace((w) => w.ledger === null || w.polarWork !== null);
  return (
    <div className="strip" role="group" aria-label="Ledger strip" aria-busy={busy}>
      {watch.map((k) => (
        <Cell key={k} watched={k} />
      ))}
      {work && (
        <div className="stripwork" role="status">
          <span>
            Computing sections: {work.done} of {work.total} polars; the numbers follow.
          </span>
          <progress value={work.done} max={work.total} aria-label="Section polars computed" />
        </div>
      )}
      {watch.length === 0 && (
        <div style={{ padding: 12 }} className="dim">
          Choose up to eight numbers to watch in the Brief.
        </div>
      )}
    </div>
  );
}

function Cell({ watched }: { watched: string }) {
  const [id, state] = watched.split('@');
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const states = useWorkspace((w) => w.content.document.design.states);
  const { def, marks, broken } = useMarks(id, state);
  const name = def?.name ?? id;
  const where = states.find((l) => l.id === state)?.name;
  const v =
    def && marks.predicted
      ? valueText(marks.predicted.value, kindAt(def.kind, marks.predicted.value), units)
      : { value: '–', unit: '' };
  return (
    <button
      type="button"
      onClick={() => setWhy({ id, state })}
      title={`${name}${where ? `, ${where}` : ''}`}
      data-watch={watched}
    >
      <div className="label">
        {name}
        {where ? ` · ${where}` : ''}
      </div>
      <div className="value num" style={{ color: broken ? 'var(--stop)' : undefined }}>
        {v.value}
        <span className="dim" style={{ fontSize: '0.7rem' }}>
          {' '}
          {v.unit}
          {def && marks.predicted && spreadMatters(marks.predicted.value, marks.predicted.sigma)
            ? ` ±${formatSpread(marks.predicted.sigma, def.kind, units, marks.predicted.value)}`
            : ''}
        </span>
      </div>
      <ThreeMark marks={marks} label={def ? describeMarks(name, marks, def.kind, units) : name} />
    </button>
  );
}
