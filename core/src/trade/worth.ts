/**
 * What one step of every input is worth in points, and what stops it. First all are tried once each way, with the chance of
 * leaving the strip by the prediction's own spread; the best are then flown at samples of everything that is not known,
 * base and step at the same ones, so that what is a step (another lap, the end of the strip) counts by how often it is reached.
 */
import {
  causeSamples,
  evaluate,
  flyProblems,
  GATES,
  runOf,
  sampledPoints,
  Slopes,
  smoothPoints,
  type StepCache,
} from '../assess';
import type { DesignDocument } from '../design';
import { DomainError } from '../numeric';
import { READ } from '../steps';
import type { KindName } from '../units';
import type { Said } from '../words';
import { candidatesOf, type Candidate } from './candidates';
import { chancesOf, deviation, hopedOf, mean, type Chances } from './chances';
import { wrongAt, type Lever } from './levers';
import { limitsOf } from './limits';

/** What a lever runs into when it is pulled on. */
export interface Ending {
  /** id of the limit; null where the input itself may go no further */ readonly id: string | null;
  readonly name: string;
  readonly said: Said | null;
  /** whole steps that are free */ readonly steps: number;
}

export interface WorthRow {
  readonly lever: string;
  readonly name: string;
  readonly kind: KindName;
  readonly from: number;
  readonly to: number;
  /** what `to` stands for, where it is a choice */ readonly choice: string | null;
  /** others of which a step brings the same */ readonly also: readonly string[];
  /** points that the step brings, over all samples */ readonly points: number;
  /** its spread over the samples */ readonly sigma: number;
  /** change of the chance that the state can be flown */ readonly chance: number;
  /** what the first step breaks already */ readonly breaks: readonly string[];
  readonly ending: Ending | null;
  /** steps like it to ten points; null where ten are not to be had this way */ readonly toTen: number | null;
}

export interface Worth {
  readonly state: string;
  /** as predicted, and over the samples */ readonly score: number;
  readonly expected: number;
  readonly sigma: number;
  /** chance that the state can be flown */ readonly chance: number;
  /** why it scores nothing that it flies for, as predicted */ readonly unflown: readonly Said[];
  /** limits that it is beyond already */ readonly blocked: readonly {
    id: string;
    name: string;
    said: Said;
  }[];
  /** best first */ readonly rows: readonly WorthRow[];
}

export interface WorthOptions {
  /** standard normal numbers */ readonly normal: () => number;
  /** rows that are flown at samples */ readonly most?: number;
  readonly pairs?: number;
}

const MOST = 12,
  PAIRS = 12;
/** A lever is pulled on to so many steps and no further. */
const PULLS = [2, 4, 8, 16];
/** Points that are asked for. */
const TEN = 10;

interface Way {
  readonly lever: Lever;
  readonly from: number;
  readonly to: number;
  readonly doc: DesignDocument;
  readonly gain: number;
}

/** Spread of the ground run over the run itself. */
function runSpread(doc: DesignDocument, state: string, cache: StepCache): number {
  const run = runOf(doc, doc.calibration, cache),
    { groundRun } = READ,
    value = groundRun.read(run.read(groundRun.step, state));
  if (value === undefined || !(value > 0)) return 0;
  const slopes = new Slopes(run, doc.calibration).spreadsOf(groundRun.step, state);
  const at = Object.values(READ)
    .filter((q) => q.step === groundRun.step)
    .indexOf(groundRun);
  return slopes[at].sigma / value;
}

/** Of choices and whole numbers every neighbour; of the rest one step up: the way down is its mirror for a small step. */
function stepsOf({ lever, step }: Candidate, doc: DesignDocument): number[] {
  const now = lever.value(doc)!;
  if (lever.choices) return lever.choices.flatMap((_, i) => (i === now ? [] : [i]));
  return lever.whole ? [now + step, now - step] : [now + step];
}

