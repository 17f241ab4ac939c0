/** Numbers that a person may have read: of the state that was flown and of the whole design, each once, legs by name. */
import { describe, expect, it } from 'vitest';
import { assess, keyOf, readRef } from '@skiametra/core/assess';
import { bitternDocument } from '@skiametra/core/demo';
import { numberName, placeName } from '../../../parts/numberName';
import { numbersOf } from './numbers';

const { brief, design, calibration } = bitternDocument(),
  ledger = assess(brief, design, calibration),
  listed = numbersOf(ledger, brief, 'ferry');

describe('numbers to choose from', () => {
  it('of the state that was flown and of the whole design, no other state', () => {
    const states = new Set(listed.map((n) => n.entry.state));
    expect([...states].sort()).toEqual(['all', 'ferry']);
  });
  it('each once, under its written reference, which reads back', () => {
    expect(new Set(listed.map((n) => n.value)).size).toBe(listed.length);
    for (const { value, entry } of listed) {
      expect(value).toBe(keyOf(entry));
      expect(readRef(value)).toMatchObject({ id: entry.id });
    }
  });
  it('no two of one name: a leg and a case are told by theirs', () => {
    const labels = listed.filter((n) => n.entry.state !== 'all' || n.entry.part).map((n) => n.label);
    expect(new Set(labels).size).toBe(labels.length);
  });
  it('points and scores are made of others and not read', () =>
    expect(listed.some((n) => /^(score|points)$/.test(n.entry.id))).toBe(false));
});

describe('names of numbers', () => {
  it('mission and leg, or the case in words', () => {
    expect(placeName({ part: 'relay', leg: 'out' }, brief)).toMatch(/^Relay heat, ./);
    expect(placeName({ case: 'hard-landing' }, brief)).toBe('hard landing');
    expect(placeName({}, brief)).toBe('');
  });
  it('what is gone keeps its id, what the computation has not its own', () => {
    expect(placeName({ part: 'lost', leg: 'x' }, brief)).toBe('lost, x');
    expect(numberName('log-windSpeed', {}, brief)).toBe('log-windSpeed');
  });
});
