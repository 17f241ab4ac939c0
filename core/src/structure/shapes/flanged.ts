/**
 * Strips, square tubes, boxes, I, channels, caps on a web. Open ones twist as thin plates, J = sum b t^3 / 3; closed ones by
 * Bredt, J = 4 A^2 / sum(s / t), tau = T / (2 A t). Source: Gere, Mechanics of Materials, 3.10 (Bredt); Timoshenko, Strength
 * of Materials II, 53 (plates in torsion), from memory.
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
import { closedTwist } from './closedTwist';
import { plateStress, wrinklingStress } from '../plateBuckling';

/** What a section is made of, before what it stands is worked out. Lengths [m], stiffnesses [N m2]. */
interface Made {
  readonly slabs: readonly Slab[];
  readonly height: number;
  readonly width: number;
  readonly EIside: number;
  /** what carries the shear, and its height between caps */ readonly web: {
    part: PartName;
    material: Material;
    thickness: number;
    count: number;
    depth: number;
  };
  readonly twist: { GJ: number; torque: Capacity[] };
}

function assembled({ slabs, height, width, EIside, web, twist }: Made): CrossSection {
  const { neutral, EI } = bendingOf(slabs),
    breaks = shearCapacity(slabs, { ...web, width: web.thickness * web.count }),
    // a web as thick as deep is a core: it does not buckle
    tau = plateStress('shear', web.material, web.thickness, web.depth),
    buckles: Capacity = {
      way: 'web-buckling',
      part: web.part,
      material: web.material.name,
      at: tau * web.thickness * web.count * web.depth,
      by: 'stiffness',
    };
  return {
    EI,
    EIside,
    GJ: twist.GJ,
    perLength: slabs.reduce((s, p) => s + p.material.density * p.area, 0),
    height,
    width,
    neutral,
    up: bendingCapacities(slabs, true),
    down: bendingCapacities(slabs, false),
    shear: buckles.at < breaks.at ? [buckles, breaks] : [breaks],
    torque: twist.torque,
    slabs,
  };
}

/** Thin plates side by side: length b, thickness t. The thickest shears most. */
function openTwist(plates: readonly { b: number; t: number; material: Material; part: PartName }[]) {
  // for a plate as thick as long 1 - 0.63 t/b is near the truth (0.141 b t^3 for a square)
  const J = ({ b, t }: { b: number; t: number }) => {
    const [long, short] = b > t ? [b, t] : [t, b];
    return (long * short ** 3 * (1 - 0.63 * (short / long) * (1 - (short / long) ** 4 / 12))) / 3;
  };
  const GJ = plates.reduce((s, p) => s + p.material.shearModulus * J(p), 0);
  const torque = plates.map((p): Capacity => ({
    way: 'torsion',
    part: p.part,
    material: p.material.name,
    at: (designStress(p.material, 'shear') * GJ) / (p.material.shearModulus * Math.min(p.b, p.t)),
    by: 'strength',
  }));
  return { GJ, torque: torque.filter((c) => c.at > 0) };
}

/** A solid rectangle, upright or flat. */
export function stripSection(height: number, width: number, m: Material): CrossSection {
  return assembled({
    slabs: [block('member', m, [width, height], 0)],
    height,
    width,
    EIside: (m.modulus * height * width ** 3) / 12,
    web: { part: 'member', material: m, thickness: width, count: 1, depth: height },
    twist: openTwist([{ b: height, t: width, material: m, part: 'member' }]),
  });
}

export interface Flanged {
  readonly height: number;
  readonly width: number;
  /** thickness of the caps (flanges) and of a web [m] */ readonly cap: number;
  readonly web: number;
  readonly capMaterial: Material;
  readonly webMaterial: Material;
}

/** Two caps with what lies between them, each as far from the middle as the depth lets it. */
function capped(
  f: Flanged,
  count: number,
  capStress: number,
  way: 'flange-buckling' | 'cap-buckling' | 'wrinkling',
): Slab[] {
  const cap = Math.min(f.cap, f.height / 2),
    inner = f.height - 2 * cap,
    buckles = [{ way, stress: capStress }];
  return [
    block('lower cap', f.capMaterial, [f.width, cap], 0, buckles),
    ...(inner > 0 ? [block('web', f.webMaterial, [count * f.web, inner], cap)] : []),
    block('upper cap', f.capMaterial, [f.width, cap], cap + inner, buckles),
  ];
}

const inside = (f: Flanged) => Math.max(0, f.height - 2 * f.cap);

