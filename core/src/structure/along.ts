/** A member along its span: what it is at a place, by its steps and tapers. */
import type { Member, MemberShape, TipSizes } from '../design';

interface Piece {
  readonly from: number;
  readonly to: number;
  readonly shape: MemberShape;
  readonly tip: TipSizes | undefined;
}

/** Where a member begins and ends. @param end of the surface, distance out [m] */
export function extentOf(m: Pick<Member, 'from' | 'to'>, end: number): [number, number] {
  const from = Math.min(m.from ?? 0, end);
  return [from, Math.max(from, Math.min(m.to ?? end, end))];
}

/** Pieces from root to tip, each of one kind with its own taper; those beyond the end are left out. */
export function piecesOf(m: Member, end: number): Piece[] {
  const [from, to] = extentOf(m, end),
    starts = [{ from, shape: m.shape, tip: m.tip }, ...(m.steps ?? [])];
  return starts
    .map(({ shape, tip, from: at }, i): Piece => ({
      from: Math.max(from, at),
      to: Math.min(to, starts[i + 1]?.from ?? to),
      shape,
      tip,
    }))
    .filter((p) => p.to > p.from);
}

/** A shape with the sizes it has so far along its taper. @param t 0 at its root, 1 at its tip */
export function tapered(shape: MemberShape, tip: TipSizes | undefined, t: number): MemberShape {
  if (!tip || t === 0) return shape;
  const sizes = Object.entries(tip).flatMap(([key, at]): [string, number][] => {
    const root = (shape as Record<string, unknown>)[key];
    return typeof root === 'number' && at !== undefined ? [[key, root + t * (at - root)]] : [];
  });
  return { ...shape, ...Object.fromEntries(sizes) } as MemberShape;
}

/** The shape at a distance out; of two that meet there the outer one. @returns null where the member is not */
export function shapeAt(m: Member, y: number, end: number, inner = false): MemberShape | null {
  const pieces = piecesOf(m, end),
    piece = inner
      ? pieces.find((p) => y > p.from - 1e-12 && y <= p.to + 1e-12)
      : [...pieces].reverse().find((p) => y >= p.from - 1e-12 && y <= p.to + 1e-12);
  if (!piece) return null;
  return tapered(piece.shape, piece.tip, (y - piece.from) / (piece.to - piece.from));
}
