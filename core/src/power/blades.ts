/**
 * Families of blade: chord and section by radius, in round numbers typical of each kind. Chords follow the trend of
 * published outlines of small propellers (Brandt and Selig, AIAA 2011-1255, from memory); section figures are those of
 * thin cambered sections at low Reynolds number, chosen once so that the static coefficients of that paper are met
 * (see validation/propeller.test.ts), and not by propeller. Multirotor blades: least drag chosen so that hover comes to the
 * trade's overall efficiency of 0.45 to 0.65 (figure of merit 0.65 at 10 in, 0.70 at 27 in); no table was at hand.
 */
import { clamp, DomainError, interpolateLinear } from '../numeric';

export const BLADE_FAMILIES = [
  'slow-fly',
  'thin-electric',
  'sport',
  'multirotor',
  'folding',
  'indoor',
  'carved',
] as const;
export type BladeFamily = (typeof BLADE_FAMILIES)[number];

export interface BladeShape {
  readonly id: BladeFamily;
  readonly name: string;
  readonly use: string;
  /** chord / tip radius at `RADII` */ readonly chord: readonly number[];
  /** zero-lift angle [rad] against the face that carries the pitch; negative */ readonly alpha0: number;
  /** section limit at Re 100 000 */ readonly clMax: number;
  /** least drag coefficient at Re 100 000 */ readonly cd0: number;
  /** where the blade begins, r/R */ readonly root: number;
  /** weight of one blade set [kg] is massFactor * D^2.5 * sqrt(blades / 2), D in m; common practice, no source */
  readonly massFactor: number;
  /** hinged: lies back when stopped */ readonly folds: boolean;
}

/** Radii of the tables below, r/R. */
export const RADII = [0.15, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1];

const DEG = Math.PI / 180;
const shape = (
  id: BladeFamily,
  name: string,
  use: string,
  chord: number[],
  alpha0Deg: number,
  clMax: number,
  cd0: number,
  root: number,
  massFactor: number,
  folds = false,
): BladeShape => ({ id, name, use, chord, alpha0: alpha0Deg * DEG, clMax, cd0, root, massFactor, folds });

export const BLADES: Readonly<Record<BladeFamily, BladeShape>> = {
  'slow-fly': shape(
    'slow-fly',
    'slow-fly',
    'large and slow, for light slow models',
    [0.11, 0.13, 0.176, 0.206, 0.223, 0.225, 0.21, 0.179, 0.13, 0.087, 0.04],
    -6.4,
    1.15,
    0.017,
    0.12,
    0.55,
  ),
  'thin-electric': shape(
    'thin-electric',
    'thin electric',
    'outrunners at medium speed',
    [0.13, 0.149, 0.189, 0.201, 0.194, 0.174, 0.145, 0.112, 0.081, 0.061, 0.04],
    -5.6,
    1.42,
    0.032,
    0.12,
    0.62,
  ),
  sport: shape(
    'sport',
    'sport',
    'stiff and thick, engines and fast models',
    [0.14, 0.15, 0.165, 0.172, 0.17, 0.16, 0.145, 0.125, 0.095, 0.07, 0.04],
    -5.2,
    1.42,
    0.021,
    0.14,
    1,
  ),
  multirotor: shape(
    'multirotor',
    'multirotor',
    'lift rotors, best standing still',
    [0.13, 0.17, 0.2, 0.19, 0.17, 0.15, 0.13, 0.11, 0.09, 0.075, 0.045],
    -5.8,
    1.4,
    0.03,
    0.12,
    0.5,
  ),
  folding: shape(
    'folding',
    'folding',
    'gliders: blades lie back when stopped',
    [0.12, 0.14, 0.17, 0.19, 0.2, 0.195, 0.175, 0.145, 0.105, 0.08, 0.05],
    -5.4,
    1.4,
    0.023,
    0.18,
    0.9,
    true,
  ),
  indoor: shape(
    'indoor',
    'wide indoor',
    'sheet or film blades under rubber',
    [0.12, 0.17, 0.26, 0.33, 0.38, 0.4, 0.39, 0.33, 0.22, 0.14, 0.05],
    -5.5,
    1.2,
    0.02,
    0.12,
    0.055,
  ),
  carved: shape(
    'carved',
    'carved free-flight',
    'wooden blades under rubber outdoors',
    [0.12, 0.16, 0.22, 0.26, 0.28, 0.27, 0.245, 0.2, 0.14, 0.1, 0.05],
    -5,
    1.2,
    0.022,
    0.14,
    0.3,
  ),
};

