/** What a trace is called and in which unit it is read. */
import { G0 } from '@skiametra/core/air';
import { CHANNELS } from '@skiametra/core/log';
import type { KindName } from '@skiametra/core/units';
import type { TraceId } from '../../../workers/logJobs';

const KIND_OF: Readonly<Record<string, KindName>> = {
  m: 'distance',
  'm/s': 'speed',
  rad: 'angle',
  V: 'voltage',
  A: 'current',
  As: 'charge',
  W: 'power',
  'rad/s': 'rotation',
  K: 'temperature',
  '1': 'percent',
  // shown over g
  'm/s2': 'loadFactor',
};

export interface TraceLook {
  readonly name: string;
  readonly kind: KindName;
  /** of what the worker gives, to what the kind is in */ readonly scale: number;
}

export function traceLook(id: TraceId): TraceLook {
  if (id === 'air') return { name: 'airspeed as it came out', kind: 'speed', scale: 1 };
  if (id === 'climbing') return { name: 'climb by the height', kind: 'climbRate', scale: 1 };
  const { name, dim } = CHANNELS[id];
  return { name, kind: KIND_OF[dim] ?? 'ratio', scale: dim === 'm/s2' ? 1 / G0 : 1 };
}

/** Those that are looked at first. */
export function firstTraces(of: readonly TraceId[]): TraceId[] {
  const height = of.find((id) => id === 'pressureHeight') ?? of.find((id) => id === 'height'),
    speed = of.find((id) => id === 'air') ?? of.find((id) => id === 'groundSpeed'),
    third =
      of.find((id) => id === 'amps') ?? of.find((id) => id === 'az') ?? of.find((id) => id === 'rotation');
  return [height, speed, third].flatMap((id) => id ?? []);
}
