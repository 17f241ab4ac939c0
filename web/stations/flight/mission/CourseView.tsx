'use client';
/** The course from above, to scale, north up; each round once. */
import { formatQuantity } from '@skiametra/core/units';
import type { MissionReport } from '@skiametra/core/views';
import { courseFrame, type CourseFrame } from '../../../parts/mission/courseFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const WIDE = 1.5;

interface Props {
  report: MissionReport;
  chosen: number;
  onChoose: (at: number) => void;
}

export function CourseView({ report, chosen, onChoose }: Props) {
  const units = useWorkspace((w) => w.units),
    limit = report.limits.find((l) => l.of === 'distance')?.limit ?? null,
    f = courseFrame(report, WIDE, limit);
  const leg = report.legs[chosen]?.id;
  if (!f) return <p className="dim note">Nothing of this mission goes over the ground.</p>;
  const far = formatQuantity(report.track.farthest, 'distance', units);
  return (
    <figure className="flush">
      <svg
        className="course"
        viewBox={f.box.join(' ')}
        width="100%"
        role="img"
        aria-label={`From above, north up: it comes ${far} from where it left`}
      >
        {limit !== null && <circle className="courselimit" cx={0} cy={0} r={limit} />}
        {f.lines.map((l, i) => (
          <path
            key={i}
            d={l.d}
            className={report.legs[l.at]?.id === leg ? 'courseline here' : 'courseline'}
            onClick={() => onChoose(l.at)}
          />
        ))}
        <circle className="coursestart" cx={0} cy={0} r={0.5 * f.unit} />
        <text x={0.9 * f.unit} y={1.9 * f.unit} fontSize={1.5 * f.unit}>
          start
        </text>
        <Bar f={f} />
        <WindArrow f={f} report={report} />
      </svg>
      <figcaption className="legend">
        <span className="num">{far} from the start at most</span>
        {report.wind.from === null && report.wind.speed > 0 && (
          <span>wind along the course: nobody said from where</span>
        )}
      </figcaption>
    </figure>
  );
}

function Bar({ f }: { f: CourseFrame }) {
  const units = useWorkspace((w) => w.units),
    [x, y, , h] = f.box;
  return (
    <g className="coursebar">
      <path
        d={`M${x + f.unit} ${y + h - f.unit} v${-0.6 * f.unit} v${0.6 * f.unit} h${f.bar} v${-0.6 * f.unit}`}
      />
      <text x={x + 1.4 * f.unit} y={y + h - 1.6 * f.unit} fontSize={1.4 * f.unit}>
        {formatQuantity(f.bar, 'distance', units)}
      </text>
    </g>
  );
}

/** Where the wind goes, in the corner. */
function WindArrow({ f, report: { wind } }: { f: CourseFrame; report: MissionReport }) {
  const units = useWorkspace((w) => w.units),
    [x, y, w] = f.box,
    cx = x + w - 4 * f.unit,
    cy = y + 4 * f.unit;
  if (wind.from === null || !(wind.speed > 0)) return null;
  const towards = (wind.from * 180) / Math.PI + 180;
  return (
    <g className="coursewind">
      <g transform={`translate(${cx} ${cy}) rotate(${towards})`}>
        <path
          d={`M0 ${1.6 * f.unit} V${-1.6 * f.unit} m${-0.7 * f.unit} ${0.9 * f.unit} L0 ${-1.6 * f.unit} l${0.7 * f.unit} ${0.9 * f.unit}`}
        />
      </g>
      <text x={cx} y={cy + 3.4 * f.unit} fontSize={1.3 * f.unit} textAnchor="middle">
        wind {formatQuantity(wind.speed, 'speed', units)}
      </text>
    </g>
  );
}
