'use client';
/**
 * Plan view, nose up, with handles on the span stations of one surface, and under it, on the same axis, the map of the
 * stall: angle of attack upward, where each strip is attached, near its stall or stalled. Handles move by mouse and by arrow keys.
 */
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { LayoutReport } from '@skiametra/core/views';
import type { Design, Surface } from '@skiametra/core/design';
import { threeViewLines } from '@skiametra/core/layout';
import { isMirrored } from '@skiametra/core/surface';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';

interface Props {
  design: Design;
  ghost: Design | null;
  report: LayoutReport | null;
  surface: Surface | null;
  units: UnitSystem;
  loading: string;
  onStations: (stations: Surface['stations'], rootX?: number) => void;
  /** angle of attack whose row is marked [rad] */ alpha: number;
}

const DEG = 180 / Math.PI;
const HIGHEST = 22;
const round = (v: number) => Math.round(v * 2000) / 2000;

/** Stations after dragging one handle to (x aft, y out) in design axes; the table's own rules kept. */
export function draggedStations(
  surface: Surface,
  index: number,
  edge: 'lead' | 'trail',
  x: number,
  y: number,
): { stations: Surface['stations']; rootX?: number } {
  const s = surface.stations,
    st = s[index],
    y0 = surface.y ?? 0;
  const set = (change: Partial<Surface['stations'][number]>) =>
    s.map((q, i) => (i === index ? { ...q, ...change } : q));
  if (edge === 'trail')
    return { stations: set({ chord: round(Math.min(5, Math.max(0.005, x - surface.x - st.x))) }) };
  if (index === 0) return { stations: [...s], rootX: round(x - st.x) };
  const lo = s[index - 1].y + 0.005,
    hi = index < s.length - 1 ? s[index + 1].y - 0.005 : 10;
  return {
    stations: set({
      x: round(Math.min(5, Math.max(-5, x - surface.x))),
      y: round(Math.min(hi, Math.max(lo, y - y0))),
    }),
  };
}

