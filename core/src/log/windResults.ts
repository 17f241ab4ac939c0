/** Wind, the factor of an airspeed sensor, and airspeed, as results. */
import type { LogResult } from './result';
import type { ReduceTask } from './task';

export function windResults({ air: { wind, by } }: ReduceTask): LogResult[] {
  if (!wind || !by) return [];
  const { east, north, sigma, mixed } = wind,
    speed = Math.hypot(east, north);
  const [ue, un] = speed > 0 ? [east / speed, north / speed] : [0, 1];
  // along the wind, and across it
  const along = ue * ue * sigma.east ** 2 + 2 * ue * un * mixed + un * un * sigma.north ** 2,
    across = un * un * sigma.east ** 2 - 2 * ue * un * mixed + ue * ue * sigma.north ** 2;
  const from = (Math.atan2(-east, -north) + 2 * Math.PI) % (2 * Math.PI),
    method = 'circle through the ground velocities, robust',
    common = { segment: by.name, method, count: wind.count };
  return [
    { id: 'windSpeed', value: speed, sigma: Math.sqrt(along), kind: 'speed', ...common },
    {
      id: 'windFrom',
      value: from,
      sigma: Math.min(Math.PI, Math.sqrt(across) / Math.max(speed, 1e-6)),
      kind: 'angle',
      ...common,
    },
    ...(wind.factor !== null
      ? [
          {
            id: 'airspeedFactor' as const,
            value: wind.factor,
            sigma: wind.sigma.factor!,
            kind: 'ratio' as const,
            ...common,
            method: 'sensor against ground velocities, robust',
          },
        ]
      : []),
    { id: 'airspeed', value: wind.airspeed, sigma: wind.sigma.airspeed, kind: 'speed', ...common },
  ];
}
