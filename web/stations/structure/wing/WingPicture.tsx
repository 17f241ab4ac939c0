'use client';
/** One half of the wing under a case: its section's depth, the members inside, hatched by what they bear. */
import { UNITS, shownUnit, formatValue, unitLabel } from '@skiametra/core/units';
import type { CaseView, StructureReport } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { CASE_NAMES } from '../caseNames';
import { LEFT, RIGHT, ticks, WIDTH, wingShape } from './wingShape';

interface Props {
  report: StructureReport;
  of: CaseView;
  /** the structure that it is compared with */ ghost?: readonly number[] | undefined;
  safety: number;
  place: number;
  onPlace: (p: number) => void;
}

/** Nearest place of the grid to a distance out. */
export function nearestPlace(y: readonly number[], at: number): number {
  return y.reduce((best, v, p) => (Math.abs(v - at) < Math.abs(y[best]! - at) ? p : best), 0);
}

export function WingPicture({ report, of, ghost, safety, place, onPlace }: Props) {
  const units = useWorkspace((w) => w.units),
    s = wingShape(report, of, safety),
    unit = shownUnit('length', units),
    lower = s.bottom + 22;
  const choose = (e: React.MouseEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect(),
      x = ((e.clientX - box.left) / box.width) * WIDTH;
    onPlace(nearestPlace(report.y, (x - LEFT) / s.scale));
  };
  const fails = (of.n * of.factor).toFixed(1).replace('-', '−');
  const says = `${CASE_NAMES[of.id]}, ${of.n.toFixed(1)} g: borne ${of.factor.toFixed(2)} times, fails at ${fails} g`;
  return (
    <svg
      viewBox={`0 ${s.top - 20} ${WIDTH} ${lower - s.top + 38}`}
      width="100%"
      role="img"
      aria-label={says}
      className="wingpicture clickable"
      onClick={choose}
    >
      <defs>
        <pattern
          id="hatch-thin"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V7" className="hatch thin" />
        </pattern>
        <pattern
          id="hatch-breaks"
          width="4"
          height="4"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V4" className="hatch breaks" />
        </pattern>
      </defs>
      <path d={s.unbent} className="unbent" />
      <polygon points={s.skin} className="skin" />
      {s.members.map((m) => (
        <g key={m.id} aria-hidden="true">
          {m.pieces.map((p, i) => (
            <polygon key={i} points={p.points} className={`piece ${p.margin}`} />
          ))}
        </g>
      ))}
      {s.members.map(
        (m) =>
          m.ends && (
            <g key={m.id} className="memberend" aria-hidden="true">
              <path d={`M${m.ends.x} ${m.ends.y - 4}V${m.ends.y + 7}`} />
              <text x={m.ends.x - 4} y={m.ends.y + 12} textAnchor="end">
                {m.name}
              </text>
            </g>
          ),
      )}
      {ghost && (
        <polyline
          className="ghostline"
          points={report.y.map((y, p) => `${s.xOf(y)},${-(ghost[p] ?? 0) * s.scale * s.bending}`).join(' ')}
        />
      )}
      <path d={`M${s.xOf(report.y[place]!)} ${s.top}V${s.bottom}`} className="here" />
      <FirstMark x={s.first.x} y={s.first.y} top={s.top} />
      <g className="axis" aria-hidden="true">
        <path d={`M${LEFT} ${lower}H${WIDTH - RIGHT}`} />
        {ticks(report.tip, UNITS[unit]!.scale).map((y) => (
          <g key={y}>
            <path d={`M${s.xOf(y)} ${lower}v-4`} />
            <text x={s.xOf(y)} y={lower + 13} textAnchor="middle">
              {formatValue(y, 'length', units)}
            </text>
          </g>
        ))}
        <text x={WIDTH - 4} y={lower + 13} textAnchor="end">
          {unitLabel(unit)} out
        </text>
        {s.bending < 1 && (
          <text x={LEFT} y={s.top - 8}>
            bending drawn {Math.round(100 * s.bending)} % of its size
          </text>
        )}
      </g>
    </svg>
  );
}

/** Where it fails first. */
function FirstMark({ x, y, top }: { x: number; y: number; top: number }) {
  return (
    <g className="firstmark" aria-hidden="true">
      <path d={`M${x} ${y}V${top}`} />
      <circle cx={x} cy={y} r={4.5} />
      <text x={x + 6} y={top + 2}>
        first here
      </text>
    </g>
  );
}
