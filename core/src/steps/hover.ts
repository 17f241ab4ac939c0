/** A state that hangs on its rotors; how long a state lasts. */
import { G0 } from '../air';
import { hasWing, hovers, powertrainOf } from '../design';
import { hoverPoint, type HoverPoint } from '../power';
import { balance } from './balance';
import { drives, energy, MOTOR } from './drive';
import { lapPower } from './lap';
import { quantitiesOf, remark, part } from './quantity';
import { step } from './step';

/** null: it does not hover, or nothing lifts. */
export const hover = step({
  id: 'hover',
  scope: 'state',
  needs: { drives, energy, balance },
  slice: ({ design }, state) => ({
    hovers: hovers(design, state),
    law: powertrainOf(design).lift?.law ?? ('duty' as const),
    reserve: design.flight.reserve,
  }),
  run: ({ drives: { lifting }, energy, balance }, { hovers, law, reserve }): HoverPoint | null =>
    hovers && lifting
      ? hoverPoint({ ...lifting, charge: energy.lifting }, balance.state.mass, G0, law, reserve)
      : null,
});

/** A state that hangs on its rotors lasts as long as it hovers. */
const lasting = step({
  id: 'endurance',
  scope: 'state',
  needs: { hover, energy },
  wants: { lapPower },
  slice: ({ design }) => ({ reserve: design.flight.reserve, winged: hasWing(design) }),
  run: ({ hover, lapPower, energy }, { reserve, winged }): { time: number | undefined } => {
    // what has no laps has its hover endurance
    if (!winged) return { time: undefined };
    if (hover) return { time: hover.time };
    return { time: lapPower ? ((1 - reserve) * energy.cruise) / lapPower.straight.current : undefined };
  },
});

const HOVER = 'Lift motors and rotors by blade elements at the thrust that carries the weight, half charge';
const weak = (r: HoverPoint | null) => remark(r !== null && r.point.duty > 1, 'lift-motors-weak', {});

const HOVERING = {
  ...quantitiesOf(hover, {
    hoverPower: {
      name: 'Hover power',
      kind: 'power',
      station: 'power',
      formula: 'pack power at thrust = {mass} · g',
      method: HOVER,
      better: 'less',
      read: (r) => r?.electric,
      remarks: weak,
    },
    hoverCurrent: {
      name: 'Hover current',
      kind: 'current',
      station: 'power',
      formula: '{hoverPower} / volts under load',
      method: HOVER,
      better: 'less',
      read: (r) => r?.point.current,
    },
    hoverThrottle: {
      name: 'Hover throttle',
      kind: 'percent',
      station: 'power',
      formula: 'duty, or √ of the thrust share where the controller makes it linear; {hoverMargin}',
      method: HOVER,
      better: 'less',
      read: (r) => (r ? Math.min(r.throttle, 9) : undefined),
    },
    hoverMargin: {
      name: 'Lift thrust to weight',
      kind: 'ratio',
      station: 'power',
      formula: 'full lift thrust / ({mass} · g)',
      method: HOVER,
      better: 'more',
      read: (r) => r?.thrustToWeight,
      remarks: weak,
    },
    hoverTime: {
      name: 'Hover endurance',
      kind: 'duration',
      station: 'power',
      formula: '(1 − reserve) · usable charge / current at {hoverPower}',
      method: HOVER,
      better: 'more',
      read: (r) => r?.time,
    },
  }),
  ...quantitiesOf(lasting, {
    endurance: {
      name: 'Endurance at lap throttle',
      kind: 'duration',
      station: 'flight',
      formula: '(1 − reserve) · usable charge / {lapCurrent}',
      method: MOTOR,
      better: 'more',
      read: (r) => r.time,
    },
  }),
};

/** What only a state that hangs on its rotors has. */
export const HANGING_IDS = Object.keys(HOVERING).filter((id) => id !== 'endurance');

export const HOVERING_PART = part([hover, lasting], HOVERING);
