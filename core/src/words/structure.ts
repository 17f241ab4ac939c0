/** Words of structure and of the shape's stall. */
import type { AnySaid, Speech } from './speech';

/** What lets go, as a sentence goes on after the part: ways of `structure/crossSection.ts`. */
const WAYS: Readonly<Record<string, string>> = {
  compression: 'is crushed',
  tension: 'is torn',
  bending: 'breaks in bending',
  'wall-buckling': 'buckles',
  flattening: 'flattens and folds',
  'flange-buckling': 'buckles',
  'cap-buckling': 'buckles between the webs',
  'skin-buckling': 'buckles',
  wrinkling: 'wrinkles off its core',
  shear: 'is sheared',
  'web-buckling': 'buckles in shear',
  torsion: 'is twisted off',
  sideways: 'turns over sideways',
};

/** Load cases as they stand in a sentence. */
const CASES: Readonly<Record<string, string>> = {
  pull: 'a pull at the stall',
  'fast-pull': 'a pull at the fastest',
  'gust-up': 'a gust from below',
  'rolling-pull': 'a rolling pull',
  push: 'a push at the stall',
  'fast-push': 'a push at the fastest',
  'gust-down': 'a gust from above',
  'tip-lift': 'being lifted by the tips',
};

const signed = (n: number) => n.toFixed(1).replace('-', '−');

/** `at the root`, or how far out. */
const placed = (y: number, s: Speech) => (y < 1e-4 ? 'at the root' : `${s.q(y, 'length', 0)} out`);

export const STRUCTURE_WORDS = {
  'no-material': (f: { material: string }) =>
    `A member names a material “${f.material}” that is not known: how strong the wing is cannot be told.`,
  'solid-tube': (f: { member: string }) =>
    `${f.member}: the tube’s wall reaches the middle, it is a solid rod.`,
  'full-box': (f: { member: string }) => `${f.member}: the two caps fill the whole depth.`,
  'does-not-fit': (f: { member: string; y: number; depth: number; room: number }, s: Speech) =>
    `${f.member} is ${s.q(f.depth, 'length', 1)} deep ${placed(f.y, s)}, where the section has ${s.q(f.room, 'length', 1)}: it does not fit.`,
  'breaks-up': (
    f: { state: string; at: number; asked: number; factor: number; first: AnySaid | null },
    s: Speech,
  ) =>
    `This wing breaks at ${f.at.toFixed(1)} g in ${f.state}; ${f.asked} g with a factor of ${f.factor} needs ${(f.asked * f.factor).toFixed(1)} g.${s.also(f.first)}`,
  'breaks-down': (f: { state: string; at: number; needed: number; first: AnySaid | null }, s: Speech) =>
    `Downward the wing breaks at ${f.at.toFixed(1)} g in ${f.state}; ${f.needed.toFixed(1)} g is needed.${s.also(f.first)}`,
  'case-weak': (f: { state: string; of: string; n: number; factor: number; needed: number }) =>
    `${CASES[f.of] ?? f.of} asks ${signed(f.n)} g of the wing in ${f.state} and is borne ${f.factor.toFixed(2)} times; ${f.needed} is wanted.`.replace(
      /^./,
      (c) => c.toUpperCase(),
    ),
  'arm-weak': (f: { state: string; factor: number; needed: number; first: AnySaid | null }, s: Speech) =>
    `An arm or leg is borne ${f.factor.toFixed(2)} times in ${f.state}; ${f.needed} is wanted.${s.also(f.first)}`,
  /** which member lets go, how and where */
  'fails-first': (
    f: { member: string; part: string; material: string; way: string; y: number; of: string | null },
    s: Speech,
  ) => {
    const part = f.part === 'member' ? '' : ` at the ${f.part}`,
      when = f.of === null ? '' : `, in ${CASES[f.of] ?? f.of}`;
    // what closes the wing takes the twist: where it is not drawn the members are told to take it all
    const closed =
      f.way === 'torsion' ? ' A closed nose or skin takes the twist: draw it if there is one.' : '';
    return `First ${f.member} (${f.material}) ${WAYS[f.way] ?? f.way}${part}, ${placed(f.y, s)}${when}.${closed}`;
  },
  'load-bent': (f: { ratio: number; sigma: number }) =>
    f.ratio > 1
      ? `It bends ${f.ratio.toFixed(2)} ± ${f.sigma.toFixed(2)} times as far as expected: softer than drawn.`
      : `It bends only ${f.ratio.toFixed(2)} ± ${f.sigma.toFixed(2)} of what was expected: stiffer than drawn.`,
  'load-remains': (f: { remains: number; most: number }, s: Speech) =>
    `The tip stays ${s.q(f.remains, 'length', 0)} off after unloading, of ${s.q(f.most, 'length', 0)} at most: something has given way.`,
  'load-beyond': (f: { step: number }) =>
    `At step ${f.step} the tip went more than a quarter further than expected: that is where the test ends.`,
  'stop-repaired': (f: { member: string; date: string; asked: number }) =>
    `${f.member} was mended on ${f.date}: it needs a load test to ${f.asked} g, or a written reason, before it flies.`,
  'stop-broke': (f: { date: string }) =>
    `The wing broke in a load test on ${f.date}, and no repair is written down since.`,
  'stop-past-proof': (
    f: { n: number; mass: number; now: number; weighs: number; asked: number; date: string },
    s: Speech,
  ) =>
    `Proven to ${f.n.toFixed(1)} g at ${s.q(f.mass, 'allUpMass', 2)} on ${f.date}: at ${s.q(f.weighs, 'allUpMass', 2)} that is ${f.now.toFixed(1)} g, and ${f.asked} g is asked. Prove it again.`,
  'fastest-assumed': (_: object) =>
    'How fast it is flown is not known: twice the stall is taken. Type it on Structure.',
  'nothing-bears': (f: { y: number }, s: Speech) =>
    `No member is drawn ${placed(f.y, s)}: nothing bears there.`,
  'ailerons-lost': (f: { reserve: number; wanted: number }, s: Speech) =>
    `In the heaviest state the ailerons lose the wing ${s.q(Math.max(0, f.reserve), 'angle', 1)} after its first strip stalls; ${s.q(f.wanted, 'angle', 1)} is wanted, or it drops a wing. Washout or another section outboard moves the stall inboard: see the stall map.`,
  'low-reynolds': (f: { reynolds: number }) =>
    `The wing works at a Reynolds number of ${Math.round(f.reynolds / 1000)} thousand: the section estimate is rough below 60 thousand.`,
  'thick-section': (f: { name: string; percent: string }) =>
    `Section ${f.name} is ${f.percent} % thick; is that meant?`,
};
