/** Elevator at the work speed, and the Reynolds numbers that the wing meets. */
import { G0 } from '../air';
import { powertrainOf } from '../design';
import { towMoment } from '../drag';
import { thrustMoment } from '../layout';
import { solveTrim, type TrimState } from '../surface';
import { air } from './air';
import { balance, heightOf } from './balance';
import { airframe } from './drag';
import { lift } from './lift';
import { work } from './lap';
import { VLM } from './lattice';
import { quantitiesOf, part } from './quantity';
import { shape } from './shape';
import { aero } from './stability';
import { NOTHING, step } from './step';

/** With the thrust that holds the speed turning it about its CG, and what it tows. */
export const trim = step({
  id: 'trim',
  scope: 'state',
  needs: { air, shape, aero, balance, airframe, work },
  causes: ['z'],
  slice: ({ design }, { towed }) => {
    const { unpowered, propeller } = powertrainOf(design);
    return {
      unpowered: unpowered ?? false,
      x: propeller.x,
      z: propeller.z,
      downThrust: propeller.downThrust,
      towed,
    };
  },
  run: ({ air, shape, aero, balance: { state }, airframe, work }, propeller, f): TrimState => {
    const { area, mac } = shape.wing,
      q = 0.5 * air.density * work.speed ** 2;
    const pulls = !propeller.unpowered && work.held !== 'on rotors',
      pull = pulls ? airframe.drag(work.speed) : 0;
    const z = heightOf(state, f),
      moment = thrustMoment(propeller, pull, q, area, mac, { x: state.x, z });
    const tow = propeller.towed
      ? towMoment(propeller.towed, work.speed, air.density, { z, area, chord: mac })
      : 0;
    return solveTrim(aero, (state.mass * G0) / (q * area), state.x, moment.cm + tow);
  },
});

const PITCHES = new Set(['elevator', 'elevon', 'ruddervator']);

/** Share of the throw that pitch asks for, at the work speed and at the stall. */
const pitchThrow = step({
  id: 'pitch throw',
  scope: 'state',
  needs: { aero, balance, lift, trim },
  slice: ({ design: { surfaces } }) => ({
    throws: surfaces.flatMap((s) =>
      s.controls.filter((c) => PITCHES.has(c.kind)).map((c) => c.maxDeflection),
    ),
  }),
  run: ({ aero, balance: { state }, lift, trim }, { throws }): { used: number | undefined } => {
    const least = Math.min(...throws);
    if (!(least > 0 && least < Infinity)) return { used: undefined };
    const stall = solveTrim(aero, lift.clMax, state.x);
    return { used: Math.max(Math.abs(trim.elevator), Math.abs(stall.elevator)) / least };
  },
});

const reynolds = step({
  id: 'Reynolds numbers',
  scope: 'state',
  needs: { air, shape, airframe, work },
  slice: NOTHING,
  run: ({ air, shape, airframe, work }) => {
    const nu = air.viscosity / air.density;
    return { stall: (airframe.stall * shape.wing.mac) / nu, work: (work.speed * shape.wing.mac) / nu };
  },
});

const ON_CHORD = 'Definition, on the mean chord';

const TRIM = {
  ...quantitiesOf(trim, {
    trimElevator: {
      name: 'Elevator to trim at lap speed',
      kind: 'angle',
      station: 'balance',
      formula: 'Cm about {cgX} = 0, thrust line and the pull of a towed body included',
      method: VLM,
      read: (r) => r.elevator,
    },
  }),
  ...quantitiesOf(pitchThrow, {
    pitchThrow: {
      name: 'Elevator throw used',
      kind: 'percent',
      station: 'shape',
      formula: 'larger of the elevator at the stall and {trimElevator}, over its throw',
      method: VLM,
      better: 'less',
      read: (r) => r.used,
    },
  }),
  ...quantitiesOf(reynolds, {
    reynoldsStall: {
      name: 'Reynolds number at the stall',
      kind: 'reynolds',
      station: 'sections',
      formula: '{airDensity} · {stallSpeed} · {meanChord} / viscosity',
      method: ON_CHORD,
      read: (r) => r.stall,
    },
    reynoldsLap: {
      name: 'Reynolds number on the lap',
      kind: 'reynolds',
      station: 'sections',
      formula: '{airDensity} · {lapSpeed} · {meanChord} / viscosity',
      method: ON_CHORD,
      read: (r) => r.work,
    },
  }),
};

export const TRIM_PART = part([trim, pitchThrow, reynolds], TRIM);
