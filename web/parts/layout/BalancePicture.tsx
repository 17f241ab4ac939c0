'use client';
/** Side and plan view on one axis with the items as dots sized by mass: what can move is dragged along its range; the solver's proposal stands as ghosts. */
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { LayoutReport } from '@skiametra/core/views';
import type { Design } from '@skiametra/core/design';
import { threeViewLines } from '@skiametra/core/layout';
import { itemMass, plannedItem, standsWherePut, type Move } from '@skiametra/core/mass';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';

interface Props {
  design: Design;
  report: LayoutReport | null;
  band: { forward: number | null; aft: number | null };
  moves: readonly Move[];
  units: UnitSystem;
  onMove: (item: string, x: number) => void;
}

export function BalancePicture({ design, report, band, moves, units, onMove }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<string | null>(null);
  const lines = threeViewLines(design),
    side = lines.filter((l) => l.view === 'side'),
    plan = lines.filter((l) => l.view === 'plan');
  const us = [...side, ...plan].flatMap((l) => l.points.map((p) => p[0])),
    x0 = Math.min(...us),
    x1 = Math.max(...us),
    w = x1 - x0,
    u = w / 100;
  const zs = side.flatMap((l) => l.points.map((p) => p[1])),
    zTop = Math.max(...zs),
    zLow = Math.min(...zs, ...(design.wheels ?? []).map((q) => q.z - (q.diameter ?? 0) / 2));
  // the plan is cut at a little more than the body's own width: wings would push everything else off the screen
  const bodyHalf = Math.max(...design.body.map((b) => b.width)) / 2,
    reach = Math.max(3 * bodyHalf, 0.16 * w, ...design.items.map((i) => Math.min(Math.abs(i.y), 0.25 * w)));
  const planMid = zTop - zLow + reach + 5 * u,
    height = planMid + reach + 3 * u;
  const path = (
    pts: readonly [number, number][],
    closed: boolean,
    f: (p: readonly [number, number]) => [number, number],
  ) =>
    `${pts
      .map((p, i) => {
        const [a, b] = f(p);
        return `${i ? 'L' : 'M'}${a.toFixed(4)} ${b.toFixed(4)}`;
      })
      .join('')}${closed ? 'Z' : ''}`;
  const onSide = ([a, b]: readonly [number, number]): [number, number] => [a, zTop - b],
    onPlan = ([a, b]: readonly [number, number]): [number, number] => [a, planMid - b];
  const dots = design.items.map((i) => {
    const p = plannedItem(i, design);
    return {
      item: i,
      x: p.x,
      z: p.z,
      mass: itemMass(i, design),
    };
  });
  const biggest = Math.max(...dots.map((d) => d.mass), 1e-6);
  const radius = (m: number) => Math.max(0.5, 3 * (m / biggest) ** 0.5) * u;
  const at = (e: PointerEvent) =>
    new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse()).x;
  const put = (id: string, x: number) => {
    const m = design.items.find((i) => i.id === id)?.movable;
    if (m) onMove(id, Math.round(Math.min(m.to, Math.max(m.from, x)) * 1000) / 1000);
  };
  const key = (id: string, x: number) => (e: KeyboardEvent) => {
    const d = { ArrowLeft: -0.001, ArrowRight: 0.001 }[e.key];
    if (d) {
      e.preventDefault();
      put(id, x + d * (e.shiftKey ? 10 : 1));
    }
  };
  const cg = report?.states ?? [];
  const bandRect = (y: number, h: number) =>
    band.forward !== null && band.aft !== null ? (
      <rect
        x={band.forward}
        width={Math.max(0, band.aft - band.forward)}
        y={y}
        height={h}
        fill="var(--predicted-soft)"
      />
    ) : band.aft !== null ? (
      <rect x={x0} width={band.aft - x0} y={y} height={h} fill="var(--predicted-soft)" opacity={0.5} />
    ) : null;
  const dot = (d: (typeof dots)[number], cy: number, view: string) => {
    const movable = d.item.movable !== null && standsWherePut(d.item);
    return (
      <g key={`${view}${d.item.id}`}>
        {movable && (
          <line
            x1={d.item.movable!.from}
            x2={d.item.movable!.to}
            y1={cy}
            y2={cy}
            stroke="var(--look)"
            strokeWidth={2}
            opacity={0.55}
            vectorEffect="non-scaling-stroke"
          />
        )}
        <circle
          cx={d.x}
          cy={cy}
          r={radius(d.mass)}
          fill={movable ? 'var(--look)' : 'var(--ink-2)'}
          opacity={movable ? 0.8 : 0.35}
          stroke={movable ? 'var(--ink)' : 'none'}
          vectorEffect="non-scaling-stroke"
          {...(movable
            ? {
                tabIndex: 0,
                role: 'slider',
                'aria-label': `${d.item.name}, ${formatQuantity(d.x, 'length', units)} from the nose`,
                'aria-valuenow': Math.round(1000 * d.x),
                'aria-valuemin': Math.round(1000 * d.item.movable!.from),
                'aria-valuemax': Math.round(1000 * d.item.movable!.to),
                style: { cursor: 'ew-resize' },
                onKeyDown: key(d.item.id, d.x),
                onPointerDown: (e: PointerEvent) => {
                  e.preventDefault();
                  setHeld(d.item.id);
                },
              }
            : {})}
        >
          <title>{`${d.item.name}, ${formatQuantity(d.mass, 'mass', units)} at ${formatQuantity(d.x, 'length', units)}`}</title>
        </circle>
        {view === 'side' && (movable || d.mass > 0.3 * biggest) && (
          <text
            x={d.x}
            y={movable ? cy - radius(d.mass) - 0.7 * u : cy + radius(d.mass) + 1.9 * u}
            fontSize={1.55 * u}
            textAnchor="middle"
            fill="var(--ink-2)"
            style={{ pointerEvents: 'none' }}
          >
            {d.item.name}
          </text>
        )}
      </g>
    );
  };
  return (
    <svg
      ref={svg}
      viewBox={`${x0 - 2 * u} ${-2 * u} ${w + 4 * u} ${height + 2 * u}`}
      width="100%"
      style={{ display: 'block', touchAction: 'none', maxHeight: 400 }}
      role="group"
      aria-label="Side and plan view with the masses as dots; those that can move are sliders along their range"
      onPointerMove={(e) => {
        if (held) put(held, at(e));
      }}
      onPointerUp={() => setHeld(null)}
      onPointerLeave={() => setHeld(null)}
    >
      <clipPath id="planclip">
        <rect x={x0 - 2 * u} y={planMid - reach - u} width={w + 4 * u} height={2 * reach + 2 * u} />
      </clipPath>
      {bandRect(0, zTop - zLow)}
      {bandRect(planMid - reach, 2 * reach)}
      {side.map((l, i) => (
        <path
          key={`s${i}`}
          d={path(l.points, l.closed, onSide)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={l.kind === 'outline' ? 1 : 0.6}
          opacity={0.75}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      <g clipPath="url(#planclip)">
        {plan.map((l, i) => (
          <path
            key={`p${i}`}
            d={path(l.points, l.closed, onPlan)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={l.kind === 'outline' ? 1 : 0.6}
            opacity={0.75}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </g>
      {(design.wheels ?? []).map((q) => (
        <circle
          key={q.id}
          cx={q.x}
          // without a diameter z is its lowest point
          cy={zTop - q.z - (q.diameter === undefined ? 0.012 * w : 0)}
          r={q.diameter === undefined ? 0.012 * w : q.diameter / 2}
          fill="none"
          stroke="var(--ink)"
          vectorEffect="non-scaling-stroke"
        >
          <title>{q.name}</title>
        </circle>
      ))}
      {dots.map((d) => dot(d, zTop - d.z, 'side'))}
      <g clipPath="url(#planclip)">{dots.map((d) => dot(d, planMid + d.item.y, 'plan'))}</g>
      {moves.map((m) => {
        const d = dots.find((q) => q.item.id === m.item);
        return (
          d && (
            <g key={m.item} style={{ pointerEvents: 'none' }}>
              <circle
                cx={m.to}
                cy={zTop - d.z}
                r={radius(d.mass)}
                fill="none"
                stroke="var(--predicted)"
                strokeDasharray="3 2"
                strokeWidth={1.6}
                vectorEffect="non-scaling-stroke"
              />
              <path
                d={`M${d.x} ${zTop - d.z}L${m.to} ${zTop - d.z}`}
                stroke="var(--predicted)"
                strokeWidth={1.2}
                vectorEffect="non-scaling-stroke"
              />
            </g>
          )
        );
      })}
      {report && (
        <g>
          <circle
            cx={report.neutralX}
            cy={zTop - report.cg.z}
            r={1.1 * u}
            fill="var(--paper)"
            stroke="var(--ink)"
            vectorEffect="non-scaling-stroke"
          />
          <circle cx={report.neutralX} cy={zTop - report.cg.z} r={0.35 * u} fill="var(--ink)" />
          <text x={report.neutralX} y={-0.4 * u} fontSize={1.6 * u} textAnchor="middle" fill="var(--ink-2)">
            neutral point
          </text>
        </g>
      )}
      {cg.map((s) => {
        const here = s.loading === report?.loading,
          y = planMid,
          r = here ? 1.3 * u : 0.8 * u;
        return (
          <g key={s.loading}>
            <line
              x1={s.cgX - s.cgSpread}
              x2={s.cgX + s.cgSpread}
              y1={y}
              y2={y}
              stroke="var(--predicted)"
              vectorEffect="non-scaling-stroke"
            />
            <path
              d={`M${s.cgX} ${y - r}l${0.8 * r} ${r}l${-0.8 * r} ${r}l${-0.8 * r} ${-r}z`}
              fill={here ? 'var(--paper)' : 'none'}
              stroke="var(--predicted)"
              strokeWidth={here ? 2 : 1}
              vectorEffect="non-scaling-stroke"
            >
              <title>{`${s.name}: ${formatQuantity(s.cgX, 'length', units)} ± ${formatQuantity(s.cgSpread, 'length', units)}`}</title>
            </path>
          </g>
        );
      })}
    </svg>
  );
}
