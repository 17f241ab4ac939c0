/**
 * Which control surface answers to which stick: `elevator` and `flap` move both sides alike, `aileron` and `rudder`
 * against each other. Weights: how far a control goes for one unit, trailing edge down positive on the right side.
 */
import type { Surface } from '../design';
import type { ControlKind } from './panels';
import { isMirrored } from './place';

/** Weight by `surface.control`. */
export type Mix = ReadonlyMap<string, number>;

const KINDS: Record<'elevator' | 'flap' | 'aileron' | 'rudder', readonly ControlKind[]> = {
  elevator: ['elevator', 'elevon', 'ruddervator'],
  flap: ['flap', 'flaperon'],
  aileron: ['aileron', 'elevon', 'flaperon'],
  rudder: ['rudder', 'ruddervator'],
};

function mixOf(surfaces: readonly Surface[], stick: keyof typeof KINDS, weight: (s: Surface) => number): Mix {
  return new Map(
    surfaces.flatMap((s) =>
      s.controls
        .filter((c) => KINDS[stick].includes(c.kind))
        .map((c) => [`${s.id}.${c.id}`, weight(s)] as const),
    ),
  );
}

/** Elevator: positive pitches the nose down, so that a foreplane's goes up. Flap: positive down. */
export function symmetricMix(surfaces: readonly Surface[], stick: 'elevator' | 'flap'): Mix {
  return mixOf(surfaces, stick, (s) => (stick === 'elevator' && s.role === 'canard' ? -1 : 1));
}

/** Aileron: positive rolls right. Rudder: positive yaws right. Ahead of the CG a rudder works the other way. */
export function antisymmetricMix(surfaces: readonly Surface[], stick: 'aileron' | 'rudder'): Mix {
  const wing = surfaces.find((s) => s.role === 'wing');
  const ahead = (s: Surface) =>
    stick === 'rudder' && wing !== undefined && s.x + s.stations[0].chord < wing.x;
  return mixOf(
    surfaces.filter((s) => stick === 'rudder' || isMirrored(s)),
    stick,
    (s) => (ahead(s) ? -1 : 1),
  );
}
