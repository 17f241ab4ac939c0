/**
 * Trimmed drag of one loading as a table over lift coefficient and airspeed: the costly part of
 * performance, which does not depend on the drag factors.
 */
import { parasiteItems } from '../drag';
import type { Air } from '../air';
import type { Factors, Loading } from '../design';
import { bracketIndex, clamp, interpolateLinear } from '../numeric';
import type { PolarSet } from '../section';
import { surfaceDrag, type LinearAero } from '../surface';

export interface DragTable {
  /** [m/s], ascending */ readonly speeds: Float64Array;
  readonly cls: Float64Array;
  /** profile drag coefficient, row a speed, column a cl */ readonly profile: Float64Array[];
  /** induced drag coefficient at cls */ readonly induced: Float64Array;
  /** parasite drag area at speeds [m2] */ readonly parasite: Float64Array;
  readonly area: number;
}

const CL_LOW = -0.2,
  CL_HIGH = 1.9,
  CL_COUNT = 22;

/** @param nodes airspeeds of the table [m/s], ascending */
export function buildDragTable(
  design: Parameters<typeof parasiteItems>[0],
  aero: LinearAero,
  cgX: number,
  polars: ReadonlyMap<string, PolarSet>,
  air: Air,
  nodes: readonly number[],
  state?: Pick<Loading, 'addedDrag' | 'towed'>,
): DragTable {
  const nu = air.viscosity / air.density;
  const cls = Float64Array.from(
    { length: CL_COUNT },
    (_, i) => CL_LOW + ((CL_HIGH - CL_LOW) * i) / (CL_COUNT - 1),
  );
  const speeds = Float64Array.from(nodes);
  const induced = new Float64Array(CL_COUNT);
  const profile = Array.from(speeds, (v, k) =>
    Float64Array.from(cls, (cl, i) => {
      const d = surfaceDrag(aero, cl, cgX, polars, (chord) => (v * chord) / nu);
      if (k === 0) induced[i] = d.induced;
      return d.profile;
    }),
  );
  const parasite = speeds.map((v) =>
    parasiteItems(design, v, nu, state).reduce((s, item) => s + item.area, 0),
  );
  return { speeds, cls, profile, induced, parasite, area: aero.sol.refArea };
}

export interface DragParts {
  parasite: number;
  profile: number;
  induced: number;
  total: number;
  cl: number;
}

/** Drag by part [N] at airspeed V [m/s], lift [N], density [kg/m3]. */
export function dragAt(
  t: DragTable,
  speed: number,
  lift: number,
  density: number,
  f: Pick<Factors, 'dragArea' | 'induced' | 'sectionDrag'>,
): DragParts {
  const q = 0.5 * density * speed * speed;
  const cl = lift / (q * t.area);
  const x = clamp(cl, CL_LOW, CL_HIGH);
  const i = bracketIndex(t.cls, x);
  const a = (x - t.cls[i]) / (t.cls[i + 1] - t.cls[i]);
  const k = bracketIndex(t.speeds, speed);
  const b = clamp(Math.log(speed / t.speeds[k]) / Math.log(t.speeds[k + 1] / t.speeds[k]), 0, 1);
  const row = (r: Float64Array) => r[i] + a * (r[i + 1] - r[i]);
  const cdp = (1 - b) * row(t.profile[k]) + b * row(t.profile[k + 1]);
  const cdi = cl > CL_HIGH ? t.induced[CL_COUNT - 1] * (cl / CL_HIGH) ** 2 : row(t.induced);
  const parasite = q * interpolateLinear(t.speeds, t.parasite, speed) * f.dragArea;
  const profile = q * t.area * cdp * f.dragArea * f.sectionDrag;
  const induced = q * t.area * cdi * f.induced;
  return { parasite, profile, induced, total: parasite + profile + induced, cl };
}
