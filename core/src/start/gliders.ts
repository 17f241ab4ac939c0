/** Gliders of one's own: what the layout draws, at a size. */
import type { DesignDocument, Surface } from '../design';
import { LAYOUT_TEMPLATES } from '../layout';
import { bareDesign, ownDocument } from './own';

const WATCH = [
  'mass',
  'wingLoading',
  'staticMargin',
  'stallSpeed',
  'minSink',
  'glideRatio',
  'cgX',
  'allowedLoadFactor',
];

const RUBBER_WATCH = [
  'flightTime',
  'peakHeight',
  'propellerRpm',
  'mass',
  'staticMargin',
  'stallSpeed',
  'minSink',
  'glideRatio',
];

/** A plain wing of a span and chord [m], for a layout to take its size from. */
function plainWing(wing: Surface, span: number, chord: number): Surface {
  const at = (y: number) => ({ y, x: 0, z: 0, chord, twist: 0, section: 'wing-section' });
  return { ...wing, stations: [at(0), at(span / 2)] };
}

/** @param span @param chord mean, m @param asked load factor the wing is to bear */
export function gliderDocument(
  layout: string,
  span: number,
  chord: number,
  asked: number,
  watch: readonly string[] = WATCH,
): DesignDocument {
  const design = bareDesign(),
    template = LAYOUT_TEMPLATES.find((t) => t.id === layout)!;
  const surfaces = design.surfaces.map((s) => (s.role === 'wing' ? plainWing(s, span, chord) : s)),
    made = template.make({ ...design, surfaces });
  return ownDocument({ ...made, structure: { ...made.structure, requiredLoadFactor: asked } }, watch);
}

/** Outdoor, 0.9 m across. */
export const rubberDocument = (): DesignDocument => gliderDocument('rubber', 0.9, 0.1, 3, RUBBER_WATCH);
