/** What the brief asks: limits on numbers, statements that a test proves, figures of the field, rules that may come otherwise. */
import { z } from 'zod';
import { field } from './fields';
import { between, finite, id, label, longText } from './primitives';

const part = z.string().min(1).max(60).optional();

export const requirementSchema = z
  .strictObject({
    id,
    quantity: z.string().min(1).max(60),
    /** a state's id, or 'all' for every state */
    state: z.string().min(1).max(60),
    /** mission (or task) it is of, leg of that mission, load case: where the quantity has them */ part,
    leg: part,
    case: part,
    op: z.enum(['atLeast', 'atMost', 'between']),
    min: field(finite, 'ratio', 'at least').nullable(),
    max: field(finite, 'ratio', 'at most').nullable(),
    /** the rule it comes from */
    rule: label,
    wish: z.boolean(),
  })
  .refine(
    (r) => (r.op === 'atMost' || r.min !== null) && (r.op === 'atLeast' || r.max !== null),
    'a limit is missing',
  )
  .refine((r) => r.op !== 'between' || r.min! <= r.max!, 'the lower limit is above the upper one');
export type Requirement = z.infer<typeof requirementSchema>;

/** What no number says; a test that is named proves it. */
export const statementSchema = z.strictObject({
  id,
  text: longText,
  rule: label,
  wish: z.boolean(),
  /** title of the test that proves it; empty where none is named yet */ test: label,
  /** what that test showed */ outcome: z.enum(['open', 'met', 'missed']),
});
export type Statement = z.infer<typeof statementSchema>;

/** A figure of the field that a formula may name. */
export const rivalSchema = z.strictObject({
  name: id,
  low: field(finite, 'points', 'low'),
  likely: field(finite, 'points', 'likely'),
  high: field(finite, 'points', 'high'),
  note: label,
  /** what of ours it is the best of, as a formula; without it the figure is only typed */ of: z
    .string()
    .max(500)
    .optional(),
  /** which figure is the better one */ better: z.enum(['more', 'less']).optional(),
});
export type Rival = z.infer<typeof rivalSchema>;

/** The same contest under other rules: places of the brief with other values, and what that costs or gives. */
export const variantSchema = z.strictObject({
  id,
  name: label,
  note: label,
  changes: z
    .array(
      z.strictObject({
        /** under `brief` */ path: z.string().min(1).max(120),
        value: z.union([z.string().max(500), field(finite, 'ratio', 'value'), z.boolean(), z.null()]),
      }),
    )
    .max(20),
  /** times the score of every task */ factor: field(between(0, 10), 'ratio', 'times the score'),
  /** points more or, below zero, less: a formula; empty for none */ added: z.string().max(500),
});
export type Variant = z.infer<typeof variantSchema>;
