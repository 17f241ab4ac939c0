/**
 * Members whose shape is the section's own: skins with or without a core, noses closed by a web, bare sheets. The outline is
 * walked as thin wall elements; a core is the area inside. Closed cells by Bredt. Heights from the lowest fibre.
 */
import { designStress, type Material } from '../materials';
import {
  bendingCapacities,
  bendingOf,
  block,
  shearCapacity,
  type Capacity,
  type CrossSection,
  type PartName,
  type Slab,
} from '../crossSection';
import { closedTwist, type Wall } from './closedTwist';
import { meanModulus, plateStress, wrinklingStress } from '../plateBuckling';

/** A section where a member stands in it: outline of unit chord, upper trailing edge first. */
export interface SkinPlace {
  /** flat [x0, y0, ...] */ readonly xy: Float64Array;
  /** [m] */ readonly chord: number;
  /** web of a nose, as a fraction of the chord */ readonly at: number;
}

interface Walked {
  /** length, centroid height, own second moment per unit thickness [m, m, m3], lowest and highest [m] */
  readonly length: number;
  readonly z: number;
  readonly own: number;
  readonly low: number;
  readonly high: number;
  /** fore and aft about the middle of its own length [m3] */ readonly side: number;
}

type Points = readonly (readonly [x: number, z: number])[];

/** A polyline as a wall of unit thickness. */
function walked(p: Points): Walked {
  let length = 0,
    sz = 0,
    szz = 0,
    sx = 0,
    sxx = 0,
    low = Infinity,
    high = -Infinity;
  p.forEach(([, z]) => {
    low = Math.min(low, z);
    high = Math.max(high, z);
  });
  for (let i = 1; i < p.length; i++) {
    const [xa, za] = p[i - 1]!,
      [xb, zb] = p[i]!,
      ds = Math.hypot(xb - xa, zb - za);
    length += ds;
    sz += (ds * (za + zb)) / 2;
    szz += (ds * (za * za + za * zb + zb * zb)) / 3;
    sx += (ds * (xa + xb)) / 2;
    sxx += (ds * (xa * xa + xa * xb + xb * xb)) / 3;
  }
  const z = length > 0 ? sz / length : 0;
  return { length, z, own: szz - length * z * z, low, high, side: sxx - (sx * sx) / (length || 1) };
}

/** Area, centroid height and second moment of what a polygon encloses [m2, m, m4] (Green). */
function enclosed(p: Points): { area: number; z: number; own: number } {
  let a = 0,
    sz = 0,
    szz = 0;
  p.forEach(([xa, za], i) => {
    const [xb, zb] = p[(i + 1) % p.length]!,
      cross = xa * zb - xb * za;
    a += cross / 2;
    sz += (cross * (za + zb)) / 6;
    szz += (cross * (za * za + za * zb + zb * zb)) / 12;
  });
  const z = a === 0 ? 0 : sz / a;
  return { area: Math.abs(a), z, own: Math.abs(szz - a * z * z) };
}

/** Outline in metres, its lowest point at height 0; where it is cut, only what lies ahead of the cut. */
function outline({ xy, chord }: SkinPlace, cut = Infinity): [number, number][] {
  const all: [number, number][] = [];
  for (let i = 0; i < xy.length; i += 2) all.push([xy[i]!, xy[i + 1]!]);
  const kept = all.flatMap(([x, z], i): [number, number][] => {
    const before = all[i - 1],
      inside = x <= cut;
    if (!before || before[0] <= cut === inside) return inside ? [[x, z]] : [];
    const t = (cut - before[0]) / (x - before[0]),
      edge: [number, number] = [cut, before[1] + t * (z - before[1])];
    return inside ? [edge, [x, z]] : [edge];
  });
  const low = Math.min(...kept.map(([, z]) => z));
  return kept.map(([x, z]) => [x * chord, (z - low) * chord]);
}

function wallSlab(part: PartName, m: Material, t: number, w: Walked, buckles: Slab['buckles'] = []): Slab {
  return {
    part,
    material: m,
    area: w.length * t,
    z: w.z,
    own: w.own * t,
    bottom: w.low,
    top: w.high,
    buckles,
  };
}

/** Share of the classical stress of a curved panel that is counted on; common practice, no source. */
const CURVED = 0.25;

/** A wall between what holds it: flat plate of that width, or helped by its own curve. @param rise of it over the width */
function panelStress(m: Material, t: number, width: number, rise: number): number {
  const flat = plateStress('held', m, t, width);
  if (!(rise > 0)) return flat;
  const radius = (width * width) / (8 * rise);
  return Math.max(flat, (CURVED * meanModulus(m) * t) / radius);
}

const capacity = (part: PartName, m: Material, way: Capacity['way'], at: number): Capacity => ({
  way,
  part,
  material: m.name,
  at,
  by: 'strength',
});

interface Closed {
  readonly slabs: readonly Slab[];
  readonly walls: readonly Wall[];
  readonly area: number;
  readonly shearWalls: { part: PartName; material: Material; width: number };
  readonly EIside: number;
  readonly width: number;
}

function closed({ slabs, walls, area, shearWalls, EIside, width }: Closed): CrossSection {
  const { neutral, EI } = bendingOf(slabs);
  return {
    EI,
    EIside,
    ...closedTwist(area, walls),
    perLength: slabs.reduce((s, p) => s + p.material.density * p.area, 0),
    height: Math.max(...slabs.map((s) => s.top)),
    width,
    neutral,
    up: bendingCapacities(slabs, true),
    down: bendingCapacities(slabs, false),
    shear: [shearCapacity(slabs, shearWalls)],
    slabs,
  };
}

