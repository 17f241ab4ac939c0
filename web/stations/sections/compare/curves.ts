/** Polars of picked sections as the charts of the comparison draw them. */
import type { Section } from '@skiametra/core/design';
import { gapBetween, type Polar } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import type { Series } from '../../../parts/ChartFrame';

export interface Curve {
  readonly name: string;
  readonly look: Series['look'];
  readonly polar: Polar;
  /** its worst case as built */ readonly built: Polar | null;
}
type Point = Polar['points'][number];

/** Drag beyond which a section is of no use to anybody. */
const MOST_DRAG = 0.12;

export const inside = (p: Polar) => p.points.filter((q) => q.cd < MOST_DRAG);

export function curveSeries(
  curves: readonly Curve[],
  x: (q: Point) => number,
  y: (q: Point) => number,
): Series[] {
  return curves.map((c, i) => ({
    name: c.name,
    look: c.look,
    x: inside(c.polar).map(x),
    y: inside(c.polar).map(y),
    // one band is read, four are a fog
    sigma: i === 0 && c.built ? gapBetween(inside(c.polar), c.built, y) : null,
  }));
}

type Measured = NonNullable<Section['measured']>;
type Reading = 'alpha' | 'cl' | 'cd';

export function measuredSeries(measured: Measured, x: Reading, y: Reading): Series[] {
  return measured.flatMap((m): Series[] => {
    const known = m.points.flatMap((p) => {
      const a = p[x],
        b = p[y];
      return a === null || b === null ? [] : [[a, b] as const];
    });
    if (known.length === 0) return [];
    return [
      {
        name: `${m.name}, Re ${formatNumber(m.reynolds, 3)}`,
        look: 'measured',
        marks: true,
        x: known.map((k) => k[0]),
        y: known.map((k) => k[1]),
      },
    ];
  });
}
