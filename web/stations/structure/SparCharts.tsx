'use client';
/** The load along the spar, drawn. */
import { curveOf, entryOf } from '@skiametra/core/assess';
import { ChartFrame } from '../../parts/ChartFrame';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function SparCharts() {
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const required = useWorkspace(
    (w) =>
      w.content.document.design.structure.requiredLoadFactor *
      w.content.document.design.structure.safetyFactor,
  );
  if (!ledger || ledger.stopped) return null;
  const m = curveOf(ledger, 'sparMoment', loading)!,
    w = curveOf(ledger, 'sparDeflection', loading)!;
  const strong = entryOf(ledger, 'sparMoment', 'all')!;
  const fail = m.y.map((v) => v * entryOf(ledger, 'failLoadFactor', loading)!.value);
  return (
    <>
      <ChartFrame
        title={`Bending moment along the half span, at ${required.toFixed(1)} g and at failure`}
        height={250}
        xName="From the root"
        xKind="length"
        yName="Moment"
        yKind="moment"
        yFromZero
        series={[
          {
            name: `at ${required.toFixed(1)} g`,
            x: m.x,
            y: m.y.map((v) => v * required),
            sigma: m.sigma && m.sigma.map((v) => v * required),
            look: 'predicted',
          },
          { name: 'at failure', x: m.x, y: fail, look: 'ghost' },
          {
            name: 'what the spar stands',
            x: [Math.min(...m.x), Math.max(...m.x)],
            y: [strong.value, strong.value],
            sigma: [strong.sigma, strong.sigma],
            look: 'asked',
          },
        ]}
      />
      <ChartFrame
        title="Deflection along the half span at 1 g"
        height={190}
        xName="From the root"
        xKind="length"
        yName="Up"
        yKind="length"
        yFromZero
        series={[{ name: 'deflection', x: w.x, y: w.y, sigma: w.sigma, look: 'predicted' }]}
      />
    </>
  );
}
