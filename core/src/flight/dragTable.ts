/**
 * Trimmed drag of one state: the costly part of performance, which does not depend on the drag factors. Profile drag is
 * tabled by speed, pitch control and lift coefficient for the shape alone, each place when it is first asked for, so that
 * states, and masses that move, share it; a state adds the line on which it is trimmed. Induced drag is quadratic in lift
 * and pitch control, without a table.
 */
import { parasiteItems } from '../drag';
import type { Air } from '../air';
import type { Factors, State } from '../design';
import { bracketIndex, clamp, interpolateLinear } from '../numeric';
import { profileDrag, type PolarSet } from '../section';
import { inducedDrag, solveTrim, type LatticeSolution, type LinearAero } from '../surface';

/** Profile drag coefficient of a shape; linear in lift and pitch control, a power of the speed between its nodes. */
export interface ProfileTable {
  /** [m/s], ascending */ readonly speeds: readonly number[];
  /** at lift coefficient cl, pitch control [rad] and speed [m/s] */ at(
    cl: number,
    elevator: number,
    speed: number,
  ): number;
}

/** Where a state is trimmed: pitch control [rad] by lift coefficient. */
export interface TrimLine {
  readonly zero: number;
  readonly slope: number;
}

export interface DragTable {
  readonly profile: ProfileTable;
  /** induced drag coefficient */ readonly induced: (cl: number, elevator: number) => number;
  readonly trim: TrimLine;
  /** parasite drag area at the speeds of the profile table [m2] */ readonly parasite: ArrayLike<number>;
  readonly area: number;
}

const CL_LOW = -0.2,
  CL_HIGH = 1.9,
  CL_STEP = 0.1;
const CL_COUNT = Math.round((CL_HIGH - CL_LOW) / CL_STEP) + 1;
/** Pitch control between nodes [rad]: a degree. Half of it changes the drag of the demos by under 1e-4. */
const CONTROL_STEP = Math.PI / 180;

/** Drag of all strips at one lift, pitch control and speed, on the reference area. */
function profileOf(
  sol: LatticeSolution,
  polars: ReadonlyMap<string, PolarSet>,
  cl: number,
  elevator: number,
  reynoldsPerMetre: number,
): number {
  const { cl0, clAlpha, clElevator } = sol.coefficients,
    alpha = (cl - cl0 - clElevator * elevator) / clAlpha;
  let sum = 0;
  for (let i = 0; i < sol.strips.length; i++) {
    const s = sol.strips[i];
    if (s.role === 'fin') continue;
    const g = sol.shape[i] + alpha * sol.alpha[i] + elevator * sol.elevator[i];
    const drag = profileDrag(polars.get(s.section)!, (2 * g) / s.chord, reynoldsPerMetre * s.chord);
    sum += (2 * s.width * s.chord * drag) / sol.refArea;
  }
  return sum;
}

/** @param nodes airspeeds [m/s], ascending, at least two */
export function profileTable(
  sol: LatticeSolution,
  polars: ReadonlyMap<string, PolarSet>,
  air: Air,
  nodes: readonly number[],
): ProfileTable {
  const planes = new Map<number, Float64Array>(),
    perMetre = air.density / air.viscosity,
    ratios = nodes.map((v, k) => Math.log(nodes[k + 1] / v));
  // of one pitch control, a row each speed; a place that was not asked for is NaN
  const planeOf = (j: number): Float64Array => {
    let plane = planes.get(j);
    if (!plane) planes.set(j, (plane = new Float64Array(nodes.length * CL_COUNT).fill(NaN)));
    return plane;
  };
  const cell = (plane: Float64Array, k: number, j: number, i: number): number => {
    const known = plane[k * CL_COUNT + i];
    if (known === known) return known;
    return (plane[k * CL_COUNT + i] = profileOf(
      sol,
      polars,
      CL_LOW + CL_STEP * i,
      CONTROL_STEP * j,
      perMetre * nodes[k],
    ));
  };
  const along = (plane: Float64Array, k: number, j: number, i: number, a: number): number => {
    const low = cell(plane, k, j, i);
    return a === 0 ? low : low + a * (cell(plane, k, j, i + 1) - low);
  };
  return {
    speeds: nodes,
    at(cl, elevator, speed) {
      const x = (clamp(cl, CL_LOW, CL_HIGH) - CL_LOW) / CL_STEP,
        i = Math.min(CL_COUNT - 2, Math.floor(x)),
        a = x - i;
      const e = elevator / CONTROL_STEP,
        j = Math.floor(e),
        c = e - j;
      const k = bracketIndex(nodes, speed),
        b = clamp(Math.log(speed / nodes[k]) / ratios[k], 0, 1);
      const here = planeOf(j),
        next = c === 0 ? here : planeOf(j + 1);
      const at = (n: number) => {
        const low = along(here, n, j, i, a);
        return c === 0 ? low : (1 - c) * low + c * along(next, n, j + 1, i, a);
      };
      // drag goes as a power of the speed: straight in logarithms
      const slow = at(k);
      return b === 0 ? slow : slow * (at(k + 1) / slow) ** b;
    },
  };
}