/** Caps with a web at either edge: closed. */
export function boxSection(f: Flanged): CrossSection {
  const between = Math.max(0, f.width - 2 * f.web),
    slabs = capped(f, 2, plateStress('held', f.capMaterial, f.cap, between), 'cap-buckling'),
    across = f.width - f.web,
    deep = f.height - f.cap;
  const side =
    (2 * f.capMaterial.modulus * f.cap * f.width ** 3) / 12 +
    (f.webMaterial.modulus * inside(f) * (f.width ** 3 - between ** 3)) / 12;
  const hollow = between > 0 && inside(f) > 0;
  return assembled({
    slabs,
    height: f.height,
    width: f.width,
    EIside: side,
    web: { part: 'web', material: f.webMaterial, thickness: f.web, count: 2, depth: inside(f) },
    twist: hollow
      ? closedTwist(across * deep, [
          { s: 2 * across, t: f.cap, material: f.capMaterial, part: 'upper cap' },
          { s: 2 * deep, t: f.web, material: f.webMaterial, part: 'web' },
        ])
      : openTwist([{ b: f.height, t: f.width, material: f.webMaterial, part: 'member' }]),
  });
}

/** Caps on one web in the middle: an I; on a web as wide as themselves, a sandwich. */
export function iSection(f: Flanged): CrossSection {
  const full = f.web >= f.width - 1e-12,
    out = Math.max(0, (f.width - f.web) / 2),
    soft = f.webMaterial.kind === 'foam' || f.webMaterial.kind === 'wood',
    stress = full
      ? soft
        ? wrinklingStress(f.capMaterial, f.webMaterial)
        : Infinity
      : plateStress('outstand', f.capMaterial, f.cap, out);
  return assembled({
    slabs: capped(f, 1, stress, full ? 'wrinkling' : 'flange-buckling'),
    height: f.height,
    width: f.width,
    EIside:
      (2 * f.capMaterial.modulus * f.cap * f.width ** 3 + f.webMaterial.modulus * inside(f) * f.web ** 3) /
      12,
    web: { part: 'web', material: f.webMaterial, thickness: f.web, count: 1, depth: inside(f) },
    twist: openTwist([
      { b: f.width, t: f.cap, material: f.capMaterial, part: 'upper cap' },
      { b: f.width, t: f.cap, material: f.capMaterial, part: 'lower cap' },
      { b: inside(f), t: f.web, material: f.webMaterial, part: 'web' },
    ]),
  });
}

/** A channel with its web upright at one edge: it bends as an I, its flanges stand out on one side. */
export function channelUpright(f: Flanged): CrossSection {
  const h = inside(f),
    A = f.width * f.cap,
    Aw = h * f.web,
    y = (2 * A * (f.width / 2) + Aw * (f.web / 2)) / (2 * A + Aw);
  const I =
    2 * ((f.cap * f.width ** 3) / 12 + A * (f.width / 2 - y) ** 2) +
    (h * f.web ** 3) / 12 +
    Aw * (f.web / 2 - y) ** 2;
  const stress = plateStress('outstand', f.capMaterial, f.cap, Math.max(0, f.width - f.web));
  return {
    ...iSection({ ...f, web: Math.min(f.web, f.width) }),
    ...bendsAs(capped(f, 1, stress, 'flange-buckling')),
    EIside: f.capMaterial.modulus * I,
  };
}

const bendsAs = (slabs: readonly Slab[]) => ({
  slabs,
  up: bendingCapacities(slabs, true),
  down: bendingCapacities(slabs, false),
});

/** A channel with its web lying at the bottom: flanges stand up, open above. */
export function channelLying(f: Flanged): CrossSection {
  const m = f.capMaterial,
    up = Math.max(0, f.height - f.web),
    buckles = [{ way: 'flange-buckling' as const, stress: plateStress('outstand', m, f.cap, up) }],
    floor = [
      {
        way: 'web-buckling' as const,
        stress: plateStress('held', m, f.web, Math.max(0, f.width - 2 * f.cap)),
      },
    ];
  const slabs = [
    block('web', m, [f.width, f.web], 0, floor),
    block('flanges', m, [2 * f.cap, up], f.web, buckles),
  ];
  const between = Math.max(0, f.width - 2 * f.cap);
  return assembled({
    slabs,
    height: f.height,
    width: f.width,
    EIside: (m.modulus * (f.web * f.width ** 3 + up * (f.width ** 3 - between ** 3))) / 12,
    web: { part: 'flanges', material: m, thickness: f.cap, count: 2, depth: f.height },
    twist: openTwist([
      { b: f.width, t: f.web, material: m, part: 'web' },
      { b: up, t: f.cap, material: m, part: 'flanges' },
      { b: up, t: f.cap, material: m, part: 'flanges' },
    ]),
  });
}
