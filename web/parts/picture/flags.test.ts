/** Names never cover one another, never leave the picture, and everything is named: over all demos and random crowds. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bitternCanardDocument,
  bitternDocument,
  bitternSolarDocument,
  craneDocument,
  gnatDocument,
  starterDocument,
  waferDocument,
} from '@skiametra/core/demo';
import { loadedState } from '@skiametra/core/mass';
import { balanceFrame } from '../layout/balanceFrame';
import { flagsOf, gathered, type Flags } from './flags';

/** Texts that lie over one another, and lines that run through a text. */
function clashes({ flags }: Flags): string[] {
  return flags.flatMap((a) =>
    flags.flatMap((b) => {
      if (a === b || a.side !== b.side) return [];
      const texts = a.row === b.row && a.x < b.end && b.x < a.end,
        // the line of b runs past the row of a at its own place
        line = b.row > a.row && b.x > a.x && b.x < a.end;
      return texts || line ? [`${a.name} / ${b.name}`] : [];
    }),
  );
}

const demos = {
  bittern: bitternDocument(),
  canard: bitternCanardDocument(),
  solar: bitternSolarDocument(),
  crane: craneDocument(),
  wafer: waferDocument(),
  gnat: gnatDocument(),
  starter: starterDocument(),
};

describe('names in the balance picture', () => {
  it.each(Object.entries(demos))(
    '%s: nothing is covered, nothing leaves it, everything is named',
    (_, doc) => {
      const { design } = doc,
        states = design.states.map((l) => ({
          loading: l.id,
          name: l.name,
          cgX: loadedState(design, l, 'best', 1).x,
        }));
      const f = balanceFrame(design, { x: states[0]!.cgX + 0.02, z: 0 }, states);
      expect(clashes(f.names)).toEqual([]);
      expect(clashes(f.stateNames)).toEqual([]);
      for (const flag of [...f.names.flags, ...f.stateNames.flags])
        expect(flag.end).toBeLessThanOrEqual(f.box.x + f.box.width);
      // those that stand at one place share a line and are named on it
      const written = f.names.flags.map((n) => `, ${n.name}, `);
      for (const { name } of [...design.items, ...(design.wheels ?? [])])
        expect(
          written.some((w) => w.includes(`, ${name}, `)),
          name,
        ).toBe(true);
    },
  );
});

describe('flags', () => {
  const crowd = fc.array(
    fc.record({
      x: fc.double({ min: 0, max: 100, noNaN: true }),
      y: fc.double({ min: 0, max: 10, noNaN: true }),
      name: fc.string({ minLength: 1, maxLength: 24 }),
    }),
    { minLength: 1, maxLength: 30 },
  );
  it('law: however things crowd, no text covers another and no line runs through one', () => {
    fc.assert(
      fc.property(crowd, (things) => {
        const named = things.map((t, i) => ({ ...t, id: String(i) }));
        const flags = flagsOf(named, 1.7, 5);
        expect(flags.flags).toHaveLength(things.length);
        expect(clashes(flags)).toEqual([]);
      }),
      { seed: 61, numRuns: 300 },
    );
  });
  it('things that stand together share a name', () => {
    const at = (x: number, name: string) => ({ id: name, name, x, y: 0 });
    expect(gathered([at(0, 'a'), at(0.1, 'b'), at(0.2, 'c'), at(9, 'd')], 1).map((g) => g.name)).toEqual([
      'a … c',
      'd',
    ]);
    expect(gathered([at(0, 'a'), at(0.1, 'b')], 1)[0]!.name).toBe('a, b');
  });
});
