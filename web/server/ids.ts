/** Row numbers from addresses and calls: whole numbers that the database's columns hold. */
import { z } from 'zod';

export const LARGEST_ID = 2 ** 31 - 1;
export const idSchema = z.int().min(1).max(LARGEST_ID);

/** The number an address names; null when it names none. */
export function idOf(text: string): number | null {
  const n = /^\d{1,10}$/.test(text) ? Number(text) : NaN;
  return n >= 1 && n <= LARGEST_ID ? n : null;
}
