/** The plan form in a few strokes: a version's face. */
import type { PlanForm } from './planForm';

/** Outline of one half of a wing or tail in plan, root leading edge first: [x, y] in metres. */
export function halfOutline(s: Pick<PlanForm['surfaces'][number], 'x' | 'stations'>): [number, number][] {
  const lead = s.stations.map((p) => [s.x + p.x, p.y] as [number, number]);
  const trail = [...s.stations].reverse().map((p) => [s.x + p.x + p.chord, p.y] as [number, number]);
  return [...lead, ...trail];
}

export function planBounds(design: PlanForm): { x0: number; x1: number; half: number } {
  const discs = design.discs ?? [];
  const xs = [
    ...discs.flatMap((d) => [d.x - d.r, d.x + d.r]),
    ...design.body.map((b) => b.x),
    ...design.surfaces.flatMap((s) => s.stations.flatMap((p) => [s.x + p.x, s.x + p.x + p.chord])),
  ];
  const half = Math.max(
    0.05,
    ...discs.map((d) => Math.abs(d.y) + d.r),
    ...design.surfaces.filter((s) => s.role !== 'fin').flatMap((s) => s.stations.map((p) => p.y)),
  );
  return { x0: Math.min(...xs), x1: Math.max(...xs), half };
}

/** Height over width that a silhouette may have. */
const TALLEST = 1.4;

/** Nose up, span across. */
export function Silhouette({ design, size = 34 }: { design: PlanForm; size?: number }) {
  const b = planBounds(design);
  // a long thin one is drawn narrower, not taller
  const k = Math.min(size / (2 * b.half * 1.04), (TALLEST * size) / (b.x1 - b.x0));
  const h = (b.x1 - b.x0) * k;
  const px = (y: number) => (size / 2 + y * k).toFixed(1);
  const py = (x: number) => ((x - b.x0) * k).toFixed(1);
  const shape = (side: 1 | -1, pts: [number, number][]) =>
    pts.map(([x, y]) => `${px(side * y)},${py(x)}`).join(' ');
  const body = [
    ...design.body.map((p) => [p.x, p.width / 2] as [number, number]),
    ...[...design.body].reverse().map((p) => [p.x, -p.width / 2] as [number, number]),
  ];
  return (
    <svg
      width={size}
      height={Math.max(8, h)}
      viewBox={`0 0 ${size} ${Math.max(8, h).toFixed(1)}`}
      aria-hidden="true"
      className="asblock rigid"
    >
      <g fill="var(--ink)" opacity={0.85}>
        {design.surfaces
          .filter((s) => s.role !== 'fin')
          .map((s) => (
            <g key={s.id}>
              <polygon points={shape(1, halfOutline(s))} />
              <polygon points={shape(-1, halfOutline(s))} />
            </g>
          ))}
        {(design.discs ?? []).map((d, i) => (
          <circle key={i} cx={px(d.y)} cy={py(d.x)} r={d.r * k} fill="none" stroke="var(--ink)" />
        ))}
        <polygon points={body.map(([x, y]) => `${px(y)},${py(x)}`).join(' ')} />
      </g>
    </svg>
  );
}
