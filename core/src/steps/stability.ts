/** Neutral point, margins of every state, stiffness in yaw. */
import { linearAero, nearMoments, type LinearAero } from '../surface';
import { balance } from './balance';
import { off } from './causes';
import { bodies, lateral, lattice, lines, moments, VLM } from './lattice';
import { quantitiesOf, part } from './quantity';
import { shape } from './shape';
import { NOTHING, step } from './step';

/** The aircraft's linear aerodynamics as the lattice has them: what tables are made with. */
export const latticeAero = step({
  id: 'lattice aerodynamics',
  scope: 'all',
  needs: { lattice, bodies, moments },
  slice: NOTHING,
  run: ({ lattice, bodies, moments }): LinearAero => linearAero(lattice, bodies.pitch, 0, moments),
});

/** About the height of the mean chord: what does not move with the masses. */
export const latticeFree = step({
  id: 'lattice aerodynamics, free of masses',
  scope: 'all',
  needs: { lattice, bodies, lines },
  slice: NOTHING,
  run: ({ lattice, bodies, lines }): LinearAero =>
    linearAero(lattice, bodies.pitch, 0, nearMoments(lattice, lattice.refZ, lines)),
});

/** With the neutral point where tests have it. */
export const aero = step({
  id: 'aerodynamics',
  scope: 'all',
  needs: { lattice, bodies, moments },
  causes: ['neutralPoint'],
  slice: NOTHING,
  run: ({ lattice, bodies, moments }, _, f): LinearAero =>
    linearAero(lattice, bodies.pitch, f.neutralPoint - 1, moments),
});

interface Limits {
  readonly neutralX: number;
  readonly forward: number;
  readonly aft: number;
}

const limits = step({
  id: 'CG limits',
  scope: 'all',
  needs: { aero, shape },
  slice: ({ design: { flight } }) => ({ least: flight.marginMin, most: flight.marginMax }),
  run: ({ aero, shape }, wanted): Limits => ({
    neutralX: aero.neutralX,
    forward: aero.neutralX - wanted.most * shape.wing.mac,
    aft: aero.neutralX - wanted.least * shape.wing.mac,
  }),
});

interface Margin {
  readonly cgChord: number;
  readonly margin: number;
}

const margin = step({
  id: 'static margin',
  scope: 'state',
  needs: { aero, shape, balance },
  slice: NOTHING,
  run: ({ aero, shape: { wing }, balance: { state } }): Margin => ({
    cgChord: (state.x - wing.macX) / wing.mac,
    margin: (aero.neutralX - state.x) / wing.mac,
  }),
});

/** Side force slope of a low plate on its area, aspect ratio near 1 (from memory) [per rad]. */
const PLATE_SIDE = 1.6;

export const weathercock = step({
  id: 'weathercock',
  scope: 'state',
  needs: { lateral, lattice, shape, balance },
  causes: ['yaw'],
  slice: (_, { sideArea }) => ({ side: sideArea }),
  run: ({ lateral, lattice, shape: { wing }, balance: { state } }, { side }, f): { Cnbeta: number } => ({
    Cnbeta:
      off('yaw', f.yaw) *
      (lateral.Cnbeta +
        (lateral.CYbeta * (state.x - lattice.refX)) / wing.span +
        (side ? (PLATE_SIDE * side.area * (side.x - state.x)) / (wing.area * wing.span) : 0)),
  }),
});

const STABILITY = {
  ...quantitiesOf(limits, {
    neutralPoint: {
      name: 'Neutral point',
      kind: 'length',
      station: 'balance',
      formula: 'x where dCm/dα = 0, body included',
      method: `${VLM}; slender-body moment in the wing’s up- and downwash (Multhopp); Etkin and Reid, ch. 2`,
      read: (r) => r.neutralX,
    },
    cgForward: {
      name: 'CG limit, forward',
      kind: 'length',
      station: 'balance',
      formula: '{neutralPoint} − largest margin wanted · {meanChord}',
      method: 'Static margin',
      read: (r) => r.forward,
    },
    cgAft: {
      name: 'CG limit, aft',
      kind: 'length',
      station: 'balance',
      formula: '{neutralPoint} − least margin wanted · {meanChord}',
      method: 'Static margin',
      read: (r) => r.aft,
    },
  }),
  ...quantitiesOf(margin, {
    cgChord: {
      name: 'CG on the mean chord',
      kind: 'chordPercent',
      station: 'balance',
      formula: '({cgX} − leading edge of the mean chord) / {meanChord}',
      method: 'Mass ledger',
      read: (r) => r.cgChord,
    },
    staticMargin: {
      name: 'Static margin',
      kind: 'chordPercent',
      station: 'balance',
      formula: '({neutralPoint} − {cgX}) / {meanChord}',
      method: VLM,
      read: (r) => r.margin,
    },
  }),
  ...quantitiesOf(weathercock, {
    yawStiffness: {
      name: 'Yaw stiffness Cnβ',
      kind: 'perRad',
      station: 'balance',
      formula: 'dCn/dβ about {cgX} at 3° angle of attack, body and side area of the state in',
      method: 'Vortex lattice, antisymmetric flow; slender body',
      better: 'more',
      read: (r) => r.Cnbeta,
    },
  }),
};

export const STABILITY_PART = part([latticeAero, latticeFree, aero, limits, margin, weathercock], STABILITY);
