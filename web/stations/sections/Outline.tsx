'use client';
import type { Contour } from '@skiametra/core/section';

const at = (c: Contour, i: number) =>
  `${(100 * c.xy[2 * i]!).toFixed(2)},${(-100 * c.xy[2 * i + 1]!).toFixed(2)}`;
const outlinePoints = (c: Contour): string =>
  Array.from({ length: c.xy.length / 2 }, (_, i) => at(c, i)).join(' ');

/** Silhouette of a section; `large` with its chord line. Beside its name it has no label of its own. */
export function Outline({
  contour,
  large,
  label = 'Section outline',
}: {
  contour: Contour;
  large?: boolean;
  label?: string;
}) {
  const ys = Array.from({ length: contour.xy.length / 2 }, (_, i) => -100 * contour.xy[2 * i + 1]!);
  const top = Math.min(...ys) - 3,
    h = Math.max(...ys) - Math.min(...ys) + 6;
  return (
    <svg
      viewBox={`-2 ${top} 104 ${h}`}
      width="100%"
      style={{ maxHeight: large ? 130 : 30, display: 'block' }}
      {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <polygon
        points={outlinePoints(contour)}
        fill="var(--paper-2)"
        stroke="var(--ink)"
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
      />
      {large && (
        <line
          x1={0}
          x2={100}
          y1={0}
          y2={0}
          stroke="var(--hair)"
          strokeDasharray="2 2"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}

const LOOKS = ['var(--predicted)', 'var(--ink)', 'var(--look)', 'var(--ghost)'];
const DASHES = [undefined, '6 3', '2 2', '8 3 2 3'];

/** Several outlines over each other, told apart by stroke as well as colour. */
export function Overlay({ list }: { list: readonly { name: string; contour: Contour }[] }) {
  return (
    <figure className="flush">
      <svg
        viewBox="-2 -16 104 26"
        width="100%"
        className="high190 asblock"
        role="img"
        aria-label={`Outlines of ${list.map((l) => l.name).join(', ')}`}
      >
        <line x1={0} x2={100} y1={0} y2={0} stroke="var(--hair)" vectorEffect="non-scaling-stroke" />
        {list.map((l, i) => (
          <polygon
            key={l.name}
            points={outlinePoints(l.contour)}
            fill={i === 0 ? 'var(--predicted-soft)' : 'none'}
            stroke={LOOKS[i % 4]}
            strokeDasharray={DASHES[i % 4]}
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <figcaption className="legend">
        {list.map((l, i) => (
          <span key={l.name} className="inlineline gap8 mid">
            <svg width={22} height={6} aria-hidden="true">
              <line
                x1={0}
                x2={22}
                y1={3}
                y2={3}
                stroke={LOOKS[i % 4]}
                strokeDasharray={DASHES[i % 4]}
                strokeWidth={2}
              />
            </svg>
            {l.name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