export function PlanStall({ design, ghost, report, surface, units, loading, onStations, alpha }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ index: number; edge: 'lead' | 'trail' } | null>(null);
  const lines = threeViewLines(design).filter((l) => l.view === 'plan');
  // the drawing's own plan has the nose to the left: turned here, (x, -y) to (y, x)
  const turn = ([u, v]: [number, number]): [number, number] => [-v, u];
  const all = lines.flatMap((l) => l.points.map(turn));
  const half = Math.max(...all.map((p) => Math.abs(p[0]))),
    top = Math.min(...all.map((p) => p[1])),
    bottom = Math.max(...all.map((p) => p[1]));
  const pad = 0.08 * half,
    u = (2 * (half + pad)) / 100;
  const flows = report?.stall.flows ?? [];
  const of =
    surface && flows[0]?.strips.some((q) => q.surface === surface.id)
      ? surface.id
      : design.surfaces.find((s) => s.role === 'wing')!.id;
  const mapTop = bottom + 7 * u,
    mapHeight = flows.length > 0 ? 0.42 * half : 0;
  const rowAt = (deg: number) => mapTop + mapHeight * (1 - deg / HIGHEST);
  const path = (pts: [number, number][], closed: boolean) =>
    `${pts.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(4)} ${y.toFixed(4)}`).join('')}${closed ? 'Z' : ''}`;
  const place = (e: PointerEvent) => {
    const m = svg.current!.getScreenCTM()!.inverse(),
      p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
    return { x: p.y, y: p.x };
  };
  const move = (index: number, edge: 'lead' | 'trail', x: number, y: number) => {
    if (!surface) return;
    const d = draggedStations(surface, index, edge, x, y);
    onStations(d.stations, d.rootX);
  };
  const editable = surface && surface.role !== 'fin' ? surface : null;
  const handles = editable
    ? editable.stations.flatMap((st, index) => {
        const y = (editable.y ?? 0) + st.y;
        return [
          { index, edge: 'lead' as const, x: editable.x + st.x, y },
          { index, edge: 'trail' as const, x: editable.x + st.x + st.chord, y },
        ];
      })
    : [];
  const key = (h: (typeof handles)[number]) => (e: KeyboardEvent) => {
    const step = e.shiftKey ? 0.01 : 0.001,
      d = { ArrowUp: [-step, 0], ArrowDown: [step, 0], ArrowLeft: [0, -step], ArrowRight: [0, step] }[e.key];
    if (d) {
      e.preventDefault();
      move(h.index, h.edge, h.x + d[0], h.y + d[1]);
    }
  };
  const ailerons = (report?.ailerons ?? []).filter((a) => a.surface === of);
  const ends = design.surfaces.find((s) => s.id === of)!,
    tip = ends.stations[ends.stations.length - 1].y,
    root = ends.y ?? 0;
  const cg = report?.cg.x,
    np = report?.neutralX;
  const first = report?.stall.first.find((f) => f.surface === of);
  return (
    <svg
      ref={svg}
      viewBox={`${-half - pad} ${top - 2 * u} ${2 * (half + pad)} ${mapTop + mapHeight + 6 * u - top + 2 * u}`}
      width="100%"
      className="high560 asblock untouched"
      role="group"
      aria-label={`Plan view with the stall map of ${ends.name}. ${first ? `It begins to stall at ${(first.alpha * DEG).toFixed(1)} degrees, ${(100 * first.eta).toFixed(0)} per cent of the half span out.` : ''}`}
      onPointerMove={(e) => {
        if (held) {
          const p = place(e);
          move(held.index, held.edge, p.x, p.y);
        }
      }}
      onPointerUp={() => setHeld(null)}
      onPointerLeave={() => setHeld(null)}
    >
      <defs>
        <pattern id="near" width={u} height={u} patternUnits="userSpaceOnUse">
          <circle cx={u / 2} cy={u / 2} r={0.22 * u} fill="var(--look)" />
        </pattern>
        <pattern
          id="stalled"
          width={0.8 * u}
          height={0.8 * u}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={0.45 * u} height={0.8 * u} fill="var(--stop)" />
        </pattern>
      </defs>
      {ghost &&
        threeViewLines(ghost)
          .filter((l) => l.view === 'plan' && l.kind === 'outline')
          .map((l, i) => (
            <path
              key={`g${i}`}
              d={path(l.points.map(turn), l.closed)}
              fill="none"
              stroke="var(--ghost)"
              strokeDasharray="4 3"
              vectorEffect="non-scaling-stroke"
            />
          ))}
      {[...lines]
        .sort((a, b) => Number(a.part !== 'body') - Number(b.part !== 'body'))
        .map((l, i) => (
          <path
            key={i}
            d={path(l.points.map(turn), l.closed)}
            fill={
              l.kind === 'outline'
                ? l.part === surface?.id
                  ? 'color-mix(in srgb, var(--predicted) 9%, var(--paper-2))'
                  : 'var(--paper-2)'
                : 'none'
            }
            stroke={l.kind === 'disc' ? 'var(--ghost)' : l.kind === 'hinge' ? 'var(--ink-2)' : 'var(--ink)'}
            strokeDasharray={l.kind === 'disc' && l.closed ? '3 3' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      {np !== undefined && (
        <g>
          <circle
            cx={0}
            cy={np}
            r={1.2 * u}
            fill="var(--paper)"
            stroke="var(--ink)"
            vectorEffect="non-scaling-stroke"
          />
          <circle cx={0} cy={np} r={0.35 * u} fill="var(--ink)" />
          <text x={1.8 * u} y={np + 1.9 * u} fontSize={2 * u} fill="var(--ink)">
            NP
          </text>
        </g>
      )}
      {cg !== undefined && (
        <g>
          <path
            d={`M0 ${cg - 1.3 * u}l${u} ${1.3 * u}l${-u} ${1.3 * u}l${-u} ${-1.3 * u}z`}
            fill="var(--paper)"
            stroke="var(--predicted)"
            strokeWidth={1.8}
            vectorEffect="non-scaling-stroke"
          />
          <text x={-1.8 * u} y={cg - 0.4 * u} fontSize={2 * u} textAnchor="end" fill="var(--predicted)">
            CG
          </text>
        </g>
      )}
      {handles.map((h) => {
        const name = `${editable!.name}, station ${h.index + 1}, ${h.edge === 'lead' ? 'leading edge' : 'trailing edge'} at ${formatQuantity(h.y, 'length', units)} out`;
        const common = {
          fill: 'var(--paper)',
          stroke: 'var(--predicted)',
          strokeWidth: 1.8,
          vectorEffect: 'non-scaling-stroke' as const,
          tabIndex: 0,
          role: 'slider',
          'aria-label': name,
          'aria-valuenow': Math.round(h.x * 1000),
          style: { cursor: h.edge === 'trail' || h.index === 0 ? 'ns-resize' : 'move' },
          onKeyDown: key(h),
          onPointerDown: (e: PointerEvent) => {
            e.preventDefault();
            (e.currentTarget as Element).setPointerCapture?.(e.pointerId);
            setHeld({ index: h.index, edge: h.edge });
          },
        };
        return h.edge === 'lead' ? (
          <circle key={`${h.index}l`} cx={h.y} cy={h.x} r={0.95 * u} {...common} />
        ) : (
          <rect
            key={`${h.index}t`}
            x={h.y - 0.85 * u}
            y={h.x - 0.85 * u}
            width={1.7 * u}
            height={1.7 * u}
            {...common}
          />
        );
      })}
      {flows.length > 0 && (
        <g>
          {ailerons.flatMap((a, i) =>
            [1, -1].map((side) => {
              const y1 = side * (root + a.from * tip),
                y2 = side * (root + a.to * tip);
              return (
                <g key={`${i}${side}`}>
                  <rect
                    x={Math.min(y1, y2)}
                    width={Math.abs(y2 - y1)}
                    y={mapTop}
                    height={mapHeight}
                    fill="var(--predicted-soft)"
                  />
                  <text
                    x={(y1 + y2) / 2}
                    y={mapTop + mapHeight - 1 * u}
                    fontSize={1.9 * u}
                    textAnchor="middle"
                    fill="var(--ink-2)"
                  >
                    {a.kind}
                  </text>
                </g>
              );
            }),
          )}
          {flows
            .filter((f) => f.alpha * DEG > -0.4 && f.alpha * DEG <= HIGHEST)
            .flatMap((f, k) =>
              f.strips
                .filter((q) => q.surface === of && q.state !== 'attached')
                .flatMap((q, j) => {
                  const both = !flows[0].strips.some((x) => x.side === 'left') && isMirrored(ends);
                  const step = flows.length > 1 ? (flows[1].alpha - flows[0].alpha) * DEG : 1,
                    y = rowAt(f.alpha * DEG + step / 2),
                    h = (mapHeight * step) / HIGHEST;
                  return (both ? [1, -1] : [q.side === 'left' ? -1 : 1]).map((side) => (
                    <rect
                      key={`${k}${j}${side}`}
                      x={Math.min(side * q.from, side * q.to)}
                      width={Math.max(0.002, Math.abs(q.to - q.from))}
                      y={y}
                      height={h}
                      fill={q.state === 'stalled' ? 'url(#stalled)' : 'url(#near)'}
                    />
                  ));
                }),
            )}
          {[0, 5, 10, 15, 20].map((d) => (
            <g key={d}>
              <line
                x1={-half}
                x2={half}
                y1={rowAt(d)}
                y2={rowAt(d)}
                stroke="var(--hair)"
                vectorEffect="non-scaling-stroke"
              />
              <text
                x={-half - 0.6 * u}
                y={rowAt(d) + 0.7 * u}
                fontSize={1.9 * u}
                textAnchor="end"
                fill="var(--ink-2)"
              >
                {d}°
              </text>
            </g>
          ))}
          <line
            x1={-half}
            x2={half}
            y1={rowAt(alpha * DEG)}
            y2={rowAt(alpha * DEG)}
            stroke="var(--predicted)"
            strokeWidth={1.6}
            vectorEffect="non-scaling-stroke"
          />
          <rect
            x={-half}
            y={mapTop}
            width={2 * half}
            height={mapHeight}
            fill="none"
            stroke="var(--ink-2)"
            vectorEffect="non-scaling-stroke"
          />
          <text x={-half} y={mapTop - 1.2 * u} fontSize={2 * u} fill="var(--ink-2)">
            Stall of {ends.name}, {design.states.find((l) => l.id === loading)?.name}: angle of attack upward,
            left wing left
          </text>
          <g fontSize={1.9 * u} fill="var(--ink-2)">
            <rect
              x={-0.42 * half}
              y={mapTop + mapHeight + 1.7 * u}
              width={3 * u}
              height={2 * u}
              fill="url(#near)"
              stroke="var(--ink-2)"
              strokeWidth={0.5}
              vectorEffect="non-scaling-stroke"
            />
            <text x={-0.42 * half + 3.8 * u} y={mapTop + mapHeight + 3.4 * u}>
              near its stall
            </text>
            <rect
              x={0.06 * half}
              y={mapTop + mapHeight + 1.7 * u}
              width={3 * u}
              height={2 * u}
              fill="url(#stalled)"
              stroke="var(--ink-2)"
              strokeWidth={0.5}
              vectorEffect="non-scaling-stroke"
            />
            <text x={0.06 * half + 3.8 * u} y={mapTop + mapHeight + 3.4 * u}>
              stalled
            </text>
          </g>
        </g>
      )}
    </svg>
  );
}