interface Base {
  readonly doc: DesignDocument;
  readonly state: string;
  readonly cache: StepCache;
  readonly spread: number;
  readonly hoped: number;
}

/** A step with what it is hoped to bring; null where it may not be taken. */
function wayOf(lever: Lever, to: number, b: Base): Way | null {
  if (wrongAt(b.doc, lever, to) !== null) return null;
  const doc = lever.set(b.doc, to);
  try {
    const flown = smoothPoints(doc, b.state, b.cache),
      gain = hopedOf(flown, doc.brief.site.stripLength, b.spread) - b.hoped;
    return Number.isFinite(gain) ? { lever, from: lever.value(b.doc)!, to, doc, gain } : null;
  } catch (e) {
    if (e instanceof DomainError) return null;
    throw e;
  }
}

/** The step the other way, taken for as good as this one is bad. */
function mirrored(w: Way, b: Base): Way | null {
  const to = 2 * w.from - w.to;
  if (wrongAt(b.doc, w.lever, to) !== null) return null;
  return { ...w, to, doc: w.lever.set(b.doc, to), gain: -w.gain };
}

/** Every step that this document may take. */
function waysOf(b: Base): Way[] {
  return candidatesOf(b.doc, b.state).flatMap((c) =>
    stepsOf(c, b.doc).flatMap((to): Way[] => {
      const up = wayOf(c.lever, to, b),
        small = !c.lever.choices && !c.lever.whole;
      if (!small) return up ? [up] : [];
      if (up && up.gain >= 0) return [up];
      const down = up ? mirrored(up, b) : wayOf(c.lever, 2 * c.lever.value(b.doc)! - to, b);
      return down ? [down] : [];
    }),
  );
}

/** The better direction of every lever; every choice by itself. */
function betterWays(ways: readonly Way[]): Way[] {
  const best = new Map<string, Way>();
  for (const w of ways) {
    const key = w.lever.choices ? `${w.lever.id} ${w.to}` : w.lever.id,
      known = best.get(key);
    if (!known || w.gain > known.gain) best.set(key, w);
  }
  return [...best.values()].sort((a, b) => b.gain - a.gain);
}

/** Worth of lines of the mass list that differ by less than this share are told once. */
const ALIKE = 0.25;

/** Ten grams are ten grams: lines of the mass list that bring the same stand in one row. */
function grouped(ways: readonly Way[]): { way: Way; also: string[] }[] {
  const out: { way: Way; also: string[] }[] = [];
  for (const way of ways) {
    const like = out.find(
      ({ way: w }) => isMass(w) && isMass(way) && Math.abs(way.gain - w.gain) <= ALIKE * Math.abs(w.gain),
    );
    if (like) like.also.push(way.lever.name);
    else out.push({ way, also: [] });
  }
  return out;
}
const isMass = (w: Way) => w.lever.id.startsWith('mass:');

interface Kept {
  readonly id: string;
  readonly name: string;
  readonly said: Said;
  readonly margin: number;
}

/** Margins of every limit. */
function marginsOf(doc: DesignDocument, state: string, cache: StepCache): Kept[] {
  const limits = limitsOf(doc, state),
    values = evaluate(
      doc,
      limits.flatMap((l) => l.refs),
      cache,
    ),
    read = (k: string) => values[k];
  return limits.flatMap((l) => {
    const margin = l.margin(read);
    return margin === null ? [] : [{ id: l.id, name: l.name, said: l.said(read), margin }];
  });
}

/** Blocks now, and did not before. */
const newly = (now: readonly Kept[], free: ReadonlySet<string>) =>
  now.filter((k) => k.margin < 0 && free.has(k.id));

