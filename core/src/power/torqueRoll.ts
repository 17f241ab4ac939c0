/** Propeller torque against the ailerons: trim that it needs, and what else a turning propeller does, in words. */
import { say, type Said } from '../words';
export interface TorqueRoll {
  /** on the aircraft [N m] */ torque: number;
  /** aileron to hold it [rad] */ aileron: number | null;
  /** share of full aileron */ share: number | null;
  said: Said;
  gyro: string;
  slipstream: string;
}

/**
 * @param torque of all shafts that turn the same way, less those that turn back [N m]
 * @param o.roll rolling moment by aileron, per rad, on q S b (sign ignored)
 */
export function torqueRoll(
  torque: number,
  o: {
    q: number;
    area: number;
    span: number;
    roll: number;
    most: number;
    pusher: boolean;
    cancelled: boolean;
  },
): TorqueRoll {
  const power = o.q * o.area * o.span * Math.abs(o.roll);
  const aileron = power > 1e-9 ? torque / power : null,
    share = aileron !== null && o.most > 0 ? aileron / o.most : null;
  const said = o.cancelled
    ? say('torque-cancelled', {})
    : aileron === null
      ? say('torque-no-ailerons', {})
      : share !== null && share > 0.5
        ? say('torque-much', { aileron, share })
        : say('torque-held', { aileron, share, pusher: o.pusher });
  return {
    torque,
    aileron,
    share,
    said,
    gyro: 'Gyroscopic: pitching up swings the nose right with a propeller turning clockwise seen from behind, yawing right pitches it down; felt with large heavy propellers in quick pulls.',
    slipstream: o.pusher
      ? 'A pusher’s stream meets little of the aircraft: nearly the whole torque is felt.'
      : 'The slipstream turns with the propeller and pushes the fin: part of the swing at low speed is this, not torque. Right thrust or a little fin offset takes it; trim by flying with and without power.',
  };
}
