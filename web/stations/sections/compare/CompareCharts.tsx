'use client';
/** Two questions drawn: what lift costs, and what is left before the stall. */
import type { Section } from '@skiametra/core/design';
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { curveSeries, inside, measuredSeries, type Curve } from './curves';

interface Props {
  curves: readonly Curve[];
  /** lift coefficient at work */ lift: number;
  measured: NonNullable<Section['measured']>;
}

export function CompareCharts({ curves, lift, measured }: Props) {
  const most = Math.max(...curves.flatMap((c) => [c.polar.clMax, c.built?.clMax ?? 0]));
  return (
    <>
      <div className="cols cols-comparepolars2">
        <ChartFrame
          title="What lift costs"
          height={240}
          xName="Lift wanted, cl"
          xKind="ratio"
          yName="Drag, cd"
          yKind="ratio"
          yFromZero
          series={[
            ...costSeries(curves),
            { name: 'at work', look: 'ink', x: [lift, lift], y: [0, worstCost(curves)] },
            ...measuredSeries(measured, 'cl', 'cd'),
          ]}
        />
        <ChartFrame
          title={`What is left before the stall: ${(most - lift).toFixed(2)} of lift at most`}
          height={240}
          xName="Angle"
          xKind="angle"
          yName="Lift, cl"
          yKind="ratio"
          series={[
            ...curveSeries(
              curves,
              (q) => q.alpha,
              (q) => q.cl,
            ),
            { name: 'at work', look: 'ink', x: anglesOf(curves), y: [lift, lift] },
            ...measuredSeries(measured, 'alpha', 'cl'),
          ]}
        />
      </div>
      <details>
        <summary className="clickable note">Moment about the quarter chord</summary>
        <ChartFrame
          title="What the tail has to hold"
          height={180}
          xName="Lift wanted, cl"
          xKind="ratio"
          yName="Moment, cm"
          yKind="ratio"
          series={curveSeries(
            curves,
            (q) => q.cl,
            (q) => q.cm,
          ).map((s) => ({ ...s, sigma: null }))}
        />
      </details>
    </>
  );
}

/** Drag over lift while the flow is attached; the first section as it may be built beside it. */
function costSeries(curves: readonly Curve[]): Series[] {
  const drawn = curves.map(({ name, look, polar }): Series => ({
    name,
    look,
    x: [...polar.attachedCl],
    y: [...polar.attachedCd],
  }));
  const [first] = curves;
  if (!first?.built) return drawn;
  return [
    ...drawn,
    {
      name: `${first.name}, as built`,
      look: 'ghost',
      x: [...first.built.attachedCl],
      y: [...first.built.attachedCd],
    },
  ];
}

function worstCost(curves: readonly Curve[]): number {
  return Math.max(...curves.flatMap((c) => [...c.polar.attachedCd]));
}

function anglesOf(curves: readonly Curve[]): number[] {
  const angles = curves.flatMap((c) => inside(c.polar).map((q) => q.alpha));
  return [Math.min(...angles), Math.max(...angles)];
}
