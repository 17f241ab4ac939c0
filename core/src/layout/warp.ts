/** The shape as built against the shape as drawn: what a warp does to level flight, and how to tell it from other causes. */
import type { Design } from '../design';
import { stationAt, type CoupledStrips, type Derivatives } from '../surface';

export interface WarpStation {
  surface: string;
  side: 'left' | 'right';
  y: number;
  drawn: number;
  built: number;
  difference: number;
}

export interface WarpEffect {
  stations: WarpStation[];
  /** rolling moment coefficient of the warp, right wing down positive */ roll: number;
  /** aileron to hold it level [rad]; null without ailerons */ aileron: number | null;
  /** steady roll hands off, p b / 2V */ helix: number;
  /** lift coefficient that a heavier half looks like at this lift: rolling moment of its weight over q S b */ massRoll: number;
  drifts: 'left' | 'right' | 'straight';
  /** first to drop at the stall: the side with more angle outboard */ drops: 'left' | 'right' | null;
  causes: { cause: string; weight: number; test: string }[];
}

/** Difference of built from drawn twist over a strip, linear between measured stations, held outside. */
function errorAt(design: Design, surface: string, side: 'left' | 'right', y: number): number {
  const s = design.surfaces.find((q) => q.id === surface)!;
  const list = (design.built ?? [])
    .filter((b) => b.surface === surface && b.side === side)
    .sort((a, b) => a.y - b.y);
  if (list.length === 0) return 0;
  const err = list.map((b) => b.twist - stationAt(s, b.y).twist - s.incidence);
  if (y <= list[0].y) return err[0];
  for (let i = 1; i < list.length; i++)
    if (y <= list[i].y) {
      const t = (y - list[i - 1].y) / (list[i].y - list[i - 1].y);
      return err[i - 1] + t * (err[i] - err[i - 1]);
    }
  return err[err.length - 1];
}

/**
 * @param lift lift coefficient flown; `speed` [m/s] and `density` for the weight of halves
 * @returns null when nothing was measured
 */
export function warpEffect(
  design: Design,
  c: CoupledStrips,
  d: Derivatives,
  flight: { speed: number; density: number; g: number },
): WarpEffect | null {
  if ((design.built ?? []).length === 0 && (design.halves ?? []).length === 0) return null;
  const { sol } = c,
    k = c.at.length;
  // half the difference right minus left turns the sides against each other
  const odd = c.at.map((i) => {
    const s = sol.strips[i];
    return 0.5 * (errorAt(design, s.surface, 'right', s.y) - errorAt(design, s.surface, 'left', s.y));
  });
  let roll = 0,
    outer = 0;
  c.at.forEach((i, n) => {
    let g = 0;
    for (let j = 0; j < k; j++) g += c.antisymmetric[n * k + j] * odd[j];
    const s = sol.strips[i];
    roll -= (4 * g * s.dy * s.yQuarter) / (sol.refArea * sol.refSpan);
    if (s.role === 'wing' && s.yQuarter > 0.6 * (sol.refSpan / 2)) outer += odd[n];
  });
  const q = 0.5 * flight.density * flight.speed ** 2;
  const massRoll = (design.halves ?? []).reduce((s, h) => {
    const f = design.surfaces.find((x) => x.id === h.surface);
    const arm = f ? 0.42 * f.stations[f.stations.length - 1].y : 0;
    return s + ((h.right - h.left) * flight.g * arm) / (q * sol.refArea * sol.refSpan);
  }, 0);
  const all = roll + massRoll;
  const aileron = d.Claileron > 1e-4 ? -all / d.Claileron : null;
  const size = Math.abs(roll) + Math.abs(massRoll);
  const causes = [
    {
      cause: `Twist differs between the sides (rolls ${roll > 0 ? 'right' : 'left'})`,
      weight: Math.abs(roll),
      test: 'Fly the same state faster: a warp pulls harder with the square of the speed, and needs the same aileron at every speed.',
    },
    {
      cause: `One half is heavier (rolls ${massRoll > 0 ? 'right' : 'left'})`,
      weight: Math.abs(massRoll),
      test: 'Fly slower: a heavy half needs more aileron the slower it flies. Balance the wing on a fingertip line along the body.',
    },
    {
      cause: 'Torque and slipstream of the propeller',
      weight: 0,
      test: 'Shut the motor at the same speed: what goes away came from the propeller.',
    },
    {
      cause: 'Fin or rudder not straight',
      weight: 0,
      test: 'Hold the wings level and look whether the nose creeps: a crooked fin yaws first and rolls after.',
    },
  ];
  return {
    stations: (design.built ?? []).map((b) => {
      const s = design.surfaces.find((x) => x.id === b.surface)!;
      const drawn = stationAt(s, b.y).twist + s.incidence;
      return {
        ...{ surface: s.name, side: b.side, y: b.y },
        drawn,
        built: b.twist,
        difference: b.twist - drawn,
      };
    }),
    roll,
    aileron,
    helix: all / -d.Clp,
    massRoll,
    drifts: size < 2e-4 ? 'straight' : all > 0 ? 'right' : 'left',
    drops: Math.abs(outer) < 0.002 ? null : outer > 0 ? 'right' : 'left',
    causes: causes.sort((a, b) => b.weight - a.weight),
  };
}
