'use client';
/** Two inputs: bands of what is shown, every limit a line with its name, what cannot be flown hatched. */
import { useId, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { MapAxes } from './MapAxes';
import { MapMarks } from './MapMarks';
import { mapOf, MAP } from './sweepFrame';
import { leverValue, shownKind } from './shown';
import type { Found } from './useSweep';

interface Props {
  found: Found;
  chosen: number | null;
  onChoose: (index: number) => void;
}

export function SweepMap({ found, chosen, onChoose }: Props) {
  const units = useWorkspace((w) => w.units),
    id = useId(),
    map = useMemo(() => mapOf(found), [found]),
    [over, setOver] = useState<number | null>(null);
  const { columns, rows } = map.grid,
    kind = shownKind(found.study.show);
  const at = (e: PointerEvent<SVGRectElement>) => {
    const box = e.currentTarget.getBoundingClientRect(),
      cell = (v: number, n: number) => Math.min(n - 1, Math.max(0, Math.floor(v * n)));
    return (
      cell(1 - (e.clientY - box.top) / box.height, rows) * columns +
      cell((e.clientX - box.left) / box.width, columns)
    );
  };
  const keyed = (e: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: columns, ArrowDown: -columns }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    const next = (chosen ?? found.best ?? 0) + by;
    if (next >= 0 && next < columns * rows) onChoose(next);
  };
  const said = over ?? chosen,
    cell = said === null ? null : found.cells[said];
  return (
    <figure className="sweepmap flush">
      <svg viewBox={`0 0 ${MAP.wide} ${MAP.high}`} width="100%" role="group" aria-label="Map of the study">
        <defs>
          <clipPath id={`${id}c`}>
            <rect x={0} y={0} width={1} height={1} />
          </clipPath>
          <pattern
            id={`${id}h`}
            width="7"
            height="7"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0 0V7" className="sweephatch" />
          </pattern>
        </defs>
        <g transform={`translate(${MAP.left} ${MAP.top}) scale(${MAP.w} ${MAP.h})`} clipPath={`url(#${id}c)`}>
          <rect x={0} y={0} width={1} height={1} className="sweepground" />
          {map.squares.map((q) => (
            <rect
              key={q.index}
              {...{ x: q.x, y: q.y, width: q.w, height: q.h }}
              className="sweepcell"
              style={{ fillOpacity: 0.06 + 0.6 * q.share }}
            />
          ))}
          {map.bands.map((b, i) => (
            <path
              key={b.level}
              d={b.area}
              className="sweepband"
              style={{ fillOpacity: 0.08 + (0.5 * (i + 1)) / map.bands.length / 3 }}
            />
          ))}
          {map.bands.map((b) => (
            <path key={b.level} d={b.line} className="sweepline" vectorEffect="non-scaling-stroke" />
          ))}
        </g>
        <path
          d={map.infeasible}
          transform={`translate(${MAP.left} ${MAP.top})`}
          fill={`url(#${id}h)`}
          fillRule="evenodd"
          clipPath={`url(#${id}m)`}
        />
        <clipPath id={`${id}m`}>
          <rect x={0} y={0} width={MAP.w} height={MAP.h} />
        </clipPath>
        <g transform={`translate(${MAP.left} ${MAP.top}) scale(${MAP.w} ${MAP.h})`} clipPath={`url(#${id}c)`}>
          {map.limits.map((l) => (
            <path key={l.id} d={l.line} className="sweeplimit" vectorEffect="non-scaling-stroke" />
          ))}
        </g>
        {map.bands.map(
          (b) =>
            b.at && (
              <text
                key={b.level}
                x={MAP.left + b.at.x * MAP.w}
                y={MAP.top + b.at.y * MAP.h}
                className="sweeplevel"
              >
                {formatQuantity(b.level, kind, units)}
              </text>
            ),
        )}
        <MapAxes found={found} />
        <MapMarks found={found} map={map} chosen={chosen} />
        <rect
          x={MAP.left}
          y={MAP.top}
          width={MAP.w}
          height={MAP.h}
          className="sweephit"
          tabIndex={0}
          role="button"
          aria-label="Cells: arrow keys walk over them, the panel beside tells of the one that is chosen"
          onPointerMove={(e) => setOver(at(e))}
          onPointerLeave={() => setOver(null)}
          onClick={(e) => onChoose(at(e as unknown as PointerEvent<SVGRectElement>))}
          onKeyDown={keyed}
        />
      </svg>
      <figcaption className="legend num" aria-live="off">
        {cell
          ? found.task.axes
              .map((a) => `${a.lever.name} ${leverValue(a.lever, cell.at[a.lever.id] ?? null, units)}`)
              .join(' · ') +
            ` · ${cell.show[found.study.show] == null ? '–' : formatQuantity(cell.show[found.study.show]!, kind, units)}` +
            (cell.feasible
              ? ''
              : ` · ${cell.stopped ?? cell.blocked.map((b) => found.names[b] ?? b).join(', ')}`)
          : 'Point at a cell to read it; click it to keep it.'}
      </figcaption>
    </figure>
  );
}
