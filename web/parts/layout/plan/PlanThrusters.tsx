'use client';
/** What turns, on the plan: the sense of each rotor, a handle on its place, and the middle of what lifts. */
import type { KeyboardEvent, PointerEvent } from 'react';
import { liftingPlaces, type Design } from '@skiametra/core/design';
import { thrustDiscs, type ThrustDisc } from '@skiametra/core/layout';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../workspace/useWorkspace';
import { senseArc } from '../../rotors/rotorFrame';

interface Props {
  design: Design;
  unit: number;
  onHold: (thruster: string) => void;
  /** to (x aft, y to the right) [m] */ onMove: (thruster: string, x: number, y: number) => void;
}

export function PlanThrusters({ design, unit, onHold, onMove }: Props) {
  const known = new Set(design.thrusters.map((t) => t.id));
  const discs = thrustDiscs(design);
  return (
    <>
      {discs
        .filter((d) => d.up && d.turns)
        .map((d) => (
          <path
            key={d.id}
            d={senseArc({ u: d.y, v: d.x, r: d.diameter / 2 }, d.turns === 'right')}
            className="rotorsense"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      <ThrustCentre design={design} unit={unit} />
      {discs
        .filter((d) => known.has(d.id))
        .map((d) => (
          <ShaftHandle key={d.id} {...{ d, unit, onHold, onMove }} />
        ))}
    </>
  );
}

/** Where equal rotors push together, when it hangs on them: the CG belongs there. */
function ThrustCentre({ design, unit: u }: Pick<Props, 'design' | 'unit'>) {
  const places = liftingPlaces(design);
  if (places.length === 0) return null;
  const x = places.reduce((s, p) => s + p.x, 0) / places.length,
    y = places.reduce((s, p) => s + p.y, 0) / places.length;
  return (
    <g>
      <path
        d={`M${y - 1.4 * u} ${x}h${2.8 * u}M${y} ${x - 1.4 * u}v${2.8 * u}`}
        className="rotorcentre"
        vectorEffect="non-scaling-stroke"
      />
      <text x={y - 1.8 * u} y={x + 2.1 * u} fontSize={2 * u} textAnchor="end" fill="var(--ink)">
        thrust
      </text>
    </g>
  );
}

/** A press moves by a millimetre, with Shift by ten [m]. */
const STEP = 0.001;

function ShaftHandle({ d, unit: u, onHold, onMove }: Omit<Props, 'design'> & { d: ThrustDisc }) {
  const units = useWorkspace((w) => w.units);
  const key = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 * STEP : STEP,
      by = { ArrowUp: [-step, 0], ArrowDown: [step, 0], ArrowLeft: [0, -step], ArrowRight: [0, step] }[e.key];
    if (!by) return;
    e.preventDefault();
    onMove(d.id, d.x + by[0]!, d.y + by[1]!);
  };
  const hold = (e: PointerEvent) => {
    e.preventDefault();
    e.currentTarget.setPointerCapture?.(e.pointerId);
    onHold(d.id);
  };
  const at = `${formatQuantity(d.x, 'length', units)} aft, ${formatQuantity(d.y, 'length', units)} out`,
    does = d.ahead && d.up ? ', tilts' : d.up ? ', lifts' : '';
  return (
    <circle
      cx={d.y}
      cy={d.x}
      r={0.8 * u}
      className="plan handle anyway"
      tabIndex={0}
      role="slider"
      aria-label={`${d.name}${does}, at ${at}`}
      aria-valuenow={Math.round(d.x * 1000)}
      onKeyDown={key}
      onPointerDown={hold}
    >
      <title>{`${d.name}${does}`}</title>
    </circle>
  );
}
