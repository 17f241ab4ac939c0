/** How it glides, and climbs to glide again. */
import { G0 } from '../../air';
import {
  climbGlide,
  glideRange,
  sinkAt,
  slopeWindow,
  type ClimbGlide,
  type PointModel,
  type SlopeWindow,
} from '../../flight';
import { MEAN_SOC, operate, packVolts } from '../../power';
import { entryOf } from '../../assess';

import { type Scene } from './scene';

export interface GlideReport {
  stall: number;
  sinkSpeed: number;
  sink: number;
  glideSpeed: number;
  ratio: number;
  fast: number;
  /** from 100 m against 0, 3, 6, 9 m/s */ reach: { wind: number; distance: number; speed: number }[];
  /** to 100 m and down again; null without motor or climb */ cycle: ClimbGlide | null;
  /** on a slope of 20 degrees */ slope: SlopeWindow | null;
  polar: { speed: number; sink: number }[];
}

/** Height that a motor lifts it to before it glides [m]. */
const CYCLE_HEIGHT = 100;
/** Steepness of the slope that it soars [rad]. */
const SLOPE = (20 * Math.PI) / 180;

/** Power off: the propeller folded or taken off. */
export function glidePart(s: Scene): GlideReport {
  const { state, drive, ledger } = s,
    thrust = drive ? (v: number) => operate(drive, 1, v).thrust : () => 0;
  const m: PointModel = {
    mass: state.mass,
    density: s.air.density,
    area: s.area,
    clMax: entryOf(ledger, 'clMax', s.loading.id)!.value,
    drag: (v, n = 1) => s.drag(v, n * state.mass * G0),
    fullThrust: thrust,
  };
  const { reach, ...g } = glideRange(m),
    usable = (entryOf(ledger, 'usableEnergy', 'all')?.value ?? 0) * (1 - s.design.flight.reserve);
  const climbing = drive ? operate(drive, 1, 1.35 * g.stall).power : 0,
    off = drive ? drive.avionics * packVolts(drive, MEAN_SOC) : 0;
  return {
    ...g,
    reach: [0, 3, 6, 9].map((wind) => ({ wind, ...reach(CYCLE_HEIGHT, wind) })),
    cycle: drive ? climbGlide(m, CYCLE_HEIGHT, { climb: climbing, off }, usable) : null,
    slope: slopeWindow(m, SLOPE),
    polar: Array.from({ length: 25 }, (_, i) => {
      const speed = g.stall * (1.02 + 0.09 * i);
      return { speed, sink: sinkAt(m, speed) };
    }),
  };
}
