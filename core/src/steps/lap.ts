/** Speed at which a state works, and its laps: turns, window, energy. */
import { say, type Said } from '../words';
import { courseOf, hovers, siteSpread, windGrowth } from '../design';
import { levelSpeed, stallSpeed } from '../flight';
import { flyLap, lapsInWindow, type Lap } from '../mission';
import { operate, operateForThrust, type OperatingPoint } from '../power';
import { climb } from './climb';
import { airframe, glide, LEVEL } from './drag';
import { drives, energy, lapThrust, MOTOR, thrustAt } from './drive';
import { quantitiesOf, remark, part } from './quantity';
import { step } from './step';
import { NEVER, takeOff } from './takeOff';

/** How a state comes to the speed it works at. */
type Held = 'held' | 'not held' | 'no motor' | 'on rotors';

export interface Work {
  readonly speed: number;
  readonly held: Held;
  readonly turnStall: number;
  readonly turnLoad: number;
}

export const work = step({
  id: 'work speed',
  scope: 'state',
  needs: { airframe, glide, lapThrust },
  slice: ({ design }, state) => ({
    bank: design.flight.turnBank,
    hovers: hovers(design, state),
  }),
  run: ({ airframe, glide, lapThrust }, { bank, hovers }): Work => {
    const turnLoad = 1 / Math.cos(bank),
      turn = { turnLoad, turnStall: stallSpeed(airframe, turnLoad) };
    // the work speed of what has no motor, or hangs on its rotors, is that of its best glide
    if (!lapThrust.curve) return { speed: glide.speed, held: 'no motor', ...turn };
    if (hovers) return { speed: glide.speed, held: 'on rotors', ...turn };
    const thrust = thrustAt(lapThrust.curve),
      level = levelSpeed({ ...airframe, fullThrust: thrust }, thrust);
    if (level === null) return { speed: airframe.stall * 1.1, held: 'not held', ...turn };
    return { speed: level, held: 'held', ...turn };
  },
});

const powered = (w: Work) => w.held === 'held' || w.held === 'not held';

/** What the drive gives on the straights and in the turns; null where no lap is flown on it. */
interface LapPower {
  readonly straight: OperatingPoint;
  readonly turn: OperatingPoint;
  /** at full throttle [W] */ readonly full: number;
}

export const lapPower = step({
  id: 'lap power',
  scope: 'state',
  needs: { airframe, drives, work },
  slice: () => ({}),
  run: ({ airframe, drives: { cruise }, work }): LapPower | null => {
    if (!cruise || !powered(work)) return null;
    const { speed, turnLoad } = work;
    return {
      straight: operateForThrust(cruise, airframe.drag(speed), speed),
      turn: operateForThrust(cruise, airframe.drag(speed, turnLoad), speed),
      full: operate(cruise, 1, speed).power,
    };
  },
});

/** Height to be climbed before the laps begin [m]. */
const TRANSITION_HEIGHT = 15;
/** A climb below this is none [m/s]. */
const LEAST_CLIMB = 0.05;

export interface Laps {
  readonly lap: Lap;
  readonly climbs: boolean;
  readonly straightPower: number;
  /** full throttle does not hold the speed in the turn */ readonly turnWeak: boolean;
  readonly laps: number;
  readonly byEnergy: boolean;
  readonly timed: number;
  readonly left: number;
}

const laps = step({
  id: 'laps',
  scope: 'state',
  needs: { work, lapPower, takeOff, climb, energy },
  causes: ['wind'],
  slice: ({ brief, design }) => ({
    course: courseOf(brief),
    wind: brief.site.wind,
    spread: siteSpread(brief.site).wind,
    growth: windGrowth(brief.site),
    bank: design.flight.turnBank,
    reserve: design.flight.reserve,
  }),
  run: ({ work, lapPower, takeOff, climb, energy }, s, causes): Laps | null => {
    if (!s.course || !lapPower || !climb || energy.usable === undefined) return null;
    const lap = flyLap(s.course, {
      speed: work.speed,
      wind: s.growth * Math.max(0, s.wind + causes.wind * s.spread),
      bank: s.bank,
      straightPower: lapPower.straight.power,
      turnPower: lapPower.turn.power,
    });
    const climbs = climb.rate > LEAST_CLIMB,
      climbTime = climbs ? TRANSITION_HEIGHT / climb.rate : NEVER;
    const startTime = (takeOff?.run.status === 'airborne' ? takeOff.run.time : 0) + climbTime;
    const startEnergy = startTime * lapPower.full,
      most = energy.usable * (1 - s.reserve) - startEnergy;
    const count = lapsInWindow(s.course.window, startTime, lap.time, most, lap.energy);
    const flown = count.laps >= 1 ? Math.floor(count.laps) * lap.energy : 0;
    return {
      lap,
      climbs,
      straightPower: lapPower.straight.power,
      turnWeak: lapPower.turn.duty > 1,
      laps: count.laps,
      byEnergy: count.byEnergy < count.byTime,
      timed: startTime + s.course.timedLaps * Math.min(lap.time, NEVER),
      left: Math.max(0, 1 - (startEnergy + flown) / energy.usable),
    };
  },
});

