/** Propeller torque against the ailerons. */
import { G0 } from '../../air';
import { powertrainOf } from '../../design';
import { thrustMoment } from '../../layout';
import { operate, torqueRoll, type Drive, type TorqueRoll } from '../../power';
import { derivativesOf, solveTrim } from '../../surface';
import { aero, bodies, shape } from '../../steps';

import { type Scene } from './scene';

/** At full throttle just above the stall, where torque is felt most. */
export function torqueOf(s: Scene, d: Drive): TorqueRoll {
  const v = 1.2 * s.stall,
    { design, state, run } = s,
    { wing } = run.of(shape),
    linear = run.of(aero),
    q = 0.5 * s.air.density * v * v;
  const o = operate(d, 1, v);
  const cg = { x: state.x, z: state.z };
  const trim = solveTrim(
    linear,
    (state.mass * G0) / (q * wing.area),
    state.x,
    thrustMoment(powertrainOf(design).propeller, o.thrust, q, wing.area, wing.mac, cg).cm,
  );
  const roll = derivativesOf(
    linear.sol,
    { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z },
    run.of(bodies),
  ).Claileron;
  const controls = design.surfaces.flatMap((x) =>
    x.controls.filter((c) => ['aileron', 'elevon', 'flaperon'].includes(c.kind)),
  );
  const cancelled = d.inLine;
  return torqueRoll(cancelled ? 0 : o.torque * d.count, {
    q,
    area: wing.area,
    span: wing.span,
    roll: controls.length ? roll : 0,
    most: Math.max(0, ...controls.map((c) => c.maxDeflection)),
    pusher: powertrainOf(design).propeller.x > state.x,
    cancelled,
  });
}
