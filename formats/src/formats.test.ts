import { describe, expect, it } from 'vitest';
import { bitternProject } from '@skiametra/core/demo';
import { naca4 } from '@skiametra/core/section';
import { parseDat, parsePolarCsv, parseProjectJson, writeDat, writeProjectJson } from './index';

const c = naca4('2412', 41);
const pts = Array.from({ length: 41 }, (_, i) => [c.xy[2 * i], c.xy[2 * i + 1]] as [number, number]);

describe('section files', () => {
  it('Selig round trip', () => {
    const r = parseDat(writeDat('My section', pts));
    expect(r.status === 'ok' && [r.name, r.points.length, r.form]).toEqual(['My section', 41, 'selig']);
  });
  it('Lednicer order is turned into one loop', () => {
    const up = pts.slice(0, 21).reverse(),
      lo = pts.slice(20);
    const text = `Led\n 21. 21.\n\n${up.map((p) => p.join(' ')).join('\n')}\n\n${lo.map((p) => p.join(' ')).join('\n')}\n`;
    const r = parseDat(text);
    expect(r.status === 'ok' && r.form).toBe('lednicer');
    expect(r.status === 'ok' && r.points[0]![0]).toBeCloseTo(1, 3);
    expect(r.status === 'ok' && r.points.length).toBe(41);
  });
  it('per cent coordinates are brought to chord 1', () => {
    const r = parseDat(`x\n${pts.map(([x, y]) => `${100 * x} ${100 * y}`).join('\n')}`);
    expect(r.status === 'ok' && Math.max(...r.points.map((p) => p[0]))).toBeCloseTo(1, 6);
  });
  it.each([
    ['', /empty/],
    ['a\n1 0\n0 0\n1 0', /3 points/],
    ['a\n1 0\nhello there you\n', /Line 3 is not a pair/],
    ['x'.repeat(300_000), /200 kB/],
    [`n\n${'0.5 0.1\n'.repeat(1200)}`, /1000 points/],
    [`n\n 30. 30.\n${'0.5 0.1\n'.repeat(12)}`, /announces/],
  ])('refuses with a sentence', (text, re) => {
    const r = parseDat(text);
    expect(r.status === 'error' && r.message).toMatch(re);
  });
});

describe('project JSON', () => {
  it('round trip', () => {
    const r = parseProjectJson(writeProjectJson(bitternProject()));
    expect(r.status === 'ok' && r.value).toEqual(bitternProject());
  });
  it.each([
    ['{', /cut short/],
    ['[]', /not a Skiametra/],
    ['{"format":"skiametra-project","schemaVersion":99}', /newer/],
  ])('refuses %s', (text, re) => {
    const r = parseProjectJson(text);
    expect(r.status === 'error' && r.message).toMatch(re);
  });
});

describe('measured polars', () => {
  it('takes header names in any order, degrees, gaps and a Reynolds number', () => {
    const r = parsePolarCsv('Cd,Cl,Alpha (deg),Re\n0.012,0.4,2,200000\n,0.6,4,\n0.03,bad,5,\n');
    expect(r).toEqual({
      status: 'ok',
      reynolds: 200000,
      skipped: 1,
      points: [
        { alpha: expect.closeTo((2 * Math.PI) / 180, 9), cl: 0.4, cd: 0.012 },
        { alpha: expect.closeTo((4 * Math.PI) / 180, 9), cl: 0.6, cd: null },
      ],
    });
  });
  it('takes semicolons with decimal commas', () =>
    expect(parsePolarCsv('cl;cd\n0,5;0,011\n')).toMatchObject({
      status: 'ok',
      points: [{ alpha: null, cl: 0.5, cd: 0.011 }],
    }));
  it.each([
    ['', /first line/],
    ['a,b\n1,2', /first line/],
    ['cl\n1', /column “alpha” or “cd”/],
    ['cl,cd\nx,y', /No line/],
    [`cl,cd\n${'0.5,0.01\n'.repeat(400)}`, /more than 300/],
    ['x'.repeat(300_000), /larger/],
  ])('%#: refused with a sentence', (text, re) => {
    const r = parsePolarCsv(text);
    expect(r.status).toBe('error');
    expect(r.status === 'error' && r.message).toMatch(re);
  });
});
