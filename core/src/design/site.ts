/** How well the day is known before it comes. Common practice, no source. */
import type { Brief } from './schema';

const WIND_SHARE = 0.3,
  WIND_LEAST = 0.5,
  TEMPERATURE = 4,
  FRICTION_SHARE = 0.25;

/**
 * Wind at a height over the ground, over that at the height it was read at: power law (1/7 over open water and short grass,
 * 0.2 to 0.3 over hedges and houses; common practice). 1 where nothing is told of it.
 * @param height [m]; the height flown at where left out
 */
export function windGrowth(site: Pick<Brief['site'], 'shear'>, height?: number): number {
  const { shear } = site;
  if (!shear) return 1;
  return (Math.max(height ?? shear.flown, LOWEST) / shear.read) ** shear.exponent;
}
/** Below this the law says nothing [m]. */
const LOWEST = 0.3;

/** Standard uncertainties of wind [m/s], temperature [K] and rolling friction: as typed, else the usual ones. */
export function siteSpread(site: Brief['site']): { wind: number; temperature: number; friction: number } {
  return {
    wind: site.spread?.wind ?? Math.max(WIND_LEAST, WIND_SHARE * site.wind),
    temperature: site.spread?.temperature ?? TEMPERATURE,
    friction: site.spread?.friction ?? FRICTION_SHARE * site.rollingFriction,
  };
}
