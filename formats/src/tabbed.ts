/**
 * Blocks of cells as spreadsheets lay them on the clipboard: rows by line, cells by tab, a cell with a tab, a line break or a
 * quotation mark in quotation marks.
 */
import Papa from 'papaparse';

/** Cells that a pasted text may have [-]; more is no table of an aircraft. */
export const MAX_PASTED_CELLS = 20_000;

/**
 * Cells of a pasted text, untrimmed rows in their order; the empty line that spreadsheets end with is no row.
 *
 * @param text from the clipboard
 * @returns the rows, or null where it is longer than `MAX_PASTED_CELLS`
 */
export function readTabbed(text: string): string[][] | null {
  if (text.length > MAX_PASTED_CELLS * 40) return null;
  const { data } = Papa.parse<string[]>(text.replace(/\r\n?/g, '\n').replace(/\n$/, ''), {
    delimiter: '\t',
    newline: '\n',
  });
  const cells = data.reduce((n, row) => n + row.length, 0);
  return cells > MAX_PASTED_CELLS ? null : data.map((row) => row.map((cell) => cell.trim()));
}

/** The inverse of `readTabbed`. */
export function writeTabbed(rows: readonly (readonly string[])[]): string {
  return Papa.unparse(
    rows.map((row) => [...row]),
    { delimiter: '\t', newline: '\n' },
  );
}
