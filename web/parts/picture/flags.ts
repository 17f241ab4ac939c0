/**
 * Names inside a picture that never cover one another: each stands like a flag at the top of an upright line at its thing's
 * place, in a row above or below the picture. Text runs to the right, so that what stands under a text must have a lower
 * row: its line ends there. Lines and texts never cross.
 */

export interface Named {
  readonly id: string;
  readonly name: string;
  /** across, and down, in units of the picture */ readonly x: number;
  readonly y: number;
}

type Side = 'above' | 'below';

interface Flag extends Named {
  readonly side: Side;
  /** 0 is the nearest to the picture */ readonly row: number;
  /** right end of the text */ readonly end: number;
}

export interface Flags {
  readonly flags: readonly Flag[];
  readonly rows: Readonly<Record<Side, number>>;
  /** furthest end of a text; -Infinity without any */ readonly right: number;
}

/** Width of a letter over the height of the text, on the safe side for the widest of the application's letters. */
const LETTER = 0.6;
/** Between a text and what is beside it, over the height of the text. */
const GAP = 0.7;
/** A name goes to the other side when that spares it more rows than this. */
const SPARES = 1;

const textEnd = (t: Named, size: number) => t.x + (GAP + LETTER * t.name.length) * size;

function rowFor(placed: readonly Flag[], end: number): number {
  // everything to the right that begins under this text
  return placed.reduce((row, f) => (f.x < end ? Math.max(row, f.row + 1) : row), 0);
}

/**
 * @param size height of the text in units of the picture
 * @param middle height at which a thing belongs to either side
 */
export function flagsOf(things: readonly Named[], size: number, middle: number): Flags {
  const placed: Record<Side, Flag[]> = { above: [], below: [] };
  for (const t of [...things].sort((a, b) => b.x - a.x || a.id.localeCompare(b.id))) {
    const end = textEnd(t, size),
      near: Side = t.y <= middle ? 'above' : 'below',
      far: Side = near === 'above' ? 'below' : 'above',
      rows = { above: rowFor(placed.above, end), below: rowFor(placed.below, end) },
      side = rows[near] > rows[far] + SPARES ? far : near;
    placed[side].push({ ...t, side, row: rows[side], end });
  }
  const count = (side: Side) => Math.max(0, ...placed[side].map((f) => f.row + 1)),
    flags = [...placed.above, ...placed.below];
  return {
    flags,
    rows: { above: count('above'), below: count('below') },
    right: Math.max(...flags.map((f) => f.end)),
  };
}

/**
 * Things that stand closer than `near` share a name.
 * @param naming of them: “Ferry … 12 tubes” where left out, or every name
 */
export function gathered(
  things: readonly Named[],
  near: number,
  naming: (names: readonly string[]) => string = firstAndLast,
): Named[] {
  const groups: Named[][] = [];
  for (const t of [...things].sort((a, b) => a.x - b.x)) {
    const last = groups.at(-1);
    if (last && t.x - last[last.length - 1]!.x < near) last.push(t);
    else groups.push([t]);
  }
  return groups.map((g) => ({ ...g[0]!, name: naming(g.map((t) => t.name)) }));
}

export const everyName = (names: readonly string[]): string => names.join(', ');

function firstAndLast(names: readonly string[]): string {
  return names.length < 3 ? names.join(', ') : `${names[0]} … ${names[names.length - 1]}`;
}
