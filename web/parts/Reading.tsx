'use client';
import { formatSpread, kindAt, spreadMatters } from '@skiametra/core/units';
import { describeMarks, ThreeMark, valueText } from './ThreeMark';
import { useMarks } from './useMarks';
import { useWorkspace } from './workspace/useWorkspace';

/** One quantity with its number and three-mark bar; opens the why-panel. */
export function Reading({ id, state, name }: { id: string; state?: string; name?: string }) {
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const at = state ?? loading;
  const { def, marks, broken } = useMarks(id, at);
  if (!def) return null;
  const shown = marks.predicted
    ? valueText(marks.predicted.value, kindAt(def.kind, marks.predicted.value), units)
    : { value: '–', unit: '' };
  return (
    <button
      type="button"
      className="reading"
      onClick={() => setWhy({ id, state: at })}
      title="Why this number"
    >
      <span className="top">
        <span className="name">{name ?? def.name}</span>
        <span className="num" style={{ color: broken ? 'var(--stop)' : undefined }}>
          {shown.value}
          <span className="dim" style={{ fontSize: '0.72rem' }}>
            {' '}
            {shown.unit}
            {marks.predicted && spreadMatters(marks.predicted.value, marks.predicted.sigma)
              ? ` ±${formatSpread(marks.predicted.sigma, def.kind, units, marks.predicted.value)}`
              : ''}
          </span>
        </span>
      </span>
      {(marks.asked ||
        marks.measured ||
        marks.ghost != null ||
        (marks.predicted && spreadMatters(marks.predicted.value, marks.predicted.sigma))) && (
        <ThreeMark marks={marks} label={describeMarks(name ?? def.name, marks, def.kind, units)} />
      )}
    </button>
  );
}

export function Readings({ ids, title, state }: { ids: readonly string[]; title: string; state?: string }) {
  return (
    <section className="block" aria-label={title}>
      <h2>{title}</h2>
      {ids.map((id) => (
        <Reading key={id} id={id} state={state} />
      ))}
    </section>
  );
}
