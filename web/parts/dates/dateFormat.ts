/** Dates as a person writes them: by the language of their browser. In files and in the document they are ISO 8601. */

/** A day on which day, month and year cannot be taken for each other. */
const SAMPLE = Date.UTC(2031, 10, 25);
const MARKS: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = { day: 'DD', month: 'MM', year: 'YYYY' };

/** How a day is written, as a pattern: `DD/MM/YYYY`. @param locale that of the browser where left out */
export function datePattern(locale?: string): string {
  const format = new Intl.DateTimeFormat(locale, {
    day: '2-digit',
    month: '2-digit',
    year: 'numeric',
    calendar: 'gregory',
    numberingSystem: 'latn',
    timeZone: 'UTC',
  });
  return format
    .formatToParts(SAMPLE)
    .map((p) => MARKS[p.type] ?? p.value)
    .join('');
}

/** A day in words: `25 Nov 2031`. @param iso `2031-11-25`, or a moment, whose day is the reader's */
export function dateInWords(iso: string, locale?: string): string {
  const isDay = /^\d{4}-\d\d-\d\d$/.test(iso);
  const at = new Date(isDay ? `${iso}T00:00:00Z` : iso);
  if (Number.isNaN(at.getTime())) return iso;
  return new Intl.DateTimeFormat(locale, {
    dateStyle: 'medium',
    ...(isDay ? { timeZone: 'UTC' } : {}),
  }).format(at);
}

/** A moment in words: day and time of the reader's clock. */
export function momentInWords(moment: string | number | Date, locale?: string): string {
  const at = new Date(moment);
  if (Number.isNaN(at.getTime())) return String(moment);
  return new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' }).format(at);
}

/** Today by the person's own clock, ISO. @param now the moment */
export function dayOf(now: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
