'use client';
/** The section with its pressure as a ribbon on its skin; what is under the pointer is told. */
import { useRef, useState, type PointerEvent } from 'react';
import type { FlowPicture } from '@skiametra/core/section';
import {
  describeFace,
  nearestPlace,
  ribbonOf,
  runsOf,
  type RibbonPlace,
  type RibbonPoint,
} from '@skiametra/core/views';
import { formatNumber } from '@skiametra/core/units';

const W = 1000;
const at = ([x, y]: RibbonPoint) => `${(W * x).toFixed(1)},${(-W * y).toFixed(1)}`;
const points = (list: readonly RibbonPoint[]) => list.map(at).join(' ');

/** Suction and pressure as two fills, the edge in the line of the layer’s state. */
function Face({ list, side }: { list: readonly RibbonPlace[]; side: 'upper' | 'lower' }) {
  return (
    <g className={`ribbon ${side}`}>
      {runsOf(list, (p) => p.cp < 0).map(({ kind, list: run }, i) => (
        <polygon
          key={i}
          className={kind ? 'suction' : 'pressure'}
          points={`${points(run.map((p) => p.skin))} ${points(run.map((p) => p.edge).reverse())}`}
        />
      ))}
      <polyline className="skin" points={points(list.map((p) => p.skin))} />
      {runsOf(list, (p) => p.state).map(({ kind, list: run }, i) => (
        <polyline key={i} className={`layer ${kind}`} points={points(run.map((p) => p.edge))} />
      ))}
    </g>
  );
}

/** Runs that are long enough to be named, past the longest stand of the ribbon. */
function StateWords({ list, sign }: { list: readonly RibbonPlace[]; sign: 1 | -1 }) {
  const long = runsOf(list, (p) => p.state).filter(
    ({ list: run }) => run[run.length - 1]!.skin[0] - run[0]!.skin[0] > 0.09,
  );
  return long.map(({ kind, list: run }) => {
    const mid = run[run.length >> 1]!,
      // clear of all that stands under the word
      under = list
        .filter((p) => Math.abs(p.skin[0] - mid.skin[0]) < 0.07)
        .flatMap((p) => [p.edge[1], p.skin[1]]),
      y = sign > 0 ? Math.max(...under) : Math.min(...under);
    return (
      <text
        key={`${kind}${run[0]!.skin[0]}`}
        className={`layerword ${kind}`}
        x={W * mid.skin[0]}
        y={-W * y + (sign > 0 ? -12 : 26)}
      >
        {kind}
      </text>
    );
  });
}

function placeWords({ side, place }: ReturnType<typeof nearestPlace>): string {
  const along = formatNumber(100 * Math.max(0, place.skin[0]), 2),
    face = side === 'upper' ? 'Upper' : 'Lower';
  return `${face} face at ${along} % of the chord: pressure coefficient ${formatNumber(place.cp, 3)}, ${place.state}.`;
}

export function PressureRibbon({ picture, least }: { picture: FlowPicture; least: number }) {
  const svg = useRef<SVGSVGElement>(null);
  const [told, setTold] = useState<ReturnType<typeof nearestPlace> | null>(null);
  const ribbon = ribbonOf(picture, least);
  const tell = (e: PointerEvent) => {
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    setTold(nearestPlace(ribbon, [p.x / W, -p.y / W]));
  };
  return (
    <>
      <svg
        ref={svg}
        className="pressureribbon"
        viewBox={`-60 -360 ${W + 120} 560`}
        width="100%"
        role="img"
        aria-label={`The section with its pressure. ${describeFace(picture, 'upper')} ${describeFace(picture, 'lower')}`}
        onPointerMove={tell}
        onPointerLeave={() => setTold(null)}
      >
        <polygon
          className="section"
          points={`${points(ribbon.upper.map((p) => p.skin).reverse())} ${points(ribbon.lower.map((p) => p.skin))}`}
        />
        <Face list={ribbon.upper} side="upper" />
        <Face list={ribbon.lower} side="lower" />
        <StateWords list={ribbon.upper} sign={1} />
        <StateWords list={ribbon.lower} sign={-1} />
        <polyline
          className="wake"
          points={points(picture.wake.filter((p) => p.x < 1.05).map((p): RibbonPoint => [p.x, p.y]))}
        />
        {told && (
          <line
            className="told"
            x1={W * told.place.skin[0]}
            y1={-W * told.place.skin[1]}
            x2={W * told.place.edge[0]}
            y2={-W * told.place.edge[1]}
          />
        )}
      </svg>
      <p className="note flush told" aria-live="off">
        {told ? placeWords(told) : 'The ribbon stands outward where the air pulls, inward where it presses.'}
      </p>
    </>
  );
}
