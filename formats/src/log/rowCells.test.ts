/** A row read in one pass says what its cells cut out one by one say. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellsOf, type Delimiter } from './layout';
import { numberIn, RowCells } from './rowCells';

const signs = fc.constantFrom<Delimiter>(',', ';', '\t', '|', ' '),
  points = fc.constantFrom<'.' | ','>('.', ',');
const plain = fc.tuple(fc.integer({ min: -999999, max: 999999 }), fc.nat(999)).map(([a, b]) => `${a}.${b}`);
const odd = fc.constantFrom(
  '',
  ' ',
  '-',
  'nan',
  '1e5',
  '-.5',
  '5.',
  '"7"',
  '1 2',
  '12:30:01',
  'x',
  '+3',
  '--1',
  '.',
);
const long = fc.bigInt({ min: 0n, max: 10n ** 20n }).map(String);

describe('cells of a row', () => {
  it('law: numbers and words are those of the cells cut out, whatever stands in them', () =>
    fc.assert(
      fc.property(
        signs,
        points,
        fc.array(fc.oneof(plain, odd, long, fc.string({ maxLength: 6 })), { minLength: 1, maxLength: 8 }),
        (delimiter, decimal, list) => {
          const line = list
            .map((c) => (decimal === ',' ? c.replace('.', ',') : c))
            .join(delimiter)
            .replace(/[\r\n]/g, '');
          const row = new RowCells({ delimiter, decimal }),
            cells = cellsOf(line, delimiter);
          row.read(line);
          for (let k = 0; k < cells.length + 1; k++) {
            expect(row.cell(k)).toBe(cells[k] ?? '');
            expect(row.number(k)).toBe(numberIn(cells[k] ?? '', decimal === ','));
          }
        },
      ),
      { numRuns: 500 },
    ));
  it('numbers are the nearest there are, to the last digit', () => {
    const row = new RowCells({ delimiter: ';', decimal: ',' });
    row.read('52,1234567;-0,1;0,30000000000000004;123456789012345;9007199254740993');
    expect([0, 1, 2, 3, 4].map((k) => row.number(k))).toEqual([
      52.1234567, -0.1, 0.30000000000000004, 123456789012345, 9007199254740993,
    ]);
  });
  it('a tab at the beginning parts off an empty cell', () => {
    const row = new RowCells({ delimiter: '\t', decimal: '.' });
    row.read('\t5\t');
    expect([row.number(0), row.number(1), row.number(2)]).toEqual([NaN, 5, NaN]);
    expect(cellsOf('\t5\t', '\t')).toEqual(['', '5', '']);
  });
  it('a row that was longer before leaves nothing behind', () => {
    const row = new RowCells({ delimiter: ',', decimal: '.' });
    row.read('1,2,3');
    row.read('4');
    expect([row.number(0), row.number(1), row.cell(2)]).toEqual([4, NaN, '']);
  });
});
