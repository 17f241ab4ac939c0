/**
 * Three files of loggers that nobody here has seen, made by the simulated logger and written by hand in their own ways: read by
 * what is guessed of them, their damage found, and what was flown found again within three of the stated spreads.
 */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { cleanLog, faultCounts, placed, reduceFlight } from '@skiametra/core/log';
import { columnsOf, mappingOf } from './columns';
import { readLog } from './readLog';

async function* bytesOf(name: string): AsyncGenerator<Uint8Array> {
  const bytes = readFileSync(new URL(`./odd/${name}`, import.meta.url));
  // in pieces that cut lines and letters
  for (let i = 0; i < bytes.length; i += 997) yield await Promise.resolve(bytes.subarray(i, i + 997));
}

async function reduced(name: string) {
  const read = await readLog(bytesOf(name));
  if (read.status === 'error') throw new Error(read.message);
  const { log, faults } = cleanLog(placed(read.log)),
    { results } = reduceFlight(log, { mass: 2.152, area: 0.4, density: 1.2244 });
  return { read, counts: faultCounts(faults), at: (id: string) => results.find((r) => r.id === id) };
}

const bearing = (east: number, north: number) => (Math.atan2(-east, -north) + 2 * Math.PI) % (2 * Math.PI);

describe.each([
  ['harbour.csv', { east: 3.4, north: -2.1 }, { frozen: 49, spikes: 2 }],
  ['receiver.txt', { east: -1.5, north: 2.6 }, { duplicates: 2, gaps: 1, spikes: 0 }],
  ['wrist.txt', { east: 0.8, north: 3.2 }, { disorder: 2, spikes: 1, empty: 54 }],
] as const)('%s', (name, wind, damage) => {
  it('is read by what is guessed; its damage is found and counted', async () => {
    expect((await reduced(name)).counts).toMatchObject(damage);
  });
  it('wind, airspeed and climb come out', async () => {
    const { at } = await reduced(name);
    const near = (id: string, truth: number) => {
      const r = at(id)!;
      expect(Math.abs(r.value - truth), id).toBeLessThan(3 * r.sigma);
    };
    near('windSpeed', Math.hypot(wind.east, wind.north));
    near('windFrom', bearing(wind.east, wind.north));
    near('climbRate', 2.5);
  });
  it('its columns are kept in a form that reads the same again', async () => {
    const { read } = await reduced(name),
      { layout, mapping } = read.table!;
    expect(mappingOf(columnsOf(layout, mapping))).toEqual(mapping);
  });
});
