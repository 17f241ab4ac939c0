/** Straights: what is level and no turn. Their current is that of one throttle and one speed, as the mean of a flight is not. */
import { rowsIn } from './lines';
import { meanOf, meanWithSpread } from './middle';
import type { Segment } from './phases';
import { resultOf, type LogResult } from './result';
import { CURRENT_OFF, CURRENT_SAID } from './sensors';
import type { ReduceTask } from './task';

type Span = Pick<Segment, 'from' | 'to'>;

/** Rolling in and out of a turn [s], and the shortest straight that is left. */
const ROLLS = 0.8,
  SHORTEST = 2;

/** A stretch without what is cut out of it. */
function without(span: Span, cuts: readonly Span[]): Span[] {
  return cuts.reduce<Span[]>(
    (left, c) =>
      left.flatMap((s) =>
        c.to <= s.from || c.from >= s.to
          ? [s]
          : [
              { from: s.from, to: Math.min(s.to, c.from) },
              { from: Math.max(s.from, c.to), to: s.to },
            ],
      ),
    [span],
  );
}

/**
 * Stretches of some kind of segment in which it did not turn, in the order in which they were flown.
 * @param rolls left out on both sides of a turn [s]
 */
export function straightsOf(segments: readonly Segment[], kind: 'level' | 'lap', rolls = ROLLS): Span[] {
  const turns = segments
    .filter((s) => s.kind === 'turn')
    .map((s) => ({ from: s.from - rolls, to: s.to + rolls }));
  return segments
    .filter((s) => s.kind === kind)
    .flatMap((s) => without(s, turns))
    .filter((s) => s.to - s.from >= SHORTEST)
    .sort((a, b) => a.from - b.from);
}

/** Current on the straights of laps: nothing where nobody flew laps, or the turns of them are not known. */
export function straightResults({ log, segments }: ReduceTask): LogResult[] {
  const { amps } = log.channels,
    straights = straightsOf(segments, 'lap');
  if (!amps || straights.length === 0 || !segments.some((s) => s.kind === 'turn')) return [];
  const rows = straights.map((s) => rowsIn(log.t, amps, s)).filter((r) => r.length > 0);
  if (rows.length < 2) return [];
  const { value, sigma } = meanWithSpread(
    rows.map((r) => meanOf(r.map((i) => amps[i]))),
    0,
  );
  if (!(value > 0)) return [];
  return [
    resultOf(
      'straightCurrent',
      { value, sigma: Math.hypot(sigma, CURRENT_OFF * value) },
      {
        segment: `${rows.length} straights of laps`,
        method: `mean of the amps, turns and the rolls into them left out, ${CURRENT_SAID}`,
        count: rows.flat().length,
      },
    ),
  ];
}
