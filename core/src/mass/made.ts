/** Volumes and faces of surfaces and of the body, for masses calculated from what they are made of. */
import { sectionModel, TABLE_POINTS } from '../section';
import type { Design, Section } from '../design';
import { bodyFacts, isMirrored, placeOf, stationAt } from '../surface';

export interface Measures {
  /** [m3] */ volume: number;
  /** all outer faces [m2] */ wetted: number;
  /** centre of the volume [m] */ x: number;
  z: number;
}

interface SectionMeasures {
  area: number;
  girth: number;
  centroid: number;
}

/** By shape object: a shape is never changed in place, and measuring it is slow beside summing masses. */
const known = new WeakMap<object, SectionMeasures>();

/** Area and girth of a section per chord squared and chord, and where its area lies along the chord. */
function sectionMeasures(section: Pick<Section, 'shape' | 'change'>): SectionMeasures {
  const found = section.change ? undefined : known.get(section.shape);
  if (found) return found;
  const xy = sectionModel(section.shape, section.change ?? null, TABLE_POINTS).outline.xy;
  let area = 0,
    first = 0,
    girth = 0;
  const n = xy.length / 2;
  for (let i = 0; i < n; i++) {
    const j = (i + 1) % n,
      x1 = xy[2 * i],
      y1 = xy[2 * i + 1],
      x2 = xy[2 * j],
      y2 = xy[2 * j + 1];
    const cross = x1 * y2 - x2 * y1;
    area += cross / 2;
    first += (cross * (x1 + x2)) / 6;
    girth += Math.sqrt((x2 - x1) ** 2 + (y2 - y1) ** 2);
  }
  const m = { area: Math.abs(area), girth, centroid: Math.abs(area) > 1e-9 ? first / area : 0.5 };
  if (!section.change) known.set(section.shape, m);
  return m;
}

const SLICES = 20;

/** Measures of a surface (both sides where it stands on both) or of the `body`; null for an unknown part. */
export function measuresOf(
  design: Pick<Design, 'surfaces' | 'body' | 'sections'>,
  part: string,
): Measures | null {
  if (part === 'body') {
    const f = bodyFacts(design.body);
    let volume = 0,
      mx = 0,
      mz = 0;
    for (let i = 0; i < design.body.length - 1; i++) {
      const a = design.body[i],
        b = design.body[i + 1],
        v = bodyFacts([a, b]).volume;
      volume += v;
      mx += (v * (a.x + b.x)) / 2;
      mz += (v * (a.z + b.z)) / 2;
    }
    return {
      volume: f.volume,
      wetted: f.wetted,
      x: volume > 0 ? mx / volume : design.body[0].x,
      z: volume > 0 ? mz / volume : 0,
    };
  }
  const surface = design.surfaces.find((s) => s.id === part);
  if (!surface) return null;
  const end = surface.stations[surface.stations.length - 1].y;
  let volume = 0,
    wetted = 0,
    mx = 0,
    mz = 0;
  for (let i = 0; i < SLICES; i++) {
    const y0 = (end * i) / SLICES,
      y1 = (end * (i + 1)) / SLICES,
      st = stationAt(surface, 0.5 * (y0 + y1));
    const section = design.sections.find((s) => s.id === st.section);
    if (!section) continue;
    const a = placeOf(surface, stationAt(surface, y0)),
      b = placeOf(surface, stationAt(surface, y1)),
      m = placeOf(surface, st);
    const length = Math.sqrt((b.y - a.y) ** 2 + (b.z - a.z) ** 2),
      k = sectionMeasures(section);
    const v = k.area * st.chord ** 2 * length;
    volume += v;
    wetted += k.girth * st.chord * length;
    mx += v * (m.x + k.centroid * st.chord);
    mz += v * m.z;
  }
  const sides = isMirrored(surface) ? 2 : 1;
  return { volume: sides * volume, wetted: sides * wetted, x: mx / volume, z: mz / volume };
}
