/** What a kept polar must look like when it comes back from a file, a browser or a database. */
import { z } from 'zod';
import type { Polar } from './polar';

const n = (lo: number, hi: number) => z.number().min(lo).max(hi);
const point = z.strictObject({
  alpha: n(-1.6, 1.6),
  cl: n(-5, 5),
  cd: n(0, 4),
  cm: n(-3, 3),
  transitionUpper: n(0, 1),
  transitionLower: n(0, 1),
  separationUpper: n(-0.1, 1.2),
  separationLower: n(-0.1, 1.2),
  bubble: z.tuple([n(-0.1, 1.2), n(-0.1, 1.2)]).nullable(),
  stalled: z.boolean(),
  how: z.enum(['solved', 'extended', 'table']),
});
const list = z.array(n(-5, 5)).max(200);

export const polarSchema: z.ZodType<Polar> = z.strictObject({
  reynolds: n(1e3, 3e7),
  points: z.array(point).max(200),
  clMax: n(-5, 5),
  layerClMax: n(-5, 5).optional(),
  clMin: n(-5, 5),
  alphaStall: n(-1.6, 1.6),
  missed: z.array(n(-1.6, 1.6)).max(100),
  confidence: z.enum(['good', 'fair', 'low']),
  warnings: z.array(z.string().max(300)).max(10),
  attachedCl: list,
  attachedCd: list,
});
