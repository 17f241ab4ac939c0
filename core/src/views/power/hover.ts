/** Hover, one weak motor, the change to the wing, and what each way of travelling takes. */
import { say, type Said } from '../../words';
import { G0 } from '../../air';
import { powertrainOf, straightWay } from '../../design';
import {
  hoverPoint,
  operateForThrust,
  rotorCruisePower,
  weakRotor,
  type Drive,
  type HoverPoint,
  type Change,
  type WeakRotor,
} from '../../power';

import { CHANGE_MARGIN, corridor } from '../../steps';
import { type Scene } from './scene';

export interface HoverReport {
  point: HoverPoint;
  rotors: number;
  weak: WeakRotor | null;
  lost: WeakRotor | null;
  sentences: Said[];
  compare: { distance: number; speed: number; wing: number; rotors: number; unused: number } | null;
}

/** @param winged the same state on its wing; null where it has none */
export function hoverPart(
  { design, state }: Pick<Scene, 'design' | 'state'>,
  lift: Drive,
  winged: Scene | null,
): HoverReport {
  const law = powertrainOf(design).lift?.law ?? 'duty',
    reserve = design.flight.reserve;
  const point = hoverPoint(lift, state.mass, G0, law, reserve),
    W = state.mass * G0;
  const arms = (powertrainOf(design).rotors ?? []).map((r) => ({
    x: r.x - state.x,
    y: r.y - state.y,
    most: point.maxThrust / lift.count,
  }));
  const weak = arms.length >= 3 ? weakRotor(arms, W, 0.7) : null,
    lost = arms.length >= 3 ? weakRotor(arms, W, 0) : null;
  const s = winged,
    own = s?.drive && s.drive !== lift ? s.drive : null;
  const idleRotors = design.dragItems
    .filter((d) => d.part?.kind === 'lift rotor')
    .reduce((a, d) => a + d.dragArea, 0);
  const change = s && own ? (s.run.maybe(corridor, s.loading.id)?.change ?? null) : null;
  const sentences: Said[] = [];
  if (weak)
    sentences.push(say(weak.margin < 1 ? 'weak-motor-falls' : 'weak-motor-holds', { margin: weak.margin }));
  if (lost && lost.margin < 1) sentences.push(say('lost-motor', { winged: winged !== null }));
  if (s && change)
    sentences.push(
      change.done
        ? say('changes-over', {
            speed: CHANGE_MARGIN * s.stall,
            times: CHANGE_MARGIN,
            time: change.time,
            distance: change.distance,
            energy: change.energy,
            least: CHANGE_MARGIN * s.stall,
          })
        : say('no-change-over', { least: CHANGE_MARGIN * s.stall, times: CHANGE_MARGIN }),
    );
  return {
    point,
    rotors: lift.count,
    weak,
    lost,
    sentences,
    compare: s && own ? compareModes(s, lift, own, point, change, idleRotors) : null,
  };
}

/** The same distance on the wing and on the rotors, and what the stopped rotors and their motors cost the wing. */
function compareModes(
  s: Scene,
  lift: Drive,
  cruise: Drive,
  point: HoverPoint,
  change: Change | null,
  idleRotors: number,
): HoverReport['compare'] {
  const { design, speed, state } = s,
    plan = straightWay(s.brief, speed);
  const distance = plan > 0 ? plan : 2000,
    seconds = distance / speed;
  const drag = s.drag(speed),
    power = operateForThrust(cruise, drag, speed).power;
  const q = 0.5 * s.air.density * speed * speed;
  const lifting = new Set(
    design.items
      .filter((i) => i.part?.kind === 'lift motor' || i.part?.kind === 'lift rotor')
      .map((i) => i.id),
  );
  const carried = state.points.filter((p) => lifting.has(p.id)).reduce((a, p) => a + p.mass, 0);
  const light = s.drag(speed, (state.mass - carried) * G0) - q * idleRotors * s.f.dragArea;
  const without = operateForThrust(cruise, Math.max(0, light), speed).power;
  const areaOf = drag / q;
  return {
    distance,
    speed,
    wing: power * seconds + 2 * (change?.done ? change.energy : 0),
    rotors: rotorCruisePower(lift, state.mass, G0, speed, areaOf, point.overall) * seconds,
    unused: (power - without) * seconds,
  };
}
