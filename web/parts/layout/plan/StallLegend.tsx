'use client';
/** What the two patterns of the map mean. */
export function StallLegend({ half, unit: u, top }: { half: number; unit: number; top: number }) {
  const said = [
    { x: -0.42 * half, fill: 'url(#near)', words: 'near its stall' },
    { x: 0.06 * half, fill: 'url(#stalled)', words: 'stalled' },
  ];
  return (
    <g fontSize={1.9 * u} fill="var(--ink-2)">
      {said.map(({ x, fill, words }) => (
        <g key={words}>
          <rect
            x={x}
            y={top + 1.7 * u}
            width={3 * u}
            height={2 * u}
            className="plan swatch"
            style={{ fill }}
          />
          <text x={x + 3.8 * u} y={top + 3.4 * u}>
            {words}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Dots where a strip is near its stall, stripes where it has. */
export function StallPatterns({ unit: u }: { unit: number }) {
  return (
    <defs>
      <pattern id="near" width={u} height={u} patternUnits="userSpaceOnUse">
        <circle cx={u / 2} cy={u / 2} r={0.22 * u} fill="var(--look)" />
      </pattern>
      <pattern
        id="stalled"
        width={0.8 * u}
        height={0.8 * u}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width={0.45 * u} height={0.8 * u} fill="var(--stop)" />
      </pattern>
    </defs>
  );
}
