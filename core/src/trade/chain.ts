/**
 * What limits the score: from the points down to the limit that stops them. Of the numbers that the formulas count, the one
 * whose hundredth part is worth most; of the levers that move it, the one that moves it best; of what that runs into, the
 * first.
 */
import {
  compileTasks,
  evaluate,
  fixedFigures,
  namesOf,
  ALL,
  readRef,
  type QuantityRef,
  type StepCache,
} from '../assess';
import type { DesignDocument } from '../design';
import { isCapped, taskPoints } from '../score';
import { say, type Said } from '../words';
import { leverOf } from './levers';
import type { Worth, WorthRow } from './worth';

/** Share of a number that is asked about. */
const ONE_PER_CENT = 0.01;

interface Driver {
  readonly task: string;
  /** of the task */ readonly points: number;
  readonly name: string;
  readonly ref: QuantityRef;
  /** points by one per cent more */ readonly gain: number;
  readonly value: number;
}

interface Env {
  readonly values: Readonly<Record<string, number>>;
  readonly keyOf: ReadonlyMap<string, string>;
}

/** The numbers that a task's formula counts, as its state flies it, with the course's and the field's figures. */
function envOf(doc: DesignDocument, flown: string, names: readonly string[], cache: StepCache): Env {
  const { brief, design } = doc,
    { meant } = namesOf(brief, design.states),
    values: Record<string, number> = {},
    keyOf = new Map<string, string>();
  for (const name of names) {
    const keys = meant.get(name)?.keys(flown) ?? [`${name}@${flown}`, `${name}@${ALL}`],
      refs = keys.flatMap((k) => readRef(k) ?? []),
      found = evaluate(doc, refs, cache),
      key = keys.find((k) => found[k] !== undefined);
    if (key === undefined) continue;
    keyOf.set(name, key);
    values[name] = found[key];
  }
  return { values, keyOf };
}

function driversOf(
  doc: DesignDocument,
  state: string,
  cache: StepCache,
): { drivers: Driver[]; capped: Said | null } {
  const drivers: Driver[] = [];
  let capped: { of: number; said: Said } | null = null;
  const score = evaluate(doc, [{ id: 'score', state }], cache)[`score@${state}`] ?? 0,
    called = doc.design.states.find((s) => s.id === state)?.name ?? state;
  for (const { m, f } of compileTasks(doc.brief, doc.design)) {
    if (f.status !== 'ok') continue;
    const flown = m.state === 'each' ? state : m.state,
      { values, keyOf } = envOf(doc, flown, f.names, cache),
      env = { ...values, ...fixedFigures(doc.brief, 'likely') },
      raw = f.evaluate(env),
      points = taskPoints(m, raw);
    if (isCapped(m, raw) && points > (capped?.of ?? 0))
      capped = { of: points, said: say('limits-cap', { state: called, score, task: m.name, most: m.most! }) };
    for (const [name, key] of keyOf) {
      const at = (k: number) => taskPoints(m, f.evaluate({ ...env, [name]: env[name] * k })),
        gain = at(1 + ONE_PER_CENT) - points;
      const ref = readRef(key);
      if (ref && Number.isFinite(gain) && gain !== 0)
        drivers.push({ task: m.name, points, name, ref, gain, value: env[name] });
    }
  }
  return { drivers: merged(drivers), capped: capped?.said ?? null };
}

/** One number may count in several tasks: it stands by the one it counts most in, with what it is worth in all. */
function merged(drivers: readonly Driver[]): Driver[] {
  const by = new Map<string, Driver>();
  for (const d of drivers) {
    const known = by.get(d.name);
    const most = known && Math.abs(known.points) > Math.abs(d.points) ? known : d;
    by.set(d.name, { ...most, gain: d.gain + (known?.gain ?? 0) });
  }
  return [...by.values()].sort((a, b) => Math.abs(b.gain) - Math.abs(a.gain));
}

/** Of the levers, the one whose step moves a number most the way that pays. */
function leverFor(
  doc: DesignDocument,
  d: Driver,
  rows: readonly WorthRow[],
  cache: StepCache,
): WorthRow | null {
  let best: WorthRow | null = null,
    most = 0;
  for (const r of rows) {
    const lever = leverOf(doc, r.lever);
    if (!lever || r.points <= 0) continue;
    const next = Object.values(evaluate(lever.set(doc, r.to), [d.ref], cache))[0],
      moved = next === undefined ? 0 : ((next - d.value) / d.value) * Math.sign(d.gain);
    if (moved > most) {
      most = moved;
      best = r;
    }
  }
  return best;
}

/** @param worth of the same document and state */
export function limitingChain(
  doc: DesignDocument,
  worth: Worth,
  nameOf: (id: string) => string,
  cache: StepCache,
): Said {
  const { state, score } = worth,
    called = doc.design.states.find((s) => s.id === state)?.name ?? state;
  if (worth.unflown.length > 0) return say('limits-blocked', { state: called, because: worth.unflown });
  const { drivers, capped } = driversOf(doc, state, cache),
    [first] = drivers;
  if (!first) return capped ?? say('limits-nothing', { state: called, score });
  const row = leverFor(doc, first, worth.rows, cache);
  const stop = row?.ending?.said ?? null;
  return say('limits-score', {
    state: called,
    score,
    task: first.task,
    of: first.points,
    name: nameOf(first.ref.id),
    more: first.gain > 0,
    gain: Math.abs(first.gain),
    lever:
      row &&
      say('limits-lever', { name: row.name, from: row.from, to: row.to, kind: row.kind, choice: row.choice }),
    stop: stop && say('limits-stop', { said: stop, steps: row!.ending!.steps }),
  });
}
