/**
 * Supply and wiring as a graph: who feeds whom, what is lost when one part fails, margins of ratings, and volts kept apart
 * as printed, full and sagged.
 */
import { say, type Said } from '../words';
import { CHEMISTRY, type Chemistry } from './battery';

export interface SupplyPart {
  id: string;
  name: string;
  kind: 'pack' | 'regulator' | 'controller' | 'motor' | 'receiver' | 'servo' | 'other';
  feeds: readonly string[];
  volts: number | null;
  rating: number | null;
  draw: number;
  minVolts: number | null;
  maxVolts: number | null;
  vital: boolean;
}

export interface SupplyLine {
  id: string;
  name: string;
  /** parts that go dark with it */ lost: string[];
  single: boolean;
  /** worst current through it, its rating and the share used */ current: number;
  rating: number | null;
  used: number | null;
  /** what its failing would mean; empty where nothing hangs on it */ said: Said[];
}
export interface VoltsLine {
  id: string;
  name: string;
  printed: number;
  full: number;
  sagged: number;
  min: number | null;
  max: number | null;
  ok: boolean;
  said: Said;
}
export interface SupplyReport {
  lines: SupplyLine[];
  volts: VoltsLine[];
  singlePoints: string[];
}

/**
 * Ids that still have power when `dead` has failed. A pack is a source; anything else needs one living feed. A ring
 * feeds nobody.
 */
function alive(parts: readonly SupplyPart[], dead: string | null): Set<string> {
  const on = new Set(
    parts.filter((p) => p.kind === 'pack' && p.feeds.length === 0 && p.id !== dead).map((p) => p.id),
  );
  for (let grown = true; grown;) {
    grown = false;
    for (const p of parts)
      if (!on.has(p.id) && p.id !== dead && p.feeds.some((f) => on.has(f))) {
        on.add(p.id);
        grown = true;
      }
  }
  return on;
}

/** Current through a part when it alone carries all that hangs on it [A]. */
function loadOn(parts: readonly SupplyPart[], id: string): number {
  const seen = new Set<string>([id]);
  const walk = (at: string): number =>
    parts
      .filter((p) => p.feeds.includes(at) && !seen.has(p.id))
      .reduce((s, p) => {
        seen.add(p.id);
        return s + p.draw + walk(p.id);
      }, 0);
  return walk(id);
}

/** Volts a part meets: those of its nearest source that states any. */
function voltsAt(parts: readonly SupplyPart[], p: SupplyPart, seen = new Set<string>()): SupplyPart | null {
  for (const f of p.feeds) {
    const source = parts.find((x) => x.id === f);
    if (!source || seen.has(f)) continue;
    seen.add(f);
    if (source.volts !== null) return source;
    const up = voltsAt(parts, source, seen);
    if (up) return up;
  }
  return null;
}

/** What goes with a part that fails. */
function failing(part: string, lost: readonly string[], single: boolean): Said[] {
  if (single)
    return [lost.length ? say('fails-unsteered', { part, lost }) : say('nothing-stands-in', { part })];
  return lost.length ? [say('fails-too', { part, lost })] : [];
}

function loaded(part: string, current: number, rating: number | null): Said[] {
  const used = rating ? current / rating : 0;
  if (rating !== null && used > 1) return [say('through-rated', { part, current, rating })];
  return used > 0.8 ? [say('near-rating', { part })] : [];
}

export function supplyReport(parts: readonly SupplyPart[], chemistry: Chemistry = 'LiPo'): SupplyReport {
  const normal = alive(parts, null),
    cell = CHEMISTRY[chemistry];
  const nameOf = (id: string) => parts.find((p) => p.id === id)?.name ?? id;
  const lines = parts.map((p): SupplyLine => {
    const left = alive(parts, p.id);
    const lost = [...normal].filter((id) => id !== p.id && !left.has(id));
    const vital = [p.id, ...lost].filter((id) => parts.find((x) => x.id === id)?.vital);
    const single = vital.length > 0 && (p.vital === false || lost.length > 0 || p.kind !== 'servo');
    const current = p.draw + loadOn(parts, p.id),
      used = p.rating ? current / p.rating : null;
    const names = lost.map(nameOf);
    return {
      id: p.id,
      name: p.name,
      lost,
      single,
      current,
      rating: p.rating,
      used,
      said: [
        ...(normal.has(p.id) ? [] : [say('fed-by-nothing', { part: p.name })]),
        ...failing(p.name, names, single),
        ...loaded(p.name, current, p.rating),
      ],
    };
  });
  const volts = parts.flatMap((p): VoltsLine[] => {
    const source = voltsAt(parts, p);
    if (!source || source.volts === null || (p.minVolts === null && p.maxVolts === null)) return [];
    const pack = source.kind === 'pack';
    const full = pack ? (source.volts * cell.full) / cell.nominal : source.volts,
      sagged = pack ? (source.volts * cell.least) / cell.nominal : source.volts;
    const high = p.maxVolts !== null && full > p.maxVolts + 1e-9,
      low = p.minVolts !== null && sagged < p.minVolts - 1e-9;
    return [
      {
        id: p.id,
        name: p.name,
        printed: source.volts,
        full,
        sagged,
        min: p.minVolts,
        max: p.maxVolts,
        ok: !high && !low,
        said: say('volts', {
          part: p.name,
          source: pack ? 'pack' : 'other',
          printed: source.volts,
          full,
          sagged,
          over: high ? p.maxVolts : null,
          under: low ? p.minVolts : null,
        }),
      },
    ];
  });
  return { lines, volts, singlePoints: lines.filter((l) => l.single).map((l) => l.id) };
}
