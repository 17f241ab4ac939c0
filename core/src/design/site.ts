/** How well the day is known before it comes. Common practice, no source. */
import type { Brief } from './schema';

const WIND_SHARE = 0.3,
  WIND_LEAST = 0.5,
  TEMPERATURE = 4,
  FRICTION_SHARE = 0.25;

/** Standard uncertainties of wind [m/s], temperature [K] and rolling friction: as typed, else the usual ones. */
export function siteSpread(site: Brief['site']): { wind: number; temperature: number; friction: number } {
  return {
    wind: site.spread?.wind ?? Math.max(WIND_LEAST, WIND_SHARE * site.wind),
    temperature: site.spread?.temperature ?? TEMPERATURE,
    friction: site.spread?.friction ?? FRICTION_SHARE * site.rollingFriction,
  };
}
