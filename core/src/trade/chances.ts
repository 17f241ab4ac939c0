/**
 * Scores over samples of what is not known. The strip is a step: a state that leaves it scores, one that does not scores nothing.
 * A handful of samples on either side of a step says little of how often it is passed, so each stands for its neighbourhood:
 * a normal kernel of the samples' own spread. Source: Silverman, Density Estimation, 1986, 3.4.2 (rule of thumb).
 */
import type { Flown } from '../assess';
import { normalCdf } from '../numeric';

export interface Chances {
  /** by sample */ readonly scores: readonly number[];
  /** that the state can be flown, by sample */ readonly flies: readonly number[];
}

export const mean = (list: readonly number[]) => list.reduce((s, x) => s + x, 0) / Math.max(1, list.length);

export function deviation(list: readonly number[]): number {
  const m = mean(list);
  return Math.sqrt(mean(list.map((x) => (x - m) ** 2)));
}

/** Width that a sample of a run stands for [m]. */
const bandwidth = (runs: readonly number[]) => 1.06 * deviation(runs) * Math.max(1, runs.length) ** -0.2;

/** Chance that a run stays on the strip, of samples that are `wide` apart. */
function leaves(run: number | null, strip: number, wide: number): number {
  if (run === null) return 1;
  return wide > 0 ? normalCdf((strip - run) / wide) : Number(run <= strip);
}

/** @param samples by sample, by task @param strip its length [m] */
export function chancesOf(samples: readonly (readonly Flown[])[], strip: number): Chances {
  const widths = (samples[0] ?? []).map((_, t) => bandwidth(samples.flatMap((s) => s[t].run ?? [])));
  const chance = (f: Flown, t: number) => (f.flies ? leaves(f.run, strip, widths[t]) : 0);
  return {
    scores: samples.map((s) => s.reduce((sum, f, t) => sum + f.points * chance(f, t), 0)),
    flies: samples.map((s) => Math.min(1, ...s.map(chance))),
  };
}

/** Points by the chance that each task's state leaves the strip, from one prediction and its spread. */
export function hopedOf(flown: readonly Flown[], strip: number, spread: number): number {
  return flown.reduce((sum, f) => sum + f.points * leaves(f.run, strip, spread * (f.run ?? 0)), 0);
}
