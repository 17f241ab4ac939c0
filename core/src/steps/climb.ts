/** Climb, top speed and what the thrust is worth against the weight. */
import { G0 } from '../air';
import { hovers } from '../design';
import { bestClimb, climbBy, levelSpeed } from '../flight';
import { airframe, LEVEL } from './drag';
import { fullThrust, still, thrustAt } from './drive';
import { curvesOf, quantitiesOf, remark, part } from './quantity';
import { step } from './step';

/** null: it has no motor, or hangs on its rotors. */
export interface Climb {
  readonly rate: number;
  /** of that climb [m/s] */ readonly speed: number;
  /** null: full throttle does not hold level flight */ readonly top: number | null;
  readonly thrustToWeight: number;
  readonly powerToWeight: number;
  readonly chart: { x: readonly number[]; y: readonly number[] };
}

export const climb = step({
  id: 'climb',
  scope: 'state',
  needs: { airframe, fullThrust, still },
  slice: ({ design }, state) => ({ hovers: hovers(design, state) }),
  run: ({ airframe, fullThrust, still }, { hovers }): Climb | null => {
    if (hovers || !still) return null;
    const thrust = thrustAt(fullThrust.curve),
      model = { ...airframe, fullThrust: thrust };
    return {
      ...bestClimb(model),
      top: levelSpeed(model, thrust),
      thrustToWeight: still.point.thrust / (airframe.mass * G0),
      powerToWeight: still.point.power / airframe.mass,
      chart: {
        x: airframe.chart,
        y: airframe.chart.map((s, i) => climbBy(airframe.mass, thrust(s) - airframe.charted[i], s)),
      },
    };
  },
});

const CLIMB = quantitiesOf(climb, {
  climbRate: {
    name: 'Best climb',
    kind: 'climbRate',
    station: 'flight',
    formula: 'max (T − D) · V / ({mass} · g); T from {staticThrust} down, D with {dragArea}',
    method: LEVEL,
    better: 'more',
    read: (r) => r?.rate,
  },
  topSpeed: {
    name: 'Top speed',
    kind: 'speed',
    station: 'flight',
    formula: 'greatest V with T = D at full throttle; T from {staticThrust} down, D with {dragArea}',
    method: LEVEL,
    better: 'more',
    read: (r) => (r ? (r.top ?? 0) : undefined),
    remarks: (r) => remark(r?.top === null, 'level-not-held', {}),
  },
  thrustToWeight: {
    name: 'Thrust to weight',
    kind: 'ratio',
    station: 'power',
    formula: '{staticThrust} / ({mass} · g)',
    method: 'Definition',
    better: 'more',
    read: (r) => r?.thrustToWeight,
  },
  powerToWeight: {
    name: 'Power to weight',
    kind: 'specificPower',
    station: 'power',
    formula: '{staticPower} / {mass}',
    method: 'Definition; electrical, static',
    better: 'more',
    read: (r) => r?.powerToWeight,
  },
});

const CLIMB_CURVES = curvesOf(climb, {
  climb: { xKind: 'speed', yKind: 'climbRate', read: (r) => r && r.chart },
});

export const CLIMB_PART = part([climb], CLIMB, CLIMB_CURVES);
