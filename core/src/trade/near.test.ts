/** What is taken over from a run of nearly the same document is what its own would have been. */
import { describe, expect, it } from 'vitest';
import { evaluate, readRef, StepCache } from '../assess';
import { bitternDocument, craneDocument, gnatDocument } from '../demo';
import type { DesignDocument } from '../design';
import { candidatesOf } from './index';

const WANTED = [
  'score',
  'mass',
  'stallSpeed',
  'allowedLoadFactor',
  'aileronReserve',
  'staticMargin',
  'lapTime',
];

describe('a step of every input', () => {
  it.each([
    { make: bitternDocument, state: 'tubes-8' },
    { make: craneDocument, state: null },
    { make: gnatDocument, state: null },
  ])('$make.name', ({ make, state }) => {
    const doc = make(),
      flown = state ?? doc.design.states[0].id,
      near = new StepCache(),
      alone = new StepCache();
    const wanted = WANTED.flatMap((id) => readRef(`${id}@${flown}`) ?? []),
      of = (d: DesignDocument, cache: StepCache) => evaluate(d, wanted, cache);
    of(doc, near);
    for (const { lever, step } of candidatesOf(doc, flown)) {
      const changed = lever.set(doc, (lever.value(doc) ?? 0) + step);
      // every one by its own keys
      alone.family = null;
      expect(of(changed, near), lever.id).toEqual(of(changed, alone));
      expect(near.family).not.toBeNull();
    }
    // and back where it began
    alone.family = null;
    expect(of(doc, near)).toEqual(of(doc, alone));
  });
  it('two states that change their flaps for each other’s', () => {
    const doc = bitternDocument(),
      { states } = doc.design,
      [a, b] = states.filter((s) => s.id !== 'ferry').slice(0, 2);
    const flaps = (angle: number) => [{ surface: 'wing', control: 'aileron', angle }];
    const withFlaps = (of: Record<string, number>): DesignDocument => ({
      ...doc,
      design: {
        ...doc.design,
        states: states.map((s) => (of[s.id] === undefined ? s : { ...s, flaps: flaps(of[s.id]) })),
      },
    });
    const cache = new StepCache(),
      alone = new StepCache();
    const wanted = [a, b].flatMap(({ id }) =>
      ['stallSpeed', 'clMax', 'lapSpeed'].flatMap((q) => readRef(`${q}@${id}`) ?? []),
    );
    const before = evaluate(withFlaps({ [a.id]: 0.05, [b.id]: 0.2 }), wanted, cache);
    const swapped = withFlaps({ [a.id]: 0.2, [b.id]: 0.05 });
    expect(evaluate(swapped, wanted, cache)).toEqual(evaluate(swapped, wanted, alone));
    expect(evaluate(swapped, wanted, alone)).not.toEqual(before);
  });
  it('a document of another family takes its place', () => {
    const cache = new StepCache(),
      { design } = gnatDocument();
    of(bitternDocument());
    const before = cache.family;
    of(gnatDocument());
    expect(cache.family).not.toBe(before);
    expect(cache.family!.source.design.states).toEqual(design.states);
    function of(d: DesignDocument) {
      evaluate(d, [{ id: 'score', state: d.design.states[0].id }], cache);
    }
  });
});
