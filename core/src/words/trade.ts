/** Words of what a score rewards, and of what stops it. */
import type { KindName } from '../units';
import { limitWords } from './flight';
import { type AnySaid, type Speech } from './speech';

type Bounds = { op: 'atLeast' | 'atMost' | 'between'; min: number | null; max: number | null };

export const TRADE_WORDS = {
  /** a limit with the value that stands against it */
  limit: (f: Bounds & { name: string; kind: KindName; rule: string; value: number | null }, s: Speech) => {
    const value = f.value === null ? '' : ` is ${s.show(f.value, f.kind)}`;
    return `${f.name}${value}; ${limitWords(f, f.kind, s)} is asked${f.rule ? ` (${f.rule})` : ''}`;
  },
  /** from the score down to what stops it */
  'limits-score': (
    f: {
      state: string;
      score: number;
      task: string;
      of: number;
      name: string;
      more: boolean;
      gain: number;
      lever: AnySaid | null;
      stop: AnySaid | null;
    },
    s: Speech,
  ) => {
    const head = `${f.state} scores ${f.score.toFixed(0)}, ${f.of.toFixed(0)} of it by “${f.task}”.`,
      what = `One per cent ${f.more ? 'more' : 'less'} ${f.name} is worth ${f.gain.toFixed(1)} points, more than one per cent of anything else it counts.`;
    return `${head} ${what}${s.also(f.lever)}${s.also(f.stop)}`;
  },
  'limits-lever': (
    f: { name: string; from: number; to: number; kind: KindName; choice: string | null },
    s: Speech,
  ) =>
    f.choice !== null
      ? `The nearest way there is ${f.name.toLowerCase()}: ${f.choice}.`
      : `The nearest way there is ${f.name.toLowerCase()}, from ${s.show(f.from, f.kind)} to ${s.show(f.to, f.kind)}.`,
  'limits-stop': (f: { said: AnySaid; steps: number }, s: Speech) =>
    `${f.steps === 0 ? 'It ends at once' : f.steps === 1 ? 'It ends after one step' : `It ends after ${f.steps} such steps`}: ${s.said(f.said)}.`,
  'limits-blocked': (f: { state: string; because: readonly AnySaid[] }, s: Speech) =>
    `${f.state} scores nothing that it flies for: ${f.because.map((b) => s.said(b)).join('; ')}.`,
  'limits-cap': (f: { state: string; score: number; task: string; most: number }) =>
    `${f.state} scores ${f.score.toFixed(0)}. “${f.task}” is at its cap of ${f.most}: more of it brings nothing.`,
  'limits-nothing': (f: { state: string; score: number }) =>
    `${f.state} scores ${f.score.toFixed(0)}; nothing that its formulas count moves it.`,
  'beyond-donor-mass': (f: { name: string; times: number; was: number }, s: Speech) =>
    `${f.times.toFixed(1)} times the mass of ${f.name}, ${s.q(f.was, 'allUpMass', 2)}: what was taken over from it bears so much more at the same load factor.`,
  'beyond-donor-speed': (f: { name: string; times: number; was: number }, s: Speech) =>
    `${f.times.toFixed(1)} times as fast as ${f.name} was flown, ${s.q(f.was, 'speed', 0)}: the air pulls ${(f.times ** 2).toFixed(1)} times as hard at what was taken over from it.`,
};
