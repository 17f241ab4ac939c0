/** From rotors to wing and back: what carries, what it takes, how long a change lasts. */
import { G0 } from '../air';
import { changeAlong, corridorPoint, wayTo, type Change, type Changing } from '../power';
import { airframe } from './drag';
import { drives } from './drive';
import { curvesOf, part, quantitiesOf, remark } from './quantity';
import { standing } from './rotors';
import { speeds } from './speeds';
import { NOTHING, step } from './step';

/** The wing alone carries from here on [over the stall]; common practice. */
export const CHANGE_MARGIN = 1.2;
/** Share of the force to spare that a change is flown with, and a slow one. */
const PACE = 0.7,
  SLOW = 0.15;
/** Rotors that turn without driving drag more than those that stand. Common practice, no source. */
const TURNING = 1.5;

/** Speeds that it is drawn at: they do not move with what is uncertain. */
const corridorNodes = step({
  id: 'corridor speeds',
  scope: 'all',
  needs: { speeds },
  byContent: true,
  slice: NOTHING,
  run: ({ speeds }): { at: readonly number[] } => {
    const last = Math.ceil(1.6 * speeds.usual);
    return { at: Array.from({ length: 19 }, (_, i) => (last * i) / 18) };
  },
});

export interface Corridor {
  readonly changeSpeed: number;
  readonly change: Change;
  readonly slow: Change;
  readonly chart: { x: readonly number[]; power: readonly number[]; wing: readonly number[] };
}

/** null: nothing lifts it, or nothing pulls it ahead. */
export const corridor = step({
  id: 'corridor',
  scope: 'state',
  needs: { airframe, drives, standing, corridorNodes },
  slice: ({ design }) => ({
    idle: design.dragItems.filter((d) => d.part?.kind === 'lift rotor').reduce((a, d) => a + d.dragArea, 0),
  }),
  run: (
    { airframe, drives: { cruise, lifting }, standing: { table }, corridorNodes },
    { idle },
  ): Corridor | null => {
    if (!lifting || !table || !cruise) return null;
    const { mass, density, area, clMax, stall } = airframe;
    const changing: Changing = {
      lift: lifting,
      table,
      cruise: lifting === cruise ? null : cruise,
      weight: mass * G0,
      density,
      area,
      clMax,
      drag: (v, l) => airframe.parts(v, l).total,
      rotorDragArea: (TURNING - 1) * idle,
    };
    const changeSpeed = CHANGE_MARGIN * stall,
      points = corridorNodes.at.map((v) => corridorPoint(changing, v, CHANGE_MARGIN)),
      way = wayTo(changing, changeSpeed, CHANGE_MARGIN);
    return {
      changeSpeed,
      change: changeAlong(way, mass, PACE),
      slow: changeAlong(way, mass, SLOW),
      chart: { x: corridorNodes.at, power: points.map((p) => p.power), wing: points.map((p) => p.wing) },
    };
  },
});

const STEADY = 'Wing to its margin, rotors the rest, level and steady at each speed; Glauert’s induced flow';
const never = (r: Corridor | null) => remark(r?.change.done === false, 'change-stalls', {});

const CORRIDOR = quantitiesOf(corridor, {
  changeSpeed: {
    name: 'Change over above',
    kind: 'speed',
    station: 'flight',
    formula: '1.2 · {stallSpeed}',
    method: 'The wing alone carries with its margin',
    better: 'less',
    read: (r) => r?.changeSpeed,
  },
  changeTime: {
    name: 'Time of a change',
    kind: 'time',
    station: 'flight',
    formula: '∫ dV / acceleration to {changeSpeed}, seven tenths of the force to spare used',
    method: STEADY,
    better: 'less',
    read: (r) => (r?.change.done ? r.change.time : undefined),
    remarks: never,
  },
  changeEnergy: {
    name: 'Energy of a change',
    kind: 'energy',
    station: 'flight',
    formula: '∫ pack power dt over {changeTime}',
    method: STEADY,
    better: 'less',
    read: (r) => (r?.change.done ? r.change.energy : undefined),
  },
  slowChangeEnergy: {
    name: 'Energy of a slow change',
    kind: 'energy',
    station: 'flight',
    formula: 'the same with a seventh of the force to spare',
    method: STEADY,
    better: 'less',
    read: (r) => (r?.slow.done ? r.slow.energy : undefined),
  },
});

const CURVES = curvesOf(corridor, {
  corridorPower: { xKind: 'speed', yKind: 'power', read: (r) => r && { x: r.chart.x, y: r.chart.power } },
  corridorWing: { xKind: 'speed', yKind: 'percent', read: (r) => r && { x: r.chart.x, y: r.chart.wing } },
});

export const CORRIDOR_PART = part([corridorNodes, corridor], CORRIDOR, CURVES);