/** @throws DomainError `unknown-name` */
export function bladeShape(family: string): BladeShape {
  const found = Object.hasOwn(BLADES, family) ? BLADES[family as BladeFamily] : undefined;
  if (!found)
    throw new DomainError(
      'unknown-name',
      `there is no blade family “${family}”; there are ${BLADE_FAMILIES.join(', ')}`,
      { family },
    );
  return found;
}

/** Chord / tip radius at r/R. */
export function chordAt(blade: BladeShape, x: number): number {
  return interpolateLinear(RADII, blade.chord, x);
}

/** Blade angle [rad] at r/R for a pitch / diameter: constant pitch, so that tan beta = (p/D) / (pi r/R). */
export function bladeAngle(pitchRatio: number, x: number): number {
  return Math.atan(pitchRatio / (Math.PI * x));
}

/**
 * Lift-curve slope of thin sections below Re 200 000 [per rad]; 5.7 rather than 2 pi, as tunnel tests of thin sections
 * give (from memory).
 */
const SLOPE = 5.7;

/**
 * How section figures go with the Reynolds number: drag as Re^-0.4 below 100 000 and Re^-0.2 above, the limit by 0.25 a
 * decade (from memory of tests on thin sections).
 */
function reynoldsOf(blade: BladeShape, reynolds: number): { cd0: number; clMax: number } {
  const r = clamp(reynolds, 2000, 2e6) / 1e5;
  return {
    cd0: blade.cd0 * r ** (r < 1 ? -0.4 : -0.2),
    clMax: clamp(blade.clMax + 0.25 * Math.log10(r), 0.6, 1.6),
  };
}

/** Smooth step from 0 at a to 1 at b. */
function smooth(x: number, a: number, b: number): number {
  const t = clamp((x - a) / (b - a), 0, 1);
  return t * t * (3 - 2 * t);
}

/**
 * Lift and drag coefficient of a blade section at any angle.
 * Attached: straight line to the limit, drag bucket. Stalled: flat plate (Hoerner; normal force near 2 sin alpha).
 * @param alpha angle against the face [rad] @param reynolds on the chord @param cr chord / radius, for the delay of the
 * stall on a turning blade: cl gains 3 (c/r)^2 of the missing lift (Snel, Houwink and Bosschers 1993, from memory)
 * @param mach of the section; slope grows as 1 / sqrt(1 - M^2), M held at 0.75
 */
export function bladeSection(
  blade: BladeShape,
  alpha: number,
  reynolds: number,
  cr = 0,
  mach = 0,
): { cl: number; cd: number } {
  const { cd0, clMax } = reynoldsOf(blade, reynolds);
  const m = Math.min(mach, 0.75);
  const potential = (SLOPE / Math.sqrt(1 - m * m)) * Math.sin(alpha - blade.alpha0);
  const top = clMax,
    bottom = -0.55 * clMax;
  // past the limit the plate takes over within ten degrees
  const over =
    potential > top ? (potential - top) / SLOPE : potential < bottom ? (bottom - potential) / SLOPE : 0;
  const held = clamp(potential, bottom, top);
  const w = smooth(over, 0, 14 * DEG);
  const plate = { cl: 1.9 * Math.sin(alpha) * Math.cos(alpha), cd: 1.9 * Math.sin(alpha) ** 2 };
  const flat = (1 - w) * held + w * plate.cl;
  const gain = potential > top ? Math.min(0.6, 3 * cr * cr) * (Math.min(potential, 2.2) - flat) : 0;
  const cl = flat + Math.max(0, gain);
  const bucket =
    cd0 * (1 + 1.2 * (held / clMax - 0.45) ** 2) + 0.02 * Math.max(0, Math.abs(held) - 0.8 * clMax);
  return { cl, cd: (1 - w) * (bucket + over) + w * (plate.cd + cd0) };
}
