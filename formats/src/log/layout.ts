/**
 * How a table of text is laid out, told from its beginning: what parts the cells, which sign is the decimal one, where a
 * preamble ends, which lines name the columns and their units.
 */
import Papa from 'papaparse';
import { isUnit } from './units';

/** A blank stands for any run of blanks. */
const DELIMITERS = [',', ';', '\t', '|', ' '] as const;
export type Delimiter = (typeof DELIMITERS)[number];

export interface Layout {
  readonly delimiter: Delimiter;
  readonly decimal: '.' | ',';
  /** index of the first line of values */ readonly firstRow: number;
  readonly names: readonly string[];
  /** beside the names or in a line of their own; '' where there are none */ readonly units: readonly string[];
  /** rows of the beginning, as written */ readonly rows: readonly (readonly string[])[];
}

export type LayoutResult = { status: 'ok'; layout: Layout } | { status: 'error'; message: string };

const NUMBER = /^[-+]?(\d+([.,]\d*)?|[.,]\d+)(e[-+]?\d+)?$/i;
const CLOCK = /^\d{1,4}([-/.:T ]\d{1,4}){1,6}([.,]\d+)?( ?[AaPp][Mm])?(Z|[-+]\d\d:?\d\d)?$/;
const NOTHING = /^(|-|–|nan|null|none|n\/?a|inf|-inf)$/i;

const isValue = (cell: string) => NUMBER.test(cell) || CLOCK.test(cell);
export const isEmptyCell = (cell: string) => NOTHING.test(cell);

/** Cells of one line. */
export function cellsOf(line: string, delimiter: Delimiter): string[] {
  if (delimiter === ' ') return line.trim().split(/\s+/);
  // a blank at an end is none; a tab there parts off an empty cell
  const text = line.replace(/^ +| +$/g, '');
  if (text.includes('"'))
    return (Papa.parse<string[]>(text, { delimiter }).data[0] ?? []).map((c) => c.trim());
  return text.split(delimiter).map((c) => c.trim());
}

/** The commonest of some numbers. */
function commonest(of: readonly number[]): number {
  const times = new Map<number, number>();
  for (const n of of) times.set(n, (times.get(n) ?? 0) + 1);
  return [...times].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
}

interface Split {
  readonly delimiter: Delimiter;
  readonly cells: readonly (readonly string[])[];
  readonly width: number;
  /** how well it parts the lines into values, 0 to 1 */ readonly fit: number;
}

function splitBy(delimiter: Delimiter, lines: readonly string[]): Split {
  const cells = lines.map((l) => cellsOf(l, delimiter)),
    // what a preamble looks like says little: the later half tells
    later = cells.slice(cells.length >> 1),
    width = commonest(later.map((c) => c.length)),
    even = later.filter((c) => c.length === width),
    all = even.flat(),
    good = all.filter((c) => isValue(c) || isEmptyCell(c)).length;
  const fit = width < 2 || all.length === 0 ? 0 : (even.length / later.length) * (good / all.length);
  return { delimiter, cells, width, fit };
}

const plain = (line: string) => line.replace(/^\s*(#|\/\/|%)+\s*/, '');

/** Whether a line has values: most of its cells, and none of its words are many. */
const holdsValues = (cells: readonly string[]) => {
  const told = cells.filter((c) => !isEmptyCell(c));
  return told.length > 0 && told.filter(isValue).length >= Math.max(1, 0.5 * told.length);
};

const BRACKETS = /^(.*?)\s*[[({]\s*([^\])}]*)\s*[\])}]\s*$/;

/** A name with the unit that stands in brackets behind it. */
function named(text: string): { name: string; unit: string } {
  const found = BRACKETS.exec(text.trim());
  return found ? { name: found[1]!.trim(), unit: found[2]!.trim() } : { name: text.trim(), unit: '' };
}

/** How a time is written, in place of its unit. */
const WRITTEN_TIME = /^[hmsdyuT:./ -]{2,}[\d.]*$/i;

/** Names above the values, and a line of units between them where there is one. */
function headOf(lines: readonly string[], firstRow: number, split: Split) {
  const above = lines
    .slice(Math.max(0, firstRow - 3), firstRow)
    .map((l) => cellsOf(plain(l), split.delimiter))
    .filter((c) => Math.abs(c.length - split.width) <= 1 && c.some((v) => v !== '') && !holdsValues(c));
  const last = above.at(-1),
    before = above.at(-2);
  const looksLikeUnits = (cells: readonly string[]) => {
    const told = cells.map((c) => c.replace(/[[\]()]/g, '').trim()).filter((c) => c !== '');
    return (
      told.length > 0 && told.filter((c) => isUnit(c) || WRITTEN_TIME.test(c)).length > 0.6 * told.length
    );
  };
  const names = last && before && looksLikeUnits(last) ? before : last,
    unitLine = names === before ? last : undefined;
  const columns = Array.from({ length: split.width }, (_, i) => named(names?.[i] ?? ''));
  return {
    names: columns.map((c, i) => c.name || `column ${i + 1}`),
    units: columns.map((c, i) => c.unit || (unitLine?.[i] ?? '').replace(/[[\]()]/g, '').trim()),
  };
}

/** Lines that are looked at. */
const LOOKED_AT = 400;

/**
 * @param head beginning of the file, a few ten thousand letters
 * @param whole nothing follows the head
 */
export function layoutOf(head: string, whole: boolean): LayoutResult {
  if (/\u0000/.test(head)) return { status: 'error', message: 'This is not a text file.' };
  const all = head.split(/\r\n|\n|\r/);
  // the last line may be cut off
  const lines = all.slice(0, whole ? all.length : -1).slice(0, LOOKED_AT),
    told = lines.filter((l) => l.trim() !== '');
  if (told.length < 3) return { status: 'error', message: 'The file holds no rows of numbers.' };
  const split = DELIMITERS.map((d) => splitBy(d, told)).reduce((a, b) => (b.fit > a.fit + 0.02 ? b : a));
  if (split.fit < 0.3)
    return {
      status: 'error',
      message:
        'No columns of numbers were found: neither commas, semicolons, tabs nor blanks part its lines evenly.',
    };
  const values = (l: string | undefined) => {
    const cells = l === undefined ? [] : cellsOf(l, split.delimiter);
    return cells.length === split.width && holdsValues(cells);
  };
  const firstRow = lines.findIndex((l, i) => values(l) && (values(lines[i + 1]) || i + 1 >= lines.length));
  if (firstRow < 0) return { status: 'error', message: 'The file holds no rows of numbers.' };
  const rows = lines
    .slice(firstRow)
    .filter((l) => l.trim() !== '')
    .map((l) => cellsOf(l, split.delimiter));
  const commas = rows.flat().filter((c) => /^[-+]?\d*,\d+$/.test(c)).length,
    points = rows.flat().filter((c) => /^[-+]?\d*\.\d+$/.test(c)).length;
  return {
    status: 'ok',
    layout: {
      delimiter: split.delimiter,
      decimal: split.delimiter !== ',' && commas > points ? ',' : '.',
      firstRow,
      ...headOf(lines, firstRow, split),
      rows,
    },
  };
}
