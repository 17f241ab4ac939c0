/** What columns are taken for: units of other makers, a line of times as they are written, signs in place of names. */
import { describe, expect, it } from 'vitest';
import { readLog } from './readLog';

async function* pieces(text: string): AsyncGenerator<Uint8Array> {
  yield await Promise.resolve(new TextEncoder().encode(text));
}

const rows = (f: (i: number) => string) => Array.from({ length: 30 }, (_, i) => f(i)).join('\n');

async function read(text: string) {
  const r = await readLog(pieces(text));
  if (r.status === 'error') throw new Error(r.message);
  return r;
}

describe('columns of loggers that nobody has seen', () => {
  it('a line of units may write how times and days are written', async () => {
    const r = await read(
      `Date,Time,Altitude,Speed\ndd/mm/yyyy,hh:mm:ss.000,m,mph\n${rows((i) => `14/07/2026,10:00:${String(10 + i)}.000,${i},30.5`)}`,
    );
    expect(r.table!.layout.names).toEqual(['Date', 'Time', 'Altitude', 'Speed']);
    expect(r.log.begun).toBe('2026-07-14T10:00:10.000');
    expect(r.log.channels.groundSpeed![3]).toBeCloseTo(30.5 * 0.44704, 9);
  });
  it.each([
    ['GndSpd_cms', '1409', 'groundSpeed', 14.09],
    ['Speed', '1409', 'groundSpeed', 14.09],
    ['Course_cdeg', '9000', 'track', Math.PI / 2],
    ['Course', '27000', 'track', (3 * Math.PI) / 2],
    ['Alt_cm', '5431', 'height', 54.31],
    ['baro [m]', '54.3', 'pressureHeight', 54.3],
    ['V', '15.6', 'volts', 15.6],
    ['A', '9.5', 'amps', 9.5],
    ['V [km/h]', '36', 'groundSpeed', 10],
    ['Last (g)', '1.5', 'az', 1.5 * 9.80665],
  ] as const)('%s of %s is the %s', async (name, cell, id, value) => {
    const { log } = await read(`time [s];${name};rpm\n${rows((i) => `${i};${cell};9000`)}`);
    expect(log.channels[id]![0]).toBeCloseTo(value, 6);
  });
  it.each(['Baro alt [hPa]', 'Speed [rpm]', 'Voltage [dB]'])(
    'a unit of something else says that %s is not what its name says',
    async (name) => {
      const { log } = await read(`time [s];${name};Höhe [m]\n${rows((i) => `${i};980;${i}`)}`);
      expect(Object.keys(log.channels)).toEqual(['height']);
    },
  );
});
