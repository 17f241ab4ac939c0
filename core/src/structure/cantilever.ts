/** One member alone, clamped at its root: what a load on it does, and what fails first. */
import type { Member, MemberShape } from '../design';
import { piecesOf, tapered } from './along';
import { beamGrid, deflected, type Grid } from './beam';
import { lowest, type Capacity, type CrossSection } from './crossSection';
import type { Material } from './materials';
import { memberSection } from './memberSection';
import type { SkinPlace } from './shapes';
import { sidewaysFactor } from './sideways';

/** What one member is at every place of a grid; null where it is not. */
export function sectionsAlong(
  m: Member,
  y: Grid,
  end: number,
  make: (shape: MemberShape, y: number) => CrossSection | null,
): (CrossSection | null)[] {
  const pieces = piecesOf(m, end),
    out: (CrossSection | null)[] = [];
  for (let i = 0; i < y.length; i += 3) {
    const piece = pieces.find((p) => y[i + 1] > p.from && y[i + 1] < p.to);
    for (let k = i; k < i + 3; k++)
      out.push(
        piece
          ? make(tapered(piece.shape, piece.tip, (y[k] - piece.from) / (piece.to - piece.from)), y[k])
          : null,
      );
  }
  return out;
}

/** Places where a member begins, ends or changes [m]. */
export function breaksOf(m: Member, end: number): number[] {
  return piecesOf(m, end).flatMap((p) => [p.from, p.to]);
}

export const DISTRIBUTIONS = ['elliptic', 'uniform', 'tip'] as const;
export type Distribution = (typeof DISTRIBUTIONS)[number];

/** Shear and moment of a load on one cantilever, as shares of F and F L, at eta = y / L. */
function shares(of: Distribution, eta: number): { shear: number; moment: number } {
  const left = 1 - eta;
  if (of === 'tip') return { shear: 1, moment: left };
  if (of === 'uniform') return { shear: left, moment: (left * left) / 2 };
  // l = 4 F / (pi L) sqrt(1 - eta^2), integrated once and twice
  const root = Math.sqrt(Math.max(0, 1 - eta * eta)),
    rest = 0.5 * (Math.PI / 2 - Math.asin(Math.min(1, eta)) - eta * root);
  return { shear: (4 / Math.PI) * rest, moment: (4 / Math.PI) * (root ** 3 / 3 - eta * rest) };
}

export interface CantileverTask {
  readonly member: Member;
  readonly named: (id: string) => Material | undefined;
  /** [m] */ readonly length: number;
  /** whole of it, up [N] */ readonly load: number;
  readonly distribution: Distribution;
  readonly place?: SkinPlace;
  readonly intervals?: number;
}

export interface FirstFailure extends Pick<Capacity, 'way' | 'part' | 'material' | 'by'> {
  /** load factor */ readonly factor: number;
  /** distance out [m] */ readonly y: number;
}

export interface CantileverResult {
  readonly y: Grid;
  readonly shear: Float64Array;
  readonly moment: Float64Array;
  readonly EI: Float64Array;
  readonly deflection: Float64Array;
  /** largest bending stress at every place [Pa] */ readonly stress: Float64Array;
  /** load factor at which each place fails */ readonly factor: Float64Array;
  readonly first: FirstFailure | null;
  /** [kg] */ readonly mass: number;
  /** load factor at which it would turn over sideways with nothing to hold it */ readonly sideways: number;
}

/** Largest stress that a moment makes in a cross-section [Pa]. */
function bendingStress(s: CrossSection, moment: number): number {
  return Math.max(
    ...s.slabs.map((p) => {
      const far = Math.max(Math.abs(p.top - s.neutral), Math.abs(p.bottom - s.neutral));
      return (p.material.modulus * Math.abs(moment) * far) / s.EI;
    }),
  );
}

/** Every way of failing at one place as a load factor. */
function waysAt(s: CrossSection, moment: number, shear: number): Capacity[] {
  const ratio = (c: Capacity, demand: number): Capacity => ({
    ...c,
    at: demand > 0 ? c.at / demand : Infinity,
  });
  return [
    ...(moment >= 0 ? s.up : s.down).map((c) => ratio(c, Math.abs(moment))),
    ...s.shear.map((c) => ratio(c, Math.abs(shear))),
  ];
}

/** @throws nothing: null where a material of it is not known */
export function solveCantilever(task: CantileverTask): CantileverResult | null {
  const { member, named, length: L, load, distribution, place, intervals = 48 } = task;
  const y = beamGrid(L, breaksOf(member, L), intervals),
    sections = sectionsAlong(member, y, L, (shape) => memberSection(shape, named, place ?? null));
  if (sections.some((s) => s === null)) return null;
  const whole = sections as CrossSection[],
    at = Array.from(y, (v) => shares(distribution, Math.min(1, v / L))),
    shear = Float64Array.from(at, (s) => load * s.shear),
    moment = Float64Array.from(at, (s) => load * L * s.moment),
    EI = Float64Array.from(whole, (s) => s.EI);
  const deflection = deflected(
    y,
    moment.map((m, i) => m / EI[i]),
  );
  const turns = sidewaysFactor(
    y,
    moment,
    Float64Array.from(whole, (s) => s.EIside),
    Float64Array.from(whole, (s) => s.GJ),
  );
  const factor = new Float64Array(y.length);
  let first: FirstFailure | null = null;
  whole.forEach((s, i) => {
    const least = lowest(waysAt(s, moment[i], shear[i]));
    factor[i] = least?.at ?? Infinity;
    if (least && (first === null || least.at < (first as FirstFailure).factor * (1 - 1e-9)))
      first = { ...least, factor: least.at, y: y[i] };
  });
  return {
    y,
    shear,
    moment,
    EI,
    deflection,
    stress: Float64Array.from(whole, (s, i) => bendingStress(s, moment[i])),
    factor,
    first: sidewaysFirst(member, whole, turns, first),
    mass: massAlong(y, whole),
    sideways: turns,
  };
}

/** A strip that nothing holds turns over; flanged members are held by the skin they are glued to. */
function sidewaysFirst(
  m: Member,
  sections: readonly CrossSection[],
  turns: number,
  first: FirstFailure | null,
): FirstFailure | null {
  const strip = m.shape.kind === 'strip' && m.held === undefined;
  if (!strip || (first !== null && first.factor <= turns)) return first;
  const material = sections[0]!.slabs[0]!.material.name;
  return { way: 'sideways', part: 'member', material, by: 'stiffness', factor: turns, y: 0 };
}

/** Simpson over every interval [kg]. */
export function massAlong(y: Grid, sections: readonly (CrossSection | null)[]): number {
  let mass = 0;
  for (let i = 0; i < y.length; i += 3) {
    const [a, m, b] = [0, 1, 2].map((k) => sections[i + k]?.perLength ?? 0) as [number, number, number];
    mass += ((y[i + 2] - y[i]) * (a + 4 * m + b)) / 6;
  }
  return mass;
}
