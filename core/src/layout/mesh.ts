/** The aircraft as triangles: lofted surfaces, bodies and pods. For the 3D picture and for STL. Metres, axes of the design. */
import type { Contour } from '../section';
import type { Design, Surface } from '../design';
import { allBodies, isMirrored, placeOf } from '../surface';

export interface Mesh {
  part: string;
  kind: 'surface' | 'body';
  /** 3 numbers a corner */ points: Float32Array;
  /** 3 corners a triangle */ triangles: Uint32Array;
}

interface Rings {
  rows: [number, number, number][][];
  capped: boolean;
}

/** Closes rings of equal length into a skin, with flat ends, outward side by the rings' turn. */
function skin(part: string, kind: Mesh['kind'], { rows, capped }: Rings, flip: boolean): Mesh {
  const n = rows[0].length,
    points: number[] = [],
    tri: number[] = [];
  for (const r of rows) for (const p of r) points.push(...p);
  const add = (a: number, b: number, c: number) => (flip ? tri.push(a, c, b) : tri.push(a, b, c));
  for (let i = 0; i < rows.length - 1; i++)
    for (let j = 0; j < n; j++) {
      const k = (j + 1) % n,
        a = i * n + j,
        b = i * n + k,
        c = a + n,
        d = b + n;
      add(a, b, c);
      add(b, d, c);
    }
  if (capped) {
    for (const [row, turn] of [
      [0, true],
      [rows.length - 1, false],
    ] as const) {
      const middle = points.length / 3,
        o = row * n;
      const sum = rows[row].reduce((s, p) => [s[0] + p[0] / n, s[1] + p[1] / n, s[2] + p[2] / n], [0, 0, 0]);
      points.push(...sum);
      for (let j = 0; j < n; j++) {
        const k = (j + 1) % n;
        if (turn) add(o + k, o + j, middle);
        else add(o + j, o + k, middle);
      }
    }
  }
  return { part, kind, points: Float32Array.from(points), triangles: Uint32Array.from(tri) };
}

/** Every second point of a contour, closed at the tail. */
function ringOf(contour: Contour, every: number): [number, number][] {
  const out: [number, number][] = [];
  for (let i = 0; i < contour.xy.length / 2 - 1; i += every)
    out.push([contour.xy[2 * i], contour.xy[2 * i + 1]]);
  return out;
}

/** One side of a surface, or the whole of one in the middle. @param side -1 mirrors to the left */
export function surfaceMesh(
  s: Surface,
  contours: ReadonlyMap<string, Contour>,
  side: 1 | -1,
  every = 2,
): Mesh {
  // all rings need the same number of corners: every section is drawn from the same repanelled count
  const rings = s.stations.map((st) => ringOf(contours.get(st.section)!, every));
  const n = Math.min(...rings.map((r) => r.length));
  const rows = s.stations.map((st, k) => {
    const o = placeOf(s, st),
      a = s.incidence + st.twist,
      c = Math.cos(a),
      sn = Math.sin(a);
    const ring = rings[k];
    return Array.from({ length: n }, (_, i): [number, number, number] => {
      const [u, w] = ring[Math.round((i * (ring.length - 1)) / (n - 1))];
      const dx = st.chord * (u * c + w * sn),
        dn = st.chord * (w * c - u * sn);
      return s.role === 'fin' ? [o.x + dx, side * (o.y - dn), o.z] : [o.x + dx, side * o.y, o.z + dn];
    });
  });
  return skin(`${s.id}${side < 0 ? ' left' : ''}`, 'surface', { rows, capped: true }, side > 0);
}

const CORNERS = 24;

export function bodyMesh(id: string, stations: Design['body'], y: number): Mesh {
  const rows = stations.map((b) =>
    Array.from({ length: CORNERS }, (_, i): [number, number, number] => {
      const t = (2 * Math.PI * i) / CORNERS;
      return [
        b.x,
        y + (Math.max(b.width, 1e-4) / 2) * Math.cos(t),
        b.z + (Math.max(b.height, 1e-4) / 2) * Math.sin(t),
      ];
    }),
  );
  return skin(id, 'body', { rows, capped: true }, false);
}

export function aircraftMesh(
  design: Pick<Design, 'surfaces' | 'body' | 'pods'>,
  contours: ReadonlyMap<string, Contour>,
  every = 2,
): Mesh[] {
  const surfaces = design.surfaces.flatMap((s) =>
    isMirrored(s)
      ? [surfaceMesh(s, contours, 1, every), surfaceMesh(s, contours, -1, every)]
      : [surfaceMesh(s, contours, 1, every)],
  );
  const bodies = allBodies(design).flatMap((b, i) =>
    (b.count === 2 ? [1, -1] : [1]).map((k) =>
      bodyMesh(i === 0 ? 'body' : `${design.pods![i - 1].id}${k < 0 ? ' left' : ''}`, b.stations, k * b.y),
    ),
  );
  return [...surfaces, ...bodies];
}

/** Binary STL in millimetres (the trade's unit for printing). */
export function toStl(meshes: readonly Mesh[]): Uint8Array {
  const count = meshes.reduce((s, m) => s + m.triangles.length / 3, 0);
  const out = new Uint8Array(84 + 50 * count),
    view = new DataView(out.buffer);
  view.setUint32(80, count, true);
  let at = 84;
  for (const m of meshes) {
    for (let t = 0; t < m.triangles.length; t += 3) {
      const p = [0, 1, 2].map((k) => {
        const i = 3 * m.triangles[t + k];
        return [1000 * m.points[i], 1000 * m.points[i + 1], 1000 * m.points[i + 2]];
      });
      const u = p[1].map((v, k) => v - p[0][k]),
        w = p[2].map((v, k) => v - p[0][k]);
      const n = [u[1] * w[2] - u[2] * w[1], u[2] * w[0] - u[0] * w[2], u[0] * w[1] - u[1] * w[0]];
      const size = Math.sqrt(n[0] ** 2 + n[1] ** 2 + n[2] ** 2) || 1;
      [...n.map((v) => v / size), ...p.flat()].forEach((v, k) => view.setFloat32(at + 4 * k, v, true));
      at += 50;
    }
  }
  return out;
}
