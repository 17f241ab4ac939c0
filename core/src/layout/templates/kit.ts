/** What layouts are drawn with. */
import type { Design, Station, Surface } from '../../design';
import { planformOf } from '../../surface';

export const DEG = Math.PI / 180;

export interface LayoutTemplate {
  id: string;
  name: string;
  /** what it gives */ fixes: string;
  /** what it takes, and which checks will matter */ costs: string;
  /** it hangs on rotors */ wingless?: true;
  /** its list of masses and what drives it begin anew */ anew?: true;
  make(base: Design): Design;
}

type Control = Surface['controls'][number];
export const control = (
  id: string,
  name: string,
  kind: Control['kind'],
  from: number,
  to: number,
  chordFraction: number,
  deg = 20,
): Control => ({ id, name, kind, from, to, chordFraction, maxDeflection: deg * DEG });
export const st = (
  y: number,
  x: number,
  z: number,
  chord: number,
  twist = 0,
  section = 'wing-section',
): Station => ({ y, x, z, chord, twist: twist * DEG, section });
export const surface = (
  id: string,
  name: string,
  role: Surface['role'],
  x: number,
  z: number,
  incidence: number,
  stations: Station[],
  controls: Control[] = [],
  more: Partial<Surface> = {},
): Surface => ({ id, name, role, x, z, incidence: incidence * DEG, stations, controls, ...more });

export const AILERON = control('aileron', 'Aileron', 'aileron', 0.55, 0.95, 0.25);
const ELEVATOR = control('elevator', 'Elevator', 'elevator', 0, 1, 0.35);
export const RUDDER = control('rudder', 'Rudder', 'rudder', 0, 1, 0.4, 25);

export const SECTIONS: Design['sections'] = [
  { id: 'wing-section', name: 'NACA 4412', shape: { kind: 'naca4', digits: '4412' }, note: 'generated' },
  { id: 'tail-section', name: 'NACA 0009', shape: { kind: 'naca4', digits: '0009' }, note: 'generated' },
  { id: 'fore-section', name: 'NACA 4412', shape: { kind: 'naca4', digits: '4412' }, note: 'generated' },
  {
    id: 'reflex-section',
    name: 'NACA 23112',
    shape: { kind: 'naca5', digits: '23112' },
    note: 'generated, reflexed',
  },
  { id: 'thin-section', name: 'NACA 3409', shape: { kind: 'naca4', digits: '3409' }, note: 'generated' },
  { id: 'sweep-section', name: 'NACA 2412', shape: { kind: 'naca4', digits: '2412' }, note: 'generated' },
];

export interface Size {
  /** half span, mean chord [m] */ h: number;
  c: number;
}

/**
 * Two wings share the area of one: their chords together, less the tenth and a half that pairs are drawn larger, are the
 * chord of the single wing.
 */
export function sizeOf(d: Design): Size {
  const p = planformOf(d.surfaces.find((s) => s.role === 'wing')!);
  const second = d.surfaces
    .filter((s) => s.role === 'tail')
    .map(planformOf)
    .find((t) => t.area > 0.6 * p.area);
  return { h: p.span / 2, c: second ? (p.area + second.area) / (1.15 * p.span) : p.area / p.span };
}
export const plate = (
  id: string,
  name: string,
  x: number,
  z: number,
  height: number,
  chord: number,
  sweep = 0.35,
  controls: Control[] = [],
  more: Partial<Surface> = {},
) =>
  surface(
    id,
    name,
    'fin',
    x,
    z,
    0,
    [st(0, 0, 0, chord, 0, 'tail-section'), st(height, sweep * height, 0, 0.65 * chord, 0, 'tail-section')],
    controls,
    more,
  );
export const tailOf = (x: number, z: number, half: number, chord: number, incidence = -1) =>
  surface(
    'tail',
    'Tailplane',
    'tail',
    x,
    z,
    incidence,
    [st(0, 0, 0, chord, 0, 'tail-section'), st(half, 0.15 * chord, 0, 0.8 * chord, 0, 'tail-section')],
    [ELEVATOR],
  );
