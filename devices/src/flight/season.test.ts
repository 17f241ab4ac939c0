/** The demo's season is flown by the demo aircraft as it truly is, and its logs read again in every format. */
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { DEMO_TRUTH } from '../truth';
import { SEASON_TRUTH, seasonFlights } from './season';
import { flightTruth } from './truthOf';

describe('the season', () => {
  it.each(Object.keys(SEASON_TRUTH) as (keyof typeof SEASON_TRUTH)[])(
    '%s is what the design gives',
    (state) => {
      const truth = flightTruth(bitternDocument(), state, DEMO_TRUTH);
      for (const [key, value] of Object.entries(SEASON_TRUTH[state]))
        expect(value / truth[key as keyof typeof truth], key).toBeCloseTo(1, 2);
    },
  );
  it('four flights, four formats, the same every time', () => {
    const all = seasonFlights();
    expect(all.map((f) => f.file.split('.').at(-1))).toEqual(['csv', 'csv', 'igc', 'gpx']);
    expect(all[0]!.text()).toBe(seasonFlights()[0]!.text());
    expect(all[1]!.text()).toMatch(/^Flugdatenschreiber/);
  });
});
