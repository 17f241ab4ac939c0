/** `skia reduce`: a log of any make to segments, results and what was wrong with it, one JSON line each, in SI. */
import { createReadStream, existsSync, statSync } from 'node:fs';
import {
  CHANNELS,
  cleanLog,
  faultCounts,
  placed,
  reduceFlight,
  type ChannelId,
  type LogResult,
} from '@skiametra/core/log';
import {
  readLog,
  TIME_KINDS,
  unitSpelled,
  unitsOf,
  type ColumnUse,
  type Layout,
  type Mapping,
} from '@skiametra/formats/log';
import { UsageError } from './usage';

export const REDUCE_OPTIONS = {
  mass: { type: 'string' },
  'wing-area': { type: 'string' },
  map: { type: 'string' },
} as const;

interface Values {
  mass?: string | undefined;
  'wing-area'?: string | undefined;
  map?: string | undefined;
}

/** Logs are read as a stream; past this a file is none of a model aircraft. */
const MOST_BYTES = 2e9;

function above(name: string, text: string | undefined): number | null {
  if (text === undefined) return null;
  const value = Number(text);
  if (!(value > 0 && value < 1e4)) throw new UsageError(`--${name} takes a number above nought, in SI.`);
  return value;
}

/** Place of a column by its name or its number from 1. */
function columnNamed(layout: Layout, name: string): number {
  const at = layout.names.findIndex((n) => n.toLowerCase() === name.toLowerCase()),
    number = Number(name);
  if (at >= 0) return at;
  if (Number.isInteger(number) && number >= 1 && number <= layout.names.length) return number - 1;
  throw new UsageError(`There is no column “${name}”; there are ${layout.names.join(', ')}.`);
}

function useOf(what: string, unit: string | undefined, before: ColumnUse | undefined): ColumnUse {
  if (what === 'event') return { as: 'event' };
  if (what === 'time') {
    const kind = TIME_KINDS.find((k) => k === (unit === 'us' ? 'µs' : unit));
    if (unit !== undefined && !kind)
      throw new UsageError(`“${unit}” is no way to tell the time; there are ${TIME_KINDS.join(', ')}.`);
    return { as: 'time', kind: kind ?? (before?.as === 'time' ? before.kind : 's') };
  }
  if (!Object.hasOwn(CHANNELS, what))
    throw new UsageError(
      `There is no channel “${what}”; there are time, event, ${Object.keys(CHANNELS).join(', ')}.`,
    );
  const id = what as ChannelId,
    { dim } = CHANNELS[id];
  const named = unit === undefined ? null : unitSpelled(unit, dim);
  if (unit !== undefined && !named)
    throw new UsageError(
      `“${unit}” is no unit of ${CHANNELS[id].name}; there are ${unitsOf(dim)
        .map((u) => u.name)
        .join(', ')}.`,
    );
  const guessed = before && 'unit' in before && before.as === id ? before.unit : unitsOf(dim)[0]!.name;
  return { as: id, unit: named?.name ?? guessed };
}

/** `time=Zeit,lat=Breite,height=Alt:ft` over what was guessed. */
function chosenMapping(text: string | undefined): (guess: Mapping, layout: Layout) => Mapping {
  return (guess, layout) => {
    if (text === undefined) return guess;
    const out: Record<number, ColumnUse> = { ...guess };
    for (const part of text.split(',')) {
      const [, what, column, unit] = /^\s*([A-Za-z]+)\s*=\s*(.+?)(?::([^:]+))?\s*$/.exec(part) ?? [];
      if (!what || !column) throw new UsageError(`“${part}” is not CHANNEL=COLUMN or CHANNEL=COLUMN:UNIT.`);
      const at = columnNamed(layout, column),
        before = out[at];
      // a channel is told by one column
      for (const [place, use] of Object.entries(out)) if (use.as === what) delete out[Number(place)];
      out[at] = useOf(what, unit, before);
    }
    return out;
  };
}

const UNITS: Readonly<Partial<Record<LogResult['kind'], string>>> = {
  speed: 'm/s',
  climbRate: 'm/s',
  dragArea: 'm2',
  distance: 'm',
  specificPower: 'W/kg',
  time: 's',
  angle: 'deg',
  energy: 'J',
  charge: 'A s',
  current: 'A',
  voltage: 'V',
  power: 'W',
  rotation: 'rad/s',
};
const round = (v: number) => Number(v.toPrecision(6));

function resultJson({ id, value, sigma, kind, segment, method, count }: LogResult): object {
  // a bearing is read in degrees
  const scale = kind === 'angle' ? 180 / Math.PI : 1;
  return {
    result: id,
    value: round(scale * value),
    sigma: round(scale * sigma),
    unit: UNITS[kind] ?? '1',
    segment,
    method,
    count,
  };
}

export async function reduceCommand(
  path: string,
  values: Values,
  line: (value: unknown) => void,
): Promise<void> {
  const mass = above('mass', values.mass),
    area = above('wing-area', values['wing-area']);
  if (!existsSync(path)) throw new UsageError(`${path} cannot be read.`);
  if (statSync(path).size > MOST_BYTES)
    throw new UsageError(`${path} is larger than 2 GB; cut it down to the flight.`);
  const read = await readLog(createReadStream(path), {}, chosenMapping(values.map));
  if (read.status === 'error') throw new UsageError(`${path} was not taken. ${read.message}`);
  const { log, faults } = cleanLog(placed(read.log)),
    reduced = reduceFlight(log, { mass, area, density: null });
  for (const { name, kind, from, to } of reduced.segments)
    line({ segment: name, from: round(from), to: round(to), kind });
  for (const r of reduced.results) line(resultJson(r));
  const { jumps: _, ...counts } = faultCounts(faults);
  line({ quality: { rows: read.log.t.length, ...counts } });
}
