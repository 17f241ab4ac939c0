/** No number of a document without its place on a screen: each is named by a part that also names what it belongs to. */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { documentSchema, numbersOf } from '@skiametra/core/design';
import { describe, expect, it } from 'vitest';

const WEB = join(dirname(fileURLToPath(import.meta.url)), '..');
const FOLDERS = ['stations', 'parts'];

/** Where a number is not typed: said why. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  'calibration.covariance': 'what tests taught, shown as the spread of every factor',
};

const texts = FOLDERS.flatMap((folder) =>
  (readdirSync(join(WEB, folder), { recursive: true }) as string[])
    .filter((f) => /\.tsx?$/.test(f) && !f.includes('.test.'))
    .map((f) => readFileSync(join(WEB, folder, f), 'utf8')),
);

/** Named as a key or at the end of a path. */
const names = (key: string) => new RegExp(`['"\`.]${key}(['"\`]|\\s*[}:,])|\\b${key}:`);
const stem = (word: string) => new RegExp(word.replace(/s$/, ''), 'i');
/** Too common to tell what a number belongs to. */
const COMMON = new Set(['design', 'shape', 'data', 'flight', 'brief', 'a', 'b']);

/** Parts of one kind are typed by the same fields wherever they stand. */
const SAME: readonly (readonly [RegExp, readonly string[]])[] = [
  [
    /^design\.swaps\.\*\.data\./,
    ['design.power.packs.*.', 'design.drives.*.motor.', 'design.drives.*.propeller.'],
  ],
  [/^design\.structure\..*\.(shape|tip)\./, ['design.structure.members.*.shape.']],
];

function isShown(path: string): boolean {
  const words = path.split('.').filter((w) => !/^(\*|\d+)$/.test(w)),
    key = names(words.at(-1)!),
    owners = words.slice(-3, -1).filter((w) => !COMMON.has(w));
  return texts.some((t) => key.test(t) && (owners.length === 0 || owners.some((o) => stem(o).test(t))));
}

function hasPlace(path: string): boolean {
  const same = SAME.find(([of]) => of.test(path));
  return isShown(path) || (same?.[1].some((to) => isShown(path.replace(same[0], to))) ?? false);
}

describe('every number of a document', () => {
  it('has its place on a screen', () => {
    const lost = numbersOf(documentSchema)
      .map(({ path }) => path)
      .filter((p) => !Object.keys(ELSEWHERE).some((e) => p.startsWith(e)))
      .filter((p) => !hasPlace(p));
    expect([...new Set(lost)]).toEqual([]);
  });
  it('is missed where a screen does not name it', () => {
    expect(isShown('design.states.*.addedDrag')).toBe(true);
    expect(isShown('design.states.*.addedDragg')).toBe(false);
  });
});
