/** Words of advice: what to change next and why, and what stops a flight. */
import { lower, type AnySaid, type Speech } from './speech';

const way = (by: number) => (by < 0 ? 'forward' : 'aft');

export const ADVICE_WORDS = {
  'of-note': (f: { note: string; test: string }) => `“${f.note}” in ${f.test}`,
  'of-note-at': (f: { note: string; test: string; cg: number }, s: Speech) =>
    `“${f.note}” in ${f.test}, CG at ${s.q(f.cg, 'length', 0)}`,
  'predicted-balance': (_: object) => 'predicted balance',
  'too-weak': (f: { at: number; needed: number }) =>
    `the wing breaks at ${f.at.toFixed(1)} g and ${f.needed.toFixed(1)} g is needed`,
  'no-room': (f: { by: number }, s: Speech) =>
    `Nothing movable has room left to shift the CG ${s.q(Math.abs(f.by), 'length', 0)} ${way(f.by)}; ballast or a changed nose is needed.`,
  'move-item': (f: { name: string; by: number }, s: Speech) =>
    `Move the ${lower(f.name)} ${s.q(Math.abs(f.by), 'length', 0)} ${way(f.by)}`,
  'moved-for-margin': (
    f: { move: AnySaid; by: number; cg: number; from: number; to: number; short: boolean },
    s: Speech,
  ) => {
    const margins = `static margin from ${s.n(f.from, 'chordPercent', 1)} to ${s.q(f.to, 'chordPercent', 1)}`,
      short = f.short ? ' That is as far as it goes; more needs ballast.' : '';
    return `${s.said(f.move)}: the CG goes ${s.q(Math.abs(f.cg), 'length', 0)} ${way(f.by)}, ${margins}.${short} One step per flight.`;
  },
  thicken: (f: { member: string; size: string; from: number; to: number }, s: Speech) =>
    `${f.member}: ${f.size} from ${s.n(f.from, 'length', 1)} to ${s.q(f.to, 'length', 1)}`,
  'thickened-spar': (f: { change: AnySaid; at: number; more: number; listed: boolean }, s: Speech) => {
    const grams = s.q(f.more, 'mass', 0);
    const who = f.listed
      ? `It weighs ${grams} more; the mass list follows.`
      : `Add the ${grams} to the mass list: no line of it is the spar.`;
    return `${s.said(f.change)}: failure at ${f.at.toFixed(1)} g. ${who}`;
  },
  'no-spar-enough': (_: object) =>
    'No size near this one is enough: change the material or the depth of the spar, or add a sleeve at the root.',
  /** a first sentence, how to tell its cause from the next one, and the figure that is held against it */
  tell: (f: { first: AnySaid; test: string; figure: AnySaid | null }, s: Speech) =>
    `${s.said(f.first)} To tell: ${f.test}${s.also(f.figure)}`,
  'likely-cause': (f: { cause: string }) => f.cause,
  'more-washout': (_: object) =>
    'Two degrees more washout at the tip moves the first stall inboard; it costs a little drag at speed.',
  'washout-label': (f: { by: number }, s: Speech) => `Washout ${s.q(f.by, 'angle', 0)} more`,
  'turn-stabiliser': (f: { by: number }, s: Speech) =>
    `Stabiliser ${s.q(Math.abs(f.by), 'angle', 1)} leading edge ${f.by > 0 ? 'up' : 'down'}`,
  'more-down-thrust': (f: { by: number }, s: Speech) => `Motor ${s.q(f.by, 'angle', 1)} more nose-down`,
  'predicted-bend': (f: { bend: number; sigma: number }, s: Speech) =>
    `Predicted at 1 g: ${s.n(f.bend, 'length', 0)} ± ${s.q(f.sigma, 'length', 0)} at the tip.`,
  'predicted-run': (f: { run: number; sigma: number; thrust: number }, s: Speech) =>
    `Predicted: ${s.n(f.run, 'distance', 1)} ± ${s.q(f.sigma, 'distance', 1)} on ${s.q(f.thrust, 'force', 1)}.`,
  'all-of': (f: { labels: readonly AnySaid[] }, s: Speech) => f.labels.map((l) => s.said(l)).join('; '),
  'fit-part': (f: { part: string }) => `Fit ${f.part}`,
};

export const STOP_WORDS = {
  'stop-computing': (_: object) =>
    'The limits of this state are still being computed; wait for the numbers before flying by this card.',
  'stop-no-lift': (_: object) =>
    'Nothing is computed to lift it: describe the lift motors under Power, Hover.',
  'stop-weak-lift': (f: { ratio: number; least: number }) =>
    `Lift thrust is ${f.ratio.toFixed(2)} times the weight; ${f.least} is the least for a hover that can be steered.`,
  'stop-no-state': (_: object) => 'This state is not in the design any more: choose one that is.',
  'stop-unknown': (f: { what: readonly string[] }) =>
    `Not computed for this state: ${f.what.join(', ')}. Unknown is no leave to fly.`,
  'stop-breaks': (f: { at: number; asked: number; factor: number }) =>
    `The wing is computed to break at ${f.at.toFixed(1)} g in this state; ${(f.asked * f.factor).toFixed(1)} g is asked (${f.asked} g with factor ${f.factor}).`,
  'stop-breaks-down': (f: { at: number }) =>
    `Downward the wing is computed to break at ${f.at.toFixed(1)} g.`,
  'stop-aft': (f: { margin: number; least: number }, s: Speech) =>
    `The CG is behind the aft limit: static margin ${s.q(f.margin, 'chordPercent', 1)}, at least ${s.q(f.least, 'chordPercent', 0)} is wanted.`,
  'stop-forward': (f: { margin: number }, s: Speech) =>
    `The CG is ahead of the forward limit: static margin ${s.q(f.margin, 'chordPercent', 1)}.`,
  'stop-strip': (f: { run: number; strip: number }, s: Speech) =>
    `The ground run of ${s.q(f.run, 'distance', 1)} is longer than the strip of ${s.plain(f.strip, 'distance')}.`,
};
