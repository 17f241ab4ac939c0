/** A log of a flight as a test keeps it: which file, how it was read, what a person set right. Rows stay in the file. */
import { z } from 'zod';
import { field } from './fields';

const finite = z.number().refine(Number.isFinite, 'must be a number');
const count = (name: string, most = 2e7) => field(z.int().min(0).max(most), 'count', name);

export const SEGMENT_KINDS = [
  'flight',
  'run',
  'climb',
  'level',
  'lap',
  'turn',
  'glide',
  'stall',
  'hover',
  'landing',
] as const;
export type SegmentKind = (typeof SEGMENT_KINDS)[number];

export const segmentSchema = z.strictObject({
  name: z.string().min(1).max(80),
  kind: z.enum(SEGMENT_KINDS),
  /** [s] from the first row */ from: field(finite, 'time', 'from'),
  to: field(finite, 'time', 'to'),
});

/** What a column of a table was taken for. */
const columnUseSchema = z.strictObject({
  column: count('column', 400),
  as: z.string().max(40),
  /** of a channel */ unit: z.string().max(20).optional(),
  /** of a time */ kind: z.string().max(20).optional(),
});

export const logEntrySchema = z.strictObject({
  /** sum of the file's bytes, hexadecimal: by it the file is found */ file: z
    .string()
    .regex(/^[0-9a-f]{64}$/),
  name: z.string().max(200),
  origin: z.enum(['logged', 'footage', 'simulated']),
  rows: count('rows'),
  /** [s] */ length: field(finite.min(0), 'time', 'length'),
  begun: z.string().max(40).nullable(),
  /** columns as a person chose them; null: as they are guessed, or as the format says itself */
  columns: z.array(columnUseSchema).max(400).nullable(),
  /** faults that were taken back */ kept: z.array(z.string().max(80)).max(2000),
  /** stretches as a person set them; null: as they are found */ segments: z
    .array(segmentSchema)
    .max(400)
    .nullable(),
  /** how often each fault was found */ faults: z.record(z.string().max(20), count('times found')),
});
export type LogEntry = z.infer<typeof logEntrySchema>;
export type LogColumn = z.infer<typeof columnUseSchema>;

/** Logs of one test. */
export const MOST_LOGS = 12;
