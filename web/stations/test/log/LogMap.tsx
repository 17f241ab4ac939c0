'use client';
/** The way that was flown, from above, north up: the chosen stretch, where the pointer is, the wind, what was let go. */
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Reduced } from '../../../workers/logJobs';
import type { Window } from './Bands';

interface MapProps {
  reduced: Reduced;
  window: Window;
  stretch: Window | null;
  cursor: number | null;
  onTime: (t: number | null) => void;
}

const W = 420,
  H = 300,
  PAD = 26;

type Way = NonNullable<Reduced['way']>;

/** Metres to places on the paper, the same scale both ways. */
function frameOf(way: Way) {
  const span = (of: number[]) =>
      of.reduce(([a, b], v) => [Math.min(a!, v), Math.max(b!, v)], [0, 0] as number[]),
    [w, e] = span(way.east) as [number, number],
    [s, n] = span(way.north) as [number, number],
    scale = Math.min((W - 2 * PAD) / Math.max(10, e - w), (H - 2 * PAD) / Math.max(10, n - s));
  const x = (east: number) => W / 2 + (east - (w + e) / 2) * scale,
    y = (north: number) => H / 2 - (north - (s + n) / 2) * scale;
  return { x, y, scale };
}

const nearest = (way: Way, t: number) => {
  let best = 0;
  for (let i = 1; i < way.t.length; i++) if (Math.abs(way.t[i]! - t) < Math.abs(way.t[best]! - t)) best = i;
  return best;
};

/** A round length for the scale. */
const roundLength = (metres: number) => {
  const ten = 10 ** Math.floor(Math.log10(metres));
  return metres / ten >= 5 ? 5 * ten : metres / ten >= 2 ? 2 * ten : ten;
};

export function LogMap({ reduced, window, stretch, cursor, onTime }: MapProps) {
  const { way, wind, letGo } = reduced;
  if (!way || way.t.length < 2)
    return <p className="dim flush">This log holds no places: there is no way to draw.</p>;
  const { x, y, scale } = frameOf(way),
    path = (of: Window) =>
      way.t
        .flatMap((t, i) =>
          t >= of.from && t <= of.to ? [`${x(way.east[i]!).toFixed(1)},${y(way.north[i]!).toFixed(1)}`] : [],
        )
        .join(' '),
    at = cursor === null ? -1 : nearest(way, cursor);
  const over = (e: React.PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect(),
      px = ((e.clientX - box.left) / box.width) * W,
      py = ((e.clientY - box.top) / box.height) * H;
    let best = -1,
      least = 18;
    way.t.forEach((t, i) => {
      const d = Math.hypot(x(way.east[i]!) - px, y(way.north[i]!) - py);
      if (t >= window.from && t <= window.to && d < least) {
        least = d;
        best = i;
      }
    });
    onTime(best < 0 ? null : way.t[best]!);
  };
  return (
    <svg
      className="logmap"
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label="The way that was flown, from above, north up"
      onPointerMove={over}
      onPointerLeave={() => onTime(null)}
    >
      <polyline className="way faint" points={path({ from: -Infinity, to: Infinity })} />
      <polyline className="way" points={path(window)} />
      {stretch && <polyline className="way stretch" points={path(stretch)} />}
      <circle className="start" cx={x(way.east[0]!)} cy={y(way.north[0]!)} r={4} />
      <text className="mapword" x={x(way.east[0]!) + 7} y={y(way.north[0]!) + 4}>
        start
      </text>
      {letGo.map((d) => (
        <g key={`${d.name} ${d.t}`}>
          <path className="letgo" d={`M ${x(d.east) - 5} ${y(d.north)} h 10 m -5 -5 v 10`} />
          <text className="mapword" x={x(d.east) + 8} y={y(d.north) - 4}>
            {d.name}
          </text>
        </g>
      ))}
      {at >= 0 && <circle className="now" cx={x(way.east[at]!)} cy={y(way.north[at]!)} r={4.5} />}
      {wind && <WindArrow {...wind} />}
      <ScaleBar scale={scale} />
    </svg>
  );
}

function WindArrow({ east, north }: { east: number; north: number }) {
  const units = useWorkspace((w) => w.units),
    speed = Math.hypot(east, north),
    turn = (Math.atan2(east, north) * 180) / Math.PI;
  return (
    <g>
      <g transform={`translate(${W - 34} 34) rotate(${turn.toFixed(1)})`}>
        <path className="windarrow" d="M 0 16 V -14 m -5 7 l 5 -8 l 5 8" />
      </g>
      <text className="mapword" textAnchor="end" x={W - 10} y={66}>
        wind {formatQuantity(speed, 'speed', units)}
      </text>
    </g>
  );
}

function ScaleBar({ scale }: { scale: number }) {
  const units = useWorkspace((w) => w.units),
    metres = roundLength(110 / scale);
  return (
    <g transform={`translate(12 ${H - 12})`}>
      <path className="scalebar" d={`M 0 -4 V 0 H ${(metres * scale).toFixed(1)} V -4`} />
      <text className="mapword" x={0} y={-8}>
        {formatQuantity(metres, 'distance', units)}
      </text>
    </g>
  );
}
