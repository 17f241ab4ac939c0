'use client';
/** One mass in the balance picture; a slider along its range where it can be moved. */
import type { KeyboardEvent, PointerEvent, SVGProps } from 'react';
import { standsWherePut } from '@skiametra/core/mass';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';
import type { Dot } from './balanceFrame';

interface MassDotProps {
  dot: Dot;
  cy: number;
  units: UnitSystem;
  onPut: (item: string, x: number) => void;
  onHold: (item: string) => void;
}

/** A millimetre by an arrow key, ten with Shift. */
const NUDGE = 0.001;

function sliderOf({ dot, units, onPut, onHold }: MassDotProps): SVGProps<SVGCircleElement> {
  const { item, x } = dot,
    { from, to } = item.movable!;
  return {
    tabIndex: 0,
    role: 'slider',
    'aria-label': `${item.name}, ${formatQuantity(x, 'length', units)} from the nose`,
    'aria-valuenow': Math.round(1000 * x),
    'aria-valuemin': Math.round(1000 * from),
    'aria-valuemax': Math.round(1000 * to),
    'aria-valuetext': formatQuantity(x, 'length', units),
    onKeyDown: (e: KeyboardEvent) => {
      const way = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
      if (!way) return;
      e.preventDefault();
      onPut(item.id, x + way * NUDGE * (e.shiftKey ? 10 : 1));
    },
    onPointerDown: (e: PointerEvent) => {
      e.preventDefault();
      onHold(item.id);
    },
  };
}

export function MassDot(props: MassDotProps) {
  const { dot, cy, units } = props,
    { item, x, mass, radius } = dot,
    movable = item.movable !== null && standsWherePut(item);
  return (
    <g className={movable ? 'massdot movable' : 'massdot'}>
      {movable && <line x1={item.movable!.from} x2={item.movable!.to} y1={cy} y2={cy} />}
      <circle cx={x} cy={cy} r={radius} {...(movable ? sliderOf(props) : {})}>
        <title>{`${item.name}, ${formatQuantity(mass, 'mass', units)} at ${formatQuantity(x, 'length', units)}`}</title>
      </circle>
    </g>
  );
}
