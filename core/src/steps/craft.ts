/** A state as a mission flies it, and the packs that it draws on. */
import { hovers, powertrainOf, type Design } from '../design';
import { payloadPoints } from '../mass';
import { makeCraft, type Away, type Craft, type FreeFlight, type Store } from '../mission';
import { interpolateLinear } from '../numeric';
import { thermalOf, USUAL_LIMIT, type Drive, type RubberFlight } from '../power';
import { air } from './air';
import { balance } from './balance';
import { climb } from './climb';
import { corridor, type Corridor } from './corridor';
import { departure, type Leave } from './departure';
import { airframe, glide } from './drag';
import { drives, energy } from './drive';
import { landing, type Landing } from './landing';
import { work } from './lap';
import { level } from './reach';
import { frameDragOf, rotorFlight, standing } from './rotors';
import { rubberFlight } from './rubber';
import { shape } from './shape';
import { aero } from './stability';
import { step } from './step';
import { envelope } from './structure';
import { takeOff, type TakeOff } from './takeOff';

function leavesBy(run: TakeOff | null, slung: Leave | null, strip: number): Away | null {
  if (run) {
    const done = run.run.status === 'airborne';
    return {
      seconds: run.run.status === 'airborne' ? run.run.time : 0,
      way: run.run.status === 'airborne' ? run.run.distance : 0,
      room: strip,
      speed: run.liftOff,
      done,
    };
  }
  if (!slung) return null;
  return { seconds: slung.time, way: slung.distance, room: null, speed: slung.speed, done: slung.flies };
}

function landsBy(l: Landing | null, strip: number): Away | null {
  if (!l) return null;
  const { run } = l,
    stops = run?.status === 'stops' ? run : null;
  return {
    seconds: stops?.time ?? 0,
    way: stops?.distance ?? 0,
    room: l.wheels ? strip : null,
    speed: l.approach,
    done: run === null || stops !== null,
  };
}

const changesBy = (c: Corridor | null) =>
  c && {
    seconds: c.change.time,
    way: c.change.distance,
    room: null,
    speed: c.changeSpeed / 2,
    done: c.change.done,
    energy: c.change.energy,
  };

function freeBy(f: { flight: RubberFlight } | null): FreeFlight | null {
  if (!f || f.flight.rows.length < 2) return null;
  const times = f.flight.rows.map((r) => r.time),
    heights = f.flight.rows.map((r) => r.height);
  const { time: seconds, peak, peakTime } = f.flight;
  return { seconds, peak, peakTime, height: (t) => interpolateLinear(times, heights, t) };
}

export const craft = step({
  id: 'craft',
  scope: 'state',
  needs: { air, balance, drives, standing },
  wants: {
    airframe,
    aero,
    shape,
    work,
    glide,
    level,
    climb,
    takeOff,
    departure,
    landing,
    corridor,
    rotorFlight,
    rubberFlight,
    envelope,
  },
  causes: ['dragArea'],
  slice: ({ brief: { site }, design }, state) => ({
    state: state.id,
    units: state.count,
    leaving: payloadPoints(design, state)
      .reverse()
      .map(({ mass, x }) => ({ mass, x })),
    hangs: hovers(design, state),
    bank: design.flight.turnBank,
    strip: site.stripLength,
    frame: frameDragOf(design),
    added: state.addedDrag ?? 0,
    powered: !powertrainOf(design).unpowered,
  }),
  run: (r, s, f): Craft => {
    const { cruise, lifting } = r.drives,
      { state } = r.balance,
      area = (a: number) => f.dragArea * (a + s.added);
    const frame = s.frame && { front: area(s.frame.front), side: area(s.frame.side), top: area(s.frame.top) };
    const own = s.hangs ? (r.rotorFlight?.farthest?.speed ?? 0) : (r.work?.speed ?? 0),
      loiter = s.hangs ? r.rotorFlight?.longest?.speed : r.level?.longest?.speed;
    return makeCraft({
      state: s.state,
      mass: state.mass,
      cgX: state.x,
      units: s.units,
      leaving: s.leaving,
      hangs: s.hangs,
      neutral: r.aero && r.shape ? { x: r.aero.neutralX, chord: r.shape.wing.mac } : null,
      wing: r.airframe && {
        stall: r.airframe.stall,
        drag: r.airframe.drag,
        glideSpeed: r.glide?.speed ?? 1.3 * r.airframe.stall,
      },
      strength: r.envelope?.allowed ?? null,
      own,
      loiter: loiter ?? own,
      bank: s.bank,
      climbSpeed: r.climb?.speed ?? null,
      cruise: s.powered ? cruise : null,
      lifting,
      table: r.standing.table,
      frame,
      density: r.air.density,
      takeOff: leavesBy(r.takeOff, r.departure, s.strip),
      landing: landsBy(r.landing, s.strip),
      change: changesBy(r.corridor),
      free: freeBy(r.rubberFlight),
    });
  },
});

/** Largest currents of controllers as they are written down. */
function ratings(design: Design) {
  const { esc, lift } = powertrainOf(design);
  return { drive: esc.maxCurrent, lift: lift?.esc.maxCurrent ?? esc.maxCurrent };
}

/** Whether lift motors draw on the forward drive's own packs. */
function shared({ drives: all }: Design): boolean {
  const packs = all.map((d) => d.packs.join());
  return packs.every((p) => p === packs[0]);
}

const NO_STORE: Store = {
  bank: 'drive',
  full: 0,
  usable: 0,
  least: 0,
  pack: Infinity,
  motor: Infinity,
  controller: Infinity,
  heat: null,
  hottest: USUAL_LIMIT,
};

function storeOf(bank: Store['bank'], d: Drive | null, usable: number, controller: number): Store {
  if (!d) return NO_STORE;
  return {
    bank,
    full: d.pack.usableCharge > 0 ? (usable * d.pack.charge) / d.pack.usableCharge : 0,
    usable,
    least: d.pack.least,
    pack: d.pack.maxCurrent,
    motor: d.motor.maxCurrent,
    controller,
    heat: thermalOf(d.motor),
    hottest: d.motor.maxTemperature ?? USUAL_LIMIT,
  };
}

export const stores = step({
  id: 'packs of a mission',
  scope: 'all',
  needs: { drives, energy },
  slice: ({ design }) => ({ ratings: ratings(design), shared: shared(design) }),
  run: ({ drives: { cruise, lifting }, energy }, s): { drive: Store; lift: Store } => {
    const drive = storeOf('drive', cruise, energy.cruise, s.ratings.drive),
      lift = storeOf('lift', lifting, energy.lifting, s.ratings.lift);
    if (!cruise) return { drive: lift, lift };
    if (!lifting) return { drive, lift: drive };
    // one pack: its motors differ, the charge is told once
    const { bank, full, usable } = drive;
    return { drive, lift: s.shared ? { ...lift, bank, full, usable } : lift };
  },
});
