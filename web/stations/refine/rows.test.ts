/** Rows of asked, predicted and measured: each number once, legs and missions by themselves. */
import { describe, expect, it } from 'vitest';
import { assess } from '@skiametra/core/assess';
import { bitternDocument, bitternProject } from '@skiametra/core/demo';
import { rowsOf } from './rows';

const { brief, design, calibration } = bitternDocument(),
  ledger = assess(brief, design, calibration),
  [some] = bitternProject().tests.find((t) => t.body.record.groundRun !== null)!.body.measurements;
const read = (quantity: string, value: number, at = {}) => ({
  ...some!,
  quantity,
  state: 'ferry',
  value,
  sigma: 1,
  setAside: false,
  ...at,
});

describe('rows of what was asked, predicted and measured', () => {
  it('two readings of one number are one mark, weighted', () => {
    const rows = rowsOf(
      { brief, design, ledger, measured: [read('groundRun', 9), read('groundRun', 11)] },
      false,
    );
    const [run, ...more] = rows.filter((r) => r.id === 'groundRun' && r.state === 'ferry');
    expect(more).toEqual([]);
    expect(run!.marks.measured).toMatchObject({ value: 10 });
    expect(run!.marks.asked).toMatchObject({ max: 20 });
  });
  it('a leg has a row of its own with its name and its own prediction', () => {
    const measured = [read('legTime', 9, { part: 'relay', leg: 'out' })],
      row = rowsOf({ brief, design, ledger, measured }, false).find((r) => r.id === 'legTime')!,
      e = ledger.entries.find((x) => x.id === 'legTime' && x.leg === 'out')!;
    expect(row.place).toMatch(/^Relay heat, /);
    expect(row.marks.predicted!.value).toBe(e.value);
    expect(row.marks.measured!.value).toBe(9);
  });
  it('every number of the ledger has a row when all are wanted, under its own key', () => {
    const rows = rowsOf({ brief, design, ledger, measured: [] }, true),
      keys = new Set(rows.map((r) => r.key));
    expect(keys.size).toBe(rows.length);
    for (const r of rows.filter((x) => x.place)) expect(r.marks.predicted, r.key).not.toBeNull();
  });
});
