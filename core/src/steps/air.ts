/** The air at the site, and on a day warmer or colder than was asked. */
import { airAt, type Air } from '../air';
import { siteSpread } from '../design';
import { quantitiesOf, part } from './quantity';
import { step } from './step';

/** As the brief has it: what costly tables are made for. */
export const asked = step({
  id: 'asked air',
  scope: 'all',
  needs: {},
  slice: ({ brief: { site } }) => ({
    elevation: site.elevation,
    temperature: site.temperature,
    humidity: site.humidity ?? 0,
  }),
  run: (_, site): Air => airAt(site.elevation, site.temperature, site.humidity),
});

/** Of the day. */
export const air = step({
  id: 'air',
  scope: 'all',
  needs: {},
  causes: ['temperature'],
  slice: ({ brief: { site } }) => ({
    elevation: site.elevation,
    temperature: site.temperature,
    humidity: site.humidity ?? 0,
    spread: siteSpread(site).temperature,
  }),
  run: (_, site, causes): Air =>
    airAt(site.elevation, site.temperature + causes.temperature * site.spread, site.humidity),
});

const AIR = quantitiesOf(air, {
  airDensity: {
    name: 'Air density',
    kind: 'density',
    station: 'brief',
    formula: '(p(elevation) − 0.378 · vapour) / (R · T)',
    method:
      'US Standard Atmosphere 1976 pressure, site temperature; vapour by Magnus (WMO-No. 8, from memory)',
    read: (r) => r.density,
  },
  densityAltitude: {
    name: 'Density altitude',
    kind: 'distance',
    station: 'brief',
    formula: 'altitude where the standard air has {airDensity}',
    method: 'US Standard Atmosphere 1976',
    read: (r) => r.densityAltitude,
  },
});

export const AIR_PART = part([asked, air], AIR);
