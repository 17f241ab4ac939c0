/** Points of footage as a file, legs of a mission in a log, how traces are read. */
import { describe, expect, it } from 'vitest';
import { SEGMENT_KINDS } from '@skiametra/core/design';
import { footageFile } from './footageFile';
import { KINDS, ROWS } from './segmentKinds';
import { firstTraces, traceLook } from './traces';

describe('points of footage', () => {
  it('time by the speed that it was played at, decimal commas, several signs between', async () => {
    const r = footageFile('0 0\n1,5; 4\n\n3\t9.5', 'height_m', 0.5);
    if (r.status === 'error') throw new Error(r.message);
    expect(await r.file.text()).toBe('time_s,height_m\n0.0000,0\n0.7500,4\n1.5000,9.5\n');
    expect(r.count).toBe(3);
  });
  it.each([
    ['0 1\n1 2', /At least 3/],
    ['0 1\n1 2\nhere', /Line 3, “here”/],
    ['0 1\n1 2\n2 ,', /not a time and a number/],
  ])('%j is refused with a sentence', (text, said) => {
    const r = footageFile(text, 'height_m', 1);
    expect(r.status === 'error' && r.message).toMatch(said);
  });
});

describe('stretches', () => {
  it('every kind has its row and its word', () => {
    for (const k of SEGMENT_KINDS) expect(KINDS[k].row).toBeLessThan(ROWS);
  });
});

describe('traces', () => {
  it('height, airspeed and amps first; loads are read in g', () => {
    expect(firstTraces(['climbing', 'air', 'height', 'pressureHeight', 'amps'])).toEqual([
      'pressureHeight',
      'air',
      'amps',
    ]);
    expect(traceLook('az')).toMatchObject({ kind: 'loadFactor', scale: 1 / 9.80665 });
  });
});
