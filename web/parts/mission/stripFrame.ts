/** Where everything of a mission strip stands: legs along time, height and charge over it. Plain geometry, no drawing. */
import type { Ledger } from '@skiametra/core/assess';
import { flownOf } from '@skiametra/core/assess';
import type { Mission } from '@skiametra/core/design';
import type { LegView, MissionReport } from '@skiametra/core/views';

interface Box {
  readonly at: number;
  readonly x: number;
  readonly width: number;
}

interface Bracket {
  readonly name: string;
  readonly x: number;
  readonly width: number;
}

export interface StripFrame {
  readonly width: number;
  readonly left: number;
  readonly right: number;
  /** seconds across */ readonly span: number;
  readonly highest: number;
  readonly legs: readonly Box[];
  readonly rounds: readonly Bracket[];
  readonly heights: readonly (readonly [number, number])[];
  readonly charges: readonly (readonly [number, number])[];
  readonly ghost: readonly (readonly [number, number])[];
  readonly ticks: readonly number[];
  /** of the clock, and of where it ends; null without */ readonly window: number | null;
  readonly end: number | null;
  x(seconds: number): number;
}

export const TOP = 22;
const CURVES = 118,
  BAND = 26;
const LEFT = 46,
  RIGHT = 74;
/** Heights begin to be drawn over this [m]. */
const LOW = 5;

export const bandTop = TOP + CURVES + 6;
export const stripHeight = bandTop + BAND + 34;

/** @param up 0 at the bottom of the curves, 1 at their top */
export const curveY = (up: number): number => TOP + CURVES * (1 - Math.min(1, Math.max(0, up)));

/** Round numbers of seconds, six or so across. */
export function ticksTo(span: number): number[] {
  const steps = [1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1200, 1800, 3600, 7200],
    step = steps.find((s) => span / s <= 8) ?? 14400;
  return Array.from({ length: Math.floor(span / step) + 1 }, (_, i) => i * step);
}

/** Heights along a leg: a straight line where it has no profile of its own. */
const alongOf = (l: LegView): NonNullable<LegView['profile']> =>
  l.profile ?? [
    [0, l.heightFrom],
    [1, l.height],
  ];

const lasts = (l: LegView) => (Number.isFinite(l.time) ? l.time : 0);

export function stripFrame(
  report: MissionReport,
  names: ReadonlyMap<string, string>,
  width: number,
  ghost: readonly (readonly [seconds: number, height: number])[],
): StripFrame {
  const { legs, window } = report,
    last = legs.at(-1),
    flown = last ? last.from + lasts(last) : 0,
    span = Math.max(window ?? 0, flown, ghost.at(-1)?.[0] ?? 0, 1);
  const heights = legs.flatMap((l) => alongOf(l).map(([, h]) => h)),
    highest = Math.max(LOW, ...heights.filter(Number.isFinite)),
    x = (seconds: number) => LEFT + (seconds / span) * Math.max(1, width - LEFT - RIGHT),
    up = (h: number) => curveY(h / (1.08 * highest));
  const ends = report.ending.at,
    ender = ends === null ? undefined : legs[ends];
  return {
    width,
    left: LEFT,
    right: width - RIGHT,
    span,
    highest,
    legs: legs.map((l, at) => ({ at, x: x(l.from), width: Math.max(1, x(l.from + lasts(l)) - x(l.from)) })),
    rounds: roundsOf(legs, names, x),
    heights: legs.flatMap((l) =>
      alongOf(l).map(([share, h]) => [x(l.from + share * lasts(l)), up(h)] as const),
    ),
    charges: chargesOf(legs, x),
    ghost: ghost.map(([t, h]) => [x(t), up(h)] as const),
    ticks: ticksTo(span),
    window: window === null ? null : x(window),
    end: ender ? x(ender.from + lasts(ender)) : last ? x(flown) : null,
    x,
  };
}

/** Charge that is left above the reserve, where any is drawn. */
function chargesOf(legs: readonly LegView[], x: (t: number) => number): (readonly [number, number])[] {
  if (!legs.some((l) => l.charge > 0)) return [];
  return [[x(0), curveY(1)], ...legs.map((l) => [x(l.from + lasts(l)), curveY(1 - l.share)] as const)];
}

/** Each time that a round is flown, named where there is room. */
function roundsOf(
  legs: readonly LegView[],
  names: ReadonlyMap<string, string>,
  x: (t: number) => number,
): Bracket[] {
  const out: Bracket[] = [];
  for (let i = 0; i < legs.length;) {
    const { round, pass } = legs[i]!;
    let end = i;
    while (end + 1 < legs.length && legs[end + 1]!.round === round && legs[end + 1]!.pass === pass) end++;
    const from = x(legs[i]!.from),
      to = x(legs[end]!.from + lasts(legs[end]!));
    out.push({ name: `${names.get(round) ?? ''}${pass > 1 ? ` ${pass}` : ''}`, x: from, width: to - from });
    i = end + 1;
  }
  return out;
}

/** Heights over time of the same mission in another version, as its ledger has them: each round as it is flown first. */
export function ghostOf(
  mission: Mission,
  ledger: Ledger | null,
  state: string,
): (readonly [number, number])[] {
  if (!ledger || ledger.stopped) return [];
  const value = (id: 'legTime' | 'legHeight', leg: string) =>
      flownOf(ledger, id, { mission: mission.id, leg, state })?.value,
    often = flownOf(ledger, 'missionRounds', { mission: mission.id, state })?.value ?? 0;
  const out: [number, number][] = [[0, 0]];
  let time = 0;
  for (const r of mission.rounds)
    for (let pass = 0; pass < (r.times ?? Math.floor(often)); pass++)
      for (const l of r.legs) {
        const takes = value('legTime', l.id),
          height = value('legHeight', l.id);
        // another version may fly other legs
        if (takes === undefined || height === undefined) return [];
        out.push([(time += takes), height]);
      }
  return out;
}
