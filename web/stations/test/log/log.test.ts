/** Points of footage as a file, legs of a mission in a log, how traces are read. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { SEGMENT_KINDS } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';
import { footageFile } from './footageFile';
import { KINDS, legNames, legsSeen, ROWS } from './segmentKinds';
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
  const s = (kind: Segment['kind'], from: number): Segment => ({ kind, name: kind, from, to: from + 5 });
  it('every kind has its row and its word', () => {
    for (const k of SEGMENT_KINDS) expect(KINDS[k].row).toBeLessThan(ROWS);
  });
  it('legs of the demo’s heat are found, and those that nothing looks like are told', () => {
    const heat = bitternDocument().brief.missions.find((m) => m.name === 'Relay heat')!,
      flown = [s('run', 0), s('climb', 5), s('lap', 20), s('turn', 22), s('landing', 90)],
      { seen, missing } = legsSeen(flown, heat);
    expect(seen.map((x) => x.name)).toContain('Off the boardwalk');
    expect(missing).toContain('Tubes handed over');
    expect(legNames(flown, heat).get(flown[0]!)).toBe('Off the boardwalk');
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
