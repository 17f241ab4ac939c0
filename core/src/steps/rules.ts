/** Numbers that rules of construction ask for: proportions, propeller, cells, and the box that the parted aircraft lies in. */
import { drivesOf, powertrainOf, type Design } from '../design';
import { piecesOf } from '../layout';
import { CHEMISTRY, packInUse } from '../power';
import { part, quantitiesOf } from './quantity';
import { sections } from './sections';
import { shape } from './shape';
import { NOTHING, step } from './step';

/** Share of the chord that a section is thick where nothing is known of it. */
const THICKNESS = 0.1;

interface Parted {
  /** of the longest and the widest piece, and of all laid flat upon each other [m] */ readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** Sides of the box that all pieces lie in, each flat upon the next, both halves counted. */
export function boxOf(
  pieces: readonly { length: number; width: number; height: number; count: number }[],
): Parted {
  const box = { length: 0, width: 0, height: 0 };
  for (const p of pieces) {
    const [thin, middle, long] = [p.length, p.width, p.height].sort((a, b) => a - b);
    box.length = Math.max(box.length, long);
    box.width = Math.max(box.width, middle);
    box.height += p.count * thin;
  }
  return box;
}

const drawn = ({ surfaces, body, limits }: Design) => ({ surfaces, body, limits });

const parted = step({
  id: 'parted',
  scope: 'all',
  needs: {},
  wants: { sections },
  slice: ({ design }) => drawn(design),
  run: ({ sections }, design): Parted =>
    boxOf(piecesOf(design as Design, (id) => sections?.facts.get(id)?.thickness ?? THICKNESS)),
});

const tails = step({
  id: 'tail shares',
  scope: 'all',
  needs: { shape },
  slice: NOTHING,
  run: ({ shape: { wing, tail } }): { tail: number | undefined } => ({
    tail: tail ? tail.area / wing.area : undefined,
  }),
});

interface Fitted {
  readonly diameter: number | undefined;
  readonly cells: number | undefined;
  readonly full: number | undefined;
}

const fitted = step({
  id: 'fitted',
  scope: 'all',
  needs: {},
  slice: ({ design: { power, drives, thrusters } }) => ({ power, drives, thrusters }),
  run: (_, d): Fitted => {
    const { forward, lift } = drivesOf(d),
      all = [forward, lift].flatMap((x) => x?.propeller?.diameter ?? []),
      { unpowered, rubber } = powertrainOf(d);
    const blades = rubber ? [rubber.propeller.diameter] : all,
      electric = d.power.packs.length > 0 && !(unpowered && !lift);
    const pack = electric ? packInUse(powertrainOf(d)) : null;
    return {
      diameter: blades.length > 0 ? Math.max(...blades) : undefined,
      cells: pack?.series,
      full: pack ? pack.series * CHEMISTRY[pack.chemistry].full : undefined,
    };
  },
});

const AS_DRAWN = 'As drawn';

const RULES = {
  ...quantitiesOf(tails, {
    tailShare: {
      name: 'Tail over wing area',
      kind: 'percent',
      station: 'shape',
      formula: 'S_tail / {wingArea}',
      method: 'Plan-form geometry',
      read: (r) => r.tail,
    },
  }),
  ...quantitiesOf(fitted, {
    propellerSize: {
      name: 'Largest propeller',
      kind: 'length',
      station: 'power',
      formula: 'largest diameter fitted',
      method: AS_DRAWN,
      read: (r) => r.diameter,
    },
    cells: {
      name: 'Cells in series',
      kind: 'count',
      station: 'power',
      formula: 'of the pack in use, as joined',
      method: AS_DRAWN,
      read: (r) => r.cells,
    },
    fullVoltage: {
      name: 'Full voltage',
      kind: 'voltage',
      station: 'power',
      formula: '{cells} · volts of a cell straight off the charger',
      method: 'By chemistry, from memory',
      read: (r) => r.full,
    },
  }),
  ...quantitiesOf(parted, {
    boxLength: {
      name: 'Box of the parted aircraft, length',
      kind: 'length',
      station: 'shape',
      formula: 'longest piece',
      method: 'Pieces between the joints, as drawn',
      better: 'less',
      read: (r) => r.length,
    },
    boxWidth: {
      name: 'Box of the parted aircraft, width',
      kind: 'length',
      station: 'shape',
      formula: 'widest piece',
      method: 'Pieces between the joints, as drawn',
      better: 'less',
      read: (r) => r.width,
    },
    boxHeight: {
      name: 'Box of the parted aircraft, height',
      kind: 'length',
      station: 'shape',
      formula: 'all pieces laid flat upon each other',
      method: 'Pieces between the joints, as drawn; nothing is nested',
      better: 'less',
      read: (r) => r.height,
    },
  }),
};

export const RULES_PART = part([tails, fitted, parted], RULES);
