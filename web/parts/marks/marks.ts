/** Asked, predicted, measured, and what stands beside them on one scale. */
import { formatMeasured, formatQuantity, type KindName, type UnitSystem } from '@skiametra/core/units';

/** [SI] */
export interface Measured {
  readonly value: number;
  readonly sigma: number;
}

export interface Marks {
  readonly asked: { readonly min: number | null; readonly max: number | null } | null;
  readonly predicted: Measured | null;
  readonly measured: Measured | null;
  /** of the version it is compared with */ readonly ghost?: number | null;
  /** the same quantity in every state */ readonly states?: readonly number[];
}

/** Numbers nearer than this share of them are one. */
const SAME = 1e-6;

/**
 * A bar says something where something is asked, measured or compared; a lone prediction is a number, and so is one that the
 * compared version shares.
 */
export function saysSomething(m: Marks): boolean {
  const here = m.predicted?.value ?? NaN,
    differs = present(m.ghost) && !(Math.abs(m.ghost - here) <= SAME * Math.abs(here));
  return m.asked !== null || m.measured !== null || differs;
}

/** [SI] */
export type Scale = readonly [low: number, high: number];

/** Room beyond the ends, and how far outside the predictions what is asked or measured still stretches the scale. */
const ROOM = 0.07,
  REACH = 1;
/** Least width of a scale as a share of its values. */
const LEAST = 0.08;

const present = (v: number | null | undefined): v is number =>
  v !== null && v !== undefined && Number.isFinite(v);

function spanOf(values: readonly number[]): [number, number] {
  const low = Math.min(...values),
    high = Math.max(...values),
    least = LEAST * Math.max(Math.abs(low), Math.abs(high), 1e-9);
  if (high - low >= least) return [low, high];
  const mid = 0.5 * (low + high);
  return [mid - least / 2, mid + least / 2];
}

/** What the computation says: all states, the band of this one, the compared version. */
const computed = (m: Marks): number[] =>
  [
    ...(m.states ?? []),
    ...(m.predicted
      ? [m.predicted.value - m.predicted.sigma, m.predicted.value, m.predicted.value + m.predicted.sigma]
      : []),
    m.ghost,
  ].filter(present);

const asked = (m: Marks): number[] =>
  [
    m.asked?.min,
    m.asked?.max,
    ...(m.measured
      ? [m.measured.value - m.measured.sigma, m.measured.value, m.measured.value + m.measured.sigma]
      : []),
  ].filter(present);

/**
 * One scale for bars that stand together: spanned by what is computed, stretched to what is asked and measured where that
 * is near; what lies further off sits at the edge.
 */
export function scaleOf(all: readonly Marks[]): Scale {
  const inner = all.flatMap(computed),
    outer = all.flatMap(asked);
  if (inner.length + outer.length === 0) return [0, 1];
  const [low, high] = spanOf(inner.length > 0 ? inner : outer),
    reach = REACH * (high - low);
  const near = outer.filter((v) => v >= low - reach && v <= high + reach),
    from = Math.min(low, ...near),
    to = Math.max(high, ...near),
    room = ROOM * (to - from);
  return [from - room, to + room];
}

/** Bars of one kind share a scale unless it would press the narrowest of them into less than this share of it. */
const SHARED = 6;

/** Scale of each of the bars that stand together and are of one kind: one for all, or their own where they lie apart. */
export function scalesOf(all: readonly Marks[]): Scale[] {
  const own = all.map((m) => scaleOf([m])),
    shared = scaleOf(all),
    narrowest = Math.min(...own.map(([low, high]) => high - low));
  return shared[1] - shared[0] > SHARED * narrowest ? own : all.map(() => shared);
}

/** Place of a value on a scale [per cent], and whether it lies beyond an end. */
export function placeOn([low, high]: Scale, v: number): { at: number; beyond: -1 | 0 | 1 } {
  const at = (100 * (v - low)) / (high - low);
  if (at < 0) return { at: 0, beyond: -1 };
  return at > 100 ? { at: 100, beyond: 1 } : { at, beyond: 0 };
}

/** For screen readers: every mark in words, and the ends of the scale. */
export function describeMarks(
  name: string,
  m: Marks,
  kind: KindName,
  system: UnitSystem,
  [low, high] = scaleOf([m]),
): string {
  const quantity = (v: number) => formatQuantity(v, kind, system),
    spread = ({ value, sigma }: Measured) =>
      formatMeasured(value, sigma, kind, system).replace('±', 'plus or minus');
  const parts = [name];
  if (present(m.asked?.min)) parts.push(`asked at least ${quantity(m.asked.min)}`);
  if (present(m.asked?.max)) parts.push(`asked at most ${quantity(m.asked.max)}`);
  if (m.predicted) parts.push(`predicted ${spread(m.predicted)}`);
  if (m.measured) parts.push(`measured ${spread(m.measured)}`);
  if (present(m.ghost)) parts.push(`${quantity(m.ghost)} in the compared version`);
  parts.push(`scale from ${quantity(low)} to ${quantity(high)}`);
  return parts.join(', ');
}
