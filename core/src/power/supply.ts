/**
 * Supply and wiring as a graph: who feeds whom, what is lost when one part fails, margins of ratings, and volts kept apart
 * as printed, full and sagged.
 */
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
  sentence: string | null;
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
  sentence: string;
}
export interface SupplyReport {
  lines: SupplyLine[];
  volts: VoltsLine[];
  singlePoints: string[];
}

/** Ids that still have power when `dead` has failed. A pack is a source; anything else needs one living feed. A ring feeds nobody. */
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
    const words = [
      !normal.has(p.id) ? `${p.name} is fed by nothing that has power.` : null,
      single
        ? lost.length
          ? `If the ${p.name.toLowerCase()} fails, so ${lost.length > 1 ? 'do' : 'does'} ${lost.map((id) => nameOf(id).toLowerCase()).join(', ')}: the aircraft cannot be steered.`
          : `Nothing stands in for the ${p.name.toLowerCase()}: without it the aircraft cannot be steered.`
        : lost.length
          ? `If the ${p.name.toLowerCase()} fails, ${lost.map((id) => nameOf(id).toLowerCase()).join(', ')} ${lost.length > 1 ? 'go' : 'goes'} too.`
          : null,
      used !== null && used > 1
        ? `${current.toFixed(1)} A through the ${p.name.toLowerCase()}, rated ${p.rating} A.`
        : used !== null && used > 0.8
          ? `Under 20 % margin on the ${p.name.toLowerCase()}.`
          : null,
    ].filter((w) => w !== null);
    return {
      id: p.id,
      name: p.name,
      lost,
      single,
      current,
      rating: p.rating,
      used,
      sentence: words.length ? words.join(' ') : null,
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
    const three = pack
      ? `${source.volts.toFixed(1)} V on the label, ${full.toFixed(1)} V off the charger, ${sagged.toFixed(1)} V sagged`
      : `${source.volts.toFixed(1)} V`;
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
        sentence: high
          ? `${p.name} stands ${p.maxVolts} V and meets ${three}.`
          : low
            ? `${p.name} needs ${p.minVolts} V and meets ${three}.`
            : `${p.name}: ${three}; inside its limits.`,
      },
    ];
  });
  return { lines, volts, singlePoints: lines.filter((l) => l.single).map((l) => l.id) };
}
