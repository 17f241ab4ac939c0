import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { setPath } from '@skiametra/core/design';
import { brokenNow, editWords, type Checked } from './broken';

const doc = bitternDocument(),
  longer = setPath(doc, 'brief.site.stripLength', 12),
  checked = (document: typeof doc, ...missed: string[]): Checked => ({ document, missed: new Set(missed) });

describe('the edit that broke a requirement', () => {
  it('is named with what it was and is', () =>
    expect(editWords(doc, longer, 'metric')).toBe('Strip length: 20 m → 12 m'));
  it('stays named while the requirement is missed, and is forgotten when it is met', () => {
    const broke = brokenNow(checked(doc), checked(longer, 'strip'), {}, 'metric');
    expect(broke.strip).toMatch(/^Strip length/);
    const later = setPath(longer, 'design.flight.lapThrottle', 0.7);
    expect(brokenNow(checked(longer, 'strip'), checked(later, 'strip'), broke, 'metric')).toEqual(broke);
    expect(brokenNow(checked(later, 'strip'), checked(doc), broke, 'metric')).toEqual({});
  });
  it('what was missed from the start has no edit to name', () =>
    expect(brokenNow(checked(doc, 'strip'), checked(longer, 'strip'), {}, 'metric')).toEqual({}));
  it('several changes at once: the first, and how many more', () => {
    const two = setPath(longer, 'design.flight.lapThrottle', 0.7);
    expect(editWords(doc, two, 'metric')).toMatch(/and 1 more$/);
    expect(editWords(doc, doc, 'metric')).toBeNull();
  });
});
