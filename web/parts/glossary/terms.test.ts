/** Abbreviations are found as words of their own; every term has its sentence. */
import { expect, it } from 'vitest';
import { glossed, TERMS } from './terms';

const cut = (text: string) => glossed(text).map((p) => (typeof p === 'string' ? p : `<${p.short}>`));

it('finds abbreviations as words of their own', () => {
  expect(cut('Yaw stiffness Cnβ')).toEqual(['Yaw stiffness ', '<Cnβ>']);
  expect(cut('CG on the mean chord')).toEqual(['<CG>', ' on the mean chord']);
  expect(cut('Drag, cd')).toEqual(['Drag, ', '<cd>']);
});

it('leaves words that only contain their letters', () => {
  for (const text of ['Rest', 'clear of carbon', 'Jigs', 'CGI', 'Ready', 'cmd'])
    expect(cut(text)).toEqual([text]);
});

it('every term has a name and one or two plain sentences', () => {
  for (const t of TERMS) {
    expect(t.name).toMatch(/^[A-Z]/);
    expect(t.says).toMatch(/\.$/);
    expect(t.says.length).toBeLessThan(140);
  }
  expect(new Set(TERMS.map((t) => t.id)).size).toBe(TERMS.length);
});
