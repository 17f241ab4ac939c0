'use client';
/** Names and ticks of both directions. */
import { formatNumber, shownUnit, toShown, fromShown, unitLabel } from '@skiametra/core/units';
import type { Axis } from '@skiametra/core/trade';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { alongAxis } from './mapFrame';
import { MAP } from './sweepFrame';
import { niceTicks } from './ticks';
import type { Found } from './useSweep';

interface Tick {
  readonly at: number;
  readonly label: string;
}

const MOST_WHOLE = 16;

function useTicks({ lever, values }: Axis): { ticks: Tick[]; name: string } {
  const units = useWorkspace((w) => w.units),
    unit = shownUnit(lever.kind, units);
  const whole = lever.choices ? values : lever.whole && values.length <= MOST_WHOLE ? values : null;
  const at = (v: number, label: string): Tick[] => {
    const place = alongAxis(values, v);
    return place === null ? [] : [{ at: place, label }];
  };
  const ticks = whole
    ? whole.flatMap((v) => at(v, lever.choices?.[v] ?? String(v)))
    : niceTicks(toShown(values[0]!, unit), toShown(values[values.length - 1]!, unit), 6).flatMap((t) =>
        at(fromShown(t, unit), formatNumber(t, 4)),
      );
  const label = lever.choices ? '' : unitLabel(unit);
  return { ticks, name: label ? `${lever.name} [${label}]` : lever.name };
}

export function MapAxes({ found }: { found: Found }) {
  const [across, up] = found.task.axes;
  return (
    <g className="sweepaxes">
      <rect x={MAP.left} y={MAP.top} width={MAP.w} height={MAP.h} className="sweepframe" />
      {across && <Across axis={across} />}
      {up && <Up axis={up} />}
    </g>
  );
}

const short = (text: string) => (text.length > 12 ? `${text.slice(0, 11)}…` : text);

function Across({ axis }: { axis: Axis }) {
  const { ticks, name } = useTicks(axis),
    y = MAP.top + MAP.h;
  return (
    <>
      {ticks.map((t) => (
        <g key={t.label} transform={`translate(${MAP.left + t.at * MAP.w} ${y})`}>
          <path d="M0 0v5" />
          <text y={17} textAnchor="middle">
            {short(t.label)}
          </text>
        </g>
      ))}
      <text x={MAP.left + MAP.w / 2} y={y + 37} textAnchor="middle" className="sweepname">
        {name}
      </text>
    </>
  );
}

function Up({ axis }: { axis: Axis }) {
  const { ticks, name } = useTicks(axis);
  return (
    <>
      {ticks.map((t) => (
        <g key={t.label} transform={`translate(${MAP.left} ${MAP.top + (1 - t.at) * MAP.h})`}>
          <path d="M0 0h-5" />
          <text x={-8} dy="0.35em" textAnchor="end">
            {short(t.label)}
          </text>
        </g>
      ))}
      <text
        transform={`translate(14 ${MAP.top + MAP.h / 2}) rotate(-90)`}
        textAnchor="middle"
        className="sweepname"
      >
        {name}
      </text>
    </>
  );
}
