/** Where it flies: air, wind, what is run along, and how well the day is known. SI. */
import { z } from 'zod';
import { field } from './fields';
import { above, between } from './primitives';

export const siteSchema = z.strictObject({
  elevation: field(between(-400, 5000), 'distance', 'elevation'),
  temperature: field(between(230, 330), 'temperature', 'temperature'),
  wind: field(between(0, 25), 'speed', 'wind along the course', { usual: [0, 10] }),
  /** it blows from there [rad from north]; along the course where left out */ windFrom: field(
    between(0, 6.3),
    'angle',
    'wind blows from',
  ).optional(),
  /** relative; dry where left out */ humidity: field(
    between(0, 1),
    'percent',
    'relative humidity',
  ).optional(),
  /** vertical gust; 0.6 of the wind and at least 3 m/s where left out */ gust: field(
    between(0, 20),
    'speed',
    'gust',
    { usual: [1, 10] },
  ).optional(),
  /** how the wind grows with height: read at a height, flown at another, by a power of their ratio */ shear:
    z
      .strictObject({
        read: field(between(0.3, 50), 'distance', 'height that the wind was read at'),
        flown: field(between(1, 500), 'distance', 'height flown at'),
        exponent: field(between(0, 0.6), 'ratio', 'exponent of the wind by height', { usual: [0.1, 0.35] }),
      })
      .optional(),
  /** what may be flown here, as its people or its law have it: typed, never known */ limits: z
    .strictObject({
      height: field(above(5000), 'distance', 'greatest height').optional(),
      distance: field(above(100000), 'distance', 'greatest distance').optional(),
      sight: field(above(100000), 'distance', 'seen as far as').optional(),
      mass: field(above(500), 'allUpMass', 'greatest mass').optional(),
      /** people stand so far to the side of the first straight [m] */ people: field(
        between(0, 100000),
        'distance',
        'nearest people stand',
      ).optional(),
      keepOff: field(between(0, 10000), 'distance', 'distance kept from people').optional(),
    })
    .optional(),
  stripLength: field(above(2000), 'distance', 'strip length'),
  /** of the strip, uphill on the way out positive */ slope: field(
    between(-0.3, 0.3),
    'angle',
    'slope of the strip, uphill',
  ).optional(),
  surface: z.enum(['boards', 'tarmac', 'short grass', 'long grass']),
  /** rolling friction coefficient */
  rollingFriction: field(between(0, 0.6), 'ratio', 'rolling friction', { usual: [0.02, 0.2], step: 0.005 }),
  /** the same with brakes on, or on a skid; the rolling one where left out */ brakingFriction: field(
    between(0, 0.9),
    'ratio',
    'braking friction',
    { usual: [0.2, 0.7], step: 0.01 },
  ).optional(),
  /** standard uncertainties of the day: wind [m/s], temperature [K], friction; the usual ones where left out */
  spread: z
    .strictObject({
      wind: field(between(0, 10), 'speed', 'wind, to within').optional(),
      temperature: field(between(0, 20), 'temperatureStep', 'temperature, to within').optional(),
      friction: field(between(0, 0.3), 'ratio', 'rolling friction, to within').optional(),
    })
    .optional(),
});
