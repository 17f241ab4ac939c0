/** The arrows of the house: packages, core folders without cycles, nobody past a folder's index. */
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const sources = (dir: string): string[] =>
  readdirSync(join(root, dir), { withFileTypes: true, recursive: true })
    .filter(
      (e) =>
        e.isFile() &&
        /\.tsx?$/.test(e.name) &&
        !/\.test\.ts$|\.d\.ts$/.test(e.name) &&
        !/node_modules|\.next|e2e/.test(e.parentPath),
    )
    .map((e) => relative(root, join(e.parentPath, e.name)));
const importsOf = (file: string): string[] =>
  [...readFileSync(join(root, file), 'utf8').matchAll(/(?:from|import)\s+'([^']+)'/g)].map((m) => m[1]);

/** What each package may import of the others. */
const ALLOWED: Record<string, RegExp> = {
  core: /^(zod|ml-matrix|suncalc|fast-deep-equal|mathjs\/number)$/,
  formats:
    /^(zod|papaparse|yauzl|@streamparser\/json|clipper-lib|jspdf|saxes|maxrects-packer(?:\/dist\/maxrects-packer\.mjs)?|@tarikjabiri\/dxf|@skiametra\/core\/\w+)$/,
  devices: /^(node:net|@skiametra\/core\/\w+)$/,
  cli: /^(node:[\w/]+|@skiametra\/(core\/\w+|formats(?:\/(?:zip|log))?|devices(?:\/stand)?))$/,
};

export function wrongArrows(pkg: string, list: { file: string; imports: string[] }[]): string[] {
  return list.flatMap(({ file, imports }) =>
    imports.filter((i) => !i.startsWith('.') && !ALLOWED[pkg].test(i)).map((i) => `${file} imports ${i}`),
  );
}

describe('arrows', () => {
  it.each(Object.keys(ALLOWED))('%s imports only what it may', (pkg) =>
    expect(
      wrongArrows(
        pkg,
        sources(pkg === 'core' ? 'core/src' : pkg).map((file) => ({ file, imports: importsOf(file) })),
      ),
    ).toEqual([]),
  );
  it('a turned arrow is caught', () => {
    expect(
      wrongArrows('core', [{ file: 'x.ts', imports: ['@skiametra/web', 'react', 'zod', './y'] }]),
    ).toHaveLength(2);
    expect(wrongArrows('formats', [{ file: 'x.ts', imports: ['pg'] }])).toHaveLength(1);
  });
  it('nobody reaches past a core folder’s index, and no relative import leaves its package', () => {
    const bad = ['core/src', 'formats', 'devices', 'cli', 'web'].flatMap((pkg) =>
      sources(pkg).flatMap((file) =>
        importsOf(file)
          .filter((i) => i.startsWith('.'))
          .flatMap((i) => {
            const to = relative(root, resolve(join(root, dirname(file)), i));
            if (to.split('/')[0] !== file.split('/')[0]) return [`${file} leaves its package by ${i}`];
            const [from, target] = [file.split('/'), to.split('/')];
            return pkg === 'core/src' && from[2] !== target[2] && target.length > 3
              ? [`${file} reaches into ${to}`]
              : [];
          }),
      ),
    );
    expect(bad).toEqual([]);
  });
  it('core folders form no cycle', () => {
    const edges = new Map<string, Set<string>>();
    for (const file of sources('core/src'))
      for (const i of importsOf(file)) {
        if (!i.startsWith('..')) continue;
        const [a, b] = [
          file.split('/')[2],
          relative(join(root, 'core/src'), resolve(join(root, dirname(file)), i)).split('/')[0],
        ];
        if (a !== b) edges.set(a, (edges.get(a) ?? new Set()).add(b));
      }
    const done = new Set<string>();
    const walk = (n: string, path: string[]): string[] => {
      if (path.includes(n)) return [...path, n];
      if (done.has(n)) return [];
      for (const m of edges.get(n) ?? []) {
        const c = walk(m, [...path, n]);
        if (c.length) return c;
      }
      done.add(n);
      return [];
    };
    expect([...edges.keys()].flatMap((n) => walk(n, []))).toEqual([]);
  });
  it('no formula in a screen: stations and parts use no trigonometry, roots, gravity or air of their own beyond drawing', () => {
    const bad = sources('web/stations').filter((f) =>
      /Math\.(sin|cos|tan|sqrt|pow|exp|log)\b|9\.8\d|1\.225|1\.78\d?e-5/.test(
        readFileSync(join(root, f), 'utf8').replace(/Math\.sqrt\(Math\.max\(0, cal\.covariance/g, ''),
      ),
    );
    expect(bad).toEqual([]);
  });
});
