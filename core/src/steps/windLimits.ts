/** How much gust and wind a state stands: from behind to its stall, and in the mean. */
import { hovers } from '../design';
import { GUST_OF_WIND } from '../structure';
import { climb } from './climb';
import { airframe } from './drag';
import { landing } from './landing';
import { rudder } from './lattice';
import { work } from './lap';
import { part, quantitiesOf } from './quantity';
import { weathercock } from './stability';
import { step } from './step';

interface WindLimits {
  /** from behind, until it stalls in straight flight [m/s] */ readonly toStall: number;
  /** mean wind in which its gusts do that, and in which it still comes home at its fastest [m/s] */ readonly mean: number;
  /** mean wind from the side that it may land in; null without a rudder, or where nothing lands it */ readonly across:
    number | null;
}

/** The farthest that a sideslip is trusted [rad]. */
const MOST_SLIP = (15 * Math.PI) / 180;

/** Sideslip that the whole rudder holds [rad]. */
const heldSlip = (rudder: number, yawStiffness: number) =>
  yawStiffness > 0 ? Math.min(MOST_SLIP, rudder / yawStiffness) : MOST_SLIP;

const windLimits = step({
  id: 'wind limits',
  scope: 'state',
  needs: { airframe, work, climb, landing, rudder, weathercock },
  slice: ({ design }, state) => ({ hovers: hovers(design, state) }),
  run: (r, { hovers }): WindLimits | null => {
    const { airframe, work, climb, landing, rudder, weathercock } = r;
    if (hovers) return null;
    const toStall = Math.max(0, work.speed - airframe.stall),
      fastest = climb?.top ?? work.speed;
    // into the side wind with the wing low, nose along the strip
    const slip = landing && rudder.most !== null ? heldSlip(rudder.most, weathercock.Cnbeta) : null,
      across = slip === null ? null : (landing!.approach * Math.sin(slip)) / (1 + GUST_OF_WIND);
    return { across, toStall, mean: Math.min(toStall / GUST_OF_WIND, fastest / (1 + GUST_OF_WIND)) };
  },
});

const FROM_BEHIND = 'Airspeed alone holds it up; a gust has 0.6 of the mean wind, common practice, no source';

export const WIND_LIMITS_PART = part(
  [windLimits],
  quantitiesOf(windLimits, {
    gustToStall: {
      name: 'Gust from behind to its stall',
      kind: 'speed',
      station: 'flight',
      formula: '{lapSpeed} − {stallSpeed}',
      method: FROM_BEHIND,
      better: 'more',
      read: (r) => r?.toStall,
    },
    windLimit: {
      name: 'Wind it may be flown in',
      kind: 'speed',
      station: 'flight',
      formula: 'lesser of {gustToStall} / 0.6 and {topSpeed} / 1.6',
      method: FROM_BEHIND,
      better: 'more',
      read: (r) => r?.mean,
    },
    windAcross: {
      name: 'Wind across that it may land in',
      kind: 'speed',
      station: 'flight',
      formula:
        '{approachSpeed} · sin(sideslip that full rudder holds against {yawStiffness}, at most 15°) / 1.6',
      method: 'Steady sideslip, wing low: yawing moments of rudder and fin in balance; gusts 0.6 of the mean',
      better: 'more',
      read: (r) => r?.across ?? undefined,
    },
  }),
);
