'use client';
/**
 * Side and plan view on one axis with the items as dots sized by mass, all of them named: what can move is dragged along its
 * range; the solver's proposal stands as ghosts.
 */
import { useRef, useState, type PointerEvent } from 'react';
import type { LayoutReport } from '@skiametra/core/views';
import type { Design } from '@skiametra/core/design';
import type { Move } from '@skiametra/core/mass';
import type { UnitSystem } from '@skiametra/core/units';
import { FlagNames } from '../picture/FlagNames';
import { balanceFrame, type BalanceFrame } from './balanceFrame';
import { MassDot } from './MassDot';
import { NeutralPoint, Outlines, Proposal, StateDiamonds, Wheels } from './balanceMarks';

interface Props {
  design: Design;
  report: LayoutReport | null;
  band: { forward: number | null; aft: number | null };
  moves: readonly Move[];
  units: UnitSystem;
  onMove: (item: string, x: number) => void;
}

/** Puts an item down along its range, to the millimetre. */
function usePut(design: Design, onMove: Props['onMove']) {
  return (id: string, x: number) => {
    const m = design.items.find((i) => i.id === id)?.movable;
    if (m) onMove(id, Math.round(Math.min(m.to, Math.max(m.from, x)) * 1000) / 1000);
  };
}

export function BalancePicture({ design, report, band, moves, units, onMove }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<string | null>(null);
  const put = usePut(design, onMove);
  const neutral = report && { x: report.neutralX, z: report.cg.z };
  const f = balanceFrame(design, neutral, report?.states ?? []);
  const at = (e: PointerEvent) =>
    new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse()).x;
  const letGo = () => setHeld(null);
  return (
    <svg
      ref={svg}
      className="balancepicture"
      viewBox={`${f.box.x} ${f.box.y} ${f.box.width} ${f.box.height}`}
      width="100%"
      role="group"
      aria-label="Side and plan view with the masses as dots; those that can move are sliders along their range"
      onPointerMove={(e) => {
        if (held) put(held, at(e));
      }}
      onPointerUp={letGo}
      onPointerLeave={letGo}
    >
      <Band frame={f} band={band} y={0} height={f.sideEnd} />
      <Band frame={f} band={band} y={f.planMid - f.reach} height={2 * f.reach} />
      <Outlines frame={f} />
      <Wheels design={design} frame={f} />
      <FlagNames flags={f.names} size={f.size} rowHeight={f.rowHeight} top={0} bottom={f.sideEnd} />
      <FlagNames
        flags={f.stateNames}
        size={f.size}
        rowHeight={f.rowHeight}
        top={f.planMid - f.reach}
        bottom={f.planMid + f.reach}
      />
      {f.dots.map((d) => (
        <MassDot key={d.item.id} dot={d} cy={f.zTop - d.z} units={units} onPut={put} onHold={setHeld} />
      ))}
      <g clipPath="url(#planclip)">
        {f.dots.map((d) => (
          <MassDot
            key={d.item.id}
            dot={d}
            cy={f.planMid + d.item.y}
            units={units}
            onPut={put}
            onHold={setHeld}
          />
        ))}
      </g>
      <Proposal frame={f} moves={moves} />
      {neutral && <NeutralPoint frame={f} {...neutral} />}
      <StateDiamonds frame={f} report={report} units={units} />
    </svg>
  );
}

/** Where the CG may lie; open forward where only an aft limit is known. */
function Band({ frame, band, y, height }: BandProps) {
  if (band.aft === null) return null;
  const from = band.forward ?? frame.x0;
  return (
    <rect
      className={band.forward === null ? 'predictedband open' : 'predictedband'}
      x={from}
      width={Math.max(0, band.aft - from)}
      y={y}
      height={height}
    />
  );
}
interface BandProps {
  frame: BalanceFrame;
  band: Props['band'];
  y: number;
  height: number;
}
