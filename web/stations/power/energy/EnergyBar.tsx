'use client';
/** The pack as a bar: what every part of the flight takes of it. */
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** The pack as one bar: hatched what is not yet flown, the reserve at the end in a bracket. */
export function Bar({ plan }: { plan: NonNullable<PowerReport['phases']> }) {
  const units = useWorkspace((w) => w.units);
  const most = Math.max(plan.usable, plan.used),
    W = 720,
    X = (e: number) => (e / Math.max(most, 1e-9)) * W;
  return (
    <figure className="flush">
      <svg
        viewBox={`-4 0 ${W + 12} 62`}
        width="100%"
        role="img"
        aria-label="Energy of the legs along the pack"
      >
        <defs>
          <pattern
            id="unflown"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="var(--predicted-soft)" />
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--predicted)" strokeWidth="1.6" />
          </pattern>
        </defs>
        <rect x={0} y={18} width={X(plan.usable)} height={22} fill="none" stroke="var(--hair)" />
        {plan.rows.map((r, i) => {
          const x = X(plan.rows.slice(0, i).reduce((s, p) => s + p.energy, 0));
          return (
            <g key={r.id}>
              <rect
                x={x}
                y={18}
                width={Math.max(1, X(r.energy) - 1)}
                height={22}
                fill={r.flown ? 'var(--predicted-soft)' : 'url(#unflown)'}
              >
                <title>{`${r.name}: ${formatQuantity(r.energy, 'energy', units)}`}</title>
              </rect>
              {X(r.energy) > 60 && (
                <text x={x + 4} y={54} fontSize={10.5} fill="var(--ink-2)">
                  {r.name}
                </text>
              )}
            </g>
          );
        })}
        <path
          d={`M ${X(plan.usable - plan.reserve) + 6} 12 H ${X(plan.usable - plan.reserve)} V 46 H ${X(plan.usable - plan.reserve) + 6}`}
          fill="none"
          stroke="var(--asked)"
          strokeWidth={1.6}
        />
        <text x={X(plan.usable - plan.reserve) + 8} y={12} fontSize={10.5} fill="var(--asked)">
          reserve
        </text>
      </svg>
      <figcaption className="legend">
        <span>plain: flown on this aircraft</span>
        <span>hatched: not yet flown</span>
        <span className="num">
          {formatNumber(plan.provenTime / 60, 2)} min proven of{' '}
          {formatNumber((plan.provenTime + plan.unprovenTime) / 60, 2)}
        </span>
      </figcaption>
    </figure>
  );
}
