/** What members weigh, and where: lines of the mass list follow them. */
import { type Design, type Member } from '../design';
import { isMirrored, placeOf, stationAt } from '../surface';
import { extentOf } from './along';
import { beamGrid } from './beam';
import { borne, outlinesOf, tipOf, unknownMaterials, type Built } from './bearing';
import { breaksOf } from './cantilever';

export interface MemberMass {
  /** both halves where the surface stands on both [kg] */ readonly mass: number;
  /** centre [m] */ readonly x: number;
  readonly z: number;
  /** about the middle, per kilogram: along the span, and along x about its own centre [m2] */ readonly span: number;
  readonly chord: number;
}

/** Mass needs few places: it is exact for straight tapers. */
const INTERVALS = 8;

function oneMember(d: Built, m: Member, outline: ReturnType<typeof outlinesOf>): MemberMass | null {
  const surface = d.surfaces.find((s) => s.id === m.surface);
  if (!surface) return null;
  const tip = tipOf(surface),
    [from, to] = extentOf(m, tip);
  if (!(to > from)) return null;
  const y = beamGrid(to, breaksOf(m, tip), INTERVALS),
    { sections } = borne(d, m, y, outline);
  let mass = 0,
    sx = 0,
    sz = 0,
    syy = 0,
    sxx = 0;
  for (let p = 0; p < y.length; p++) {
    const at = p - (p % 3),
      weight = ((y[at + 2] - y[at]) * (p % 3 === 1 ? 4 : 1)) / 6,
      dm = weight * (sections[p]?.perLength ?? 0),
      st = stationAt(surface, y[p]),
      place = placeOf(surface, st),
      x = place.x + m.chordPlace * st.chord;
    mass += dm;
    sx += dm * x;
    sz += dm * place.z;
    syy += dm * place.y ** 2;
    sxx += dm * x * x;
  }
  if (!(mass > 0)) return null;
  const x = sx / mass,
    sides = isMirrored(surface) ? 2 : 1;
  return { mass: sides * mass, x, z: sz / mass, span: syy / mass, chord: Math.max(0, sxx / mass - x * x) };
}

/**
 * Members that a line of the mass list stands for: one by its id, all of a surface by the surface's, the wing's where
 * nothing is named. A surface in which none is drawn is taken to have one like the wing's first.
 */
export function membersNamed(d: Pick<Design, 'structure' | 'surfaces'>, of: string | undefined): Member[] {
  const { members } = d.structure,
    own = members.filter((m) => m.id === of);
  if (own.length > 0) return own;
  const wing = d.surfaces.find((s) => s.role === 'wing')?.id,
    at = of ?? wing,
    there = members.filter((m) => m.surface === at);
  if (there.length > 0 || !d.surfaces.some((s) => s.id === at)) return there;
  return members
    .filter((m) => m.surface === wing)
    .slice(0, 1)
    .map((m) => ({ ...m, surface: at! }));
}

/** @returns null where there is none, or a material of it is not known */
export function memberMass(d: Built, of: string | undefined): MemberMass | null {
  const members = membersNamed(d, of);
  if (members.length === 0 || unknownMaterials(d, members).length > 0) return null;
  const outline = outlinesOf(d),
    all = members.flatMap((m) => oneMember(d, m, outline) ?? []),
    mass = all.reduce((s, m) => s + m.mass, 0);
  if (!(mass > 0)) return null;
  const mean = (f: (m: MemberMass) => number) => all.reduce((s, m) => s + m.mass * f(m), 0) / mass,
    x = mean((m) => m.x);
  return {
    mass,
    x,
    z: mean((m) => m.z),
    span: mean((m) => m.span),
    chord: mean((m) => m.chord + (m.x - x) ** 2),
  };
}
