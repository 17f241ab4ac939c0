/** Dates by the language of the person, held to the conventions of the Unicode locale data. */
import { expect, it } from 'vitest';
import { dateInWords, datePattern, dayOf, momentInWords } from './dateFormat';

it('day, month and year stand as each language writes them', () => {
  expect(datePattern('en-GB')).toBe('DD/MM/YYYY');
  expect(datePattern('en-US')).toBe('MM/DD/YYYY');
  expect(datePattern('de-DE')).toBe('DD.MM.YYYY');
  expect(datePattern('sv-SE')).toBe('YYYY-MM-DD');
});

it('a day stays the same day, wherever it is read', () => {
  expect(dateInWords('2026-11-01', 'en-GB')).toBe('1 Nov 2026');
  expect(dateInWords('2026-11-01', 'en-US')).toBe('Nov 1, 2026');
});

it('what is no date is shown as it stands', () => {
  expect(dateInWords('', 'en-GB')).toBe('');
  expect(dateInWords('last summer', 'en-GB')).toBe('last summer');
  expect(momentInWords('soon', 'en-GB')).toBe('soon');
});

it('today is the day on the person’s wall', () => {
  expect(dayOf(new Date(2026, 0, 5, 0, 30))).toBe('2026-01-05');
  expect(dayOf(new Date(2026, 11, 31, 23, 59))).toBe('2026-12-31');
});
