/** Words and abbreviations of the trade, in a sentence each: behind every abbreviation on a screen, and found by search. */
import type { DrawingId } from './Drawing';

export interface Term {
  readonly id: string;
  /** as it is written on screens; none where the word is written out */ readonly short?: string;
  readonly name: string;
  readonly says: string;
  readonly drawing: DrawingId;
}

export const TERMS: readonly Term[] = [
  {
    id: 'cg',
    short: 'CG',
    name: 'Centre of gravity',
    says: 'Where it balances on two fingertips. Measured from the nose datum, backward.',
    drawing: 'balance',
  },
  {
    id: 'np',
    short: 'NP',
    name: 'Neutral point',
    says: 'Where a gust’s extra lift acts. With the CG ahead of it the nose comes down again by itself.',
    drawing: 'neutral',
  },
  {
    id: 'margin',
    name: 'Static margin',
    says: 'How far the CG lies ahead of the neutral point, as a share of the mean chord.',
    drawing: 'neutral',
  },
  {
    id: 'meanChord',
    name: 'Mean aerodynamic chord',
    says: 'The chord of the plain wing that stands for this one: shares of the chord are shares of it.',
    drawing: 'chord',
  },
  {
    id: 'cnbeta',
    short: 'Cnβ',
    name: 'Yaw stiffness',
    says: 'How hard it turns its nose back into the wind, for each radian of sideslip.',
    drawing: 'yaw',
  },
  {
    id: 'clbeta',
    short: 'Clβ',
    name: 'Dihedral effect',
    says: 'How hard it rolls out of a sideslip, for each radian of it. Below zero: away from the slip.',
    drawing: 'dihedral',
  },
  {
    id: 'cmalpha',
    short: 'Cmα',
    name: 'Pitch stiffness',
    says: 'How hard the nose goes down when the angle of attack rises. Below zero: stable.',
    drawing: 'pitch',
  },
  {
    id: 'clalpha',
    short: 'CLα',
    name: 'Lift slope',
    says: 'How much lift comes with each radian of angle of attack.',
    drawing: 'angle',
  },
  {
    id: 'cl',
    short: 'cl',
    name: 'Lift coefficient of a section',
    says: 'Lift of a slice of wing, freed of speed and size. CL is the same of the whole aircraft.',
    drawing: 'angle',
  },
  {
    id: 'cd',
    short: 'cd',
    name: 'Drag coefficient of a section',
    says: 'Drag of a slice of wing, freed of speed and size. CD is the same of the whole aircraft.',
    drawing: 'drag',
  },
  {
    id: 'cm',
    short: 'cm',
    name: 'Moment of a section',
    says: 'How hard a slice of wing turns about its quarter chord: nose up above zero. The tail holds it.',
    drawing: 'pitch',
  },
  {
    id: 're',
    short: 'Re',
    name: 'Reynolds number',
    says: 'Speed times chord over the stickiness of air. Small and slow is small: the air lets go sooner.',
    drawing: 'chord',
  },
  {
    id: 'kv',
    short: 'Kv',
    name: 'Speed constant of a motor',
    says: 'Turns a minute for each volt, turning free. A low Kv drives a large propeller.',
    drawing: 'motor',
  },
  {
    id: 'esc',
    short: 'ESC',
    name: 'Speed controller',
    says: 'The switch between pack and motor: how long it is closed is the throttle.',
    drawing: 'motor',
  },
  {
    id: 'j',
    short: 'J',
    name: 'Advance ratio',
    says: 'How far the aircraft goes in one turn, in propeller diameters. Near its pitch it pulls no more.',
    drawing: 'propeller',
  },
  {
    id: 'ct',
    short: 'CT',
    name: 'Thrust coefficient',
    says: 'Thrust of a propeller, freed of air, turns and size.',
    drawing: 'propeller',
  },
  {
    id: 'cp',
    short: 'CP',
    name: 'Power coefficient',
    says: 'Power that a propeller takes, freed of air, turns and size.',
    drawing: 'propeller',
  },
  {
    id: 'aspect',
    name: 'Aspect ratio',
    says: 'Span squared over area. A long narrow wing pays less for its lift, and bends more.',
    drawing: 'plan',
  },
  {
    id: 'loading',
    name: 'Wing loading',
    says: 'Weight over wing area. It sets how fast it must fly, and how it feels in gusts.',
    drawing: 'plan',
  },
  {
    id: 'washout',
    name: 'Washout',
    says: 'Tips that are twisted nose down: the root stalls first and the ailerons keep working.',
    drawing: 'twist',
  },
  {
    id: 'decalage',
    name: 'Decalage',
    says: 'Angle between wing and tail: what trims it hands off.',
    drawing: 'pitch',
  },
  {
    id: 'loadFactor',
    name: 'Load factor',
    says: 'Lift over weight, in g. A full pull at speed asks more than most spars have.',
    drawing: 'load',
  },
  {
    id: 'induced',
    name: 'Induced drag',
    says: 'What lift costs at the tips. It grows as the aircraft slows.',
    drawing: 'plan',
  },
  {
    id: 'tailVolume',
    name: 'Tail volume',
    says: 'Tail area times its arm, over wing area times chord: how much say the tail has.',
    drawing: 'neutral',
  },
];

const BY_SHORT = new Map(TERMS.flatMap((t) => (t.short ? [[t.short, t] as const] : [])));
/** Longer ones first; as words of their own, not within another. */
const PATTERN = new RegExp(
  `(?<![\\p{L}\\d])(${[...BY_SHORT.keys()].sort((a, b) => b.length - a.length).join('|')})(?![\\p{L}\\d])`,
  'gu',
);

/** A text cut at the abbreviations in it. */
export function glossed(text: string): readonly (string | Term)[] {
  return text
    .split(PATTERN)
    .filter((part) => part !== '')
    .map((part) => BY_SHORT.get(part) ?? part);
}

export const termOf = (id: string): Term | undefined => TERMS.find((t) => t.id === id);
