/**
 * Laps: passings of the middle of what was flown, in the direction of the first. The course need not be known; what is flown
 * round in circles is no lap.
 */
import { feltBy, type AirData } from './airData';
import type { FlightLog } from './channels';
import { rowsIn } from './lines';
import { meanOf, meanWithSpread, medianOf, sumOf } from './middle';
import type { Motion } from './motion';
import { integralOf, wattsOf } from './power';
import { startHeight, type Segment } from './phases';
import { resultOf, type LogResult } from './result';
import { CURRENT_OFF, CURRENT_SAID } from './sensors';
import { rowsWhere, type Span } from './span';
import type { ReduceTask } from './task';

/** Height above which laps are flown [m]. */
const HIGH = 6;
/** A course is so much longer than it is wide. */
const LONG = 1.3;
/** Laps that differ from the middle one by more than this share, and by so many times what laps do, are something else. */
const ALIKE = 0.08,
  AS_OTHERS = 6,
  NO_LAP = 0.3;
/** A lap with a longer lapse in it says nothing of its time [s]. */
const LAPSE = 1.5;

interface Way {
  readonly t: number[];
  /** along the longest direction [m] */ readonly u: number[];
  readonly long: number;
  readonly wide: number;
}

/** Places of a flight along the longest direction of all of them. */
function wayOf(log: FlightLog, m: Motion, span: Span): Way | null {
  const { east, north } = log.channels,
    low = startHeight(m) + HIGH;
  if (!east || !north) return null;
  const rows = rowsWhere(m.t, span, (i) => !(m.height[i] < low) && Number.isFinite(east[m.rows[i]]));
  if (rows.length < 20) return null;
  const x = rows.map((i) => east[m.rows[i]]),
    y = rows.map((i) => north[m.rows[i]]),
    mx = meanOf(x),
    my = meanOf(y);
  let sxx = 0,
    sxy = 0,
    syy = 0;
  x.forEach((v, i) => {
    sxx += (v - mx) ** 2;
    sxy += (v - mx) * (y[i] - my);
    syy += (y[i] - my) ** 2;
  });
  const th = 0.5 * Math.atan2(2 * sxy, sxx - syy),
    u = x.map((v, i) => (v - mx) * Math.cos(th) + (y[i] - my) * Math.sin(th)),
    w = x.map((v, i) => -(v - mx) * Math.sin(th) + (y[i] - my) * Math.cos(th));
  const reach = (of: number[]) => medianOf(of.map(Math.abs));
  return { t: rows.map((i) => m.t[i]), u, long: reach(u), wide: reach(w) };
}

/** Times of passing the middle in the first direction, each after having been away. */
function passings({ t, u }: Way): number[] {
  const far = u.reduce((a, v) => Math.max(a, Math.abs(v)), 0),
    times: number[] = [];
  let armed = false,
    sign = 0;
  for (let i = 1; i < u.length; i++) {
    if (Math.abs(u[i]) > 0.4 * far) armed = true;
    if (u[i - 1] * u[i] > 0 || u[i] === u[i - 1]) continue;
    const dir = Math.sign(u[i] - u[i - 1]);
    if (sign === 0) sign = dir;
    if (dir !== sign || (times.length > 0 && !armed)) continue;
    armed = false;
    times.push(t[i - 1] + ((t[i] - t[i - 1]) * -u[i - 1]) / (u[i] - u[i - 1]));
  }
  return times;
}

/** Level stretches that a lapse of the log has parted [s]. */
const PARTED = 8;

function levelSpans(segments: readonly Segment[]): Segment[] {
  const out: Segment[] = [];
  for (const s of segments.filter((x) => x.kind === 'level').sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && s.from - last.to < PARTED) out[out.length - 1] = { ...last, to: s.to };
    else out.push(s);
  }
  return out;
}

const hasLapse = (t: readonly number[], lapse: number, { from, to }: Span) =>
  t.some((v, i) => i > 0 && v - t[i - 1] > lapse && v > from && t[i - 1] < to);

export function lapsOf(log: FlightLog, m: Motion, segments: readonly Segment[]): Segment[] {
  const laps = levelSpans(segments).flatMap((s) => {
    const way = wayOf(log, m, s);
    if (!way || way.long < LONG * way.wide) return [];
    const times = passings(way);
    return times
      .slice(1)
      .map((to, i) => ({ from: times[i], to }))
      .filter((lap) => !hasLapse(way.t, Math.max(LAPSE, 1.5 * m.step), lap));
  });
  const usual = medianOf(laps.map((l) => l.to - l.from)),
    off = (l: { from: number; to: number }) => Math.abs(l.to - l.from - usual),
    least = Math.max(ALIKE * usual, AS_OTHERS * medianOf(laps.map(off))),
    good = laps.filter((l) => off(l) <= Math.min(NO_LAP * usual, least));
  return good.map((l, i) => ({ kind: 'lap', name: good.length > 1 ? `lap ${i + 1}` : 'lap', ...l }));
}

/** A few laps differ by so many times what gusts make of them by chance alone. */
const BY_CHANCE = 2.5;

/** Mean airspeed of a stretch; NaN where it is not known. */
function speedOf(m: Motion, air: AirData, span: Span): number {
  const rows = rowsIn(m.t, air.airspeed, span);
  return rows.length > 0 ? meanOf(rows.map((i) => air.airspeed[i])) : NaN;
}

/** Nobody knows the passing of a line better than this [s]. */
const PASSING = 0.3;

export function lapResults({ log, motion: m, air, segments }: ReduceTask): LogResult[] {
  const laps = segments.filter((s) => s.kind === 'lap');
  if (laps.length === 0) return [];
  const segment = laps.length > 1 ? `${laps.length} laps` : laps[0].name,
    count = laps.length,
    times = laps.map((l) => l.to - l.from);
  const out = [
    resultOf('lapTime', meanWithSpread(times, count > 1 ? PASSING / Math.sqrt(count) : 0.03 * times[0]), {
      segment,
      count,
      method: 'from passing the middle of the course to passing it again',
    }),
  ];
  const speeds = laps.map((l) => speedOf(m, air, l)).filter(Number.isFinite);
  if (speeds.length > 0 && air.how !== 'none') {
    const { value, sigma } = meanWithSpread(speeds, 0),
      felt = feltBy(air, sumOf(times));
    // what laps differ by beside the gusts that the sensor felt
    const own = sigma * sigma > BY_CHANCE * felt.all ? Math.sqrt(sigma * sigma - felt.all) : 0,
      // the factor's own error is in what is left of the gusts
      missed = felt.left > 0 ? Math.sqrt(felt.left) : (air.wind?.sigma.airspeed ?? 0.03 * value),
      // over a whole lap the wind falls out: without a sensor both are of the noise of the same velocities
      all = air.how === 'sensor' ? Math.hypot(own, missed) : Math.max(own, missed);
    out.push(
      resultOf(
        'lapSpeed',
        { value, sigma: all },
        { segment, count, method: air.how === 'sensor' ? 'sensor' : 'ground velocity less the wind' },
      ),
    );
  }
  const watts = wattsOf(log);
  if (watts) {
    const energy = laps.map((l) => integralOf(log.t, watts, l));
    const { value, sigma } = meanWithSpread(energy, 0);
    if (value > 0)
      out.push(
        resultOf(
          'lapEnergy',
          { value, sigma: Math.hypot(sigma, CURRENT_OFF * value) },
          { segment, count, method: `power over time, ${CURRENT_SAID}` },
        ),
      );
  }
  return out;
}
