/** Where and how fast it was when something was let go: by the events that say so. */
import type { FlightLog } from './channels';
import { valuesAt, type Motion } from './motion';
import { startHeight } from './phases';
import { resultOf, type LogResult } from './result';
import type { ReduceTask } from './task';

const LET_GO = /\b(drop|dropped|release|released|let go|winch|abwurf|bay open|deploy)/i;

export interface LetGo {
  readonly t: number;
  readonly name: string;
  /** [m] */ readonly east: number;
  readonly north: number;
  /** over the start [m] */ readonly height: number;
  /** over ground [m/s] */ readonly speed: number;
}

const nearest = (t: Float64Array, now: number) => {
  let best = 0;
  for (let i = 1; i < t.length; i++) if (Math.abs(t[i] - now) < Math.abs(t[best] - now)) best = i;
  return best;
};

/** Every event by which something was let go. */
export function letGoOf(log: FlightLog, m: Motion): LetGo[] {
  const found = log.events.filter((e) => LET_GO.test(e.name));
  if (found.length === 0 || m.t.length === 0) return [];
  const t = Float64Array.from(found, (e) => e.t),
    none = new Float64Array(t.length).fill(NaN),
    east = log.channels.east ? valuesAt(log, 'east', t) : none,
    north = log.channels.north ? valuesAt(log, 'north', t) : none,
    ground = startHeight(m);
  return found.map((e, k) => {
    const i = nearest(m.t, e.t);
    return {
      t: e.t,
      name: e.name,
      east: east[k],
      north: north[k],
      height: m.height[i] - (Number.isFinite(ground) ? ground : 0),
      speed: Math.hypot(m.east[i], m.north[i]),
    };
  });
}

/** What a height and a speed of one fix are missed by (common practice, no source). */
const HEIGHT = 1,
  SPEED = 0.3;

export function dropResults({ log, motion }: ReduceTask): LogResult[] {
  const known = Number.isFinite(startHeight(motion));
  return letGoOf(log, motion).flatMap((d) => {
    const of = { segment: `${d.name} at ${d.t.toFixed(1)} s`, count: 1, method: 'fix nearest the event' };
    return [
      ...(known && Number.isFinite(d.height)
        ? [resultOf('dropHeight', { value: d.height, sigma: HEIGHT }, of)]
        : []),
      ...(Number.isFinite(d.speed) ? [resultOf('dropSpeed', { value: d.speed, sigma: SPEED }, of)] : []),
    ];
  });
}
