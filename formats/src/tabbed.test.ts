import fc from 'fast-check';
import { expect, test } from 'vitest';
import { MAX_PASTED_CELLS, readTabbed, writeTabbed } from './tabbed';

const cell = fc.string({ maxLength: 12 }).map((s) => s.replace(/\r/g, '').trim());

test('what is written is read again, tabs, breaks and quotation marks with it', () => {
  const block = fc
    .integer({ min: 1, max: 5 })
    .chain((n) => fc.array(fc.array(cell, { minLength: n, maxLength: n }), { minLength: 1, maxLength: 6 }));
  fc.assert(
    fc.property(block, (rows) => {
      // a last row of nothing is the empty line that spreadsheets end with
      fc.pre(rows.at(-1)!.some((c) => c !== ''));
      expect(readTabbed(writeTabbed(rows))).toEqual(rows);
    }),
  );
});

test('the line break of other systems and the last empty line are no rows', () => {
  expect(readTabbed('a\tb\r\n1\t2\r\n')).toEqual([
    ['a', 'b'],
    ['1', '2'],
  ]);
});

test('a text that is no table of an aircraft is refused before it is taken apart', () => {
  expect(readTabbed('1\t'.repeat(MAX_PASTED_CELLS + 1))).toBeNull();
});
