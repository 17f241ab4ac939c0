'use client';
/** One channel over time, in the width that all panels share. */
import { Chart } from 'chart.js';
import { useComputedColorScheme } from '@mantine/core';
import { formatNumber, shownUnit, toShown, unitLabel } from '@skiametra/core/units';
import { useEffect, useRef } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Line, TraceId } from '../../../workers/logJobs';
import { traceLook } from './traces';

/** Width of the axis beside every panel [px]: stretches drawn over them begin there. */
export const AXIS = 58;
const HEIGHT = 100,
  NAME = 14;

const css = (el: Element, name: string) => getComputedStyle(el).getPropertyValue(name).trim();

interface PanelProps {
  id: TraceId;
  line: Line | undefined;
  from: number;
  to: number;
  /** time under the pointer [s] */ cursor: number | null;
}

/** Value at a time, of the nearest point drawn. */
function valueAt(line: Line | undefined, t: number | null): number | null {
  if (!line || t === null || line.t.length === 0) return null;
  let best = 0;
  for (let i = 1; i < line.t.length; i++)
    if (Math.abs(line.t[i]! - t) < Math.abs(line.t[best]! - t)) best = i;
  const v = line.v[best]!;
  return Number.isFinite(v) ? v : null;
}

/** Least and most of what is drawn, with a little room. */
function spanOf(values: readonly number[]): { min?: number; max?: number } {
  const known = values.filter(Number.isFinite);
  if (known.length === 0) return {};
  const least = known.reduce((a, v) => Math.min(a, v)),
    most = known.reduce((a, v) => Math.max(a, v)),
    room = 0.06 * (most - least) || 1;
  return { min: least - room, max: most + room };
}

export function TracePanel({ id, line, from, to, cursor }: PanelProps) {
  const canvas = useRef<HTMLCanvasElement>(null),
    units = useWorkspace((w) => w.units),
    scheme = useComputedColorScheme('light'),
    { name, kind, scale } = traceLook(id),
    unit = shownUnit(kind, units);
  useEffect(() => {
    const el = canvas.current;
    if (!el || !line) return;
    const ink = css(el, '--ink-2'),
      hair = css(el, '--hair');
    const chart = new Chart(el, {
      type: 'line',
      data: {
        datasets: [
          {
            data: line.t.map((t, i) => ({ x: t, y: toShown(line.v[i]! * scale, unit) })),
            borderColor: css(el, '--measured'),
            borderWidth: 1.2,
            pointRadius: 0,
            spanGaps: false,
          },
        ],
      },
      options: {
        responsive: true,
        maintainAspectRatio: false,
        animation: false,
        events: [],
        // the name stands above the line, not on it
        layout: { padding: { top: NAME } },
        scales: {
          x: { type: 'linear', min: from, max: to, display: false },
          y: {
            ...spanOf(line.v.map((v) => toShown(v * scale, unit))),
            ticks: { color: ink, font: { size: 10 }, maxTicksLimit: 5, includeBounds: false },
            grid: { color: hair, lineWidth: 0.5 },
            border: { color: hair },
            afterFit: (axis) => {
              axis.width = AXIS;
            },
          },
        },
        plugins: { legend: { display: false }, tooltip: { enabled: false } },
      },
    });
    return () => chart.destroy();
  }, [line, from, to, unit, scale, scheme]);
  const now = valueAt(line, cursor);
  return (
    <div className="tracepanel">
      <div className="tracename tiny">
        <b>{name}</b> <span className="dim">{unitLabel(unit)}</span>{' '}
        {now !== null && (
          <span className="num measuredtext">{formatNumber(toShown(now * scale, unit), 4)}</span>
        )}
      </div>
      <div style={{ height: HEIGHT }}>
        <canvas ref={canvas} role="img" aria-label={`${name} over time`} />
      </div>
    </div>
  );
}
