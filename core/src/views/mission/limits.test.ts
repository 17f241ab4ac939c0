import { describe, expect, it } from 'vitest';
import { flyMission, trackOf } from '../../mission';
import { flight, leg, plainCraft, plainCrew } from '../../mission/fixture';
import { fallsOn, placeLimits } from './limits';

const flown = flyMission(
    flight([
      leg('up', 'climb', { height: 20 }),
      leg('out', 'straight', { length: 300 }),
      leg('round', 'turn'),
    ]),
    plainCrew({ craft: () => plainCraft() }),
    'plain',
  ),
  track = trackOf(flown.legs, 0);

describe('limits of a place', () => {
  it('says nothing of what nobody typed', () => expect(placeLimits({}, flown, track)).toEqual([]));
  it('holds heights, distances, mass against what is flown', () => {
    const told = placeLimits({ height: 30, distance: 100, sight: 1000, mass: 2.5 }, flown, track),
      margin = (of: string) => told.find((l) => l.of === of)!.margin;
    expect(margin('height')).toBeCloseTo(10, 6);
    expect(margin('distance')).toBeLessThan(0);
    expect(margin('sight')).toBeGreaterThan(0);
    expect(margin('mass')).toBeCloseTo(0.5, 6);
  });
  it('people: less what it comes towards them, and what it may fall on from its highest and fastest', () => {
    const [people] = placeLimits({ people: 200, keepOff: 50 }, flown, track);
    // a right turn of 22.9 m radius at 15 m/s, from 20 m height
    expect(people!.value).toBeCloseTo(200 - track.right - fallsOn(15, 20), 6);
    expect(fallsOn(15, 20)).toBeCloseTo(15 * Math.sqrt(40 / 9.80665), 9);
    expect(track.right).toBeCloseTo(2 * 22.94, 1);
  });
});
