/**
 * What stands in one half of a surface: its members side by side, sharing the load by stiffness, and what they stand
 * together at every place. A member that takes the share s of a moment fails when the whole reaches its own limit over s:
 * the lowest of all members and ways counts. Bending and shear are shared by EI, torque by GJ.
 */
import { membersOf, type Design, type Member, type Surface } from '../design';
import { sectionModel, TABLE_POINTS } from '../section';
import { stationAt } from '../surface';
import { extentOf } from './along';
import { beamGrid, type Grid } from './beam';
import { breaksOf, massAlong, sectionsAlong } from './cantilever';
import type { Capacity, CrossSection, PartName, Way } from './crossSection';
import { materialNamed, ownMaterials, type Material } from './materials';
import { isSkin, materialsOf, memberSection } from './memberSection';
import type { SkinPlace } from './shapes';

/** What of the design bears on it. */
export type Built = Pick<Design, 'structure' | 'surfaces' | 'sections'>;

export interface Borne {
  readonly member: Member;
  /** at the grid's places; null where it is not */ readonly sections: readonly (CrossSection | null)[];
  /** of one half [kg] */ readonly mass: number;
}

/** Who gives way, and how. */
export interface Weak {
  readonly member: string;
  readonly way: Way;
  readonly part: PartName;
  readonly material: string;
}

/** Lowest limit of all members at each place, of what goes with strength and of what goes with stiffness. */
export interface Limit {
  readonly strength: Float64Array;
  readonly strengthBy: readonly (Weak | null)[];
  readonly stiffness: Float64Array;
  readonly stiffnessBy: readonly (Weak | null)[];
}

export interface Bearing {
  readonly surface: string;
  readonly y: Grid;
  /** outer end of its outermost member, and of the surface [m] */ readonly end: number;
  readonly tip: number;
  readonly members: readonly Borne[];
  /** [N m2] */ readonly EI: Float64Array;
  readonly GJ: Float64Array;
  /** place on the chord that the members turn about */ readonly axis: Float64Array;
  readonly up: Limit;
  readonly down: Limit;
  readonly shear: Limit;
  readonly torque: Limit;
}

export type BearingResult =
  | { readonly status: 'bears'; readonly bearing: Bearing }
  | { readonly status: 'none' }
  | { readonly status: 'unknown-material'; readonly materials: readonly string[] };

/** Materials as a design names them. */
export function namedIn(d: Pick<Design, 'structure'>): (id: string) => Material | undefined {
  const own = ownMaterials(d.structure.materials ?? []);
  return (id) => materialNamed(id, own);
}

/** Every material that members and arms name and nobody knows. @param of these alone */
export function unknownMaterials(
  d: Pick<Design, 'structure'>,
  of: readonly Pick<Member, 'shape' | 'steps'>[] = [...d.structure.members, ...(d.structure.arms ?? [])],
): string[] {
  const named = namedIn(d);
  const all = of.flatMap((m) => [m.shape, ...(m.steps ?? []).map((s) => s.shape)].flatMap(materialsOf));
  return [...new Set(all)].filter((id) => !named(id));
}

/** Outlines by shape: a shape is never changed in place. */
const outlines = new WeakMap<object, Float64Array>();

/** Outlines of a design's sections, each drawn when it is first asked for. */
export function outlinesOf(d: Pick<Design, 'sections'>): (section: string) => Float64Array | null {
  const changed = new Map<string, Float64Array>();
  return (id) => {
    const section = d.sections.find((s) => s.id === id);
    if (!section) return null;
    const known = section.change ? changed.get(id) : outlines.get(section.shape);
    if (known) return known;
    const { xy } = sectionModel(section.shape, section.change ?? null, TABLE_POINTS).outline;
    if (section.change) changed.set(id, xy);
    else outlines.set(section.shape, xy);
    return xy;
  };
}

export const tipOf = (s: Surface): number => s.stations[s.stations.length - 1].y;

