/**
 * How a state leaves and comes back. It is judged by that alone: a strip is asked of what runs along it, a margin of what
 * flies on its wing, lift thrust of what hovers.
 */
import { powertrainOf } from './powertrain';
import type { Design, State } from './schema';
import type { Leaving, Returning } from './wayKinds';

export const LEAVING_WORDS: Readonly<Record<Leaving, string>> = {
  run: 'a run along the strip',
  hand: 'by hand',
  bungee: 'a bungee',
  winch: 'a winch',
  rail: 'a rail',
  dolly: 'a dolly on the strip',
  hover: 'rotors',
  towed: 'a tow',
  dropped: 'a drop from another aircraft',
};
export const RETURNING_WORDS: Readonly<Record<Returning, string>> = {
  run: 'a landing run',
  belly: 'its belly',
  catch: 'being caught',
  net: 'a net',
  hover: 'rotors',
  spot: 'a glide to a spot',
};

type Ways = Pick<Design, 'power' | 'drives' | 'thrusters' | 'wheels' | 'surfaces'>;
function lifts(d: Ways): boolean {
  const { lift, arrangement } = powertrainOf(d);
  return lift !== undefined || arrangement?.tilt === true;
}

/** How a state leaves: as it says, else as such an aircraft usually does. */
export function leavingOf(design: Ways, state: Pick<State, 'leaving' | 'hover'>): Leaving {
  if (state.leaving) return state.leaving;
  if (hovers(design, state) || lifts(design)) return 'hover';
  return powertrainOf(design).unpowered ? 'hand' : 'run';
}

/** How a state comes back: as it says, else as such an aircraft usually does. */
export function returningOf(design: Ways, state: Pick<State, 'returning' | 'hover'>): Returning {
  if (state.returning) return state.returning;
  if (hovers(design, state) || lifts(design)) return 'hover';
  return powertrainOf(design).unpowered ? 'belly' : 'run';
}

/** Whether the strip must be long enough for it. */
export function runsAlongStrip(design: Ways, state: Pick<State, 'leaving' | 'hover'>): boolean {
  const way = leavingOf(design, state);
  return way === 'run' || way === 'dolly';
}

/** States that leave or come back on rotors the aircraft does not have. */
export function withoutRotors(design: Design): { name: string; id: string; way: 'leaves' | 'comes back' }[] {
  if (lifts(design)) return [];
  return design.states.flatMap((l) => [
    ...(leavingOf(design, l) === 'hover' ? [{ name: l.name, id: l.id, way: 'leaves' as const }] : []),
    ...(returningOf(design, l) === 'hover' ? [{ name: l.name, id: l.id, way: 'comes back' as const }] : []),
  ]);
}

/** Lift thrust over weight: below the first, steering takes the height away; the second leaves room (common practice). */
export const LEAST_LIFT = 1.5,
  WANTED_LIFT = 2;

type Winged = { readonly surfaces: readonly { readonly role: string }[] };

export function hasWing(design: Winged): boolean {
  return design.surfaces.some((s) => s.role === 'wing');
}

/**
 * Whether a state hangs on its rotors, as all do of an aircraft without a wing: neither margin nor stall, spar or strip
 * are asked of it.
 */
export function hovers(design: Winged, state: Pick<State, 'hover'>): boolean {
  return state.hover === true || !hasWing(design);
}
