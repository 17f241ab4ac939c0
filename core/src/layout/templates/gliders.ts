/** Gliders: nothing drives them, a weight at the nose balances them, and they leave by hand. */
import type { Design, Item, Surface } from '../../design';
import { followsMembers } from '../../mass';
import { build } from './build';
import {
  AILERON,
  control,
  DEG,
  plate,
  RUDDER,
  sizeOf,
  st,
  surface,
  tailOf,
  type LayoutTemplate,
} from './kit';

/** A guessed mass that stands somewhere [kg, m]. */
export function thing(id: string, name: string, group: Item['group'], mass: number, x: number): Item {
  const planned = { kind: 'mass' as const, mass };
  return { id, name, group, planned, basis: 'guess', spread: 0.2, weighed: null, ...AT_MIDDLE, x };
}
const AT_MIDDLE = { y: 0, z: 0, inWing: false, movable: null };

function equipment(length: number, mass: number): Item[] {
  const nose = thing('nose-weight', 'Nose weight', 'other', mass, 0.02);
  return [
    { ...nose, movable: { from: 0.01, to: 0.1 * length } },
    thing('receiver-pack', 'Pack of the receiver', 'battery', 0.016, 0.06 * length),
    thing('receiver', 'Receiver', 'electronics', 0.008, 0.14 * length),
    thing('servos', 'Two servos', 'electronics', 0.018, 0.18 * length),
  ];
}

/** Without what drives, feeds and carries it: of the list of masses the members alone are kept. */
export function undriven(
  base: Design,
  length: number,
  bodyMass: number,
  aboard: readonly Item[] = equipment(length, 0.35 * bodyMass),
): Design {
  const { swaps: _s, claims: _c, ...rest } = base;
  const scale = Math.max(...base.body.map((b) => b.x)) / length,
    pod = thing('body-shell', 'Pod and boom', 'structure', bodyMass, 0.4 * length);
  const own = [pod, ...aboard].map((i) => ({ ...i, x: i.x * scale }));
  return {
    ...rest,
    items: [...base.items.filter(followsMembers), ...own],
    dragItems: [],
    power: { packs: [], avionicsCurrent: base.power.avionicsCurrent },
    drives: [],
    thrusters: [],
    states: base.states.map(({ hover: _h, ...s }) => ({ ...s, leaving: 'hand', returning: 'belly' })),
  };
}

/** One tube as long as the wing. @param outer wanted, m */
export function tubeOf(wanted: number): Design['structure']['members'] {
  const outer = Math.max(0.003, Math.round(1000 * wanted) / 1000),
    wall = Math.min(0.001, outer / 4);
  const shape = { kind: 'tube' as const, outer, wall, material: 'carbon-tube' };
  return [{ id: 'spar', name: 'Wing spar', surface: 'wing', chordPlace: 0.28, shape }];
}

interface Drawn {
  /** bank in its turns [rad] */ bank: number;
  wing: (h: number, c: number) => Surface;
  /** tail behind the datum in chords, its half span in half spans */ tail: [number, number];
  /** kg/m2 */ wingSkin: number;
  /** kg for a metre of span */ body: number;
  /** thickness of its tube in chords */ tube: number;
}

function glider(base: Design, drawn: Drawn): Design {
  const { h, c } = sizeOf(base),
    [tail, half] = drawn.tail,
    length = (tail + 0.7) * c;
  const bare = undriven(base, length, drawn.body * 2 * h);
  return build(
    {
      ...bare,
      flight: { ...bare.flight, turnBank: drawn.bank },
      structure: { ...bare.structure, members: tubeOf(drawn.tube * c) },
    },
    {
      length,
      width: Math.min(0.05, 0.3 * c),
      surfaces: [
        drawn.wing(h, c),
        tailOf(tail * c, 0.03, half * h, 0.6 * c),
        plate('fin', 'Fin', (tail - 0.1) * c, 0.02, 0.22 * h, 0.75 * c, 0.35, [RUDDER]),
      ],
      skins: { wing: drawn.wingSkin, rest: 0.45 * drawn.wingSkin },
    },
  );
}

const FLAP = control('flap', 'Flap', 'flap', 0.08, 0.5, 0.22, 35);

export const GLIDERS: readonly LayoutTemplate[] = [
  {
    id: 'hand-glider',
    name: 'Hand-launched glider',
    fixes:
      'Light and slow, thrown by hand, turns by rudder under polyhedral: little to break, little to tune.',
    costs:
      'Every gram is height not reached, and wind carries it away. Check the throw, the sink and how far it drifts.',
    anew: true,
    make: (base) =>
      glider(base, {
        wing: (h, c) => {
          const z1 = 0.55 * h * Math.tan(2 * DEG),
            z2 = z1 + 0.45 * h * Math.tan(11 * DEG);
          return surface('wing', 'Wing', 'wing', 1.3 * c, 0.03, 1.5, [
            st(0, 0, 0, 1.12 * c, 0, 'thin-section'),
            st(0.55 * h, 0.02 * c, z1, 1.08 * c, 0, 'thin-section'),
            st(h, 0.18 * c, z2, 0.62 * c, -1, 'thin-section'),
          ]);
        },
        bank: 20 * DEG,
        tail: [5, 0.3],
        wingSkin: 0.5,
        body: 0.035,
        tube: 0.033,
      }),
  },
  {
    id: 'slope-glider',
    name: 'Slope glider',
    fixes: 'Ailerons and flaps, and enough weight to go forward into wind along a slope.',
    costs:
      'Pulls out hard and lands fast among stones. Check the spar at its top speed, ballast, and the wind it needs to stay up.',
    anew: true,
    make: (base) =>
      glider(base, {
        wing: (h, c) =>
          surface(
            'wing',
            'Wing',
            'wing',
            1.3 * c,
            0.03,
            1,
            [
              st(0, 0, 0, 1.1 * c, 0, 'thin-section'),
              st(0.5 * h, 0.03 * c, 0.02 * h, 1.05 * c, 0, 'thin-section'),
              st(h, 0.16 * c, 0.04 * h, 0.7 * c, -1.5, 'thin-section'),
            ],
            [AILERON, FLAP],
          ),
        bank: 35 * DEG,
        tail: [4.4, 0.31],
        wingSkin: 1.5,
        body: 0.12,
        tube: 0.053,
      }),
  },
];
