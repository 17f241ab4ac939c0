'use client';
/** Plan, side and front view of any layout, to one scale each, with CG and neutral point where they are known. */
import type { Design } from '@skiametra/core/design';
import { threeViewLines, type ViewName } from '@skiametra/core/layout';

interface Props {
  design: Design;
  view: ViewName;
  ghost?: Design | null | undefined;
  cg?: { x: number; z: number } | null | undefined;
  neutralX?: number | null | undefined;
  height: number;
}

const NAMES: Record<ViewName, string> = {
  plan: 'Plan view, nose to the left',
  side: 'Side view, nose to the left',
  front: 'Front view',
};

export function ViewDrawing({ design, view, ghost, cg, neutralX, height }: Props) {
  const lines = threeViewLines(design).filter((l) => l.view === view);
  const p = lines.flatMap((l) => l.points),
    u0 = Math.min(...p.map((q) => q[0])),
    u1 = Math.max(...p.map((q) => q[0])),
    v0 = Math.min(...p.map((q) => q[1])),
    v1 = Math.max(...p.map((q) => q[1]));
  const pad = 0.05 * Math.max(u1 - u0, v1 - v0),
    r = 0.014 * Math.max(u1 - u0, v1 - v0);
  const path = (pts: readonly [number, number][], closed: boolean) =>
    `${pts.map(([a, b], i) => `${i ? 'L' : 'M'}${a.toFixed(4)} ${(-b).toFixed(4)}`).join('')}${closed ? 'Z' : ''}`;
  const thin = { vectorEffect: 'non-scaling-stroke' as const };
  const at = (x: number, z: number): [number, number] | null =>
    view === 'plan' ? [x, 0] : view === 'side' ? [x, -z] : null;
  const g = cg ? at(cg.x, cg.z) : null,
    n = neutralX != null ? at(neutralX, cg?.z ?? 0) : null;
  return (
    <svg
      viewBox={`${u0 - pad} ${-v1 - pad} ${u1 - u0 + 2 * pad} ${v1 - v0 + 2 * pad}`}
      width="100%"
      style={{ maxHeight: height, display: 'block' }}
      role="img"
      aria-label={NAMES[view]}
    >
      {ghost &&
        threeViewLines(ghost)
          .filter((l) => l.view === view && l.kind === 'outline')
          .map((l, i) => (
            <path
              key={`g${i}`}
              d={path(l.points, l.closed)}
              fill="none"
              stroke="var(--ghost)"
              strokeDasharray="4 3"
              {...thin}
            />
          ))}
      {[...lines]
        .sort((a, b) => Number(a.kind === 'disc') - Number(b.kind === 'disc'))
        .map((l, i) => (
          <path
            key={i}
            d={path(l.points, l.closed)}
            fill={l.kind === 'outline' ? 'var(--paper-2)' : 'none'}
            fillOpacity={0.8}
            stroke={l.kind === 'hinge' ? 'var(--ink-2)' : 'var(--ink)'}
            strokeDasharray={l.kind === 'disc' && l.closed ? '3 3' : undefined}
            strokeWidth={l.kind === 'disc' && !l.closed ? 2 : 1}
            {...thin}
          />
        ))}
      {n && (
        <g>
          <circle cx={n[0]} cy={n[1]} r={r} fill="var(--paper)" stroke="var(--ink)" {...thin} />
          <circle cx={n[0]} cy={n[1]} r={0.3 * r} fill="var(--ink)" />
        </g>
      )}
      {g && (
        <path
          d={`M${g[0]} ${g[1] - 1.2 * r}l${0.9 * r} ${1.2 * r}l${-0.9 * r} ${1.2 * r}l${-0.9 * r} ${-1.2 * r}z`}
          fill="var(--paper)"
          stroke="var(--predicted)"
          strokeWidth={2}
          {...thin}
        />
      )}
    </svg>
  );
}
