/** Blocks between tables and spreadsheets: what is copied comes back, what does not fit is refused whole. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { readTabbed, writeTabbed } from '@skiametra/formats';
import type { UnitSystem } from '@skiametra/core/units';
import { blockBetween, fillDown, heading, inBlock, placePasted, totalOf, type PasteInto } from './block';
import { copied, inOrder, kindIn, unitOf, valueIn, type DocColumn, type DocRow } from './columns';

const PATH = 'document.design.dragItems';
const columns: DocColumn[] = [
  { key: 'name', label: 'Item', cell: { type: 'text' } },
  { key: 'dragArea', label: 'Drag area', cell: { type: 'quantity' } },
  { key: 'long', label: 'Length', cell: { type: 'quantity', kind: 'length', optional: true } },
  {
    key: 'side',
    label: 'Side',
    cell: {
      type: 'choice',
      options: [
        { value: '', label: 'not said' },
        { value: 'l', label: 'left' },
      ],
    },
  },
  {
    key: 'shown',
    label: 'Mass',
    cell: {
      type: 'shown',
      render: () => null,
      paste: { kind: 'mass', sub: (r) => (r.fixed ? null : 'mass') },
    },
  },
];
const list: DocRow[] = [
  { name: 'Aerial', dragArea: 2e-4, long: 0.1, side: 'l', mass: 0.01 },
  { name: 'Hook', dragArea: 1e-4, mass: 0.002 },
  { name: 'Skid', dragArea: 5e-4, mass: 0.03, fixed: true },
];
const into = (more: Partial<PasteInto> = {}): PasteInto => ({
  path: PATH,
  list,
  rows: [0, 1, 2],
  columns,
  every: columns,
  units: 'metric',
  comma: null,
  ...more,
});
const paste = (text: string, more?: Partial<PasteInto>) => placePasted(readTabbed(text)!, into(more));
const listOf = (r: ReturnType<typeof paste>) => (r.status === 'ok' ? r.list : r.message);

describe('pasting', () => {
  it('goes from the cell in hand on, in the person’s units', () => {
    const [row] = listOf(paste('Wire\t3\t250\tleft\t12')) as DocRow[];
    expect(row).toMatchObject({ name: 'Wire', long: 0.25, side: 'l', mass: 0.012 });
  });
  it('headings say which column and which unit, in any order', () => {
    const rows = listOf(paste('Length [in]\tItem\n2\tWire\n\tHook')) as DocRow[];
    expect(rows[0]).toMatchObject({ name: 'Wire', long: 0.0508, dragArea: 2e-4 });
    expect(rows[1]).not.toHaveProperty('long');
  });
  it('a heading that no column has is left out and said', () => {
    expect(paste('Item\tColour\tLength\nWire\tred\t20')).toMatchObject({ status: 'ok', leftOut: ['Colour'] });
  });
  it('adds rows where the table can grow, refuses them where it cannot', () => {
    const text = 'a\t1\nb\t2\nc\t3\nd\t4';
    expect(listOf(paste(text))).toMatch(/more rows .* Nothing was pasted/);
    const grown = listOf(paste(text, { newRow: () => ({ name: '', mass: 1 }) })) as DocRow[];
    expect(grown).toHaveLength(4);
    expect(grown[3]).toMatchObject({ name: 'd', mass: 1 });
  });
  it('is refused whole, in a sentence, and changes nothing', () => {
    const before = structuredClone(list);
    expect(listOf(paste('a\t1\nb\tmany'))).toMatch(/“many” for Drag area: .*Nothing was pasted/);
    expect(listOf(paste('a\t1\t1\tabove'))).toMatch(/none of Side: not said, left/);
    expect(list).toEqual(before);
  });
  it('a cell that takes nothing is passed over', () => {
    expect((listOf(paste('9', { rows: [2], columns: columns.slice(4) })) as DocRow[])[2]).toBe(list[2]);
  });
});

it('what is copied of a table comes back as it was, in either system', () => {
  const sample = fc.array(
    fc.record({
      name: fc.stringMatching(/^[A-Za-z][A-Za-z ]{0,10}[a-z]$/),
      dragArea: fc.double({ min: 1e-5, max: 0.1, noNaN: true }),
      long: fc.double({ min: 0.001, max: 9, noNaN: true }),
    }),
    { minLength: 1, maxLength: 5 },
  );
  const own = columns.slice(0, 3);
  const text = (rows: DocRow[], units: UnitSystem) =>
    writeTabbed([
      own.map((c) => heading(c.label, unitOf(c, PATH, units))),
      ...rows.map((row, i) => own.map((c) => copied(valueIn(c, row, i), kindIn(c, row, PATH), units))),
    ]);
  fc.assert(
    fc.property(sample, fc.constantFrom('metric', 'imperial'), fc.boolean(), (rows, units, other) => {
      // read by the same person, or by one who works in the other system
      const reader = other ? (units === 'metric' ? 'imperial' : 'metric') : units;
      const back = placePasted(readTabbed(text(rows, units))!, {
        ...into({ units: reader, columns: own, every: own, rows: [] }),
        list: [],
        newRow: () => ({}),
      });
      expect(back.status === 'ok' && back.list).toHaveLength(rows.length);
      for (const [i, row] of ((back.status === 'ok' && back.list) || []).entries()) {
        expect(row.name).toBe(rows[i]!.name);
        expect(Number(row.dragArea) / rows[i]!.dragArea).toBeCloseTo(1, 5);
        expect(Number(row.long) / rows[i]!.long).toBeCloseTo(1, 5);
      }
    }),
  );
});

describe('blocks', () => {
  it('span from corner to corner, whichever came first', () => {
    const block = blockBetween({ row: 3, column: 0 }, { row: 1, column: 2 });
    expect(block).toEqual({ from: { row: 1, column: 0 }, to: { row: 3, column: 2 } });
    expect(inBlock(block, { row: 2, column: 1 })).toBe(true);
    expect(inBlock(block, { row: 0, column: 1 })).toBe(false);
  });
  it('filling down repeats the uppermost row, and leaves what takes nothing', () => {
    const filled = fillDown(list, [0, 1, 2], columns.slice(2));
    expect(filled[1]).toMatchObject({ name: 'Hook', long: 0.1, side: 'l', mass: 0.01 });
    expect(filled[2]).toMatchObject({ long: 0.1, mass: 0.03 });
    expect(fillDown(list, [], columns)).toEqual(list);
  });
});

it('sorts by size, words with numbers in them by size, the unknown last either way', () => {
  const sorted = (list: (number | string | null)[], down: boolean) =>
    [...list].sort((a, b) => inOrder(a, b, down));
  expect(sorted(['12 tubes', null, '8 tubes'], false)).toEqual(['8 tubes', '12 tubes', null]);
  expect(sorted([1, null, 3], true)).toEqual([3, 1, null]);
});

it('a tick is yes or no, and nothing else', () => {
  const ticked: DocColumn[] = [{ key: 'vital', label: 'Vital', cell: { type: 'check' } }];
  const said = (text: string) => placePasted([[text]], into({ columns: ticked, every: ticked }));
  expect((listOf(said('x')) as DocRow[])[0]).toMatchObject({ vital: true });
  expect((listOf(said('No')) as DocRow[])[0]).toMatchObject({ vital: false });
  expect(listOf(said('perhaps'))).toMatch(/neither yes nor no/);
});

it('a total is of what is known, and of nothing it is not zero', () => {
  expect(totalOf([1, null, 2])).toBe(3);
  expect(totalOf([null, 'a'])).toBeNull();
});

it('units stand over columns of one kind', () => {
  const column = (key: string): DocColumn => ({ key, label: key, cell: { type: 'quantity' } });
  expect(unitOf(column('dragArea'), PATH, 'metric')).not.toBe('');
  expect(bitternDocument().design.dragItems.length).toBeGreaterThan(0);
  const mixed: DocColumn = { ...column('x'), cell: { type: 'quantity', kind: () => 'mass' } };
  expect(unitOf(mixed, PATH, 'metric')).toBe('');
});
