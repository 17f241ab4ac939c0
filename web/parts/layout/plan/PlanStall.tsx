'use client';
/**
 * Plan view, nose up, with handles on the span stations of one surface, and under it, on the same axis, the map of the
 * stall: angle of attack upward, where each strip is attached, near its stall or stalled. Handles move by mouse and by
 * arrow keys.
 */
import { useRef, useState, type PointerEvent } from 'react';
import type { Design, Surface } from '@skiametra/core/design';
import type { ThrustDisc } from '@skiametra/core/layout';
import type { LayoutReport } from '@skiametra/core/views';
import { draggedStations } from './draggedStations';
import { DEG, mappedSurface, planFrame } from './planFrame';
import { PlanHandles, type Held } from './PlanHandles';
import { PlanMarks } from './PlanMarks';
import { PlanOutline } from './PlanOutline';
import { PlanThrusters, tiltAt } from './PlanThrusters';
import { StallPatterns } from './StallLegend';
import { StallMap } from './StallMap';

interface Props {
  design: Design;
  ghost: Design | null;
  report: LayoutReport | null;
  surface: Surface | null;
  loading: string;
  onStations: (stations: Surface['stations'], rootX?: number) => void;
  /** to (x aft, y to the right) [m] */ onThruster: (id: string, x: number, y: number) => void;
  /** largest angle upward of a shaft [rad] */ onTilt: (id: string, to: number) => void;
  /** angle of attack whose row is marked [rad] */ alpha: number;
}

export function PlanStall({
  design,
  ghost,
  report,
  surface,
  loading,
  onStations,
  onThruster,
  onTilt,
  alpha,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<Held | string | ThrustDisc | null>(null);
  const flows = report?.stall.flows ?? [];
  const frame = planFrame(design, flows);
  const of = mappedSurface(design, flows, surface);
  const move = ({ index, edge }: Held, x: number, y: number) => {
    if (!surface) return;
    const d = draggedStations(surface, index, edge, x, y);
    onStations(d.stations, d.rootX);
  };
  const drag = (e: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!held || !matrix) return;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    if (typeof held === 'string') onThruster(held, p.y, p.x);
    else if ('diameter' in held) onTilt(held.id, tiltAt(held, p.y));
    else move(held, p.y, p.x);
  };
  const state = design.states.find((l) => l.id === loading)?.name ?? '';
  return (
    <svg
      ref={svg}
      viewBox={frame.viewBox}
      width="100%"
      className="high560 asblock untouched"
      role="group"
      aria-label={saidOf(of, report)}
      onPointerMove={drag}
      onPointerUp={() => setHeld(null)}
      onPointerLeave={() => setHeld(null)}
    >
      <StallPatterns unit={frame.unit} />
      <PlanOutline frame={frame} ghost={ghost} inHand={surface?.id} />
      <PlanMarks unit={frame.unit} cg={report?.cg.x} neutral={report?.neutralX} />
      <PlanThrusters
        design={design}
        unit={frame.unit}
        onHold={setHeld}
        onMove={onThruster}
        onHoldTilt={setHeld}
        onTilt={onTilt}
      />
      {surface && surface.role !== 'fin' && (
        <PlanHandles surface={surface} unit={frame.unit} onHold={setHeld} onMove={move} />
      )}
      {report && of && flows.length > 0 && <StallMap {...{ frame, report, of, state, alpha }} />}
    </svg>
  );
}

/** The picture in words. */
function saidOf(of: Surface | undefined, report: LayoutReport | null): string {
  const first = report?.stall.first.find((f) => f.surface === of?.id);
  const begins =
    first &&
    `It begins to stall at ${(first.alpha * DEG).toFixed(1)} degrees, ` +
      `${(100 * first.eta).toFixed(0)} per cent of the half span out.`;
  return `Plan view with the stall map of ${of?.name ?? 'the wing'}. ${begins ?? ''}`;
}
