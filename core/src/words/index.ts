/**
 * Sentences. What the computation has to say is a code with its facts in SI; here they become words, in a person's units.
 * Nobody else makes prose of numbers, and nobody reads prose to learn what happened: the code says it.
 */
import type { UnitSystem } from '../units';
import { ADVICE_WORDS, STOP_WORDS } from './advice';
import { BALANCE_WORDS } from './balance';
import { DRIVE_WORDS } from './drive';
import { FLIGHT_WORDS } from './flight';
import { LAYOUT_WORDS } from './layout';
import { MISSION_WORDS } from './mission';
import { POWER_WORDS } from './power';
import { REMARK_WORDS } from './remarks';
import { Speech, type AnySaid } from './speech';
import { STRUCTURE_WORDS } from './structure';
import { TRADE_WORDS } from './trade';

export const WORDS = {
  ...BALANCE_WORDS,
  ...STRUCTURE_WORDS,
  ...POWER_WORDS,
  ...FLIGHT_WORDS,
  ...REMARK_WORDS,
  ...ADVICE_WORDS,
  ...STOP_WORDS,
  ...LAYOUT_WORDS,
  ...DRIVE_WORDS,
  ...MISSION_WORDS,
  ...TRADE_WORDS,
};

export type Code = keyof typeof WORDS;
export type Fields<C extends Code> = Parameters<(typeof WORDS)[C]>[0];

/** One of all that can be said. Plain data: it crosses threads and is stored as it is. */
export interface Said extends AnySaid {
  readonly code: Code;
}

/** Something to be said; the fields are those that its wording reads. */
export function say<C extends Code>(code: C, fields: Fields<C>): Said {
  return { code, fields: fields as Said['fields'] };
}

/** @param units in which its numbers are written */
export function sentence(said: AnySaid, units: UnitSystem = 'metric'): string {
  const wording = Object.hasOwn(WORDS, said.code) ? WORDS[said.code as Code] : undefined;
  if (!wording) return said.code;
  return (wording as (fields: unknown, speech: Speech) => string)(said.fields, new Speech(units, sentence));
}

export type { AnySaid } from './speech';
