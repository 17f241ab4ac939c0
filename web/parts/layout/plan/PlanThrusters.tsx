'use client';
/** What turns, on the plan: the sense of each rotor, a handle on its place, and the middle of what lifts. */
import type { KeyboardEvent, PointerEvent } from 'react';
import { liftingPlaces, thrustCentre, type Design } from '@skiametra/core/design';
import { thrustDiscs, type ThrustDisc } from '@skiametra/core/layout';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../workspace/useWorkspace';
import { senseArc } from '../../rotors/rotorFrame';

interface Props {
  design: Design;
  unit: number;
  onHold: (thruster: string) => void;
  /** to (x aft, y to the right) [m] */ onMove: (thruster: string, x: number, y: number) => void;
  onHoldTilt: (disc: ThrustDisc) => void;
  /** largest angle upward [rad] */ onTilt: (thruster: string, to: number) => void;
}

export function PlanThrusters({ design, unit, onHold, onMove, onHoldTilt, onTilt }: Props) {
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
      {discs
        .filter((d) => d.tilt !== undefined)
        .map((d) => (
          <TiltHandle key={d.id} {...{ d, unit, onHoldTilt, onTilt }} />
        ))}
    </>
  );
}

/** Where equal rotors push together, when it hangs on them: the CG belongs there. */
function ThrustCentre({ design, unit: u }: Pick<Props, 'design' | 'unit'>) {
  const centre = thrustCentre(liftingPlaces(design));
  if (!centre) return null;
  const { x, y } = centre;
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

type Handled<K extends keyof Props> = Pick<Props, K> & { d: ThrustDisc };

function ShaftHandle({ d, unit: u, onHold, onMove }: Handled<'unit' | 'onHold' | 'onMove'>) {
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

const DEG = Math.PI / 180;
/** What a shaft may tilt up to [rad]. */
const LEAST_TILT = 60 * DEG,
  MOST_TILT = 120 * DEG;

/** Largest tilt that puts the handle so far aft of the datum. */
export function tiltAt(d: ThrustDisc, x: number): number {
  const along = (2 * (d.x - x)) / d.diameter;
  return Math.min(MOST_TILT, Math.max(LEAST_TILT, Math.acos(Math.min(1, Math.max(-1, along)))));
}

/** On the rim: straight out when it tilts upright, ahead when less, aft when more. */
function TiltHandle({ d, unit: u, onHoldTilt, onTilt }: Handled<'unit' | 'onHoldTilt' | 'onTilt'>) {
  const tilt = d.tilt!,
    out = d.y < 0 ? -1 : 1,
    degrees = Math.round(tilt / DEG);
  const key = (e: KeyboardEvent) => {
    const by = { ArrowUp: -1, ArrowDown: 1 }[e.key];
    if (!by) return;
    e.preventDefault();
    onTilt(d.id, Math.min(MOST_TILT, Math.max(LEAST_TILT, tilt + by * (e.shiftKey ? 5 : 1) * DEG)));
  };
  const hold = (e: PointerEvent) => {
    e.preventDefault();
    e.currentTarget.setPointerCapture?.(e.pointerId);
    onHoldTilt(d);
  };
  const x = d.x - (d.diameter / 2) * Math.cos(tilt),
    y = d.y + (out * d.diameter) / 2;
  return (
    <g>
      <rect
        x={y - 0.7 * u}
        y={x - 0.7 * u}
        width={1.4 * u}
        height={1.4 * u}
        className="plan handle upanddown"
        tabIndex={0}
        role="slider"
        aria-label={`${d.name}, tilts up to ${degrees}°`}
        aria-valuenow={degrees}
        onKeyDown={key}
        onPointerDown={hold}
      />
      <text
        x={y + out * 1.4 * u}
        y={x + 0.7 * u}
        fontSize={1.9 * u}
        textAnchor={out < 0 ? 'end' : 'start'}
        fill="var(--ink-2)"
      >
        {degrees}°
      </text>
    </g>
  );
}
