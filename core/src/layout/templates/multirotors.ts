/** Aircraft that hang on their rotors: a ring of them about a body, and nothing that needs speed. */
import { linkParts } from '../../mass';
import { UP, type Design, type Item, type Thruster } from '../../design';
import { liftPartsFor, packFor, packMass, usualHoverPower, type LiftParts } from './liftParts';
import type { LayoutTemplate } from './kit';

const NAMES: Readonly<Record<number, readonly string[]>> = {
  4: ['Front right', 'Rear right', 'Rear left', 'Front left'],
  6: ['Front right', 'Right', 'Rear right', 'Rear left', 'Left', 'Front left'],
};

interface Ring {
  readonly count: number;
  /** of the ring and of its middle [m] */ readonly radius: number;
  readonly middle: number;
  readonly z: number;
}

const mm = (v: number) => Math.round(1000 * v) / 1000;

/** Places clockwise from the front right one, seen from above; neighbours turn against each other. */
function places({ count, radius, middle, z }: Ring): Thruster[] {
  return Array.from({ length: count }, (_, i): Thruster => {
    const angle = ((i + 0.5) * 2 * Math.PI) / count;
    return {
      id: `rotor-${i + 1}`,
      name: NAMES[count]?.[i] ?? `Rotor ${i + 1}`,
      drive: 'lift',
      down: UP,
      x: mm(middle - radius * Math.cos(angle)),
      y: mm(radius * Math.sin(angle)),
      z,
      turns: i % 2 ? 'right' : 'left',
    };
  });
}

function item(id: string, name: string, group: Item['group'], mass: number, more: Partial<Item>): Item {
  const known = { planned: { kind: 'mass' as const, mass }, basis: 'guess' as const, spread: 0.15 };
  return {
    id,
    name,
    group,
    ...known,
    weighed: null,
    x: 0,
    y: 0,
    z: 0,
    inWing: false,
    movable: null,
    ...more,
  };
}

/** The parts of one rotor, where it stands. */
function rotorItems(t: Thruster, { masses }: LiftParts, arm: number, middle: number): Item[] {
  const at = { x: t.x!, y: t.y!, z: t.z! };
  return [
    item(`${t.id}-motor`, `Motor, ${t.name.toLowerCase()}`, 'propulsion', masses.motor, {
      ...at,
      part: { kind: 'lift motor', of: t.id },
    }),
    item(`${t.id}-blades`, `Rotor, ${t.name.toLowerCase()}`, 'propulsion', masses.blades, {
      ...at,
      z: at.z + 0.02,
      part: { kind: 'lift rotor', of: t.id },
    }),
    item(`${t.id}-arm`, `Arm, ${t.name.toLowerCase()}`, 'structure', arm, {
      x: mm((t.x! + middle) / 2),
      y: mm(t.y! / 2),
    }),
  ];
}

/** Body about the middle of the ring, from the datum back [m]. */
const bodyFor = (length: number): Design['body'] => [
  { x: 0, width: 0.3 * length, height: 0.16 * length, z: 0 },
  { x: 0.2 * length, width: 0.55 * length, height: 0.32 * length, z: 0 },
  { x: 0.8 * length, width: 0.55 * length, height: 0.32 * length, z: 0 },
  { x: length, width: 0.3 * length, height: 0.16 * length, z: 0 },
];

/** Whose share of the all-up mass: frame with arms 0.2, what steers and receives 0.05, legs 0.04. */
const FRAME = 0.12,
  ARMS = 0.1,
  BRAIN = 0.05,
  LEGS = 0.04;

