/** Names of things in a picture, each on its own line. */
import type { Flags } from './flags';

interface FlagNamesProps {
  flags: Flags;
  /** height of the text, and of a row, in units of the picture */
  size: number;
  rowHeight: number;
  /** where the rows begin: the picture's upper and lower edge */
  top: number;
  bottom: number;
}

export function FlagNames({ flags, size, rowHeight, top, bottom }: FlagNamesProps) {
  return (
    <g className="flags">
      {flags.flags.map((f) => {
        const above = f.side === 'above',
          edge = above ? top - (f.row + 0.2) * rowHeight : bottom + (f.row + 0.2) * rowHeight,
          tip = above ? edge - 0.8 * size : edge + 0.8 * size;
        return (
          <g key={f.id}>
            <path d={`M${f.x} ${f.y}V${tip}`} />
            <text x={f.x + 0.35 * size} y={above ? edge : edge + 0.75 * size} fontSize={size}>
              {f.name}
            </text>
          </g>
        );
      })}
    </g>
  );
}
