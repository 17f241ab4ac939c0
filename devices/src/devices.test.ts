import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { reduceLog } from '@skiametra/core/trial';
import { DEMO_TRUTH, logFlight, logToCsv } from './index';

const doc = bitternDocument();

describe('simulated GPS logger', () => {
  it('is the same for a seed, another for another', () => {
    const a = logToCsv(logFlight(doc, 'tubes-6', 3, 7).rows);
    expect(logToCsv(logFlight(doc, 'tubes-6', 3, 7).rows)).toBe(a);
    expect(logToCsv(logFlight(doc, 'tubes-6', 3, 8).rows)).not.toBe(a);
    expect(a.split('\n')[0]).toBe('time_s,east_m,north_m,height_m,ground_speed_mps,volts,amps');
  });
  it('its log reduces to what it flew: speed, laps, ground run, within the stated uncertainty', () => {
    const f = logFlight(doc, 'tubes-6', 6, 11);
    const r = reduceLog(f.rows, 'tubes-6');
    const got = (q: string) => r.measurements.find((m) => m.quantity === q)!;
    expect(r.laps.length).toBe(6);
    expect(Math.abs(got('lapSpeed').value - f.truth.lapSpeed)).toBeLessThan(3 * got('lapSpeed').sigma);
    expect(Math.abs(got('groundRun').value - f.truth.groundRun)).toBeLessThan(3 * got('groundRun').sigma);
    expect(Math.abs(got('lapTime').value / f.truth.lapTime - 1)).toBeLessThan(0.03);
    expect(r.remarks.join(' ')).toMatch(/repeated/);
  });
  it('the flown aircraft is draggier than its drawing', () => { expect(DEMO_TRUTH.dragArea).toBeGreaterThan(1); expect(logFlight(doc, 'ferry', 1, 1, {}).truth.lapSpeed).toBeGreaterThan(logFlight(doc, 'ferry', 1, 1).truth.lapSpeed); });
});
