import { beforeAll, describe, expect, it } from 'vitest';
import { assess, entryOf } from '../assess';
import { readDocument } from '../design';
import { loadPolars } from '../../testing/polarStore';
import { BEGINNINGS } from '.';

beforeAll(loadPolars);

describe.each(BEGINNINGS.map((b) => [b.id, b] as const))('%s', (_, b) => {
  const doc = b.make(),
    ledger = assess(doc.brief, doc.design, doc.calibration);
  it('is read back as it was made', () => {
    const read = readDocument(JSON.parse(JSON.stringify(doc)));
    expect(read).toEqual({ status: 'ok', value: doc });
  });
  it('is computed to its end, and nothing of it needs to be stopped', () => {
    expect(ledger.stopped).toBeNull();
    // the demo is there to be mended
    if (b.id !== 'bittern') expect(ledger.findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });
  it('has every number that its strip shows', () => {
    for (const w of doc.brief.watch) {
      const [id, state] = w.split('@') as [Parameters<typeof entryOf>[1], string];
      expect(entryOf(ledger, id, state)?.value, w).toBeTypeOf('number');
    }
  });
});