/** Induced drag coefficient by lift coefficient and pitch control: the wake's quadratic form in three loads. */
export function inducedForm(sol: LatticeSolution): DragTable['induced'] {
  const { cl0, clAlpha, clElevator } = sol.coefficients;
  const drag = (s: number, a: number, e: number) =>
    inducedDrag(
      sol,
      sol.shape.map((v, i) => s * v + a * sol.alpha[i] + e * sol.elevator[i]),
    );
  const ss = drag(1, 0, 0),
    aa = drag(0, 1, 0),
    ee = drag(0, 0, 1);
  const sa = drag(1, 1, 0) - ss - aa,
    se = drag(1, 0, 1) - ss - ee,
    ae = drag(0, 1, 1) - aa - ee;
  return (cl, elevator) => {
    const a = (cl - cl0 - clElevator * elevator) / clAlpha,
      e = elevator;
    return ss + a * (sa + aa * a) + e * (se + ae * a + ee * e);
  };
}

/** @param cgX [m] */
export function trimLine(aero: LinearAero, cgX: number): TrimLine {
  const zero = solveTrim(aero, 0, cgX).elevator;
  return { zero, slope: solveTrim(aero, 1, cgX).elevator - zero };
}

/**
 * Parasite drag area at every speed [m2].
 * @param state what is open, lowered or towed in it
 */
export function parasiteAreas(
  design: Parameters<typeof parasiteItems>[0],
  air: Air,
  nodes: readonly number[],
  state?: Pick<State, 'addedDrag' | 'towed'>,
): number[] {
  return nodes.map((v) =>
    parasiteItems(design, v, air.viscosity / air.density, state).reduce((s, item) => s + item.area, 0),
  );
}

/** The whole of it for the plain aircraft. @param nodes airspeeds of the table [m/s], ascending */
export function buildDragTable(
  design: Parameters<typeof parasiteItems>[0],
  aero: LinearAero,
  cgX: number,
  polars: ReadonlyMap<string, PolarSet>,
  air: Air,
  nodes: readonly number[],
): DragTable {
  return {
    profile: profileTable(aero.sol, polars, air, nodes),
    induced: inducedForm(aero.sol),
    trim: trimLine(aero, cgX),
    parasite: parasiteAreas(design, air, nodes),
    area: aero.sol.refArea,
  };
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
  const q = 0.5 * density * speed * speed,
    cl = lift / (q * t.area),
    x = clamp(cl, CL_LOW, CL_HIGH),
    elevator = t.trim.zero + t.trim.slope * x;
  // past the table the wing does no better than at its end
  const cdi = t.induced(x, elevator) * (cl > CL_HIGH ? (cl / CL_HIGH) ** 2 : 1);
  const parasite = q * interpolateLinear(t.profile.speeds, t.parasite, speed) * f.dragArea;
  const profile = q * t.area * t.profile.at(x, elevator, speed) * f.dragArea * f.sectionDrag;
  const induced = q * t.area * cdi * f.induced;
  return { parasite, profile, induced, total: parasite + profile + induced, cl };
}
