/**
 * The cells of a row: plain decimal numbers are read in one pass over the line, as most cells of a log are such; whatever else
 * stands in one is cut out and read by itself.
 */
import { cellsOf, isEmptyCell, type Layout } from './layout';

/** A number from a cell; NaN where it holds none. */
export function numberIn(cell: string, comma: boolean): number {
  if (cell === '') return NaN;
  const plain = cell.startsWith('"') && cell.endsWith('"') ? cell.slice(1, -1) : cell,
    value = Number(comma ? plain.replace(',', '.') : plain);
  return isEmptyCell(plain) ? NaN : value;
}

const BLANK = 32,
  PLUS = 43,
  MINUS = 45,
  ZERO = 48,
  NINE = 57;
/** More digits than these are no exact whole number any more: such cells are read by themselves. */
const EXACT = 15;
const TENS = Float64Array.from({ length: EXACT + 1 }, (_, k) => 10 ** k);

/** What a cell holds. */
const EMPTY = 0,
  PLAIN = 1,
  OTHER = 2;

export class RowCells {
  private readonly starts: number[] = [];
  private readonly ends: number[] = [];
  private readonly what: number[] = [];
  private readonly values: number[] = [];
  private count = 0;
  private line = '';
  /** cells of a line that is not to be read in one pass */ private cut: readonly string[] | null = null;
  private readonly sign: number;
  private readonly point: number;

  constructor(private readonly layout: Pick<Layout, 'delimiter' | 'decimal'>) {
    this.sign = layout.delimiter.charCodeAt(0);
    // what parts the cells is no decimal sign
    this.point = layout.decimal === layout.delimiter ? NaN : layout.decimal.charCodeAt(0);
  }

  /** The line that is looked at from now on. */
  read(line: string): void {
    this.line = line;
    const { delimiter } = this.layout;
    this.cut = delimiter === ' ' || line.includes('"') ? cellsOf(line, delimiter) : null;
    if (this.cut === null) this.scan();
  }

  private scan(): void {
    this.count = 0;
    for (let at = 0; at <= this.line.length;) at = this.scanCell(at) + 1;
  }

  /** @returns where the cell ends */
  private scanCell(from: number): number {
    const { line, sign, point } = this;
    let i = from,
      code = line.charCodeAt(i);
    while (code === BLANK) code = line.charCodeAt(++i);
    const first = code;
    if (first === MINUS || first === PLUS) code = line.charCodeAt(++i);
    let whole = 0,
      digits = 0,
      behind = -1;
    for (; (code >= ZERO && code <= NINE) || (code === point && behind < 0); code = line.charCodeAt(++i)) {
      if (code === point) behind = 0;
      else {
        whole = 10 * whole + code - ZERO;
        digits++;
        if (behind >= 0) behind++;
      }
    }
    while (code === BLANK) code = line.charCodeAt(++i);
    const ended = i >= line.length || code === sign,
      end = ended ? i : this.cellEnd(i);
    this.keep(from, end, ended && digits > 0 && digits <= EXACT);
    const value = whole / TENS[Math.max(0, behind)]!;
    this.values[this.count - 1] = first === MINUS ? -value : value;
    return end;
  }

  private cellEnd(from: number): number {
    const end = this.line.indexOf(this.layout.delimiter, from);
    return end < 0 ? this.line.length : end;
  }

  private keep(from: number, end: number, plain: boolean): void {
    this.starts[this.count] = from;
    this.ends[this.count] = end;
    this.what[this.count] = plain ? PLAIN : from === end ? EMPTY : OTHER;
    this.count++;
  }

  /** A cell as it is written, without blanks about it; '' where the row has none. */
  cell(k: number): string {
    if (this.cut) return this.cut[k] ?? '';
    return k < this.count ? this.line.slice(this.starts[k], this.ends[k]).trim() : '';
  }

  /** NaN where the cell holds no number. */
  number(k: number): number {
    if (this.cut === null) {
      if (k >= this.count || this.what[k] === EMPTY) return NaN;
      if (this.what[k] === PLAIN) return this.values[k]!;
    }
    return numberIn(this.cell(k), this.layout.decimal === ',');
  }
}
