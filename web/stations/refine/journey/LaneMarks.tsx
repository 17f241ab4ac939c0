'use client';
/** One version on the line of a number. */
import { formatMeasured, formatReading, type KindName } from '@skiametra/core/units';
import { placeOn, type Scale } from '../../../parts/marks/marks';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Lane } from './way';

const H = 22,
  Y = 11;

interface Spread {
  readonly value: number;
  readonly sigma: number;
}

const leftOf = (scale: Scale, v: number) => placeOn(scale, v).at;

/** Ends of a band [per cent]; a hair of it stays to be seen. */
function bandOf(scale: Scale, s: Spread) {
  const x = leftOf(scale, s.value - s.sigma);
  return {
    x: `${x.toFixed(2)}%`,
    width: `${Math.max(0.2, leftOf(scale, s.value + s.sigma) - x).toFixed(2)}%`,
  };
}

function Diamond({ at, className }: { at: string; className: string }) {
  return (
    <svg x={at} y={0} width={1} height={H} overflow="visible" className={className}>
      <path d={`M 0 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`} />
    </svg>
  );
}

interface Props {
  lane: Lane;
  scale: Scale;
  kind: KindName;
}

export function LaneMarks({ lane: { name, before, now, readings }, scale, kind }: Props) {
  const units = useWorkspace((w) => w.units),
    spread = (s: Spread) => formatMeasured(s.value, s.sigma, kind, units),
    x = (v: number) => `${leftOf(scale, v).toFixed(2)}%`;
  const words = [
    ...(before ? [`before ${spread(before)}`] : []),
    ...readings.map(
      ({ m, title }) => `${m.source} ${formatReading(m.value, m.sigma, kind, units)}, ${title}`,
    ),
    ...(now ? [`now ${spread(now)}`] : []),
  ];
  return (
    <svg
      className="journeymarks"
      width="100%"
      height={H}
      role="img"
      aria-label={`${name}: ${words.join('; ')}`}
    >
      <line className="axis" x1="0" x2="100%" y1={Y} y2={Y} />
      {before && <rect className="beforeband" {...bandOf(scale, before)} y={Y - 7} height={14} />}
      {now && <rect className="nowband" {...bandOf(scale, now)} y={Y - 4} height={8} />}
      {readings.map(({ m }, i) => (
        <g key={i} className={m.setAside ? 'reading aside' : 'reading'}>
          <line x1={x(m.value - m.sigma)} x2={x(m.value + m.sigma)} y1={Y} y2={Y} />
          <circle cx={x(m.value)} cy={Y} r={3.6} />
        </g>
      ))}
      {before && <Diamond at={x(before.value)} className="before" />}
      {now && <Diamond at={x(now.value)} className="now" />}
    </svg>
  );
}
