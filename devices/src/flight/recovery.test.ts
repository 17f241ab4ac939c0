/** The hidden truth of the simulated logger is found again, as often as the stated sigmas say. */
import { describe, expect, it } from 'vitest';
import { recoveryOf, type Recovery } from './recovery';

/** Inside one sigma: 68 % of a normal spread; 200 flights leave three to four per cent of chance on it. */
const LEAST = 0.6,
  MOST = 0.76;

const outside = (found: Partial<Record<string, Recovery>>) =>
  Object.entries(found).flatMap(([id, r]) =>
    r!.within < LEAST || r!.within > MOST ? [`${id} ${(100 * r!.within).toFixed(1)} %`] : [],
  );

describe('over 200 flights each result lies within its own sigma as often as it says', () => {
  it('with an airspeed sensor', () => {
    const found = recoveryOf('wing', true, 200);
    expect(outside(found)).toEqual([]);
    expect(Object.keys(found).sort()).toEqual([
      'airspeedFactor',
      'climbRate',
      'dragArea',
      'endurance',
      'energyUsed',
      'glideRatio',
      'groundRun',
      'inducedFactor',
      'lapSpeed',
      'maxLoadFactor',
      'peakHeight',
      'powerToWeight',
      'sinkRate',
      'stallSpeed',
      'turnBank',
      'turnLoadFactor',
      'turnRadius',
      'windFrom',
      'windSpeed',
    ]);
  });
  it('without one; the speed of the laps says a little less than it knows', () => {
    const { lapSpeed, ...rest } = recoveryOf('wing', false, 200);
    expect(outside(rest)).toEqual([]);
    expect(lapSpeed!.within).toBeGreaterThan(LEAST);
  });
  it('of a track a second alone, too: turns and wind say a little less than they know, laps a little more', () => {
    const found = recoveryOf('track', false, 200);
    const off = Object.entries(found).filter(([, r]) => r!.within < LEAST - 0.05 || r!.within > MOST + 0.06);
    expect(off).toEqual([]);
    // a logger that writes one row a second still shows climb, glide and turns
    expect(Object.keys(found)).toEqual(
      expect.arrayContaining([
        'windSpeed',
        'climbRate',
        'sinkRate',
        'glideRatio',
        'dragArea',
        'turnBank',
        'lapSpeed',
      ]),
    );
  });
  it('hanging on rotors', () => {
    const found = recoveryOf('rotors', false, 200);
    expect(outside(found)).toEqual([]);
    expect(Object.keys(found).sort()).toEqual(['endurance', 'energyUsed', 'hoverPower']);
  });
});
