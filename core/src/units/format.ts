/**
 * How a number is written. Digits follow the spread where there is one (two of them where it begins with 1 or 2, else one,
 * as metrologists round), else the figures and the resolution of its kind. Thousands stand apart by a thin space that does
 * not break, minus is a minus, nothing is −0, and no zero is shown that nobody measured.
 */
import { KINDS, shownUnit, toShown, unitLabel, type Kind, type KindName, type UnitSystem } from './kinds';

/** Narrow, does not break. */
const THIN = '\u202f';
/** Most decimals of anything. */
const FINEST = 6;

/** Power of ten of the first digit. */
const magnitudeOf = (x: number) => Math.floor(Math.log10(Math.abs(x)));

/** @param decimals below nought: to tens, hundreds … */
function fixed(x: number, decimals: number): string {
  const step = 10 ** -decimals,
    text = decimals >= 0 ? x.toFixed(Math.min(decimals, 20)) : (Math.round(x / step) * step).toFixed(0);
  return Number(text) === 0 ? text.replace('-', '') : text;
}

const withoutZeros = (text: string) => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** Groups of three from five digits on, and a true minus. */
function written(text: string): string {
  const [whole, part] = text.split('.'),
    long = whole.replace('-', '').length > 4,
    grouped = long ? whole.replace(/\B(?=(\d{3})+$)/g, THIN) : whole;
  return (part ? `${grouped}.${part}` : grouped).replace('-', '−');
}

/**
 * A number with a sensible count of figures: never an exponent, no zeros at its end.
 * @param finest most decimals, unless nothing would be left of it
 */
export function formatNumber(x: number, figures: number, finest: number = FINEST): string {
  if (!Number.isFinite(x)) return '–';
  if (Math.abs(x) < 1e-12) return '0';
  const m = magnitudeOf(x),
    // below ten thousand every whole number is shown to the unit
    wanted = Math.abs(x) < 9999.5 ? Math.max(0, figures - 1 - m) : figures - 1 - m,
    decimals = Math.min(FINEST, Math.max(Math.min(finest, wanted), Math.min(wanted, -m)));
  return written(withoutZeros(fixed(x, decimals)));
}

/** Most decimals of a kind in a person's unit. */
function finestOf(kind: KindName, system: UnitSystem): number {
  const k: Kind = KINDS[kind];
  return k.finest?.[system === 'metric' ? 0 : 1] ?? FINEST;
}

/** Value in the person's unit without the unit's name. */
export function formatValue(si: number, kind: KindName, system: UnitSystem, figures?: number): string {
  if (kind === 'count' && (Math.abs(si - Math.round(si)) < 1e-9 || Math.abs(si) >= 100))
    return formatNumber(Math.round(si), 9);
  const shown = toShown(si, shownUnit(kind, system));
  return figures === undefined
    ? formatNumber(shown, KINDS[kind].figures, finestOf(kind, system))
    : formatNumber(shown, figures);
}

/** The kind a value is shown as: the all-up mass of a model under 100 g in grams. */
export function kindAt(kind: KindName, si: number): KindName {
  return kind === 'allUpMass' && Math.abs(si) < 0.1 ? 'mass' : kind;
}

/** A written value with its unit behind it. */
function withUnit(value: string, label: string): string {
  if (label === '') return value;
  return label === '°' ? `${value}°` : `${value} ${label}`;
}

/** Value with its unit: `8.42 m/s`. */
export function formatQuantity(si: number, asked: KindName, system: UnitSystem, figures?: number): string {
  const kind = kindAt(asked, si);
  return withUnit(formatValue(si, kind, system, figures), unitLabel(shownUnit(kind, system)));
}

/** Decimals of a spread: two digits where it begins with 1 or 2, else one. */
function spreadDecimals(spread: number): number {
  const m = magnitudeOf(spread),
    first = Number((Math.abs(spread) / 10 ** m).toFixed(1));
  return Math.min(FINEST, (first < 3 ? 1 : 0) - m);
}

/** A spread in the unit its value is shown in: scaled, not shifted. */
function shownSpread(si: number, kind: KindName, system: UnitSystem, beside: number): number {
  const unit = shownUnit(kindAt(kind, beside), system);
  return toShown(si, unit) - toShown(0, unit);
}

/**
 * A spread (uncertainty, difference): scaled but not shifted, in the unit its value is shown in.
 * @param beside the value it stands beside [SI]: `12.0 g ± 2.0`, not `± 0.0020`
 */
export function formatSpread(si: number, kind: KindName, system: UnitSystem, beside: number): string {
  const x = shownSpread(si, kind, system, beside);
  if (!Number.isFinite(x)) return '–';
  return Math.abs(x) < 1e-12 ? '0' : written(fixed(x, spreadDecimals(x)));
}

export interface Written {
  readonly value: string;
  /** null where none is known or it does not matter */ readonly spread: string | null;
  /** as it stands behind both; empty for plain numbers */ readonly unit: string;
}

/** A value to the digits of its spread, both in the person's unit. */
export function writtenWithSpread(
  si: number,
  sigma: number | null,
  asked: KindName,
  system: UnitSystem,
): Written {
  const kind = kindAt(asked, si),
    unit = unitLabel(shownUnit(kind, system));
  if (sigma === null || !Number.isFinite(si) || !spreadMatters(si, sigma))
    return { value: formatValue(si, kind, system), spread: null, unit };
  const spread = formatSpread(sigma, asked, system, si);
  if (kind === 'count') return { value: formatValue(si, kind, system), spread, unit };
  const decimals = spreadDecimals(shownSpread(sigma, asked, system, si));
  return { value: written(fixed(toShown(si, shownUnit(kind, system)), decimals)), spread, unit };
}

/** The same as one text: `8.4 ± 0.3 m/s`. */
export function formatMeasured(si: number, sigma: number | null, kind: KindName, system: UnitSystem): string {
  const { value, spread, unit } = writtenWithSpread(si, sigma, kind, system);
  return withUnit(spread === null ? value : `${value} ± ${spread}`, unit);
}

/** A reading is never shown without its spread, however small that is: a two-thousandth of it at least. */
export const formatReading = (si: number, sigma: number, kind: KindName, system: UnitSystem): string =>
  formatMeasured(si, Math.max(sigma, MATTERS * Math.abs(si)), kind, system);

/** What an edit field shows: full enough to round-trip a typed value, no grouping. */
export function formatForEditing(si: number, kind: KindName, system: UnitSystem): string {
  const x = toShown(si, shownUnit(kind, system));
  return String(Number(x.toPrecision(7)));
}

/** Share of a value. */
const MATTERS = 5e-4;

/** Whether an uncertainty is worth showing beside its value: at least a two-thousandth of it. */
export function spreadMatters(value: number, sigma: number): boolean {
  return Number.isFinite(sigma) && sigma > 0 && sigma >= MATTERS * Math.abs(value);
}
