'use client';
/** Handles on the span stations of a surface: dragged, or moved with the arrow keys. */
import type { KeyboardEvent, PointerEvent } from 'react';
import type { Surface } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../workspace/useWorkspace';
import type { Edge } from './draggedStations';

export interface Held {
  readonly index: number;
  readonly edge: Edge;
}
interface Props {
  surface: Surface;
  unit: number;
  onHold: (held: Held) => void;
  /** to (x aft, y out) [m] */ onMove: (held: Held, x: number, y: number) => void;
}

export function PlanHandles({ surface, unit, onHold, onMove }: Props) {
  const handles = surface.stations.flatMap((st, index) => {
    const y = (surface.y ?? 0) + st.y,
      x = surface.x + st.x;
    return [
      { index, edge: 'lead' as const, x, y },
      { index, edge: 'trail' as const, x: x + st.chord, y },
    ];
  });
  return (
    <>
      {handles.map((h) => (
        <Handle key={`${h.index}${h.edge}`} {...{ surface, unit, onHold, onMove, at: h }} />
      ))}
    </>
  );
}

/** A press moves by a millimetre, with Shift by ten [m]. */
const STEP = 0.001;

type At = Held & { readonly x: number; readonly y: number };

function Handle({ surface, unit: u, onHold, onMove, at }: Props & { at: At }) {
  const units = useWorkspace((w) => w.units);
  const { index, edge, x, y } = at;
  const key = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 * STEP : STEP,
      d = { ArrowUp: [-step, 0], ArrowDown: [step, 0], ArrowLeft: [0, -step], ArrowRight: [0, step] }[e.key];
    if (!d) return;
    e.preventDefault();
    onMove({ index, edge }, x + (d[0] ?? 0), y + (d[1] ?? 0));
  };
  const hold = (e: PointerEvent) => {
    e.preventDefault();
    e.currentTarget.setPointerCapture?.(e.pointerId);
    onHold({ index, edge });
  };
  const side = edge === 'lead' ? 'leading edge' : 'trailing edge';
  const common = {
    className: edge === 'trail' || index === 0 ? 'plan handle upanddown' : 'plan handle anyway',
    tabIndex: 0,
    role: 'slider',
    'aria-label': `${surface.name}, station ${index + 1}, ${side} at ${formatQuantity(y, 'length', units)} out`,
    'aria-valuenow': Math.round(x * 1000),
    onKeyDown: key,
    onPointerDown: hold,
  };
  if (edge === 'lead') return <circle cx={y} cy={x} r={0.95 * u} {...common} />;
  const size = 1.7 * u;
  return <rect x={y - size / 2} y={x - size / 2} width={size} height={size} {...common} />;
}
