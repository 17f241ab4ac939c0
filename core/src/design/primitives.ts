/** Small Zod types shared by the parts of the document. SI and radians. */
import { z } from 'zod';

export const finite = z.number().refine(Number.isFinite, 'must be a number');
export const between = (lo: number, hi: number) => finite.min(lo).max(hi);
export const above = (hi: number) => finite.gt(0).max(hi);
export const id = z
  .string()
  .min(1)
  .max(60)
  .regex(/^[A-Za-z][\w-]*$/, 'must begin with a letter and hold letters, digits, - and _ only');
export const label = z.string().max(120);
export const longText = z.string().max(4000);
