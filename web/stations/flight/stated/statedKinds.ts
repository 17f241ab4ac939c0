/** Figures that are tied to each other: what they are called, what each row asks, and what it begins with [SI]. */
import type { Stated, StatedKind } from '@skiametra/core/design';

type First = { [K in StatedKind]: Omit<Extract<Stated, { kind: K }>, 'id' | 'note'> };
const RPM = (2 * Math.PI) / 60;

export const STATED: {
  readonly [K in StatedKind]: {
    readonly name: string;
    readonly fields: readonly string[];
    readonly first: First[K];
    /** says nothing to what has no wing */ readonly winged?: true;
  };
} = {
  speeds: {
    winged: true,
    name: 'Two masses, each at its speed',
    fields: ['mass', 'speed', 'otherMass', 'otherSpeed'],
    first: { kind: 'speeds', mass: 2, speed: 14, otherMass: 3, otherSpeed: 17 },
  },
  drag: {
    name: 'Two speeds at one power',
    fields: ['speed', 'otherSpeed'],
    first: { kind: 'drag', speed: 25, otherSpeed: 20 },
  },
  pitch: {
    name: 'Pitch, turns and speed',
    fields: ['pitch', 'rotation', 'speed'],
    first: { kind: 'pitch', pitch: 0.15, rotation: 8000 * RPM, speed: 18 },
  },
  loading: {
    winged: true,
    name: 'Wing loading, area and mass',
    fields: ['loading', 'area', 'mass'],
    first: { kind: 'loading', loading: 6, area: 0.4, mass: 2.4 },
  },
  volts: {
    name: 'Cells and volts',
    fields: ['cells', 'chemistry', 'volts'],
    first: { kind: 'volts', cells: 4, chemistry: 'LiPo', volts: 14.8 },
  },
  hover: {
    name: 'Mass, discs and hover power',
    fields: ['mass', 'discs', 'power'],
    first: { kind: 'hover', mass: 2, discs: 0.3, power: 300 },
  },
  run: {
    winged: true,
    name: 'A run, its loading, and the strip there is',
    fields: ['run', 'loading', 'strip'],
    first: { kind: 'run', run: 20, loading: 6, strip: 30 },
  },
  climb: {
    name: 'Height, time and power',
    fields: ['height', 'time', 'mass', 'power'],
    first: { kind: 'climb', height: 100, time: 40, mass: 2, power: 300 },
  },
};
