/** Tail and fin sized for what is wanted of them, by scaling their area and solving the whole aircraft again. */
import { say, type Said } from '../words';
import { findRoot } from '../numeric';
import type { Contour } from '../section';
import type { Design } from '../design';
import {
  bodySlopes,
  derivativesOf,
  linearAero,
  momentAbout,
  planformOf,
  solveLattice,
  tailVolume,
  type LinearAero,
  type Planform,
} from '../surface';

/** A surface with its area multiplied, about its root quarter chord, proportions kept. */
export function scaledSurface(s: Design['surfaces'][number], area: number): Design['surfaces'][number] {
  const k = Math.sqrt(area),
    root = s.stations[0].chord;
  return {
    ...s,
    x: s.x + 0.25 * root * (1 - k),
    stations: s.stations.map((p) => ({ ...p, y: p.y * k, x: p.x * k, z: p.z * k, chord: p.chord * k })),
  };
}

/**
 * A tail, foreplane or fin scaled to a volume (arm between quarter chords; below zero ahead of the wing).
 * @returns null for a volume of the other sign, or one out of reach of a factor of 20 in area
 */
export function sizedToVolume(
  wing: Planform,
  s: Design['surfaces'][number],
  volume: number,
): Design['surfaces'][number] | null {
  const vertical = s.role === 'fin';
  const at = (k: number) => tailVolume(wing, planformOf(scaledSurface(s, k)), vertical).volume - volume;
  const r = findRoot(at, 0.05, 20, 1e-9);
  if (r.status === 'no-bracket') return null;
  const mm = (v: number) => Math.round(v * 10000) / 10000,
    sized = scaledSurface(s, r.x);
  return {
    ...sized,
    x: mm(sized.x),
    stations: sized.stations.map((p) => ({ ...p, y: mm(p.y), x: mm(p.x), z: mm(p.z), chord: mm(p.chord) })),
  };
}

export interface Sized {
  surface: string;
  /** factor on its area */ factor: number;
  area: number;
  volume: number;
  said: Said;
}

const withArea = (design: Design, id: string, factor: number): Design => ({
  ...design,
  surfaces: design.surfaces.map((s) => (s.id === id ? scaledSurface(s, factor) : s)),
});

function aeroOf(design: Design, contours: ReadonlyMap<string, Contour>, shift: number): LinearAero {
  const sol = solveLattice(design, contours);
  return linearAero(sol, bodySlopes(design, sol).pitch, shift);
}

const LEAST = 0.15,
  MOST = 5;

/** Horizontal tail for a static margin with the CG at `cgX` (the worst state's); null when no area within reach does it. */
export function tailForMargin(
  design: Design,
  contours: ReadonlyMap<string, Contour>,
  cgX: number,
  margin: number,
  shift = 0,
): Sized | null {
  const tail = design.surfaces.find((s) => s.role === 'tail');
  if (!tail) return null;
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  const r = findRoot(
    (k) => (aeroOf(withArea(design, tail.id, k), contours, shift).neutralX - cgX) / wing.mac - margin,
    LEAST,
    MOST,
    2e-3,
    14,
  );
  if (r.status === 'no-bracket') return null;
  const t = planformOf(scaledSurface(tail, r.x)),
    { volume } = tailVolume(wing, t, false);
  return {
    surface: tail.id,
    factor: r.x,
    area: t.area,
    volume,
    said: say('tail-sized', { name: tail.name, factor: r.x, volume, margin }),
  };
}

/** Fin for a yaw stiffness, CG furthest aft. */
export function finForStiffness(
  design: Design,
  contours: ReadonlyMap<string, Contour>,
  cgX: number,
  wanted = 0.05,
): Sized | null {
  const fin = design.surfaces.find((s) => s.role === 'fin');
  if (!fin) return null;
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  const at = (k: number) => {
    const d = withArea(design, fin.id, k),
      sol = solveLattice(d, contours);
    return derivativesOf(sol, { alpha: 0.05, elevator: 0, x: cgX, z: 0 }, bodySlopes(d, sol)).Cnbeta - wanted;
  };
  const r = findRoot(at, LEAST, MOST, 5e-3, 12);
  if (r.status === 'no-bracket') return null;
  const f = planformOf(scaledSurface(fin, r.x)),
    { volume } = tailVolume(wing, f, true);
  return {
    surface: fin.id,
    factor: r.x,
    area: f.area,
    volume,
    said: say('fin-sized', { name: fin.name, factor: r.x, volume, stiffness: wanted }),
  };
}

/** Stabiliser incidence at which the elevator stands in line at a lift coefficient [rad], and the decalage that makes. */
export function decalageFor(
  design: Design,
  contours: ReadonlyMap<string, Contour>,
  cl: number,
  cgX: number,
  body: number,
): { incidence: number; decalage: number } | null {
  const stab = design.surfaces.find((s) => s.role === 'tail' || s.role === 'canard'),
    wing = design.surfaces.find((s) => s.role === 'wing')!;
  if (!stab) return null;
  const cmAt = (incidence: number): number => {
    const d = {
      ...design,
      surfaces: design.surfaces.map((s) => (s.id === stab.id ? { ...s, incidence } : s)),
    };
    const a = linearAero(solveLattice(d, contours), body, 0),
      c = a.sol.coefficients,
      m = momentAbout(a, cgX);
    return m.zero + (m.slope * (cl - c.cl0)) / c.clAlpha;
  };
  // nearly linear in incidence: a straight line, and once more from where it leads
  const a = cmAt(stab.incidence),
    b = cmAt(stab.incidence + 0.02);
  if (Math.abs(b - a) < 1e-9) return null;
  const first = stab.incidence - (0.02 * a) / (b - a);
  const incidence = first - (0.02 * cmAt(first)) / (b - a);
  return { incidence, decalage: wing.incidence + wing.stations[0].twist - incidence };
}
