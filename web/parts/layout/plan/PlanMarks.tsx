'use client';
/** Neutral point and CG on the plan. */
interface Props {
  unit: number;
  cg: number | undefined;
  neutral: number | undefined;
}

export function PlanMarks({ unit: u, cg, neutral }: Props) {
  return (
    <>
      {neutral !== undefined && (
        <g>
          <circle cx={0} cy={neutral} r={1.2 * u} className="plan neutral" />
          <circle cx={0} cy={neutral} r={0.35 * u} fill="var(--ink)" />
          <text x={1.8 * u} y={neutral + 1.9 * u} fontSize={2 * u} fill="var(--ink)">
            NP
          </text>
        </g>
      )}
      {cg !== undefined && (
        <g>
          <path
            d={`M0 ${cg - 1.3 * u}l${u} ${1.3 * u}l${-u} ${1.3 * u}l${-u} ${-1.3 * u}z`}
            className="plan handle"
          />
          <text x={-1.8 * u} y={cg - 0.4 * u} fontSize={2 * u} textAnchor="end" fill="var(--predicted)">
            CG
          </text>
        </g>
      )}
    </>
  );
}
