/** What is weighed against each other: tables for what cannot be computed, sweeps for what can. */
import { z } from 'zod';
import { field } from './fields';
import { above, between, finite, id, label, longText } from './primitives';

export const MARKS = { least: 0, most: 10 } as const;

const criterionSchema = z.strictObject({
  id,
  name: label,
  weight: field(between(0, 10), 'ratio', 'weight'),
  /** least mark that may be; null where any may */ must: field(
    between(MARKS.least, MARKS.most),
    'ratio',
    'least mark',
  ).nullable(),
});

const markSchema = z.strictObject({
  criterion: id,
  mark: field(between(MARKS.least, MARKS.most), 'ratio', 'mark').nullable(),
  why: label,
  /** who judged */ by: label,
});

const optionSchema = z.strictObject({
  id,
  name: label,
  /** name of the version that it is; empty for none */ version: label,
  /** why it was left; empty while it is not */ rejected: label,
  marks: z.array(markSchema).max(20),
});

export const decisionTableSchema = z.strictObject({
  id,
  name: label,
  note: longText,
  criteria: z.array(criterionSchema).max(20),
  options: z.array(optionSchema).max(20),
});
export type DecisionTable = z.infer<typeof decisionTableSchema>;
export type DecisionOption = DecisionTable['options'][number];
export type Criterion = DecisionTable['criteria'][number];

const axisSchema = z.strictObject({
  /** what is changed: a place of the document, or one of its derived inputs */ lever: z
    .string()
    .min(1)
    .max(120),
  from: field(finite, 'ratio', 'from'),
  to: field(finite, 'ratio', 'to'),
  count: field(z.int().min(2).max(60), 'count', 'steps'),
});
export type SweepAxis = z.infer<typeof axisSchema>;

/** A study over one or two inputs. */
export const studySchema = z.strictObject({
  id,
  name: label,
  note: longText,
  /** state that is flown; `best`: of each cell the one that scores most */ state: z.string().min(1).max(60),
  axes: z.array(axisSchema).min(1).max(2),
  /** the quantity that is drawn */ show: z.string().min(1).max(130),
});
export type Study = z.infer<typeof studySchema>;

export const tradeSchema = z.strictObject({
  tables: z.array(decisionTableSchema).max(12),
  studies: z.array(studySchema).max(12),
});
export type Trade = z.infer<typeof tradeSchema>;

/** How a task comes off: tried so often, worth the best of it. */
export const oddsSchema = z.strictObject({
  /** of one attempt; null where it is counted */ chance: field(
    between(0, 1),
    'percent',
    'chance of one attempt',
  ).nullable(),
  /** of so many trials so many came off */ tried: field(z.int().min(0).max(10000), 'count', 'tried'),
  won: field(z.int().min(0).max(10000), 'count', 'came off'),
  /** the best of so many counts */ attempts: field(z.int().min(1).max(50), 'count', 'attempts'),
  /** points where none comes off */ failed: field(finite, 'points', 'points where it fails'),
});
export type Odds = z.infer<typeof oddsSchema>;
export const pointsWithin = {
  weight: field(above(1000), 'ratio', 'weight'),
  least: field(finite, 'points', 'at least'),
  most: field(finite, 'points', 'at most'),
};
