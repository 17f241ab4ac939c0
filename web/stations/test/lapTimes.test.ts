import { expect, it } from 'vitest';
import { lapTimes } from './lapTimes';

it('seconds, commas and minutes are read, with spaces or semicolons between', () => {
  expect(lapTimes('25.4  26,1; 1:02.5')).toEqual({ times: [25.4, 26.1, 62.5] });
  expect(lapTimes('')).toEqual({ times: [] });
});

it('what is no lap is named', () => {
  expect(lapTimes('25 fast')).toMatchObject({ problem: expect.stringContaining('“fast” is not a lap time') });
  expect(lapTimes('0')).toHaveProperty('problem');
});
