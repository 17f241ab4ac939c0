import { describe, expect, it } from 'vitest';
import { sectionWork } from '@skiametra/core/views';
import { bitternDocument } from '@skiametra/core/demo';
import { contourFacts, flatGap } from '@skiametra/core/section';
import { specKey } from '../../workers/specKey';
import { candidatesOf } from './candidates';
import { outlineOf } from './useShelf';

const sections = bitternDocument().design.sections;

describe('the shelf', () => {
  it('lists the design’s own first and nothing twice; everything on it can be drawn', () => {
    const list = candidatesOf(sections);
    expect(list.slice(0, 2).map((c) => c.origin)).toEqual(['own', 'own']);
    expect(list.filter((c) => c.name === 'NACA 4412')).toHaveLength(1);
    expect(new Set(list.map((c) => c.id)).size).toBe(list.length);
    for (const c of list) expect(outlineOf(c.section), c.name).toHaveProperty('outline');
  });
  it('the flat-bottomed one is flat and passes its own filter, and is as thick as its name says', () => {
    const flat = candidatesOf(sections).find((c) => c.id === 'family:flat')!,
      drawn = outlineOf(flat.section);
    if (!('outline' in drawn)) throw new Error('not drawn');
    expect(flatGap(drawn.outline)).toBeLessThan(0.001);
    expect(100 * contourFacts(drawn.outline).thickness).toBeCloseTo(Number(/[\d.]+/.exec(flat.name)![0]), 1);
  });
  it('a section that cannot be drawn says why', () =>
    expect(outlineOf({ shape: { kind: 'naca4', digits: '4400' } })).toEqual({
      problem: expect.stringMatching(/thickness/),
    }));
  it('keys differ by everything that is asked', () => {
    const section = { shape: { kind: 'naca4' as const, digits: '4412' } };
    const keys = [
      { section, reynolds: 1e5 },
      { section, reynolds: 2e5 },
      { section, reynolds: 1e5, nCrit: 5 },
      { section, reynolds: 1e5, tripUpper: 0.4 },
      { section, reynolds: 1e5, errors: { thickness: 0.1, camber: 0, nose: 0, edge: 0 } },
      { section: { ...section, change: { thickness: 1.1, camber: 1, flap: null } }, reynolds: 1e5 },
    ].map(specKey);
    expect(new Set(keys).size).toBe(6);
    expect(keys.every((k) => /^[a-z0-9-]{6,80}$/.test(k))).toBe(true);
  });
  it('without a ledger the Reynolds numbers are the usual ones of a small model', () =>
    expect(sectionWork(null, 'any')).toEqual({ atStall: 1e5, atWork: 2e5, lift: 0.5 }));
});
