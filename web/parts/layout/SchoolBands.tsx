'use client';
/** CG of every state with its uncertainty against the limits of each school, on one axis. */
import { UnstyledButton } from '@mantine/core';
import type { LayoutReport } from '@skiametra/core/views';
import type { School } from '@skiametra/core/layout';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';

interface Props {
  report: LayoutReport;
  units: UnitSystem;
  chosen: School['id'];
  onChoose: (id: School['id']) => void;
  neutralSigma: number;
  onWhy: () => void;
}

export function SchoolBands({ report, units, chosen, onChoose, neutralSigma, onWhy }: Props) {
  const { schools, states } = report;
  const flying = states.filter((s) => !s.hover);
  const ends = [
    ...flying.flatMap((s) => [s.cgX - s.cgSpread, s.cgX + s.cgSpread]),
    ...schools.flatMap((s) => [s.forward, s.aft]).filter((v): v is number => v !== null),
    report.neutralX + neutralSigma,
  ];
  const lo = Math.min(...ends),
    hi = Math.max(...ends),
    pad = 0.06 * (hi - lo);
  const W = 860,
    left = 8,
    X = (v: number) => left + ((v - lo + pad) / (hi - lo + 2 * pad)) * (W - 2 * left);
  const rows = schools.length,
    top = 38,
    rowH = 26;
  const mm = (v: number) => formatQuantity(v, 'length', units);
  const labelOf = (s: School) => `${s.name}${s.recommended ? ', recommended' : ''}`;
  // beside the band where there is room, else inside it
  const labelAt = (a: number, b: number, s: School) => {
    const w = labelOf(s).length * 6;
    return b + 10 + w < W ? b + 10 : a - 10 - w > 0 ? a - 10 - w : Math.max(4, Math.min(a + 8, W - w));
  };
  return (
    <div>
      <svg
        viewBox={`0 0 ${W} ${top + rows * rowH + 6}`}
        width="100%"
        role="img"
        aria-label={`CG of the states: ${flying.map((s) => `${s.name} ${mm(s.cgX)}`).join(', ')}; ${schools.map((s) => `${s.name}: ${s.forward === null ? 'no forward limit' : mm(s.forward)} to ${s.aft === null ? 'no aft limit' : mm(s.aft)}`).join('; ')}`}
      >
        {schools.map((s, i) => {
          const y = top + i * rowH,
            a = s.forward === null ? X(lo - pad) : X(s.forward),
            b = s.aft === null ? X(hi + pad) : X(s.aft);
          return (
            <g key={s.id} className="clickable" onClick={() => onChoose(s.id)}>
              <rect
                x={a}
                width={Math.max(0, b - a)}
                y={y}
                height={rowH - 10}
                fill={s.id === chosen ? 'var(--predicted-soft)' : 'var(--paper-2)'}
              />
              <path
                d={`${s.forward === null ? '' : `M${a + 5} ${y - 1}H${a}V${y + rowH - 9}H${a + 5}`}${s.aft === null ? '' : `M${b - 5} ${y - 1}H${b}V${y + rowH - 9}H${b - 5}`}`}
                fill="none"
                stroke="var(--asked)"
                strokeWidth={s.id === chosen ? 1.8 : 1}
              />
              <text
                x={labelAt(a, b, s)}
                y={y + rowH - 14}
                fontSize={11.5}
                fill="var(--ink)"
                fontWeight={s.id === chosen ? 650 : 400}
              >
                {labelOf(s)}
              </text>
            </g>
          );
        })}
        <line
          x1={X(report.neutralX - neutralSigma)}
          x2={X(report.neutralX + neutralSigma)}
          y1={20}
          y2={20}
          stroke="var(--ink-2)"
        />
        <circle
          cx={X(report.neutralX)}
          cy={20}
          r={5}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        <circle cx={X(report.neutralX)} cy={20} r={1.4} fill="var(--ink)" />
        <text x={X(report.neutralX)} y={10} fontSize={11.5} textAnchor="middle" fill="var(--ink-2)">
          NP {mm(report.neutralX)}
        </text>
        {flying.map((s) => {
          const here = s.loading === report.loading,
            r = here ? 7 : 4.5,
            x = X(s.cgX);
          return (
            <g key={s.loading}>
              <line
                x1={X(s.cgX - s.cgSpread)}
                x2={X(s.cgX + s.cgSpread)}
                y1={20}
                y2={20}
                stroke="var(--predicted)"
                opacity={here ? 1 : 0.35}
                strokeWidth={here ? 1.6 : 1}
              />
              <path
                d={`M${x} ${20 - r}l${0.8 * r} ${r}l${-0.8 * r} ${r}l${-0.8 * r} ${-r}z`}
                fill={here ? 'var(--paper)' : 'none'}
                stroke="var(--predicted)"
                strokeWidth={here ? 2 : 1}
              >
                <title>{`${s.name} ${mm(s.cgX)}`}</title>
              </path>
            </g>
          );
        })}
      </svg>
      <p className="dim flush small">
        {schools.find((s) => s.id === chosen)?.why}{' '}
        <UnstyledButton onClick={onWhy} className="textbutton">
          Why this neutral point
        </UnstyledButton>
      </p>
    </div>
  );
}
