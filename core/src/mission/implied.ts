/**
 * Figures that somebody stated, held against the law that ties them together. A figure that cannot be is pointed at, never
 * corrected.
 *   one lift coefficient     V ~ sqrt(m)
 *   one power                D V = P, D ~ CdA V^2: CdA ~ V^-3
 *   screw                    V <= pitch n
 *   hover                    P >= T^1.5 / sqrt(2 rho A)
 *   climb                    P >= m g h / t
 */
import { G0 } from '../air';
import type { Stated, StatedKind } from '../design';
import { CHEMISTRY, idealHoverPower } from '../power';
import { say, type Said } from '../words';

/** Two figures of one thing agree within this. */
const AGREE = 0.03;
/** Share of the pack's power that lifts, of good drives and of usual ones. Common practice, no source. */
export const GOOD_LIFT = 0.7,
  USUAL_LIFT = 0.55;
/** Past the advance of its pitch a propeller pulls no more; a little lift at zero angle of its own is allowed for. */
const PAST_PITCH = 1.15;

export interface Verdict {
  readonly agrees: boolean;
  readonly said: Said;
}

type Of<K extends StatedKind> = Extract<Stated, { kind: K }>;
const near = (a: number, b: number) => Math.abs(a / b - 1) <= AGREE;

/** Of two masses at one lift coefficient: ratio of the speeds, and of the roots of the masses. */
export function speedRatios(s: Omit<Of<'speeds'>, 'id' | 'note' | 'kind'>): {
  speeds: number;
  roots: number;
} {
  return { speeds: s.otherSpeed / s.speed, roots: Math.sqrt(s.otherMass / s.mass) };
}

/** Drag area with something out over that without, at one power. */
export const dragRatio = (speed: number, otherSpeed: number): number => (speed / otherSpeed) ** 3;

/** Power that height alone asks of each kilogram [W/kg]: g h / t. */
export const climbWatts = (height: number, time: number): number => (G0 * height) / time;

/** Wing loading that a strip of a length allows: the run goes with it at the same wing and thrust (Anderson 6.103). */
export const loadingFor = (loading: number, run: number, strip: number): number =>
  loading * Math.sqrt(strip / run);

const LAWS: { readonly [K in StatedKind]: (s: Of<K>, density: number) => Verdict } = {
  speeds(s) {
    const { speeds, roots } = speedRatios(s),
      implied = s.mass * speeds * speeds;
    return near(speeds, roots)
      ? { agrees: true, said: say('stated-speeds', { speeds, roots }) }
      : { agrees: false, said: say('stated-speeds-apart', { speeds, roots, mass: s.otherMass, implied }) };
  },
  drag(s) {
    const ratio = dragRatio(s.speed, s.otherSpeed);
    return { agrees: ratio >= 1, said: say('stated-drag', { ratio }) };
  },
  pitch(s) {
    const advance = (s.pitch * s.rotation) / (2 * Math.PI);
    const agrees = s.speed <= PAST_PITCH * advance;
    return { agrees, said: say('stated-pitch', { advance, speed: s.speed, agrees }) };
  },
  loading(s) {
    const implied = s.loading * s.area,
      agrees = near(s.mass, implied);
    return { agrees, said: say('stated-loading', { implied, mass: s.mass, agrees }) };
  },
  volts(s) {
    const c = CHEMISTRY[s.chemistry],
      [nominal, full, least] = [c.nominal, c.full, c.least].map((v) => v * s.cells),
      is = near(s.volts, nominal) ? 'nominal' : near(s.volts, full) ? 'full' : null;
    const said = say('stated-volts', { cells: s.cells, volts: s.volts, nominal, full, least, is });
    return { agrees: is !== null, said };
  },
  hover(s, density) {
    const ideal = idealHoverPower(s.mass * G0, s.discs, density),
      share = ideal / s.power,
      is = share > 1 ? 'impossible' : share > GOOD_LIFT ? 'better than good' : 'possible';
    const said = say('stated-hover', {
      power: s.power,
      ideal,
      usual: ideal / USUAL_LIFT,
      at: USUAL_LIFT,
      is,
    });
    return { agrees: is === 'possible', said };
  },
  run(s) {
    const allowed = loadingFor(s.loading, s.run, s.strip);
    return { agrees: s.run <= s.strip, said: say('stated-run', { allowed, times: allowed / s.loading }) };
  },
  climb(s) {
    const asks = climbWatts(s.height, s.time),
      has = s.power / s.mass,
      agrees = has >= asks;
    return { agrees, said: say('stated-climb', { asks, has, share: asks / has, agrees }) };
  },
};

/** @param density of the air [kg/m3] */
export function heldAgainst(s: Stated, density: number): Verdict {
  return (LAWS[s.kind] as (s: Stated, density: number) => Verdict)(s, density);
}