/** A skin around the whole section over a core; without one the skin stands alone. */
export function skinSection(
  place: SkinPlace,
  skin: { thickness: number; material: Material },
  core: { material: Material; share: number } | null,
  /** spacing of what holds the skin, where the core does not [m] */ cell: number | null,
): CrossSection {
  const p = outline(place),
    wall = walked(p),
    inside = enclosed(p),
    { material: m, thickness: t } = skin;
  const upper = Math.max(...p.map(([, z]) => z)) / 2,
    stress =
      core && cell === null
        ? wrinklingStress(m, core.material)
        : panelStress(m, t, cell ?? place.chord, cell ? 0 : upper),
    way = core && cell === null ? ('wrinkling' as const) : ('skin-buckling' as const);
  const slabs = [wallSlab('skin', m, t, wall, [{ way, stress }])];
  if (core && core.share > 0) {
    const thinned = cellular(core.material, core.share);
    slabs.push({
      part: 'core',
      material: thinned,
      area: inside.area,
      z: inside.z,
      own: inside.own,
      bottom: wall.low,
      top: wall.high,
    });
  }
  return closed({
    slabs,
    walls: [{ s: wall.length, t, material: m, part: 'skin' }],
    area: inside.area,
    shearWalls: { part: 'skin', material: m, width: 2 * t },
    EIside: m.modulus * wall.side * t,
    width: place.chord,
  });
}

/** A material of which a share is there, as walls that cross: E and strength with its square and 3/2 power (Gibson, Ashby). */
function cellular(m: Material, share: number): Material {
  if (share >= 1) return m;
  const stiff = share * share,
    strong = share ** 1.5;
  return {
    ...m,
    modulus: m.modulus * stiff,
    across: m.across * stiff,
    shearModulus: m.shearModulus * stiff,
    tension: m.tension * strong,
    compression: m.compression * strong,
    shear: m.shear * strong,
    density: m.density * share,
  };
}

/** The skin ahead of a web, closed by it. */
export function noseSection(
  place: SkinPlace,
  skin: { thickness: number; material: Material },
  web: { thickness: number; material: Material },
): CrossSection {
  const p = outline(place, place.at),
    wall = walked(p),
    inside = enclosed(p),
    [above, below] = [p[0]![1], p[p.length - 1]![1]],
    depth = Math.max(1e-9, above - below),
    width = place.at * place.chord;
  const stress = panelStress(skin.material, skin.thickness, width, depth / 2);
  const slabs = [
    wallSlab('skin', skin.material, skin.thickness, wall, [{ way: 'skin-buckling', stress }]),
    block('web', web.material, [web.thickness, depth], below),
  ];
  return closed({
    slabs,
    walls: [
      { s: wall.length, t: skin.thickness, material: skin.material, part: 'skin' },
      { s: depth, t: web.thickness, material: web.material, part: 'web' },
    ],
    area: inside.area,
    shearWalls: { part: 'web', material: web.material, width: web.thickness + skin.thickness },
    EIside: skin.material.modulus * wall.side * skin.thickness,
    width,
  });
}

/** A bare sheet or board over the whole chord, bent to the section's camber line. */
export function sheetSection(place: SkinPlace, t: number, m: Material): CrossSection {
  const line = camberLine(place),
    w = walked(line),
    span = place.chord,
    arched = wallSlab('sheet', m, t, { ...w, low: w.low - t / 2, high: w.high + t / 2 });
  const flat = (w.length * t ** 3) / 12,
    slab: Slab = { ...arched, own: arched.own + flat };
  const J = (span * t ** 3) / 3,
    tau = designStress(m, 'shear');
  return {
    EI: m.modulus * slab.own,
    EIside: (m.modulus * t * span ** 3) / 12,
    GJ: m.shearModulus * J,
    perLength: m.density * slab.area,
    height: slab.top - slab.bottom,
    width: span,
    neutral: slab.z - slab.bottom,
    up: bendingCapacities([slab], true),
    down: bendingCapacities([slab], false),
    shear: [capacity('sheet', m, 'shear', (tau * slab.area) / 1.5)],
    torque: [capacity('sheet', m, 'torsion', (tau * J) / t)],
    slabs: [slab],
  };
}

/** Middle between the faces, from the nose aft [m]. */
function camberLine({ xy, chord }: SkinPlace): [number, number][] {
  const n = xy.length / 2,
    nose = Array.from({ length: n }, (_, i) => i).reduce((a, i) => (xy[2 * i]! < xy[2 * a]! ? i : a), 0);
  const upper = Array.from({ length: nose + 1 }, (_, i) => [xy[2 * (nose - i)]!, xy[2 * (nose - i) + 1]!]),
    lower = Array.from({ length: n - nose }, (_, i) => [xy[2 * (nose + i)]!, xy[2 * (nose + i) + 1]!]);
  const at = (face: number[][], x: number): number => {
    const i = Math.min(face.length - 2, Math.max(0, face.findIndex(([fx]) => fx! >= x) - 1)),
      [xa, za] = face[i]!,
      [xb, zb] = face[i + 1]!,
      k = xb! > xa! ? Math.min(1, Math.max(0, (x - xa!) / (xb! - xa!))) : 0;
    return za! + k * (zb! - za!);
  };
  const N = 40;
  return Array.from({ length: N + 1 }, (_, i) => {
    const x = i / N;
    return [x * chord, (chord * (at(upper, x) + at(lower, x))) / 2];
  });
}
