'use client';
/** A mission along its time: legs as a band, height and charge over it, the tightest margin of each leg as its edge. */
import { useElementSize } from '@mantine/hooks';
import type { Mission } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { MissionReport } from '@skiametra/core/views';
import {
  bandTop,
  curveY,
  ghostOf,
  stripFrame,
  stripHeight,
  TOP,
  type StripFrame,
} from '../../../parts/mission/stripFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { StripBand } from './StripBand';

const lineOf = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' ');

interface Props {
  mission: Mission;
  report: MissionReport;
  /** place of the leg that is looked at */ chosen: number;
  onChoose: (at: number) => void;
}

export function MissionStrip({ mission, report, chosen, onChoose }: Props) {
  const { ref, width } = useElementSize();
  const against = useWorkspace((w) => w.againstLedger),
    state = useWorkspace((w) => w.loading);
  const names = new Map(mission.rounds.map((r) => [r.id, r.name])),
    f = stripFrame(report, names, Math.max(width, 320), ghostOf(mission, against, state));
  return (
    <div ref={ref} className="missionstrip">
      <svg width={f.width} height={stripHeight} role="group" aria-label={`${report.name}, leg by leg`}>
        <Ground f={f} />
        <Curves f={f} report={report} />
        <StripBand f={f} report={report} chosen={chosen} onChoose={onChoose} />
        <Ends f={f} report={report} />
      </svg>
    </div>
  );
}

/** Times across, rounds by their names, the clock. */
function Ground({ f }: { f: StripFrame }) {
  return (
    <g className="stripground">
      <line x1={f.left} x2={f.right} y1={curveY(0)} y2={curveY(0)} />
      {f.ticks.map((t) => (
        <text key={t} x={f.x(t)} y={stripHeight - 4} textAnchor="middle">
          {clock(t)}
        </text>
      ))}
      {f.rounds.map((r, i) => (
        <g key={i}>
          <path d={`M${r.x + 1} 18 v-5 h${Math.max(0, r.width - 2)} v5`} />
          {r.width > 6.2 * r.name.length && (
            <text x={r.x + 4} y={9}>
              {r.name}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Minutes and seconds. */
const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;

function Curves({ f, report }: { f: StripFrame; report: MissionReport }) {
  const units = useWorkspace((w) => w.units),
    last = f.charges.at(-1),
    left = report.legs.at(-1)?.share ?? 0;
  const end = f.heights.at(-1);
  return (
    <g>
      <text x={f.left - 6} y={curveY(0.92) + 4} textAnchor="end" className="stripaxis">
        {formatQuantity(f.highest, 'distance', units)}
      </text>
      <text x={f.left - 6} y={curveY(0) + 3} textAnchor="end" className="stripaxis">
        0
      </text>
      {last && (
        <>
          <path
            className="stripcharge"
            d={`${lineOf(f.charges)} L${last[0]} ${curveY(0)} L${f.left} ${curveY(0)} Z`}
          />
          <path className="stripchargeline" d={lineOf(f.charges)} />
          <text x={f.right + 6} y={Math.max(TOP + 10, last[1] + 4)} className="stripname predicted">
            pack {Math.round(100 * (1 - left))} %
          </text>
        </>
      )}
      {f.ghost.length > 0 && <path className="stripghost" d={lineOf(f.ghost)} />}
      <path className="stripheight" d={lineOf(f.heights)} />
      {end && (
        <text x={f.right + 6} y={end[1] + 4} className="stripname">
          height
        </text>
      )}
    </g>
  );
}

/** Where it ends, and where the clock does. */
function Ends({ f, report }: { f: StripFrame; report: MissionReport }) {
  const stops = report.ending.at !== null;
  return (
    <g>
      {f.window !== null && (
        <g className="stripclock">
          <line x1={f.window} x2={f.window} y1={TOP - 4} y2={bandTop + 30} />
          <text x={f.window + 4} y={TOP + 4}>
            clock
          </text>
        </g>
      )}
      {f.end !== null && (
        <line
          className={stops ? 'stripend stops' : 'stripend'}
          x1={f.end}
          x2={f.end}
          y1={TOP}
          y2={bandTop + 32}
        />
      )}
    </g>
  );
}
