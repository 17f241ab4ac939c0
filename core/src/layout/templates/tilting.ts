/** A wing and tail with two shafts on the wing that swing from lifting to pulling. */
import type { Design, Item } from '../../design';
import { flyingStates } from '../../mass';
import { balanced, build } from './build';
import { AILERON, plate, RUDDER, sizeOf, st, surface, tailOf, type LayoutTemplate } from './kit';
import { liftPartsFor } from './liftParts';

const DRIVE = 'main',
  QUARTER = Math.PI / 2;

/** The shafts where the CG is, so that they hold it in hover; moving them moves it, a little less each time. */
function underCg(design: Design, out: number, rounds = 5): Design {
  let d = design;
  for (let i = 0; i < rounds; i++) {
    const xs = flyingStates(d).map((s) => s.x),
      x = Math.round(500 * (Math.min(...xs) + Math.max(...xs))) / 1000;
    d = balanced({ ...d, thrusters: shafts(x, out), items: d.items.map((it) => moved(it, x)) });
  }
  const xs = flyingStates(d).map((s) => s.x);
  return { ...d, thrusters: shafts((Math.min(...xs) + Math.max(...xs)) / 2, out) };
}

const moved = (item: Item, x: number): Item =>
  item.part?.kind === 'motor' || item.part?.kind === 'propeller' ? { ...item, x, z: 0.06 } : item;

function shafts(x: number, out: number): Design['thrusters'] {
  return ([-1, 1] as const).map((side) => ({
    id: side < 0 ? 'left' : 'right',
    name: side < 0 ? 'Left shaft' : 'Right shaft',
    drive: DRIVE,
    x,
    y: side * out,
    z: 0.08,
    tilt: { from: 0, to: QUARTER },
    turns: side < 0 ? ('right' as const) : ('left' as const),
  }));
}

function tiltingTwin(base: Design): Design {
  const { h, c } = sizeOf(base),
    mass = flyingStates(base).reduce((m, s) => Math.max(m, s.mass), 0),
    cells = 4,
    // blades that pull as well lift less: sized with so much to spare
    parts = liftPartsFor(1.4 * mass, 2, cells),
    { motor, controller, propeller } = parts;
  const drawn = build(base, {
    length: 4.6 * c + 0.1,
    surfaces: [
      surface(
        'wing',
        'Wing',
        'wing',
        1.15 * c,
        0.06,
        2,
        [st(0, 0, 0, 1.05 * c), st(h, 0, 0.02 * h, 0.95 * c, -2)],
        [AILERON],
      ),
      tailOf(3.9 * c, 0.08, 0.36 * h, 0.68 * c),
      plate('fin', 'Fin', 3.85 * c, 0.05, 0.3 * h, 0.9 * c, 0.35, [RUDDER]),
    ],
  });
  const pack = drawn.power.packs[0],
    packs = drawn.power.packs.map((p) => (p === pack ? { ...p, series: cells } : p));
  return underCg(
    {
      ...drawn,
      power: { ...drawn.power, packs },
      drives: [
        {
          id: DRIVE,
          name: 'Tilting drive',
          packs: pack ? [pack.id] : [],
          motor,
          controller,
          // it pulls as well as lifts: more pitch than a rotor that only lifts
          propeller: { ...propeller, pitch: 0.5 * propeller.diameter },
        },
      ],
    },
    0.55 * h,
  );
}

export const TILTING: readonly LayoutTemplate[] = [
  {
    id: 'tilting-twin',
    name: 'Tilting twin',
    fixes: 'Two motors do both: straight up like rotors, forward like propellers; nothing idle is carried.',
    costs:
      'Two shafts hold the CG on their own line only, and roll, pitch and yaw in hover all hang on their tilt. Check the CG under the shafts in every state, and the change-over above the stall.',
    make: tiltingTwin,
  },
];
