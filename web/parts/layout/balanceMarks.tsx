/** What the balance picture is drawn of: outlines, wheels, the solver's proposal, neutral point, CG of every state. */
import type { LayoutReport } from '@skiametra/core/views';
import type { Design } from '@skiametra/core/design';
import type { Move } from '@skiametra/core/mass';
import { formatMeasured, type UnitSystem } from '@skiametra/core/units';
import type { BalanceFrame } from './balanceFrame';

type Point = readonly [number, number];

const pathOf = (points: readonly Point[], closed: boolean, put: (p: Point) => Point): string =>
  points
    .map(
      (p, i) =>
        `${i ? 'L' : 'M'}${put(p)
          .map((v) => v.toFixed(4))
          .join(' ')}`,
    )
    .join('') + (closed ? 'Z' : '');

export function Outlines({ frame: f }: { frame: BalanceFrame }) {
  const onSide = ([a, b]: Point): Point => [a, f.zTop - b],
    onPlan = ([a, b]: Point): Point => [a, f.planMid - b];
  const draw = (lines: BalanceFrame['side'], put: (p: Point) => Point) =>
    lines.map((l, i) => <path key={i} className={l.kind} d={pathOf(l.points, l.closed, put)} />);
  return (
    <g className="outlines">
      <clipPath id="planclip">
        <rect x={f.x0 - 2 * f.u} y={f.planMid - f.reach} width={f.x1 - f.x0 + 4 * f.u} height={2 * f.reach} />
      </clipPath>
      {draw(f.side, onSide)}
      <g clipPath="url(#planclip)">{draw(f.plan, onPlan)}</g>
    </g>
  );
}

/** Radius of a wheel whose diameter is not known, as a share of the length. */
const UNKNOWN_WHEEL = 0.012;

export function Wheels({ design, frame: f }: { design: Design; frame: BalanceFrame }) {
  const unknown = UNKNOWN_WHEEL * (f.x1 - f.x0);
  return (
    <g className="outlines">
      {(design.wheels ?? []).map((q) => (
        <circle
          key={q.id}
          className="outline"
          cx={q.x}
          // without a diameter z is its lowest point
          cy={f.zTop - q.z - (q.diameter === undefined ? unknown : 0)}
          r={q.diameter === undefined ? unknown : q.diameter / 2}
        />
      ))}
    </g>
  );
}

/** Where the solver would put things. */
export function Proposal({ frame: f, moves }: { frame: BalanceFrame; moves: readonly Move[] }) {
  return (
    <g className="proposal">
      {moves.map((m) => {
        const d = f.dots.find((q) => q.item.id === m.item);
        return (
          d && (
            <g key={m.item}>
              <circle cx={m.to} cy={f.zTop - d.z} r={d.radius} />
              <path d={`M${d.x} ${f.zTop - d.z}H${m.to}`} />
            </g>
          )
        );
      })}
    </g>
  );
}

export function NeutralPoint({ frame: f, x, z }: { frame: BalanceFrame; x: number; z: number }) {
  return (
    <g className="neutralpoint">
      <circle cx={x} cy={f.zTop - z} r={1.1 * f.u} />
      <circle className="dot" cx={x} cy={f.zTop - z} r={0.35 * f.u} />
    </g>
  );
}

/** CG of every state in the plan, with its spread; the state in view is the large one. */
export function StateDiamonds({
  frame: f,
  report,
  units,
}: {
  frame: BalanceFrame;
  report: LayoutReport | null;
  units: UnitSystem;
}) {
  if (!report) return null;
  const here = (s: LayoutReport['states'][number]) => s.loading === report.loading,
    last = [...report.states].sort((a, b) => Number(here(a)) - Number(here(b)));
  return (
    <g className="statediamonds">
      {last.map((s) => {
        const r = (here(s) ? 1.3 : 0.8) * f.u,
          d = `M${s.cgX} ${f.planMid - r}l${0.8 * r} ${r}l${-0.8 * r} ${r}l${-0.8 * r} ${-r}z`;
        return (
          <g key={s.loading} className={here(s) ? 'here' : undefined}>
            <path d={`M${s.cgX - s.cgSpread} ${f.planMid}H${s.cgX + s.cgSpread}`} />
            <path d={d}>
              <title>{`${s.name}: ${formatMeasured(s.cgX, s.cgSpread, 'length', units)}`}</title>
            </path>
          </g>
        );
      })}
    </g>
  );
}
