/**
 * The lightest member that does, among what is sold. Members bend together: all have one curvature, and the first to reach
 * its own limit ends it, M = min(M_k / EI_k) sum EI. Loads are those of the present mass: a spar of another weight moves them
 * by a per cent or two.
 */
import type { Member, MemberShape } from '../design';
import type { Bearing } from './bearing';
import { lowest, type Capacity, type CrossSection, type Way } from './crossSection';
import type { Material } from './materials';
import { memberSection } from './memberSection';
import type { Sold } from './sold';

/** What the wing must stand at every place of a grid, factors included; all above nil. */
export interface Demand {
  /** [m] */ readonly y: Float64Array;
  /** [N m] */ readonly up: Float64Array;
  readonly down: Float64Array;
  /** [N] */ readonly shear: Float64Array;
  /** [N m] */ readonly torque: Float64Array;
}

export interface Ranked {
  readonly label: string;
  readonly shape: MemberShape;
  readonly tipHeight: number | null;
  /** both halves [kg] */ readonly mass: number;
  /** at the root [N m2] */ readonly EI: number;
  /** times what is asked is borne, and what fails first */ readonly factor: number;
  readonly way: Way | null;
  readonly fits: boolean;
}

interface Curvatures {
  /** least limit over stiffness, and stiffness, of the members that stay */
  readonly up: Float64Array;
  readonly down: Float64Array;
  readonly shear: Float64Array;
  readonly torque: Float64Array;
  readonly EI: Float64Array;
  readonly GJ: Float64Array;
}

const WAYS = ['up', 'down', 'shear', 'torque'] as const;
type Of = (typeof WAYS)[number];
const per = (of: Of, s: CrossSection) => (of === 'torque' ? s.GJ : s.EI);

/** Members that stay beside the one that is looked for. */
function staying(b: Bearing, without: string): Curvatures {
  const n = b.y.length,
    fill = (v: number) => new Float64Array(n).fill(v),
    out = {
      up: fill(Infinity),
      down: fill(Infinity),
      shear: fill(Infinity),
      torque: fill(Infinity),
      EI: fill(0),
      GJ: fill(0),
    };
  for (const { member, sections } of b.members) {
    if (member.id === without) continue;
    sections.forEach((s, p) => {
      if (!s) return;
      out.EI[p] += s.EI;
      out.GJ[p] += s.GJ;
      for (const of of WAYS) out[of][p] = Math.min(out[of][p], (lowest(s[of])?.at ?? Infinity) / per(of, s));
    });
  }
  return out;
}

export interface RankTask {
  readonly bearing: Bearing;
  /** the member that is looked for, and where it stands [m] */ readonly member: Member;
  readonly from: number;
  readonly to: number;
  /** depth of the section where it stands, at the grid's places [m] */ readonly room: readonly number[];
  readonly demand: Demand;
  readonly named: (id: string) => Material | undefined;
  /** halves that it stands in */ readonly sides: number;
}

/** Every third place: interval ends at which loads are largest lie there. */
const EVERY = 3;
/** A member that follows the section's depth is cut at every so many of them. */
const CUT_EVERY = 3;

interface Tried {
  factor: number;
  way: Way | null;
  mass: number;
  EI: number;
}

/** @param at cross-section at a place of the grid */
function tried(t: RankTask, stays: Curvatures, at: (p: number) => CrossSection): Tried {
  const { y } = t.demand;
  let factor = Infinity,
    way: Way | null = null,
    mass = 0,
    EI = 0;
  for (let p = 0; p < y.length; p += EVERY) {
    if (y[p] < t.from - 1e-9 || y[p] >= t.to) continue;
    const s = at(p);
    if (EI === 0) EI = s.EI;
    mass += s.perLength * (y[p + 2] - y[p]);
    for (const of of WAYS) {
      const asked = t.demand[of][p];
      if (!(asked > 0)) continue;
      const own: Capacity | null = lowest(s[of]),
        limit = (own?.at ?? Infinity) / per(of, s),
        total = per(of, s) + (of === 'torque' ? stays.GJ[p] : stays.EI[p]),
        bears = (Math.min(limit, stays[of][p]) * total) / asked;
      if (!(bears < factor)) continue;
      factor = bears;
      way = limit <= stays[of][p] ? (own?.way ?? null) : null;
    }
  }
  return { factor, way, mass: t.sides * mass, EI };
}

/** Something sold as it would stand in this wing; null where its materials are not known. */
function candidate(t: RankTask, stays: Curvatures, of: Sold): Ranked | null {
  const { y } = t.demand,
    deep = (p: number): MemberShape =>
      of.fills && 'height' in of.shape ? { ...of.shape, height: t.room[p] } : of.shape;
  const places = Array.from({ length: y.length / EVERY }, (_, i) => EVERY * i).filter(
      (p) => y[p] >= t.from - 1e-9 && y[p] < t.to,
    ),
    root = places[0];
  if (root === undefined) return null;
  const constant = of.fills ? null : memberSection(of.shape, t.named, null);
  if (!of.fills && !constant) return null;
  const cuts = new Map<number, CrossSection>();
  let cut: CrossSection | null = constant;
  // from the tip in: what is as deep as the section is cut at every few places, the thinner one standing for those within
  for (const [k, p] of [...places].reverse().entries()) {
    if (!constant && k % CUT_EVERY === 0) cut = memberSection(deep(p), t.named, null);
    if (!cut) return null;
    cuts.set(p, cut);
  }
  const found = tried(t, stays, (p) => cuts.get(p)!),
    depth = 'outer' in of.shape ? of.shape.outer : 'height' in of.shape ? of.shape.height : 0,
    thin = (p: number) =>
      'cap' in of.shape && of.fills ? 2 * of.shape.cap >= t.room[p] : depth > t.room[p] + 1e-4;
  const last = places[places.length - 1];
  return {
    label: of.label,
    shape: deep(root),
    tipHeight: of.fills ? t.room[last] : null,
    ...found,
    fits: !places.some(thin),
  };
}

/** Those that fit and bear all that is asked, lightest first; then those that come nearest. */
export function rankSold(t: RankTask, sold: readonly Sold[]): Ranked[] {
  const stays = staying(t.bearing, t.member.id),
    all = sold.flatMap((s) => candidate(t, stays, s) ?? []);
  const does = (r: Ranked) => r.fits && r.factor >= 1;
  return all.sort((a, b) =>
    does(a) !== does(b)
      ? Number(does(b)) - Number(does(a))
      : does(a)
        ? a.mass - b.mass
        : Number(b.fits) - Number(a.fits) || b.factor - a.factor,
  );
}
