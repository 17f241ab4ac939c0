/** Claims against what is computed. */
import { describe, expect, it } from 'vitest';
import { craneDocument } from '../../demo';
import { sentence } from '../../words';
import { claimQuestions } from './claims';

describe('a claimed flight time', () => {
  const context = {
    density: 1.2,
    emptyMass: 3,
    discArea: 0.5,
    still: null,
    pitch: 0.1,
    packCurrent: 80,
    packEnergy: 360_000,
    cruisePower: 100,
    hoverPower: 400,
  };
  const asked = (flightTime: number, more: Partial<typeof context> = {}) =>
    claimQuestions(
      {
        ...craneDocument().design,
        claims: { payload: null, hoverPower: null, topSpeed: null, flightTime, thrust: null, current: null },
      },
      { ...context, ...more },
    )
      .map((x) => sentence(x))
      .join();
  it('is held against the wing and against hover', () => {
    expect(asked(10 * 60)).toBe('');
    expect(asked(30 * 60)).toMatch(/15 min in hover at 400 W\. It holds on the wing only/);
    expect(asked(90 * 60)).toMatch(/60 min on the wing at 100 W and 15 min in hover/);
  });
  it('and against hover alone where there is no wing drive', () =>
    expect(asked(30 * 60, { cruisePower: null as unknown as number })).toMatch(
      /last 15 min in hover at 400 W\.$/,
    ));
});
