/** One log in memory: opened from its file, cleaned and reduced as often as a person changes his mind, drawn in part. */
import { G0 } from '@skiametra/core/air';
import {
  cleanLog,
  faultCounts,
  letGoOf,
  placed,
  reduceFlight,
  type ChannelId,
  type FlightLog,
  type ReducedLog,
} from '@skiametra/core/log';
import { legReadings, legsFlown } from '@skiametra/core/trial';
import { columnsOf, mappingOf, readLog, type Layout, type Mapping } from '@skiametra/formats/log';
import type { Line, LogAnswers, LogJob, Opened, Reduced, TableHead, TraceId } from './logJobs';
import { thinLine } from './thinLine';

const SHOWN_ROWS = 6;
/** Fixes of the way that are drawn. */
const WAY = 1500;

/** Bytes of a file as they are read. */
async function* bytesOf(file: Blob): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader();
  for (let next = await reader.read(); !next.done; next = await reader.read()) yield next.value;
}

export class HeldLog {
  private raw: FlightLog | null = null;
  private clean: FlightLog | null = null;
  private reduced: ReducedLog | null = null;

  async open(
    { file, columns }: Extract<LogJob, { task: 'open' }>,
    onProgress: (bytes: number) => void,
  ): Promise<LogAnswers['open']> {
    let told = 0;
    const reading = {
      onProgress: (bytes: number) => {
        if (bytes - told < 500_000) return;
        told = bytes;
        onProgress(bytes);
      },
    };
    const read = await readLog(bytesOf(file), reading, (guess) => (columns ? mappingOf(columns) : guess));
    if (read.status === 'error') return read;
    this.raw = placed(read.log);
    this.clean = this.reduced = null;
    return { status: 'ok', opened: openedOf(read.log, read.table && headOf(read.table)) };
  }

  reduce({ flown, kept, segments, course }: Extract<LogJob, { task: 'reduce' }>): Reduced {
    const { log, faults } = cleanLog(this.held(), new Set(kept)),
      reduced = reduceFlight(log, flown, segments);
    this.clean = log;
    this.reduced = reduced;
    const { wind } = reduced.air,
      legs = course ? legsFlown(reduced.segments, course) : [];
    return {
      faults,
      counts: faultCounts(faults),
      segments: reduced.segments,
      legs: legs.map(({ leg, from, to }) => ({ leg: leg.id, name: leg.name, from, to })),
      legReadings: legReadings(log, legs),
      results: reduced.results,
      traces: this.traces(),
      way: wayOf(log),
      wind: wind && { east: wind.east, north: wind.north },
      letGo: letGoOf(log, reduced.motion).map(({ t, name, east, north }) => ({ t, name, east, north })),
      loads: loadsOf(log, reduced),
      glides: reduced.glides.map(({ speed, sink }) => ({ speed, sink })),
    };
  }

  trace({ ids, from, to }: Extract<LogJob, { task: 'trace' }>): LogAnswers['trace'] {
    return Object.fromEntries(ids.flatMap((id) => this.line(id, { from, to }) ?? []));
  }

  private held(): FlightLog {
    if (!this.raw) throw new Error('no log is open');
    return this.raw;
  }

  private traces(): TraceId[] {
    const log = this.clean ?? this.held(),
      own = (Object.keys(log.channels) as ChannelId[]).filter((id) => !/^(lat|lon)$/.test(id));
    return [...(this.reduced?.air.how === 'none' ? [] : (['air'] as const)), 'climbing', ...own];
  }

  private line(id: TraceId, span: { from: number; to: number }): [TraceId, Line][] | null {
    const log = this.clean ?? this.held();
    if (id === 'air' || id === 'climbing') {
      if (!this.reduced) return null;
      const { motion, air } = this.reduced;
      return [[id, thinLine(motion.t, id === 'air' ? air.airspeed : motion.climb, span)]];
    }
    const of = log.channels[id];
    return of ? [[id, thinLine(log.t, of, span)]] : null;
  }
}

function headOf({ layout, mapping }: { layout: Layout; mapping: Mapping }): TableHead {
  return {
    names: layout.names,
    delimiter: layout.delimiter,
    decimal: layout.decimal,
    before: layout.firstRow,
    rows: layout.rows.slice(0, SHOWN_ROWS),
    columns: columnsOf(layout, mapping),
  };
}

function openedOf(log: FlightLog, table: TableHead | null): Opened {
  let least = Infinity,
    most = -Infinity;
  for (const t of log.t)
    if (Number.isFinite(t)) {
      least = Math.min(least, t);
      most = Math.max(most, t);
    }
  return {
    rows: log.t.length,
    length: most >= least ? most - least : 0,
    begun: log.begun,
    channels: Object.keys(log.channels) as ChannelId[],
    table,
  };
}

function wayOf({ t, channels: { east, north } }: FlightLog): Reduced['way'] {
  if (!east || !north) return null;
  const out = { t: [] as number[], east: [] as number[], north: [] as number[] },
    each = Math.max(1, Math.floor(t.length / WAY));
  for (let i = 0; i < t.length; i += each)
    if (Number.isFinite(east[i]! + north[i]!)) {
      out.t.push(t[i]!);
      out.east.push(east[i]!);
      out.north.push(north[i]!);
    }
  return out;
}

/** At each half metre a second the largest and the least load. */
function loadsOf(
  { t, channels: { az } }: FlightLog,
  { motion, air, segments }: ReducedLog,
): Reduced['loads'] {
  const flight = segments.find((s) => s.kind === 'flight');
  if (!az || !flight || air.how === 'none') return [];
  const bins = new Map<number, { most: Reduced['loads'][number]; least: Reduced['loads'][number] }>();
  let k = 0;
  for (let i = 0; i < t.length; i++) {
    if (t[i]! < flight.from || t[i]! > flight.to || !Number.isFinite(az[i]!)) continue;
    while (k + 1 < motion.t.length && motion.t[k + 1]! <= t[i]!) k++;
    const speed = air.airspeed[k]!;
    if (!Number.isFinite(speed)) continue;
    const point = { speed, load: az[i]! / G0, t: t[i]! },
      bin = Math.round(2 * speed),
      was = bins.get(bin);
    if (!was) bins.set(bin, { most: point, least: point });
    else if (point.load > was.most.load) was.most = point;
    else if (point.load < was.least.load) was.least = point;
  }
  return [...bins.values()].flatMap((b) => (b.most === b.least ? [b.most] : [b.most, b.least]));
}
