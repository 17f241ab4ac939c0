/** Turns against the stall: of the inner wing, and what a gust from behind leaves of the margin at each speed and bank. */
import { hovers } from '../design';
import { gustMargin, innerStall, turnStall, type StallingWing } from '../flight';
import { airframe } from './drag';
import { work } from './lap';
import { stallOrder } from './lift';
import { curvesOf, part, quantitiesOf, remark } from './quantity';
import { shape } from './shape';
import { step } from './step';

const DEG = Math.PI / 180;
/** Banks that margins are drawn at [degrees]. */
const BANKS = [0, 30, 45, 60] as const;
/** Banks along which the stall is drawn [rad]. */
const ALONG = Array.from({ length: 15 }, (_, i) => i * 5 * DEG);

interface Turning {
  readonly inner: number;
  readonly gust: number;
  readonly wing: StallingWing;
  readonly chart: readonly number[];
}

/** null: it hangs on its rotors. */
const turning = step({
  id: 'turning',
  scope: 'state',
  needs: { airframe, shape, stallOrder, work },
  slice: ({ design }, state) => ({ bank: design.flight.turnBank, hovers: hovers(design, state) }),
  run: ({ airframe, shape, stallOrder, work }, { bank, hovers }): Turning | null => {
    if (hovers) return null;
    const wing = {
      stall: airframe.stall,
      half: shape.wing.span / 2,
      eta: stallOrder.y,
      ratio: stallOrder.ratio,
    };
    return {
      inner: innerStall(wing, bank),
      gust: gustMargin(wing, bank, work.speed),
      wing,
      chart: airframe.chart,
    };
  },
});

const INNER =
  'Strips of the inner wing on their own circles, n times the weight on each by the lattice; kinematics of a level turn';

const TURNING = quantitiesOf(turning, {
  innerStall: {
    name: 'Stall of the inner wing in the lap turn',
    kind: 'speed',
    station: 'flight',
    formula:
      'V at which a strip y out, slower by y · g · sin(bank) / V, needs all it can carry; {stallSpeed} straight',
    method: INNER,
    better: 'less',
    read: (r) => r?.inner,
  },
  turnGust: {
    name: 'Gust from behind to its stall, in the lap turn',
    kind: 'speed',
    station: 'flight',
    formula:
      'least of V − y · g · sin(bank) / V − what the strip needs, at {lapSpeed}; {innerStall} where it is nil',
    method: INNER,
    better: 'more',
    read: (r) => r?.gust,
    remarks: (r) => remark(r !== null && r.gust < 0, 'inner-wing-stalls', {}),
  },
});

const marginsAt = (degrees: number) => ({
  bare: true as const,
  xKind: 'speed' as const,
  yKind: 'speed' as const,
  read: (r: Turning | null) => {
    if (!r) return null;
    const y = r.chart.map((v) => gustMargin(r.wing, degrees * DEG, v));
    // drawn from a little below the stall
    return { x: r.chart, y: y.map((m) => (m < -1 ? NaN : m)) };
  },
});

const CURVES = curvesOf(turning, {
  turnStall: {
    bare: true,
    xKind: 'angle',
    yKind: 'speed',
    read: (r) => r && { x: ALONG, y: ALONG.map((b) => turnStall(r.wing.stall, b)) },
  },
  innerStall: {
    bare: true,
    xKind: 'angle',
    yKind: 'speed',
    read: (r) => r && { x: ALONG, y: ALONG.map((b) => innerStall(r.wing, b)) },
  },
  gustMargin0: marginsAt(BANKS[0]),
  gustMargin30: marginsAt(BANKS[1]),
  gustMargin45: marginsAt(BANKS[2]),
  gustMargin60: marginsAt(BANKS[3]),
});

export const TURNING_PART = part([turning], TURNING, CURVES);
