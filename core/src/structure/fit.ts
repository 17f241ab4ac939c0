/** Does a member fit in its section? The true depth at its place on the chord limits it. */
import type { Design, Member, MemberShape } from '../design';
import { thicknessAt } from '../section';
import { stationAt } from '../surface';
import { piecesOf, tapered } from './along';
import { outlinesOf, tipOf } from './bearing';
import { isSkin } from './memberSection';

/** Shapes of a member at the ends of its pieces. */
export function memberKnots(m: Member): MemberShape[] {
  return [m, ...(m.steps ?? [])].flatMap(({ shape, tip }) => [shape, tapered(shape, tip, 1)]);
}

/** Depth that a shape takes [m]; 0 for what is the section's own. */
export function depthOf(shape: MemberShape): number {
  if (isSkin(shape)) return 0;
  return 'outer' in shape ? shape.outer : 'height' in shape ? shape.height : 0;
}

export interface Misfit {
  readonly member: string;
  /** distance out [m] */ readonly y: number;
  readonly depth: number;
  readonly room: number;
}

/** Depth of the section where a member stands in it [m]. */
export function roomAt(
  d: Pick<Design, 'surfaces' | 'sections'>,
  m: Pick<Member, 'surface' | 'chordPlace'>,
  y: number,
  outline = outlinesOf(d),
): number {
  const surface = d.surfaces.find((s) => s.id === m.surface);
  if (!surface) return 0;
  const st = stationAt(surface, y),
    xy = outline(st.section);
  return xy ? st.chord * thicknessAt({ xy }, m.chordPlace) : 0;
}

/** A single face or sheet has no depth: what bears it stands under it. */
function isThin(d: Pick<Design, 'sections'>, id: string): boolean {
  const kind = d.sections.find((s) => s.id === id)?.shape.kind;
  return kind === 'film' || kind === 'plate' || kind === 'folded';
}

const PLACES = 12,
  /** drawn to a tenth of a millimetre */ TOLERANCE = 1e-4;

/** Where members are deeper than their section, each at its worst place; a member that fits is left out. */
export function fitOf(d: Pick<Design, 'surfaces' | 'sections' | 'structure'>): Misfit[] {
  const outline = outlinesOf(d);
  return d.structure.members.flatMap((m) => {
    const surface = d.surfaces.find((s) => s.id === m.surface);
    if (!surface || surface.stations.some((s) => isThin(d, s.section))) return [];
    let worst: Misfit | null = null;
    for (const { from, to, shape, tip } of piecesOf(m, tipOf(surface)))
      for (let i = 0; i <= PLACES; i++) {
        const t = i / PLACES,
          y = from + t * (to - from),
          depth = depthOf(tapered(shape, tip, t)),
          room = roomAt(d, m, y, outline);
        if (depth > room + TOLERANCE && (!worst || depth - room > worst.depth - worst.room))
          worst = { member: m.name, y, depth, room };
      }
    return worst ? [worst] : [];
  });
}