/** A member along one half of its surface. */
export function borne(d: Built, member: Member, y: Grid, outline = outlinesOf(d)): Borne {
  const surface = d.surfaces.find((s) => s.id === member.surface)!,
    named = namedIn(d);
  const place = (at: number): SkinPlace | null => {
    const st = stationAt(surface, at),
      xy = outline(st.section);
    return xy && { xy, chord: st.chord, at: member.chordPlace };
  };
  const sections = sectionsAlong(member, y, tipOf(surface), (shape, at) =>
    memberSection(shape, named, isSkin(shape) ? place(at) : null),
  );
  return { member, sections, mass: massAlong(y, sections) };
}

/** A strip between two of what holds it, in even bending: pi/s sqrt(EI GJ) (Timoshenko and Gere, 6.3, from memory). */
function sidewaysOf(m: Member, s: CrossSection): Capacity[] {
  if (!m.held || m.shape.kind !== 'strip') return [];
  const { name } = s.slabs[0].material,
    at = (Math.PI / m.held) * Math.sqrt(s.EIside * s.GJ);
  return [{ way: 'sideways', part: 'member', material: name, at, by: 'stiffness' }];
}

type Which = 'up' | 'down' | 'shear' | 'torque';

function limitOf(borne: readonly Borne[], which: Which, shares: readonly Float64Array[], n: number): Limit {
  const strength = new Float64Array(n).fill(Infinity),
    stiffness = new Float64Array(n).fill(Infinity),
    strengthBy = new Array<Weak | null>(n).fill(null),
    stiffnessBy = new Array<Weak | null>(n).fill(null);
  for (let p = 0; p < n; p++) {
    let any = false;
    borne.forEach(({ member, sections }, k) => {
      const s = sections[p];
      if (!s) return;
      any = true;
      const bends = which === 'up' || which === 'down';
      for (const c of bends ? [...s[which], ...sidewaysOf(member, s)] : s[which]) {
        const at = c.at / shares[k][p],
          [least, by] = c.by === 'strength' ? [strength, strengthBy] : [stiffness, stiffnessBy];
        if (!(at < least[p])) continue;
        least[p] = at;
        by[p] = { member: member.id, way: c.way, part: c.part, material: c.material };
      }
    });
    // where no member is, nothing bears
    if (!any) strength[p] = 0;
  }
  return { strength, strengthBy, stiffness, stiffnessBy };
}

/** Shares of all members at every place, by one of their stiffnesses. */
function sharesBy(borne: readonly Borne[], of: 'EI' | 'GJ', n: number) {
  const total = new Float64Array(n);
  for (const { sections } of borne) sections.forEach((s, p) => (total[p] += s?.[of] ?? 0));
  const shares = borne.map(({ sections }) =>
    Float64Array.from(sections, (s, p) => (s && total[p] > 0 ? s[of] / total[p] : 0)),
  );
  return { total, shares };
}

/** @param intervals along the span; twice as many move nothing by 0.5 % */
export function bearingOf(d: Built, surfaceId?: string, intervals = 12): BearingResult {
  const members = membersOf(d, surfaceId);
  if (members.length === 0) return { status: 'none' };
  const unknown = unknownMaterials(d, members);
  if (unknown.length > 0) return { status: 'unknown-material', materials: unknown };
  const surface = d.surfaces.find((s) => s.id === members[0].surface)!,
    tip = tipOf(surface),
    end = Math.max(...members.map((m) => extentOf(m, tip)[1]));
  const y = beamGrid(
      end,
      [...members.flatMap((m) => breaksOf(m, tip)), ...surface.stations.map((s) => s.y)],
      intervals,
    ),
    n = y.length,
    outline = outlinesOf(d),
    all = members.map((m) => borne(d, m, y, outline));
  const bends = sharesBy(all, 'EI', n),
    twists = sharesBy(all, 'GJ', n);
  const axis = new Float64Array(n);
  all.forEach(({ member }, k) => {
    for (let p = 0; p < n; p++) axis[p] += bends.shares[k][p] * member.chordPlace;
  });
  return {
    status: 'bears',
    bearing: {
      surface: surface.id,
      y,
      end,
      tip,
      members: all,
      EI: bends.total,
      GJ: twists.total,
      axis,
      up: limitOf(all, 'up', bends.shares, n),
      down: limitOf(all, 'down', bends.shares, n),
      shear: limitOf(all, 'shear', bends.shares, n),
      torque: limitOf(all, 'torque', twists.shares, n),
    },
  };
}
