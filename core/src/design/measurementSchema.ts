/**
 * One type for everything that was learned: what of, how much, how well, where from, and how the aircraft was that day.
 */
import { z } from 'zod';
import { field } from './fields';

const finite = z.number().refine(Number.isFinite, 'must be a number');
const id = z.string().min(1).max(60);

/** Where a value is from. What a made-up instrument says is never called measured. */
export const SOURCES = ['typed', 'timed', 'logged', 'bench', 'footage', 'simulated'] as const;
export type Source = (typeof SOURCES)[number];

/** How the aircraft was and flew; what is not said is not known. SI. */
export const conditionsSchema = z.strictObject({
  mass: field(finite.gt(0).max(500), 'allUpMass', 'all-up mass').optional(),
  cgX: field(finite, 'length', 'CG from datum').optional(),
  temperature: field(finite.min(230).max(330), 'temperature', 'temperature').optional(),
  wind: field(finite.min(0).max(60), 'speed', 'wind').optional(),
  /** names of the swap set */ pack: z.string().max(80).optional(),
  propeller: z.string().max(80).optional(),
  /** in the pack at the beginning [A s] */ charge: field(finite.min(0), 'charge', 'charge').optional(),
  throttle: field(finite.min(0).max(1), 'percent', 'throttle').optional(),
  configuration: z.string().max(160).optional(),
});
export type Conditions = z.infer<typeof conditionsSchema>;

/** The stretch of a log that it came from. */
const segmentOfSchema = z.strictObject({
  /** file of the log, by its sum */ log: z.string().max(64),
  name: z.string().max(80),
  count: field(z.int().min(0), 'count', 'rows of it'),
});

/** One number of the aircraft, and what was found of it. */
const found = {
  quantity: id,
  state: id,
  /** of a mission, by its id */ leg: id.optional(),
  part: id.optional(),
  case: id.optional(),
  value: field(finite, 'ratio', 'value'),
  /** standard uncertainty, same unit as value, above zero */
  sigma: field(finite.gt(0), 'ratio', 'standard uncertainty'),
};

/** How a person may have come by a number that the form does not ask for. */
export const READ_BY = ['typed', 'timed', 'bench', 'footage'] as const satisfies readonly Source[];

/** What a person read and the form does not ask for: the number that it is of is chosen by him. */
export const readingSchema = z.strictObject({
  ...found,
  source: z.enum(READ_BY),
  /** how it was got */ from: z.string().max(200),
  throttle: conditionsSchema.shape.throttle,
});
export type Reading = z.infer<typeof readingSchema>;

export const measurementSchema = z.strictObject({
  ...found,
  source: z.enum(SOURCES),
  /** how it was got */
  from: z.string().max(200),
  conditions: conditionsSchema.optional(),
  segment: segmentOfSchema.optional(),
  /** left out of the fit on purpose */
  setAside: z.boolean(),
  /** why it is left out */ reason: z.string().max(200).optional(),
  /** it is known to be no less than this: what a passed proof says */ bound: z.literal('least').optional(),
});
export type Measurement = z.infer<typeof measurementSchema>;
