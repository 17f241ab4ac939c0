/** Stretches of a flight: their words, the row they are drawn in, and the legs of a mission that they may be. */
import type { Leg, Mission, SegmentKind } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';

interface Kind {
  readonly name: string;
  readonly row: number;
  readonly legs: readonly Leg['kind'][];
}

export const KINDS: Readonly<Record<SegmentKind, Kind>> = {
  flight: { name: 'In the air', row: 0, legs: [] },
  run: { name: 'Run', row: 0, legs: ['takeOff'] },
  landing: { name: 'Landing run', row: 0, legs: ['land'] },
  climb: { name: 'Climb', row: 1, legs: ['climb'] },
  level: { name: 'Level', row: 1, legs: ['loiter', 'pattern'] },
  glide: { name: 'Glide', row: 1, legs: ['glide'] },
  hover: { name: 'Hover', row: 1, legs: ['hover'] },
  lap: { name: 'Lap', row: 2, legs: ['straight'] },
  turn: { name: 'Turn', row: 3, legs: ['turn'] },
  stall: { name: 'Stall', row: 3, legs: [] },
};
export const ROWS = 4;

/** Legs of a mission in the order of its rounds. */
const legsOf = (mission: Mission | undefined): readonly Leg[] => mission?.rounds.flatMap((r) => r.legs) ?? [];

/** The leg that each stretch is, by kind: laps are the round that is flown again and again. */
export function legNames(
  segments: readonly Segment[],
  mission: Mission | undefined,
): ReadonlyMap<Segment, string> {
  const legs = legsOf(mission),
    out = new Map<Segment, string>();
  for (const s of segments) {
    const leg = legs.find((l) => KINDS[s.kind].legs.includes(l.kind));
    if (leg) out.set(s, s.kind === 'lap' ? (mission?.name ?? leg.name) : leg.name);
  }
  return out;
}

/** Legs with how many stretches look like them, and those that none does. */
export function legsSeen(segments: readonly Segment[], mission: Mission) {
  const counted = legsOf(mission).map((leg) => ({
    name: leg.name,
    times: segments.filter((s) => KINDS[s.kind].legs.includes(leg.kind)).length,
  }));
  return {
    seen: counted.filter((c) => c.times > 0),
    missing: counted.filter((c) => c.times === 0).map((c) => c.name),
  };
}