/** Pulled on step after step until something blocks. */
function endingOf(w: Way, b: Base, free: ReadonlySet<string>, first: readonly Kept[]): Ending | null {
  if (w.lever.choices) return null;
  const by = w.to - w.from;
  let before = first,
    done = 1;
  for (const n of PULLS) {
    const at = w.from + n * by;
    if (wrongAt(b.doc, w.lever, at) !== null)
      return { id: null, name: w.lever.name, said: null, steps: done };
    const now = marginsOf(w.lever.set(b.doc, at), b.state, b.cache),
      [stop] = newly(now, free);
    if (stop) return { ...stopAt(stop, before, done, n), said: stop.said };
    before = now;
    done = n;
  }
  return null;
}

/** Whole steps that are free before a margin runs out, between the two places where it was looked at. */
function stopAt(stop: Kept, before: readonly Kept[], from: number, to: number) {
  const was = before.find((k) => k.id === stop.id)?.margin ?? 0,
    share = was > 0 ? was / (was - stop.margin) : 0;
  return { id: stop.id, name: stop.name, steps: Math.floor(from + share * (to - from)) };
}

function gained(base: Chances, now: Chances): { points: number; sigma: number; chance: number } {
  const by = now.scores.map((s, k) => s - base.scores[k]);
  return { points: mean(by), sigma: deviation(by), chance: mean(now.flies) - mean(base.flies) };
}

/** Steps of one row to ten points, as far as it may be pulled. */
function stepsToTen(points: number, sole: boolean, ending: Ending | null): number | null {
  if (!(points > 0)) return null;
  const n = Math.ceil(TEN / points);
  if (sole) return n <= 1 ? 1 : null;
  return ending && n > ending.steps ? null : n;
}

function unflownIn(doc: DesignDocument, state: string, cache: StepCache): Said[] {
  const { brief, design } = doc,
    refs = GATES.map((id) => ({ id, state }));
  return flyProblems(brief, design, evaluate(doc, refs, cache), state);
}

/**
 * @param state id of the state that is flown
 * @throws DomainError where the document itself cannot be computed
 */
export function worthOf(doc: DesignDocument, state: string, cache: StepCache, options: WorthOptions): Worth {
  const { normal, most = MOST, pairs = PAIRS } = options,
    spread = runSpread(doc, state, cache),
    strip = doc.brief.site.stripLength,
    base: Base = {
      doc,
      state,
      cache,
      spread,
      hoped: hopedOf(smoothPoints(doc, state, cache), strip, spread),
    };
  const samples = causeSamples(runOf(doc, doc.calibration, cache), doc.calibration, state, normal, pairs),
    sampled = (of: DesignDocument) =>
      chancesOf(sampledPoints(of, state, samples, cache), of.brief.site.stripLength),
    flown = sampled(doc),
    margins = marginsOf(doc, state, cache),
    free = new Set(margins.filter((k) => k.margin >= 0).map((k) => k.id));
  const rows = grouped(betterWays(waysOf(base)))
    .slice(0, most)
    .map(({ way: w, also }): WorthRow => {
      const first = marginsOf(w.doc, state, cache),
        got = gained(flown, sampled(w.doc)),
        breaks = newly(first, free).map((k) => k.name),
        ending = breaks.length > 0 ? null : endingOf(w, base, free, first);
      return {
        lever: w.lever.id,
        name: w.lever.name,
        kind: w.lever.kind,
        from: w.from,
        to: w.to,
        choice: w.lever.choices?.[w.to] ?? null,
        also,
        ...got,
        breaks,
        ending,
        toTen: breaks.length > 0 ? null : stepsToTen(got.points, w.lever.choices !== null, ending),
      };
    });
  return {
    state,
    score: evaluate(doc, [{ id: 'score', state }], cache)[`score@${state}`] ?? 0,
    expected: mean(flown.scores),
    sigma: deviation(flown.scores),
    chance: mean(flown.flies),
    unflown: unflownIn(doc, state, cache),
    blocked: margins.filter((k) => k.margin < 0).map(({ id, name, said }) => ({ id, name, said })),
    rows: rows.sort((a, b) => b.points - a.points),
  };
}