function lapTimeRemarks(r: Laps | null): Said[] {
  if (!r) return [];
  if (r.lap.time > NEVER) return [say('wind-too-strong', {})];
  return remark(r.turnWeak, 'turn-weak', {});
}

const LIMITS = 'Time and energy limits';

const LAP = {
  ...quantitiesOf(work, {
    turnStallSpeed: {
      name: 'Stall speed in the lap turn',
      kind: 'speed',
      station: 'flight',
      formula: '{stallSpeed} · √(load factor of the bank)',
      method: 'Level turn',
      better: 'less',
      read: (r) => r.turnStall,
      remarks: (r) => remark(powered(r) && r.turnStall > 0.9 * r.speed, 'turn-near-stall', {}),
    },
    lapSpeed: {
      name: 'Lap airspeed',
      kind: 'speed',
      station: 'flight',
      formula: 'V with T = D at the lap throttle; D with {dragArea} at {mass}',
      method: LEVEL,
      better: 'more',
      read: (r) => r.speed,
      remarks: (r) => [
        ...remark(r.held === 'not held', 'throttle-not-held', {}),
        ...remark(r.held === 'no motor', 'glide-speed', {}),
      ],
    },
  }),
  ...quantitiesOf(lapPower, {
    lapCurrent: {
      name: 'Current on the straights',
      kind: 'current',
      station: 'power',
      formula: 'at {lapSpeed}',
      method: MOTOR,
      better: 'less',
      read: (r) => r?.straight.current,
      remarks: (r) => remark(r !== null && r.straight.duty > 1, 'over-full-throttle', {}),
    },
  }),
  ...quantitiesOf(laps, {
    lapTime: {
      name: 'Lap time',
      kind: 'time',
      station: 'flight',
      formula: 'straights with and against the wind + half turns · π · V / (g · tan bank), V = {lapSpeed}',
      method: 'Level turn',
      better: 'less',
      read: (r) => (r ? Math.min(r.lap.time, NEVER) : undefined),
      remarks: lapTimeRemarks,
    },
    lapEnergy: {
      name: 'Energy per lap',
      kind: 'energy',
      station: 'flight',
      formula: 'pack power · time, straights and turns',
      method: MOTOR,
      better: 'less',
      read: (r) => (r ? Math.min(r.lap.energy, NEVER * r.straightPower) : undefined),
    },
    lapsExact: {
      name: 'Laps, unrounded',
      kind: 'ratio',
      station: 'flight',
      formula: 'min( (window − start) / {lapTime}, energy / {lapEnergy} )',
      method: LIMITS,
      better: 'more',
      read: (r) => r?.laps,
      remarks: (r) => remark(r?.byEnergy === true, 'pack-ends-laps', {}),
    },
    laps: {
      name: 'Whole laps',
      kind: 'count',
      station: 'flight',
      formula: '⌊{lapsExact}⌋',
      method: LIMITS,
      better: 'more',
      read: (r) => (r ? Math.floor(r.laps) : undefined),
    },
    timedTime: {
      name: 'Time of the timed laps',
      kind: 'time',
      station: 'flight',
      formula: 'start + count · {lapTime}',
      method: 'Level turn',
      better: 'less',
      read: (r) => r?.timed,
      remarks: (r) => remark(r?.climbs === false, 'laps-not-begun', {}),
    },
    energyLeft: {
      name: 'Energy left',
      kind: 'percent',
      station: 'flight',
      formula: '1 − (start + {laps} · {lapEnergy}) / {usableEnergy}',
      method: MOTOR,
      better: 'more',
      read: (r) => r?.left,
    },
  }),
};

export const LAP_PART = part([work, lapPower, laps], LAP);
