/** How much gust and wind a state stands: from behind to its stall, and in the mean. */
import { hovers } from '../design';
import { GUST_OF_WIND } from '../structure';
import { climb } from './climb';
import { airframe } from './drag';
import { work } from './lap';
import { part, quantitiesOf } from './quantity';
import { step } from './step';

interface WindLimits {
  /** from behind, until it stalls in straight flight [m/s] */ readonly toStall: number;
  /** mean wind in which its gusts do that, and in which it still comes home at its fastest [m/s] */ readonly mean: number;
}

const windLimits = step({
  id: 'wind limits',
  scope: 'state',
  needs: { airframe, work, climb },
  slice: ({ design }, state) => ({ hovers: hovers(design, state) }),
  run: ({ airframe, work, climb }, { hovers }): WindLimits | null => {
    if (hovers) return null;
    const toStall = Math.max(0, work.speed - airframe.stall),
      fastest = climb?.top ?? work.speed;
    return { toStall, mean: Math.min(toStall / GUST_OF_WIND, fastest / (1 + GUST_OF_WIND)) };
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
  }),
);
