/** Pieces the aircraft comes apart into, against the car, the printer and the sheet. */
import type { Design, Surface } from '../design';
import { isMirrored, placeOf, stationAt } from '../surface';

export interface Piece {
  part: string;
  name: string;
  length: number;
  width: number;
  height: number;
  count: number;
  carries: boolean | null;
  /** prints it takes end to end, 1 when it fits whole; null without a printer */ prints: number | null;
  /** sheets for one layer of it, edge to edge; null without a sheet */ sheets: number | null;
}

function surfacePieces(
  s: Surface,
  thickness: (section: string) => number,
): Omit<Piece, 'carries' | 'prints' | 'sheets'>[] {
  const end = s.stations[s.stations.length - 1].y;
  const cuts = [...new Set((s.joints ?? []).filter((y) => y >= 0 && y < end))].sort((a, b) => a - b);
  const mirrored = isMirrored(s) && !(s.y ?? 0);
  const whole = mirrored && !cuts.includes(0);
  const edges = [0, ...cuts.filter((y) => y > 0), end];
  const out: Omit<Piece, 'carries' | 'prints' | 'sheets'>[] = [];
  for (let i = 0; i < edges.length - 1; i++) {
    const rows = [
      stationAt(s, edges[i]),
      ...s.stations.filter((st) => st.y > edges[i] && st.y < edges[i + 1]),
      stationAt(s, edges[i + 1]),
    ];
    const a = placeOf(s, rows[0]),
      b = placeOf(s, rows[rows.length - 1]);
    const run = Math.sqrt((b.y - a.y) ** 2 + (b.z - a.z) ** 2);
    const centre = whole && i === 0;
    const x0 = Math.min(...rows.map((r) => placeOf(s, r).x)),
      x1 = Math.max(...rows.map((r) => placeOf(s, r).x + r.chord));
    out.push({
      part: s.id,
      name:
        edges.length > 2 || cuts.includes(0)
          ? `${s.name}, ${centre ? 'middle' : i === 0 ? 'inner' : i === edges.length - 2 ? 'tip' : `part ${i + 1}`}`
          : s.name,
      length: centre ? 2 * run : run,
      width: x1 - x0,
      height: Math.max(...rows.map((r) => r.chord * thickness(r.section))),
      count: centre || !isMirrored(s) ? 1 : 2,
    });
  }
  return out;
}

/** Sides sorted, so that a piece may lie any way round. */
function fitsInto(p: number[], room: number[]): boolean {
  const a = [...p].sort((x, y) => y - x),
    b = [...room].sort((x, y) => y - x);
  return a.every((v, i) => v <= b[i] + 1e-9);
}

/** @param thickness of a section by id, as a fraction of the chord */
export function piecesOf(design: Design, thickness: (section: string) => number): Piece[] {
  const L = design.limits;
  const body = design.body,
    big = { w: Math.max(...body.map((b) => b.width)), h: Math.max(...body.map((b) => b.height)) };
  const raw = [
    ...design.surfaces.flatMap((s) => surfacePieces(s, thickness)),
    {
      part: 'body',
      name: 'Body',
      length: body[body.length - 1].x - body[0].x,
      width: big.w,
      height: big.h,
      count: 1,
    },
  ];
  return raw.map((p) => {
    const r = L?.printer;
    const reach = r ? Math.max(r.length, r.width, r.height) : 0;
    let prints: number | null = null;
    if (r) {
      prints = 1;
      while (prints < 40 && !fitsInto([p.length / prints, p.width, p.height], [r.length, r.width, r.height]))
        prints++;
      if (prints === 40 || Math.min(p.width, p.height) > reach) prints = Infinity;
    }
    const t = L?.sheet;
    const sheets =
      t && p.part !== 'body'
        ? Math.ceil(p.length / Math.max(t.length, t.width) - 1e-9) *
          Math.ceil(p.width / Math.min(t.length, t.width) - 1e-9)
        : null;
    return {
      ...p,
      carries: L?.longestPiece != null ? p.length <= L.longestPiece + 1e-9 : null,
      prints,
      sheets,
    };
  });
}
