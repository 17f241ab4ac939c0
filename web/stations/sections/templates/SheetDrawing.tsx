'use client';
/** One sheet with what is cut of it. */
import type { Sheet } from '@skiametra/formats/template';

export function SheetDrawing({ sheet }: { sheet: Sheet }) {
  const path = (p: readonly (readonly [number, number])[], closed: boolean) =>
    `${p.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(sheet.height - y).toFixed(2)}`).join('')}${closed ? 'Z' : ''}`;
  return (
    <svg
      viewBox={`-2 -2 ${sheet.width + 4} ${sheet.height + 4}`}
      width="100%"
      className="high520 asblock"
      role="img"
      aria-label={`Sheet of ${sheet.width} by ${sheet.height} mm with ${sheet.placed.map((t) => t.label).join('; ')}`}
    >
      <rect
        x={0}
        y={0}
        width={sheet.width}
        height={sheet.height}
        fill="var(--paper-2)"
        stroke="var(--hair)"
        vectorEffect="non-scaling-stroke"
      />
      {sheet.placed.map((t) => (
        <g key={t.label}>
          <path
            d={t.cuts.map((p) => path(p, true)).join('')}
            fill="var(--paper)"
            fillRule="evenodd"
            stroke="var(--ink)"
            strokeWidth={1.1}
            vectorEffect="non-scaling-stroke"
          />
          {t.marks.map((p, i) => (
            <path
              key={i}
              d={path(p, false)}
              fill="none"
              stroke="var(--predicted)"
              strokeWidth={0.8}
              strokeDasharray="4 2"
              vectorEffect="non-scaling-stroke"
            />
          ))}
          <text
            x={t.labelAt[0]}
            y={sheet.height - t.labelAt[1]}
            fontSize={Math.max(3.5, sheet.width / 110)}
            fill="var(--ink-2)"
            transform={t.turned ? `rotate(-90 ${t.labelAt[0]} ${sheet.height - t.labelAt[1]})` : undefined}
          >
            {t.label}
          </text>
        </g>
      ))}
    </svg>
  );
}
