'use client';
/** The fall from the side, to scale. */
import { fallOf, type Fall, type Falling } from '@skiametra/core/mission';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const POINTS = 24;

/** Places by falling to ever lower heights: the same path. */
function pathOf(f: Falling): [number, number][] {
  const out: [number, number][] = [[0, f.height]];
  for (let i = 1; i <= POINTS; i++) {
    // it falls slowly at first
    const fallen = f.height * (i / POINTS) ** 2;
    out.push([fallOf({ ...f, height: fallen }).ahead, f.height - fallen]);
  }
  return out;
}

export function DropPicture({ falling, fall }: { falling: Falling; fall: Fall }) {
  const units = useWorkspace((w) => w.units),
    points = pathOf(falling),
    xs = points.map((p) => p[0]),
    left = Math.min(0, ...xs),
    wide = Math.max(1, Math.max(0, ...xs) - left),
    size = Math.max(wide, falling.height),
    unit = size / 26;
  const box = [left - 3 * unit, -falling.height - 3 * unit, wide + 9 * unit, falling.height + 7 * unit],
    ahead = formatQuantity(Math.abs(fall.ahead), 'distance', units);
  return (
    <svg
      className="course"
      viewBox={box.join(' ')}
      width="100%"
      role="img"
      aria-label={`The fall from the side: ${formatQuantity(falling.height, 'distance', units)} down, ${ahead} along`}
    >
      <line x1={box[0]} x2={box[0]! + box[2]!} y1={0} y2={0} className="dropground" />
      <path
        className="courseline here"
        d={points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${(-y).toFixed(3)}`).join(' ')}
      />
      <circle className="coursestart" cx={0} cy={-falling.height} r={0.45 * unit} />
      <path className="dropspan" d={`M0 ${0.8 * unit} v${0.6 * unit} H${fall.ahead} v${-0.6 * unit}`} />
      <text x={fall.ahead / 2} y={3.2 * unit} fontSize={1.4 * unit} textAnchor="middle">
        {ahead}
      </text>
      <text x={0.9 * unit} y={-falling.height - 0.6 * unit} fontSize={1.4 * unit}>
        let go
      </text>
    </svg>
  );
}
