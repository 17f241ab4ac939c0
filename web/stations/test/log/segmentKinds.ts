/** Stretches of a flight: their words, and the row they are drawn in. */
import type { SegmentKind } from '@skiametra/core/design';

interface Kind {
  readonly name: string;
  readonly row: number;
}

export const KINDS: Readonly<Record<SegmentKind, Kind>> = {
  flight: { name: 'In the air', row: 0 },
  run: { name: 'Run', row: 0 },
  landing: { name: 'Landing run', row: 0 },
  climb: { name: 'Climb', row: 1 },
  level: { name: 'Level', row: 1 },
  glide: { name: 'Glide', row: 1 },
  hover: { name: 'Hover', row: 1 },
  lap: { name: 'Lap', row: 2 },
  turn: { name: 'Turn', row: 3 },
  stall: { name: 'Stall', row: 3 },
};
export const ROWS = 4;
