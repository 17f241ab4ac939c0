/**
 * Surfaces with their flaps set: what the air meets in a state. A station is put on either side of every flap's end, so
 * that the strips between them have the section with its flap down; the drawing itself stays as it is.
 */
import type { Design, Section, State, Station, Surface } from '../design';
import { clamp } from '../numeric';
import { stationAt } from './planform';

export type FlapSetting = NonNullable<State['flaps']>[number];
export type Drawn = Pick<Design, 'surfaces' | 'sections'>;

/** Half the distance between the stations on either side of a cut, of the half span. */
const CUT = 1e-6;
/** The farthest that a flap is computed for [rad]. */
const MOST = 0.7;

interface Down {
  readonly from: number;
  readonly to: number;
  readonly hinge: number;
  readonly angle: number;
}

function downOn(surface: Surface, flaps: readonly FlapSetting[]): Down[] {
  const tip = surface.stations[surface.stations.length - 1].y;
  return flaps.flatMap((f) => {
    const c = f.surface === surface.id ? surface.controls.find((k) => k.id === f.control) : undefined;
    if (!c || f.angle === 0 || c.to <= c.from) return [];
    return [{ from: c.from * tip, to: c.to * tip, hinge: 1 - c.chordFraction, angle: f.angle }];
  });
}

const flapped = (id: string, f: Down) => `${id} flap ${f.hinge.toFixed(3)} ${f.angle.toFixed(4)}`;

/** The section with its flap set, on top of a flap that is drawn into it. */
function lowered(s: Section, f: Down): Section {
  const { thickness, camber, flap } = s.change ?? { thickness: 1, camber: 1, flap: null };
  const angle = clamp(f.angle + (flap?.angle ?? 0), -MOST, MOST),
    hinge = clamp(f.hinge, 0.4, 0.95);
  const degrees = Math.round((f.angle * 180) / Math.PI),
    name = `${s.name}, flap ${degrees}°`.slice(0, 200);
  return { ...s, id: flapped(s.id, f), name, change: { thickness, camber, flap: { hinge, angle } } };
}

/** Places out where the section changes: flap ends, and half way between stations of two sections. */
function cutsOf({ stations }: Surface, downs: readonly Down[]): number[] {
  const tip = stations[stations.length - 1].y,
    clear = 4 * CUT * tip;
  const changes = stations.flatMap((s, i) =>
    i > 0 && s.section !== stations[i - 1].section ? [(s.y + stations[i - 1].y) / 2] : [],
  );
  const inside = [...changes, ...downs.flatMap((d) => [d.from, d.to])].filter(
    (y) => y > clear && y < tip - clear,
  );
  return inside.sort((a, b) => a - b).filter((y, i, all) => i === 0 || y - all[i - 1] > clear);
}

function withFlaps(surface: Surface, downs: readonly Down[]): Surface {
  const tip = surface.stations[surface.stations.length - 1].y,
    eps = CUT * tip;
  const cuts = cutsOf(surface, downs),
    beside = cuts.flatMap((y) => [y - eps, y + eps]);
  // a station that lies on a cut gives way to the two beside it
  const kept = surface.stations.filter((s) => cuts.every((y) => Math.abs(s.y - y) > 2 * eps));
  const stations = [...kept, ...beside.map((y) => stationAt(surface, y))].sort((a, b) => a.y - b.y);
  const sectionAt = (s: Station) => {
    // a flap that runs to the root or the tip has their stations too
    const d = downs.find((k) => s.y > k.from - 4 * eps && s.y < k.to + 4 * eps),
      past = d && cuts.some((y) => (y === d.from && s.y < y) || (y === d.to && s.y > y));
    return d && !past ? flapped(s.section, d) : s.section;
  };
  return { ...surface, stations: stations.map((s) => ({ ...s, section: sectionAt(s) })) };
}

const KNOWN = new WeakMap<Surface[], Map<string, Drawn>>();

/**
 * @param flaps as a state sets them
 * @returns the drawing itself where none is down; its own sections stay beside those with flaps
 */
export function drooped(drawn: Drawn, flaps: readonly FlapSetting[] | undefined): Drawn {
  if (!flaps?.some((f) => f.angle !== 0)) return drawn;
  const key = JSON.stringify([flaps, drawn.sections]),
    known = KNOWN.get(drawn.surfaces) ?? new Map<string, Drawn>();
  KNOWN.set(drawn.surfaces, known);
  const made = known.get(key) ?? lower(drawn, flaps);
  known.set(key, made);
  return made;
}

function lower({ surfaces, sections }: Drawn, flaps: readonly FlapSetting[]): Drawn {
  const downs = surfaces.map((s) => downOn(s, flaps));
  const more = new Map<string, Section>();
  for (const d of downs.flat())
    for (const s of sections) {
      const made = lowered(s, d);
      more.set(made.id, made);
    }
  const shaped = surfaces.map((s, i) => (downs[i].length > 0 ? withFlaps(s, downs[i]) : s));
  const used = new Set(shaped.flatMap((s) => s.stations.map((st) => st.section)));
  return { surfaces: shaped, sections: [...sections, ...[...more.values()].filter((s) => used.has(s.id))] };
}
