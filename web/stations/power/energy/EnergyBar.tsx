'use client';
/** The pack as a bar: what every leg of the mission takes of it. */
import { formatQuantity } from '@skiametra/core/units';
import type { LegView, MissionReport } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** One leg, however often it is flown. */
interface Part {
  readonly name: string;
  readonly energy: number;
  readonly flown: boolean;
}

function partsOf(legs: readonly LegView[]): Part[] {
  const by = new Map<string, Part>();
  for (const l of legs)
    if (l.energy > 0 && l.reached)
      by.set(l.id, { name: l.name, flown: l.flown, energy: l.energy + (by.get(l.id)?.energy ?? 0) });
  return [...by.values()];
}

/** Hatched what is not yet flown; what is left of the pack at its end, the reserve in a bracket. */
export function Bar({ report }: { report: MissionReport }) {
  const units = useWorkspace((w) => w.units),
    parts = partsOf(report.legs),
    used = parts.reduce((s, p) => s + p.energy, 0),
    share = report.legs.filter((l) => l.reached).at(-1)?.share ?? 0;
  if (!(share > 0)) return null;
  // energy of what may be used, the reserve with it
  const allowed = used / share,
    whole = allowed / (1 - report.reserve),
    most = Math.max(whole, used),
    W = 720,
    X = (e: number) => (e / Math.max(most, 1e-9)) * W;
  const named = (p: Part) => `${p.name}: ${formatQuantity(p.energy, 'energy', units)}`;
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
        <rect x={0} y={18} width={X(whole)} height={22} fill="none" stroke="var(--hair)" />
        {parts.map((p, i) => {
          const x = X(parts.slice(0, i).reduce((s, o) => s + o.energy, 0));
          return (
            <g key={p.name + String(i)}>
              <rect
                x={x}
                y={18}
                width={Math.max(1, X(p.energy) - 1)}
                height={22}
                fill={p.flown ? 'var(--predicted-soft)' : 'url(#unflown)'}
              >
                <title>{named(p)}</title>
              </rect>
              {X(p.energy) > 6 * p.name.length && (
                <text x={x + 4} y={54} fontSize={10.5} fill="var(--ink-2)">
                  {p.name}
                </text>
              )}
            </g>
          );
        })}
        <Reserve x={X(allowed)} />
      </svg>
      <figcaption className="legend">
        <span>plain: flown on this aircraft</span>
        <span>hatched: not yet flown</span>
      </figcaption>
    </figure>
  );
}

function Reserve({ x }: { x: number }) {
  return (
    <>
      <path d={`M ${x + 6} 12 H ${x} V 46 H ${x + 6}`} fill="none" stroke="var(--asked)" strokeWidth={1.6} />
      <text x={x + 8} y={12} fontSize={10.5} fill="var(--asked)">
        reserve
      </text>
    </>
  );
}
