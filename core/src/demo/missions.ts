/** What the demos fly, leg by leg. Made up, as they are. SI and radians. */
import type { Leg, LegKind, Mission } from '../design';

type More = Partial<Omit<Leg, 'id' | 'name' | 'kind'>>;
const leg = (id: string, name: string, kind: LegKind, more: More = {}): Leg => ({
  id,
  name,
  kind,
  state: null,
  ...more,
});
/** Flown before on this aircraft. */
const known = (id: string, name: string, kind: LegKind, more: More = {}): Leg =>
  leg(id, name, kind, { flown: true, ...more });

const once = (id: string, name: string, legs: Leg[], times = 1) => ({ id, name, times, legs });

const DEG = Math.PI / 180;

/** A heat of the Fenland Relay: tubes over the marsh and back, handed over on the boardwalk, as often as the heat allows. */
export const RELAY: Mission = {
  id: 'relay',
  name: 'Relay heat',
  window: 480,
  bearing: 60 * DEG,
  rounds: [
    once('ready', 'Ready', [known('arm', 'Tubes in, plug in', 'prepare', { state: 'tubes-8', time: 20 })]),
    {
      id: 'crossing',
      name: 'Crossing',
      times: null,
      legs: [
        known('off', 'Off the boardwalk', 'takeOff'),
        known('up', 'Up to 12 m', 'climb', { height: 12 }),
        known('out', 'Out over the marsh', 'straight', { length: 200 }),
        known('round', 'Round the far post', 'turn'),
        known('home', 'Back with the tubes', 'straight', { length: 70 }),
        known('down', 'Down and stop', 'land'),
        leg('hand-over', 'Tubes handed over', 'unload', { state: 'ferry', time: 18, units: 8 }),
        leg('fetch', 'Next tubes in', 'reload', { state: 'tubes-8', time: 15 }),
      ],
    },
  ],
};

/** The errand of the Crane: there on the wing, the box swapped with the motors off, and home. */
export const ERRAND: Mission = {
  id: 'errand',
  name: 'Gauge errand',
  window: null,
  rounds: [
    once('there', 'There', [
      known('lift-off', 'Lift off to 20 m', 'takeOff', { state: 'hover-full', height: 20 }),
      leg('change-out', 'Change to the wing', 'transition', { state: 'cruise-full' }),
      leg('out', 'Out over the reeds', 'straight', { length: 2000 }),
      leg('change-in', 'Change to rotors', 'transition', { state: 'hover-full' }),
      known('set-down', 'Down onto the pontoon', 'land'),
    ]),
    once('swap', 'Swap', [leg('swap', 'Box swapped, motors off', 'wait', { time: 90 })]),
    once('home', 'Home', [
      known('lift-again', 'Lift off with the old box', 'takeOff', { height: 20 }),
      known('about', 'Nose round', 'turn'),
      leg('change-home', 'Change to the wing again', 'transition', { state: 'cruise-full' }),
      leg('back', 'Home on the wing', 'straight', { length: 2000 }),
      leg('change-down', 'Change to rotors again', 'transition', { state: 'hover-full' }),
      known('down', 'Hover down', 'land'),
    ]),
  ],
};

/** The row of the Dunlin: out, a dart every metre, and back. */
export const ROW: Mission = {
  id: 'row',
  name: 'Row of darts',
  window: null,
  rounds: [
    once('out', 'Out', [
      leg('up', 'Up to 10 m', 'takeOff', { state: 'darts-16', height: 10 }),
      leg('over', 'Over to the mudbank', 'straight', { length: 300 }),
      leg('lower', 'Down to 4 m', 'climb', { height: 4 }),
    ]),
    once(
      'row',
      'Dart',
      [
        leg('let-go', 'Dart let go', 'drop', { units: 1, time: 8 }),
        leg('next', 'On by a metre', 'straight', { length: 1, speed: 1 }),
      ],
      16,
    ),
    once('back', 'Back', [
      leg('rise', 'Up again', 'climb', { height: 10 }),
      leg('about', 'Nose round', 'turn'),
      leg('home', 'Home', 'straight', { length: 300 }),
      leg('down', 'Down onto the boards', 'land'),
    ]),
  ],
};

/** The Gnat goes over in circles, as fast as the air does. */
export const CROSSING: Mission = {
  id: 'crossing',
  name: 'Dyke crossing',
  window: null,
  rounds: [
    once('once', 'Once', [known('across', 'Across the dyke', 'loiter', { state: 'flight', length: 70 })]),
  ],
};

/** The Wafer's one turn, back to the feet of its thrower. */
export const FULL_TURN: Mission = {
  id: 'turn',
  name: 'Full turn',
  window: null,
  rounds: [
    once('once', 'Once', [
      known('turn', 'Round and back', 'turn', { state: 'clay-front', angle: 2 * Math.PI, bank: 40 * DEG }),
    ]),
  ],
};
