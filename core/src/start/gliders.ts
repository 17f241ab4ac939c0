/** Gliders of one's own: what the layout draws, at a size, with nothing to carry and no contest. */
import { starterDocument } from '../demo';
import { priorCalibration, type Design, type DesignDocument, type Surface } from '../design';
import { LAYOUT_TEMPLATES } from '../layout';

const WATCH = [
  'mass',
  'wingLoading',
  'staticMargin',
  'stallSpeed',
  'minSink',
  'glideRatio',
  'cgX',
  'allowedLoadFactor',
].map((q) => `${q}@flying`);

/** A plain wing of a span and chord [m], for a layout to take its size from. */
function plainWing(wing: Surface, span: number, chord: number): Surface {
  const at = (y: number) => ({ y, x: 0, z: 0, chord, twist: 0, section: 'wing-section' });
  return { ...wing, stations: [at(0), at(span / 2)] };
}

function nothingCarried(design: Design): Design {
  const payload = { ...design.payload, name: 'Nothing', unitMass: 0 };
  return { ...design, payload, states: [{ id: 'flying', name: 'Flying', count: 0 }], scale: [] };
}

/** @param span @param chord mean, m @param asked load factor the wing is to bear */
export function gliderDocument(layout: string, span: number, chord: number, asked: number): DesignDocument {
  const doc = starterDocument(),
    { design } = doc,
    template = LAYOUT_TEMPLATES.find((t) => t.id === layout)!;
  const surfaces = design.surfaces.map((s) => (s.role === 'wing' ? plainWing(s, span, chord) : s)),
    made = template.make(nothingCarried({ ...design, surfaces }));
  return {
    ...doc,
    brief: {
      ...doc.brief,
      site: { ...doc.brief.site, surface: 'short grass', stripLength: 30 },
      missions: [],
      tasks: [],
      watch: WATCH,
    },
    design: { ...made, structure: { ...made.structure, requiredLoadFactor: asked }, basis: {} },
    calibration: priorCalibration(),
  };
}
