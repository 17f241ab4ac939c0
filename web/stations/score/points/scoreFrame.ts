/** Where parts of stacked bars stand, in per cent of their track. */
import { entryOf, type Ledger } from '@skiametra/core/assess';
import type { State, Task } from '@skiametra/core/design';
import type { AnySaid } from '@skiametra/core/words';

interface BarPart {
  readonly task: string;
  readonly name: string;
  readonly points: number;
  readonly from: number;
  readonly to: number;
  readonly tone: number;
}

export interface Bar {
  readonly state: string;
  readonly name: string;
  readonly score: number;
  readonly parts: readonly BarPart[];
  readonly spread: { from: number; to: number } | null;
  readonly ghost: number | null;
  /** why it does not count */ readonly blocked: AnySaid | undefined;
}

const TONES = 5;

interface Row {
  readonly state: State;
  readonly points: readonly number[];
  readonly score: number;
  readonly sigma: number;
  readonly ghost: number | null;
  readonly blocked: AnySaid | undefined;
}

function rowOf(ledger: Ledger, tasks: readonly Task[], state: State, against: Ledger | null): Row {
  const of = tasks.map((t) => entryOf(ledger, 'points', state.id, t.id)),
    score = entryOf(ledger, 'score', state.id);
  return {
    state,
    points: of.map((e) => e?.value ?? 0),
    score: score?.value ?? 0,
    sigma: score?.sigma ?? 0,
    ghost: (against && entryOf(against, 'score', state.id)?.value) ?? null,
    blocked: of.flatMap((e) => e?.warnings ?? []).find((w) => w.code === 'no-points'),
  };
}

/** Points below zero stand to the left of nought, the others follow each other to the right. */
export function barsOf(
  ledger: Ledger,
  tasks: readonly Task[],
  states: readonly State[],
  against: Ledger | null,
): { bars: Bar[]; zero: number } {
  const rows = states.map((s) => rowOf(ledger, tasks, s, against)),
    up = (r: Row) => r.points.reduce((s, p) => s + Math.max(0, p), 0),
    down = (r: Row) => r.points.reduce((s, p) => s + Math.min(0, p), 0);
  const least = Math.min(0, ...rows.map(down)),
    most = Math.max(1e-9, ...rows.flatMap((r) => [up(r), r.score + r.sigma, r.ghost ?? 0])),
    at = (v: number) => (100 * (v - least)) / (most - least);
  const bars = rows.map((r): Bar => {
    let plus = 0,
      minus = 0;
    const parts = r.points.map((points, i): BarPart => {
      const from = points >= 0 ? plus : minus + points,
        to = points >= 0 ? plus + points : minus;
      if (points >= 0) plus = to;
      else minus = from;
      return {
        task: tasks[i]!.id,
        name: tasks[i]!.name,
        points,
        from: at(from),
        to: at(to),
        tone: i % TONES,
      };
    });
    const spread =
      r.sigma > 0 ? { from: at(Math.max(least, r.score - r.sigma)), to: at(r.score + r.sigma) } : null;
    return {
      state: r.state.id,
      name: r.state.name,
      score: r.score,
      parts: parts.filter((p) => p.to > p.from),
      spread,
      ghost: r.ghost === null ? null : at(r.ghost),
      blocked: r.blocked,
    };
  });
  return { bars, zero: at(0) };
}
