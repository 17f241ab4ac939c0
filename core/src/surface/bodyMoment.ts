/**
 * Slender-body moment of the fuselage in inviscid flow: dM/dalpha = 2 q (k2 - k1) Volume.
 * Source: Munk, NACA Report 184, 1924. Free stream only: up- and downwash of the wing on the body
 * (Multhopp) is left out, which understates the forward body by some 10 to 30 % (from memory).
 */
import type { Design } from '../design';

export interface BodyFacts { length: number; width: number; height: number; volume: number; wetted: number; fineness: number }

/** Ellipse sections between stations; frustum volumes, perimeters by Ramanujan's formula. */
export function bodyFacts(body: Design['body']): BodyFacts {
  let volume = 0, wetted = 0;
  const area = (p: Design['body'][number]) => (Math.PI / 4) * p.width * p.height;
  const girth = (p: Design['body'][number]) => {
    const a = p.width / 2, b = p.height / 2;
    return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
  };
  for (let i = 0; i < body.length - 1; i++) {
    const dx = body[i + 1].x - body[i].x;
    const a = area(body[i]), b = area(body[i + 1]);
    volume += (dx * (a + b + Math.sqrt(a * b))) / 3;
    wetted += 0.5 * (girth(body[i]) + girth(body[i + 1])) * dx;
  }
  const length = body[body.length - 1].x - body[0].x;
  const width = Math.max(...body.map((p) => p.width)), height = Math.max(...body.map((p) => p.height));
  return { length, width, height, volume, wetted, fineness: length / Math.max(1e-6, Math.sqrt(width * height)) };
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
