'use client';
/** Angle of attack upward: where each strip is near its stall or stalled, with the ailerons behind. */
import type { Surface } from '@skiametra/core/design';
import { isMirrored } from '@skiametra/core/surface';
import type { LayoutReport } from '@skiametra/core/views';
import { DEG, HIGHEST, type PlanFrame } from './planFrame';
import { StallLegend } from './StallLegend';

interface Props {
  frame: PlanFrame;
  report: LayoutReport;
  of: Surface;
  /** name of the state in view */ state: string;
  /** marked [rad] */ alpha: number;
}

const LINES = [0, 5, 10, 15, 20];

export function StallMap({ frame, report, of, state, alpha }: Props) {
  const { half, unit: u, mapTop, mapHeight, rowAt } = frame;
  const marked = rowAt(alpha * DEG);
  return (
    <g>
      <Ailerons frame={frame} ailerons={report.ailerons} of={of} />
      <Stalled frame={frame} flows={report.stall.flows} of={of} />
      {LINES.map((d) => (
        <g key={d}>
          <line x1={-half} x2={half} y1={rowAt(d)} y2={rowAt(d)} className="plan hairline" />
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
      <line x1={-half} x2={half} y1={marked} y2={marked} className="plan marked" />
      <rect x={-half} y={mapTop} width={2 * half} height={mapHeight} className="plan box" />
      <text x={-half} y={mapTop - 1.2 * u} fontSize={2 * u} fill="var(--ink-2)">
        Stall of {of.name}, {state}: angle of attack upward, left wing left
      </text>
      <StallLegend half={half} unit={u} top={mapTop + mapHeight} />
    </g>
  );
}

interface AileronProps {
  frame: PlanFrame;
  ailerons: LayoutReport['ailerons'];
  of: Surface;
}
function Ailerons({ frame, ailerons, of }: AileronProps) {
  const { unit: u, mapTop, mapHeight } = frame;
  const tip = of.stations.at(-1)?.y ?? 0,
    root = of.y ?? 0;
  const own = ailerons.filter((a) => a.surface === of.id);
  return own
    .flatMap((a) =>
      [1, -1].map((side) => [side * (root + a.from * tip), side * (root + a.to * tip)] as const),
    )
    .map(([from, to], i) => (
      <g key={i}>
        <rect
          x={Math.min(from, to)}
          width={Math.abs(to - from)}
          y={mapTop}
          height={mapHeight}
          fill="var(--predicted-soft)"
        />
        <text
          x={(from + to) / 2}
          y={mapTop + mapHeight - u}
          fontSize={1.9 * u}
          textAnchor="middle"
          fill="var(--ink-2)"
        >
          {own[Math.floor(i / 2)]?.kind}
        </text>
      </g>
    ));
}

interface StalledProps {
  frame: PlanFrame;
  flows: LayoutReport['stall']['flows'];
  of: Surface;
}
function Stalled({ frame: { rowAt, mapHeight }, flows, of }: StalledProps) {
  const [first, second] = flows;
  const step = first && second ? (second.alpha - first.alpha) * DEG : 1;
  // computed on one side only where both are alike
  const both = isMirrored(of) && !first?.strips.some((q) => q.side === 'left');
  const cells = flows
    .filter((f) => f.alpha * DEG > -0.4 && f.alpha * DEG <= HIGHEST)
    .flatMap((f) =>
      f.strips
        .filter((q) => q.surface === of.id && q.state !== 'attached')
        .flatMap((q) => {
          const sides = both ? [1, -1] : [q.side === 'left' ? -1 : 1];
          return sides.map((side) => ({ q, side, y: rowAt(f.alpha * DEG + step / 2) }));
        }),
    );
  return cells.map(({ q, side, y }, i) => (
    <rect
      key={i}
      x={Math.min(side * q.from, side * q.to)}
      width={Math.max(0.002, Math.abs(q.to - q.from))}
      y={y}
      height={(mapHeight * step) / HIGHEST}
      fill={q.state === 'stalled' ? 'url(#stalled)' : 'url(#near)'}
    />
  ));
}
