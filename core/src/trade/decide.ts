/**
 * Weighted decision tables for what cannot be computed. A total is the mean of the marks by their weights. What is not
 * marked is not known: it may turn out worst or best, and a win that rests on that is open.
 * Source: the additive value function of decision analysis (Keeney and Raiffa, Decisions with Multiple Objectives, 1976, from
 * memory); the weight that turns a win follows from setting two totals equal.
 */
import { MARKS, type Criterion, type DecisionOption, type DecisionTable } from '../design';

export interface Ranked {
  readonly id: string;
  readonly name: string;
  /** null while a mark is missing */ readonly total: number | null;
  /** with every missing mark at its worst and at its best */ readonly low: number;
  readonly high: number;
  /** criteria whose least mark it does not reach */ readonly fails: readonly string[];
  readonly rejected: string;
  /** it is neither rejected nor does it fail a must */ readonly stays: boolean;
}

/** A weight at which the second would win. */
export interface Turn {
  readonly criterion: string;
  readonly name: string;
  readonly now: number;
  readonly at: number;
}

export interface Verdict {
  /** those that stay first, best first */ readonly ranked: readonly Ranked[];
  /** null where nothing stays, or a missing mark may change who wins */ readonly winner: Ranked | null;
  readonly second: Ranked | null;
  /** by so much the winner leads, of ten */ readonly lead: number | null;
  /** nearest first, as a change of the weight */ readonly turns: readonly Turn[];
  readonly weightSum: number;
}

const markOf = (o: DecisionOption, c: Criterion) => o.marks.find((m) => m.criterion === c.id)?.mark ?? null;

function totalWith(criteria: readonly Criterion[], marks: (c: Criterion) => number): number {
  const sum = criteria.reduce((s, c) => s + c.weight, 0);
  return sum > 0 ? criteria.reduce((s, c) => s + c.weight * marks(c), 0) / sum : 0;
}

function rankedOf(o: DecisionOption, criteria: readonly Criterion[]): Ranked {
  const counts = criteria.filter((c) => c.weight > 0),
    whole = counts.every((c) => markOf(o, c) !== null),
    at = (unknown: number) => totalWith(criteria, (c) => markOf(o, c) ?? unknown);
  const fails = criteria
    .filter((c) => c.must !== null && (markOf(o, c) ?? Infinity) < c.must)
    .map((c) => c.name);
  return {
    id: o.id,
    name: o.name,
    total: whole ? at(0) : null,
    low: at(MARKS.least),
    high: at(MARKS.most),
    fails,
    rejected: o.rejected,
    stays: fails.length === 0 && o.rejected.trim() === '',
  };
}

const middle = (r: Ranked) => r.total ?? 0.5 * (r.low + r.high);

/** Weights, one changed at a time, at which two totals are equal. */
function turnsOf(table: DecisionTable, a: string, b: string): Turn[] {
  const { criteria, options } = table,
    of = (id: string) => options.find((o) => o.id === id)!,
    ahead = (c: Criterion) => (markOf(of(a), c) ?? 0) - (markOf(of(b), c) ?? 0);
  const lead = criteria.reduce((s, c) => s + c.weight * ahead(c), 0);
  return criteria
    .flatMap((c): Turn[] => {
      const d = ahead(c);
      if (d === 0) return [];
      const at = c.weight - lead / d;
      return at >= 0 ? [{ criterion: c.id, name: c.name, now: c.weight, at }] : [];
    })
    .sort((p, q) => Math.abs(p.at - p.now) - Math.abs(q.at - q.now));
}

export function decide(table: DecisionTable): Verdict {
  const ranked = table.options
    .map((o) => rankedOf(o, table.criteria))
    .sort((a, b) => Number(b.stays) - Number(a.stays) || middle(b) - middle(a));
  const [first, second = null] = ranked.filter((r) => r.stays),
    others = ranked.filter((r) => r.stays && r.id !== first?.id);
  // one that is not fully marked may yet be better, or fail a must
  const sure =
    first !== undefined &&
    others.every((o) => first.low >= o.high - 1e-12 || (first.total !== null && o.total !== null));
  const known = sure && first.total !== null,
    both = known && second?.total != null;
  return {
    ranked,
    winner: known ? first : null,
    second,
    lead: both ? first.total! - second.total! : null,
    turns: both ? turnsOf(table, first.id, second.id) : [],
    weightSum: table.criteria.reduce((s, c) => s + c.weight, 0),
  };
}