/** @param mass all-up without payload, kg @param carried most that is carried, kg @param cells in series */
export function multirotor(
  base: Design,
  n: { count: number; mass: number; carried: number; cells: number },
): Design {
  const laden = n.mass + n.carried,
    parts = liftPartsFor(laden, n.count, n.cells),
    gap = 1.12 * parts.propeller.diameter,
    radius = gap / (2 * Math.sin(Math.PI / n.count)),
    length = mm(0.95 * radius),
    middle = mm(length / 2);
  const pack = packFor(usualHoverPower(laden), n.cells),
    thrusters = places({ count: n.count, radius, middle, z: 0.03 });
  const items = [
    item('frame', 'Frame', 'structure', mm(FRAME * n.mass), { x: middle, basis: 'guess' }),
    ...thrusters.flatMap((t) => rotorItems(t, parts, (ARMS * n.mass) / n.count, middle)),
    item('controllers', 'Controllers', 'propulsion', n.count * parts.masses.controller, { x: middle }),
    item('battery', 'Battery', 'battery', packMass(pack), {
      x: middle,
      z: -0.01,
      part: { kind: 'pack' },
      movable: { from: mm(0.25 * length), to: mm(0.75 * length) },
    }),
    item('autopilot', 'Autopilot and receiver', 'electronics', mm(BRAIN * n.mass), { x: middle, z: 0.02 }),
    item('legs', 'Legs', 'gear', mm(LEGS * n.mass), { x: middle, z: mm(-0.4 * radius) }),
  ];
  return linkParts({
    ...wingless(base),
    items,
    body: bodyFor(length),
    ...liftOnly(base, parts, pack, thrusters),
    payload: { ...base.payload, x: middle, z: -0.06, pitch: 0 },
    frameDrag: frameDragFor(length, radius, n.count),
  });
}

function liftOnly(
  base: Design,
  parts: LiftParts,
  pack: Design['power']['packs'][number],
  thrusters: Thruster[],
) {
  const { motor, controller, propeller } = parts;
  return {
    power: { packs: [pack], avionicsCurrent: base.power.avionicsCurrent },
    drives: [
      { id: 'lift', name: 'Lift', packs: [pack.id], motor, controller, propeller, law: 'thrust' as const },
    ],
    thrusters,
  };
}

/** A box of the body's size, and arms of a twentieth of the ring across the flow: drag coefficients 1 [m2]. */
function frameDragFor(length: number, radius: number, count: number): NonNullable<Design['frameDrag']> {
  const arm = 0.05 * radius * radius,
    two = (v: number) => Number(v.toPrecision(2));
  return {
    front: two(0.55 * 0.32 * length ** 2 + 0.6 * count * arm),
    side: two(0.32 * length ** 2 + 0.6 * count * arm),
    top: two(0.55 * length ** 2 + count * arm),
  };
}

/** Nothing of what flies on a wing, runs along a strip or was built. */
function wingless(base: Design): Design {
  const { swaps: _s, claims: _c, pods: _p, built: _b, halves: _h, wheels: _w, ...rest } = base;
  return {
    ...rest,
    sections: [],
    surfaces: [],
    dragItems: [],
    states: base.states.map(({ leaving: _l, returning: _r, towed: _t, sideArea: _a, ...s }) => ({
      ...s,
      moved: undefined,
      absent: undefined,
      hover: true,
    })),
    structure: { ...base.structure, members: [], others: [], arms: [] },
    basis: {},
  };
}

/** All-up mass that a design of another kind suggests: its own list, without what it carries [kg]. */
const massOf = (base: Design) =>
  Math.min(
    8,
    Math.max(
      0.6,
      base.items.reduce((m, i) => m + (i.planned.kind === 'mass' ? i.planned.mass : 0), 0),
    ),
  );
const carriedBy = (base: Design) => Math.max(...base.states.map((s) => s.count)) * base.payload.unitMass;

function template(count: number, id: string, name: string, fixes: string, costs: string): LayoutTemplate {
  return {
    id,
    name,
    fixes,
    costs,
    wingless: true,
    anew: true,
    make: (base) =>
      multirotor(base, { count, mass: massOf(base), carried: carriedBy(base), cells: count > 4 ? 6 : 4 }),
  };
}

export const MULTIROTORS: readonly LayoutTemplate[] = [
  template(
    4,
    'multirotor-4',
    'Multirotor, four rotors',
    'Goes up from where it stands and stays where it is told; four moving parts.',
    'Power for every second in the air, and with one rotor lost it falls. Check hover time, the wind it holds, the CG among the rotors.',
  ),
  template(
    6,
    'multirotor-6',
    'Multirotor, six rotors',
    'Carries more, and may come down in one piece on five.',
    'Heavier and wider for the same time in the air. Check what is left with one rotor out, and the arms.',
  ),
];
