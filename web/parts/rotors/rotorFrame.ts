/** The craft from above, nose up: where its rotors, its body and the ruler beside it are drawn [m]. */
import { thrustCentre, type Design } from '@skiametra/core/design';
import type { RotorReport } from '@skiametra/core/views';

export interface Disc {
  readonly id: string;
  readonly name: string;
  /** right and aft */ readonly u: number;
  readonly v: number;
  readonly r: number;
  readonly turns: 'right' | 'left' | null;
  readonly share: number | null;
  readonly load: number | null;
}

export interface RotorFrame {
  readonly discs: readonly Disc[];
  /** outline of the body */ readonly body: string;
  readonly cg: { readonly u: number; readonly v: number };
  /** middle of the thrust of equal rotors */ readonly centre: { readonly u: number; readonly v: number };
  /** places of the CG that they hold */ readonly band: { readonly from: number; readonly to: number } | null;
  readonly ruler: number;
  /** a hundredth of the width */ readonly unit: number;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** Radius of a rotor whose size nobody knows [m]. */
const UNKNOWN = 0.06;

export function rotorFrame(design: Pick<Design, 'body'>, report: RotorReport): RotorFrame {
  const { share, places, cg } = report;
  const discs = places.map((p, i): Disc => ({
    id: p.id,
    name: p.name,
    u: p.y,
    v: p.x,
    r: (p.diameter ?? 2 * UNKNOWN) / 2,
    turns: p.turns ?? null,
    share: share && !share.beside ? share.rotors[i]!.share : null,
    load: share && !share.beside ? share.rotors[i]!.load : null,
  }));
  const right = design.body.map((b) => [b.width / 2, b.x] as const),
    left = [...right].reverse().map(([w, x]) => [-w, x] as const),
    outline = [...right, ...left];
  const us = [...discs.flatMap((d) => [d.u - d.r, d.u + d.r]), ...outline.map(([u]) => u)],
    vs = [...discs.flatMap((d) => [d.v - d.r, d.v + d.r]), ...outline.map(([, v]) => v)];
  const wide = Math.max(...us) - Math.min(...us),
    unit = wide / 78,
    ruler = Math.max(...us) + 6 * unit;
  const centre = thrustCentre(places)!;
  return {
    discs,
    body: `${outline.map(([u, v], i) => `${i ? 'L' : 'M'}${u.toFixed(4)} ${v.toFixed(4)}`).join('')}Z`,
    cg: { u: cg.y, v: cg.x },
    centre: { u: centre.y, v: centre.x },
    band: share && !share.beside && share.to > share.from ? { from: share.from, to: share.to } : null,
    ruler,
    unit,
    box: {
      x: Math.min(...us) - 2 * unit,
      y: Math.min(...vs) - 3 * unit,
      width: wide + 29 * unit,
      height: Math.max(...vs) - Math.min(...vs) + 6 * unit,
    },
  };
}

/** Arc with its head, so far inside a disc: how it turns seen from above. */
export function senseArc(d: Pick<Disc, 'u' | 'v' | 'r'>, right: boolean): string {
  const r = 0.78 * d.r,
    at = (deg: number, k = 1) => {
      const a = (deg * Math.PI) / 180;
      return `${(d.u + k * r * Math.sin(a)).toFixed(4)} ${(d.v - k * r * Math.cos(a)).toFixed(4)}`;
    };
  const [from, to] = right ? [-35, 35] : [35, -35],
    back = right ? -11 : 11;
  return (
    `M${at(from)}A${r} ${r} 0 0 ${right ? 1 : 0} ${at(to)}` +
    `M${at(to + back, 1.12)}L${at(to)}L${at(to + back, 0.88)}`
  );
}
