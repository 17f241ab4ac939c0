/**
 * Slender-body moment of bodies and pods: dM/dalpha = 2 q (k2 - k1) Volume in the free stream (Munk, NACA Report 184,
 * 1924), and strip by strip in the wing's up- and downwash (Multhopp, NACA TM 1036, 1942): the nose stands in
 * upwash, the part beneath the wing follows it and counts nothing.
 */
import type { Design } from '../design';
import { addHorseshoe } from './horseshoe';
import type { LatticeSolution } from './lattice';
import type { BodySlopes } from './derivatives';

export interface BodyFacts {
  length: number;
  width: number;
  height: number;
  volume: number;
  wetted: number;
  fineness: number;
}

/** Ellipse sections between stations; frustum volumes, perimeters by Ramanujan's formula. */
export function bodyFacts(body: Design['body']): BodyFacts {
  let volume = 0,
    wetted = 0;
  const area = (p: Design['body'][number]) => (Math.PI / 4) * p.width * p.height;
  const girth = (p: Design['body'][number]) => {
    const a = p.width / 2,
      b = p.height / 2;
    return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
  };
  for (let i = 0; i < body.length - 1; i++) {
    const dx = body[i + 1].x - body[i].x;
    const a = area(body[i]),
      b = area(body[i + 1]);
    volume += (dx * (a + b + Math.sqrt(a * b))) / 3;
    wetted += 0.5 * (girth(body[i]) + girth(body[i + 1])) * dx;
  }
  const length = body[body.length - 1].x - body[0].x;
  const width = Math.max(...body.map((p) => p.width)),
    height = Math.max(...body.map((p) => p.height));
  return {
    length,
    width,
    height,
    volume,
    wetted,
    fineness: length / Math.max(1e-6, Math.sqrt(width * height)),
  };
}

/** Apparent-mass factor k2 - k1 of a prolate spheroid of this fineness (> 1). Lamb, Hydrodynamics, art. 114. */
export function munkFactor(fineness: number): number {
  const f = Math.max(fineness, 1.05);
  const e = Math.sqrt(1 - 1 / (f * f));
  const log = Math.log((1 + e) / (1 - e));
  const alpha0 = ((2 * (1 - e * e)) / e ** 3) * (0.5 * log - e);
  const beta0 = 1 / (e * e) - ((1 - e * e) / (2 * e ** 3)) * log;
  return beta0 / (2 - beta0) - alpha0 / (2 - alpha0);
}

/** Cm slope of the body per rad, on the wing's area and mean chord. Positive: destabilising. */
export function bodyMomentSlope(body: Design['body'], refArea: number, refChord: number): number {
  const f = bodyFacts(body);
  return (2 * munkFactor(f.fineness) * f.volume) / (refArea * refChord);
}

const SLICES = 40;

/**
 * Multhopp's integral of one body on the line y = `y`: sum of w^2 (local angle / alpha) dx, from the lattice's own up-
 * and downwash.
 */
function washedIntegral(
  body: Design['body'],
  y: number,
  sol: LatticeSolution,
  wingFrom: number,
  wingTo: number,
): number {
  const { panels, pairs, symmetric } = sol.model;
  const x0 = body[0].x,
    dx = (body[body.length - 1].x - x0) / SLICES;
  const v = new Float64Array(3);
  let sum = 0,
    k = 0;
  for (let s = 0; s < SLICES; s++) {
    const x = x0 + (s + 0.5) * dx;
    if (x >= wingFrom && x <= wingTo) continue;
    while (k < body.length - 2 && body[k + 1].x < x) k++;
    const t = (x - body[k].x) / (body[k + 1].x - body[k].x);
    const width = body[k].width + t * (body[k + 1].width - body[k].width),
      z = body[k].z + t * (body[k + 1].z - body[k].z);
    let w = 0;
    for (let j = 0; j < pairs; j++) {
      const p = panels[j];
      if (sol.strips[p.strip].role !== 'wing') continue;
      const core2 = (p.yb - p.ya) ** 2;
      v.fill(0);
      addHorseshoe(v, 1, core2, x, y, z, p.xa, p.ya, p.za, p.xb, p.yb, p.zb);
      addHorseshoe(v, 1, core2, x, y, z, p.xb, -p.yb, p.zb, p.xa, -p.ya, p.za);
      w += v[2] * symmetric.alpha[j];
    }
    sum += width * width * Math.max(0, 1 + w) * dx;
  }
  return sum;
}

/** Body, and each pod on the sides it stands on. */
export function allBodies(
  design: Pick<Design, 'body' | 'pods'>,
): { stations: Design['body']; y: number; count: number }[] {
  return [
    { stations: design.body, y: 0, count: 1 },
    ...(design.pods ?? []).map((p) => ({ stations: p.stations, y: p.y, count: p.y > 0 ? 2 : 1 })),
  ];
}

/** Pitch, yaw and side-force slopes of all bodies, per rad, on the lattice's area, mean chord and span. */
export function bodySlopes(
  design: Pick<Design, 'body' | 'pods' | 'surfaces'>,
  sol: LatticeSolution,
): BodySlopes {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  const root = wing.stations[0];
  let pitch = 0,
    yaw = 0,
    side = 0;
  for (const b of allBodies(design)) {
    const f = bodyFacts(b.stations),
      k = munkFactor(f.fineness);
    pitch +=
      b.count *
      k *
      (Math.PI / 2) *
      washedIntegral(b.stations, b.y, sol, wing.x + root.x, wing.x + root.x + root.chord);
    let tall = 0;
    for (let i = 0; i < b.stations.length - 1; i++) {
      const p = b.stations[i],
        q = b.stations[i + 1];
      tall += ((p.height * p.height + p.height * q.height + q.height * q.height) / 3) * (q.x - p.x);
    }
    yaw -= b.count * k * (Math.PI / 2) * tall;
    // 2 K S0 with S0 the largest cross-section (DATCOM, from memory); acts near the CG
    side -= b.count * 2 * (Math.PI / 4) * f.width * f.height;
  }
  return {
    pitch: pitch / (sol.refArea * sol.refChord),
    yaw: yaw / (sol.refArea * sol.refSpan),
    side: side / sol.refArea,
  };
}
