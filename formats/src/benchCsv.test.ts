import { describe, expect, it } from 'vitest';
import { parseBenchCsv, parseCoefficientCsv, writeBenchCsv } from './index';

const ok = (text: string) => {
  const r = parseBenchCsv(text);
  if (r.status === 'error') throw new Error(r.message);
  return r;
};
const no = (text: string) => {
  const r = parseBenchCsv(text);
  return r.status === 'error' ? r.message : 'taken';
};

describe('thrust-stand CSV', () => {
  it('reads grams, percent and Celsius', () => {
    const r = ok(
      'Throttle %,Voltage,Current,Thrust (g),RPM,Temp C\n0,16.8,0,12,0,15\n50,16.5,4,500,5800,17\n100,16,17,1400,9200,22',
    );
    expect(r.rows[2]![1]).toBe(1);
    expect(r.rows[1]![4]).toBeCloseTo(4.903, 3);
    expect(r.rows[2]![5]).toBeCloseTo((9200 * Math.PI) / 30, 6);
    expect(r.rows[2]![6]).toBeCloseTo(295.15, 6);
  });
  it('guesses percent from the values and says so', () =>
    expect(ok('throttle,volts,amps,thrust_n,rpm\n0,12,0,0,0\n60,12,5,3,5000').remarks.join()).toMatch(
      /percent/,
    ));
  it('round trip', () => {
    const rows = ok(
      'time_s,throttle,volts,amps,thrust_n,rpm,temperature_c\n0,0,16.8,0,0.1,0,20\n1,1,16,17,13.4,9200,30',
    ).rows;
    expect(ok(writeBenchCsv(rows)).rows[1]![5]).toBeCloseTo(rows[1]![5], 2);
  });
  it('a missing column, a binary, an empty and a hopeless file are refused in a sentence', () => {
    expect(no('a,b\n1,2')).toMatch(/Columns missing: throttle, volts/);
    expect(no('\u0000\u0001')).toMatch(/not a text/);
    expect(no('throttle,volts,amps,thrust,rpm')).toMatch(/no rows/);
    expect(no('throttle,volts,amps,thrust,rpm\nx,y,z,u,v\n1,2,3')).toMatch(/nothing was taken/);
    expect(no(`throttle,volts,amps,thrust,rpm\n${'1,1,1,1,1\n'.repeat(7000)}`)).toMatch(/more than 6000/);
    expect(no('x'.repeat(2_000_001))).toMatch(/larger than 2 MB/);
  });
  it('rows out of range are left out and counted', () =>
    expect(ok('throttle,volts,amps,thrust,rpm\n0,12,0,0,0\n1,999,1,1,100\n1,12,1,1,1000').remarks[0]).toMatch(
      /1 of 3/,
    ));
});

describe('coefficients', () => {
  it('are read in order of advance ratio; doubles are left out', () => {
    const r = parseCoefficientCsv('J,CT,CP\n0.4,0.06,0.03\n0,0.1,0.04\n0,0.2,0.05\n# remark\n');
    expect(r.status === 'ok' && r.rows.map((x) => x.J)).toEqual([0, 0.4]);
    expect(r.status === 'ok' && r.remarks[0]).toMatch(/1 of 3/);
  });
  it.each([
    ['eta,J\n1,2', /must name J/],
    ['J,CT,CP\n0,0,0', /two are needed/],
    ['J,CT,CP\n0,-1,0\n1,-1,0', /no(where)? /i],
  ])('%s is refused', (text, why) => {
    const r = parseCoefficientCsv(text);
    expect(r.status === 'error' && r.message).toMatch(why);
  });
});
