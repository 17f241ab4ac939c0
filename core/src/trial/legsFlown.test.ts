/** Legs of a mission in a flight: by the order in which they are flown, not by their kind alone. */
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { Ledger } from '../assess';
import { measurementSchema, type Leg, type Mission } from '../design';
import type { FlightLog, Segment } from '../log';
import { legMeasurements } from './fromLog';
import { legReadings, legsFlown } from './legsFlown';

const leg = (id: string, kind: Leg['kind'], more: Partial<Leg> = {}): Leg => ({
  id,
  name: id,
  kind,
  state: null,
  ...more,
});
const mission = (...rounds: { times: number | null; legs: Leg[] }[]): Mission => ({
  id: 'm',
  name: 'm',
  window: null,
  rounds: rounds.map((r, i) => ({ id: `r${i}`, name: `r${i}`, ...r })),
});
const s = (kind: Segment['kind'], from: number, to: number): Segment => ({ kind, name: kind, from, to });
const names = (flown: ReturnType<typeof legsFlown>) => flown.map((f) => f.leg.id);

/** Out, half a circle, back, half a circle. */
const ROUND = [leg('out', 'straight'), leg('far', 'turn'), leg('back', 'straight'), leg('near', 'turn')];
/** Two rounds flown: straights of ten seconds, turns of four. */
const TWO_ROUNDS = [
  s('run', 0, 3),
  s('climb', 3, 12),
  s('level', 12, 68),
  s('turn', 22, 26),
  s('turn', 36, 40),
  s('turn', 50, 54),
  s('turn', 64, 68),
  s('landing', 80, 84),
];

describe('legs in a flight', () => {
  const heat = mission(
    { times: 1, legs: [leg('off', 'takeOff'), leg('up', 'climb')] },
    { times: 2, legs: ROUND },
    { times: 1, legs: [leg('hand over', 'unload'), leg('down', 'land')] },
  );
  it('each stretch is the leg whose turn it is', () =>
    expect(names(legsFlown(TWO_ROUNDS, { mission: heat, times: {} }))).toEqual([
      'off',
      'up',
      ...ROUND.map((l) => l.id),
      ...ROUND.map((l) => l.id),
      'down',
    ]));
  it('straights are level flight without its turns, from end to end', () => {
    const flown = legsFlown(TWO_ROUNDS, { mission: heat, times: {} });
    expect(flown.filter((f) => f.leg.id === 'out').map((f) => [f.from, f.to])).toEqual([
      [12, 22],
      [40, 50],
    ]);
  });
  it('a round as often as it fits is as often as it was flown', () => {
    const often = mission({ times: null, legs: ROUND }, { times: 1, legs: [leg('down', 'land')] });
    expect(names(legsFlown(TWO_ROUNDS, { mission: often, times: {} }))).toEqual([
      ...ROUND.map((l) => l.id),
      ...ROUND.map((l) => l.id),
      'down',
    ]);
  });
  it('straights and turns of a count are flown in turn, and are whole when all of them were', () => {
    const laps = mission({
      times: null,
      legs: [leg('straights', 'straight', { count: 2 }), leg('turns', 'turn', { count: 2 })],
    });
    const flown = legsFlown(TWO_ROUNDS.slice(0, 6), { mission: laps, times: {} });
    expect(names(flown)).toEqual([
      'straights',
      'turns',
      'straights',
      'turns',
      'straights',
      'turns',
      'straights',
    ]);
    const log: FlightLog = { t: Float64Array.of(0, 90), begun: null, channels: {}, events: [] },
      read = legReadings(log, flown);
    expect(read.find((r) => r.leg === 'straights')).toMatchObject({ passes: 2, energy: null });
    expect(read.find((r) => r.leg === 'turns')).toMatchObject({ passes: 1, time: { value: 8 } });
  });
  it('a straight twice as long as the mission’s is none of its legs', () => {
    const course = { mission: heat, times: { out: 4, back: 4, far: 4, near: 4 } };
    expect(names(legsFlown(TWO_ROUNDS, course))).not.toContain('out');
    expect(
      names(legsFlown(TWO_ROUNDS, { ...course, times: { out: 8, back: 8, far: 4, near: 4 } })),
    ).toContain('out');
  });
  it('law: legs stand in time and in the order of the mission, none twice in one round', () => {
    const kinds = fc.constantFrom<Segment['kind']>(
      'run',
      'climb',
      'level',
      'turn',
      'glide',
      'landing',
      'hover',
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(kinds, fc.integer({ min: 1, max: 20 })), { maxLength: 30 }), (list) => {
        let t = 0;
        const segments = list.map(([kind, long]) => s(kind, t, (t += long))),
          flown = legsFlown(segments, { mission: heat, times: {} }),
          places = flown.map((f) => `${f.lap} ${f.leg.id}`);
        expect(flown.every((f, i) => i === 0 || f.from >= flown[i - 1].from)).toBe(true);
        expect(new Set(places).size).toBe(places.length);
      }),
    );
  });
});

describe('what a leg took', () => {
  it('energy is the integral of volts times amps, charge that of the amps', () => {
    const t = Float64Array.from({ length: 91 }, (_, i) => i),
      log: FlightLog = {
        t,
        begun: null,
        events: [],
        channels: { volts: t.map(() => 10), amps: t.map((v) => (v < 40 ? 2 : 3)) },
      };
    const flown = legsFlown(TWO_ROUNDS, {
      mission: mission({ times: null, legs: ROUND }),
      times: {},
    });
    const out = legReadings(log, flown).find((r) => r.leg === 'out')!;
    // ten seconds at 20 W, then ten at 30 W
    expect(out.passes).toBe(2);
    expect(out.energy!.value).toBeCloseTo(250, 6);
    expect(out.charge!.value).toBeCloseTo(25, 6);
    const from = { file: 'f', source: 'logged', state: 'ferry', conditions: {} } as const,
      known = (['legTime', 'legEnergy', 'legCharge'] as const).map((id) => ({
        id,
        state: 'all',
        part: 'm',
        leg: 'out',
      })),
      ledger = { entries: known } as unknown as Ledger,
      told = legMeasurements([out], 'm', from, ledger);
    expect(told.map((m) => m.quantity)).toEqual(['legTime', 'legEnergy', 'legCharge']);
    for (const m of told) {
      expect(measurementSchema.safeParse(m).success).toBe(true);
      expect(m).toMatchObject({ part: 'm', leg: 'out', setAside: true });
    }
    // a leg that nothing is predicted of is told by its lap
    expect(legMeasurements([{ ...out, leg: 'other' }], 'm', from, ledger)).toEqual([]);
  });
});
