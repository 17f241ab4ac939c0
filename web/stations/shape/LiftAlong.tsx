'use client';
/** Lift along a surface at one angle of attack, as a share of what each strip can give. */
import { Slider } from '@mantine/core';
import type { Surface } from '@skiametra/core/design';
import type { LayoutReport } from '@skiametra/core/views';
import { ChartFrame, type Series } from '../../parts/ChartFrame';
import { mappedSurface } from '../../parts/layout/plan/planFrame';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const DEG = 180 / Math.PI;

interface Props {
  report: LayoutReport;
  surface: Surface | null;
  /** [rad] */ alpha: number;
  setAlpha: (alpha: number) => void;
}

export function LiftAlong({ report, surface, alpha, setAlpha }: Props) {
  const design = useWorkspace((w) => w.content.document.design);
  const { flows } = report.stall;
  const near = [...flows].sort((a, b) => Math.abs(a.alpha - alpha) - Math.abs(b.alpha - alpha))[0];
  const of = mappedSurface(design, flows, surface);
  const strips = near?.strips.filter((s) => s.surface === of?.id) ?? [];
  const angle = Math.round(alpha * DEG);
  if (!of || strips.length === 0) return null;
  return (
    <>
      <div className="line gap12 mid">
        <span className="dim note oneliner">Angle of attack {angle}°</span>
        <Slider
          aria-label="Angle of attack"
          thumbLabel="Angle of attack"
          className="grow"
          size="xs"
          min={0}
          max={22}
          step={1}
          value={angle}
          onChange={(deg) => setAlpha(deg / DEG)}
          label={(v) => `${v}°`}
        />
      </div>
      <ChartFrame
        title={`Lift along ${of.name.toLowerCase()} at ${angle}°`}
        height={150}
        xName="Half span"
        xKind="chordPercent"
        yName="Lift / limit"
        yKind="percent"
        yFromZero
        series={seriesOf(strips)}
      />
    </>
  );
}

type Strips = LayoutReport['stall']['flows'][number]['strips'];

function seriesOf(strips: Strips): Series[] {
  const sides = (['right', 'left'] as const).filter((side) => strips.some((s) => s.side === side));
  return sides.map((side, i) => {
    const mine = strips.filter((s) => s.side === side);
    return {
      name: sides.length > 1 ? `${side} wing` : 'both sides',
      x: mine.map((s) => s.eta),
      y: mine.map((s) => s.ratio),
      look: i === 0 ? 'predicted' : 'ghost',
    };
  });
}
