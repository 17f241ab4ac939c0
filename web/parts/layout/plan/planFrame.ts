/** The plan view and the map of the stall under it, on one axis: where everything is drawn [m]. */
import type { Design, Surface } from '@skiametra/core/design';
import { threeViewLines } from '@skiametra/core/layout';
import type { LayoutReport } from '@skiametra/core/views';

/** Highest angle of attack of the map [deg]. */
export const HIGHEST = 22;
export const DEG = 180 / Math.PI;

type Flows = LayoutReport['stall']['flows'];
export type PlanLine = ReturnType<typeof threeViewLines>[number];

export interface PlanFrame {
  readonly lines: readonly PlanLine[];
  /** half the span drawn */ readonly half: number;
  /** a hundredth of the width: the size of labels and marks */ readonly unit: number;
  readonly viewBox: string;
  readonly mapTop: number;
  readonly mapHeight: number;
  /** height of an angle [deg] in the map */ readonly rowAt: (deg: number) => number;
}

// the drawing's own plan has the nose to the left: turned here, (x, -y) to (y, x)
const turned = ([u, v]: [number, number]): [number, number] => [-v, u];

export function planFrame(design: Design, flows: Flows): PlanFrame {
  const lines = planLines(design);
  const all = lines.flatMap((l) => l.points.map(turned));
  const half = Math.max(...all.map((p) => Math.abs(p[0]))),
    top = Math.min(...all.map((p) => p[1])),
    bottom = Math.max(...all.map((p) => p[1]));
  const pad = 0.08 * half,
    unit = (2 * (half + pad)) / 100;
  const mapTop = bottom + 7 * unit,
    mapHeight = flows.length > 0 ? 0.42 * half : 0;
  const height = mapTop + mapHeight + 8 * unit - top;
  return {
    lines,
    half,
    unit,
    viewBox: `${-half - pad} ${top - 2 * unit} ${2 * (half + pad)} ${height}`,
    mapTop,
    mapHeight,
    rowAt: (deg) => mapTop + mapHeight * (1 - deg / HIGHEST),
  };
}

export function planLines(design: Design): PlanLine[] {
  return threeViewLines(design).filter((l) => l.view === 'plan');
}

export function pathOf({ points, closed }: PlanLine): string {
  const drawn = points
    .map(turned)
    .map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(4)} ${y.toFixed(4)}`)
    .join('');
  return closed ? `${drawn}Z` : drawn;
}

/** The surface whose stall is mapped: the one in hand where it was computed, else the wing. */
export function mappedSurface(design: Design, flows: Flows, inHand: Surface | null): Surface | undefined {
  const computed = inHand && flows[0]?.strips.some((q) => q.surface === inHand.id);
  return computed ? inHand : design.surfaces.find((s) => s.role === 'wing');
}
