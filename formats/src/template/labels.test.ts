import { describe, expect, it } from 'vitest';
import { labelSheet } from './index';

const text = (b: ArrayBuffer) => Buffer.from(b).toString('latin1');

describe('labels', () => {
  it('is a PDF with a page for every 21 stickers', () => {
    expect(text(labelSheet(['P1\n10 × 6 in'])).startsWith('%PDF')).toBe(true);
    expect(
      text(labelSheet(Array.from({ length: 22 }, (_, i) => `P${i}`))).match(/\/Type \/Page\b/g),
    ).toHaveLength(2);
  });
  it('writes ohms in letters the PDF’s own fonts have, and stands a very long name', () => {
    expect(text(labelSheet([`M1\n60 mΩ`]))).toContain('60 mOhm');
    expect(() => labelSheet([`${'x'.repeat(5000)}\n${'y '.repeat(5000)}`])).not.toThrow();
  });
});
