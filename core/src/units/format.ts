import { KINDS, shownUnit, toShown, unitLabel, type KindName, type UnitSystem } from './kinds';

/** A number with a sensible count of figures: never an exponent below 1e7, no trailing noise. */
export function formatNumber(x: number, figures: number): string {
  if (!Number.isFinite(x)) return '–';
  if (x === 0 || Math.abs(x) < 1e-12) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(x)));
  const decimals =
    Number.isInteger(x) && magnitude < figures && figures > 6
      ? 0
      : Math.min(6, Math.max(0, figures - 1 - magnitude));
  const scale = magnitude >= figures ? 10 ** (magnitude - figures + 1) : 1;
  const text = (scale > 1 && magnitude >= 4 ? Math.round(x / scale) * scale : x).toFixed(decimals);
  const plain = Number(text) === 0 ? '0' : text;
  const [whole, part] = plain.split('.');
  const grouped = whole.replace('-', '').length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, ' ') : whole;
  return (part ? `${grouped}.${part}` : grouped).replace('-', '−');
}

/** Value in the person's unit without the unit's name. */
export function formatValue(si: number, kind: KindName, system: UnitSystem, figures?: number): string {
  if (kind === 'count' && (Math.abs(si - Math.round(si)) < 1e-9 || Math.abs(si) >= 100))
    return formatNumber(Math.round(si), 9);
  return formatNumber(toShown(si, shownUnit(kind, system)), figures ?? KINDS[kind].figures);
}

/** The kind a value is shown as: the all-up mass of a model under 100 g in grams. */
export function kindAt(kind: KindName, si: number): KindName {
  return kind === 'allUpMass' && Math.abs(si) < 0.1 ? 'mass' : kind;
}

/** Value with its unit: `8.42 m/s`. */
export function formatQuantity(si: number, asked: KindName, system: UnitSystem, figures?: number): string {
  const kind = kindAt(asked, si);
  const label = unitLabel(shownUnit(kind, system));
  const value = formatValue(si, kind, system, figures);
  return label === ''
    ? value
    : label === '°' || label === '%'
      ? `${value}${label === '%' ? ' %' : '°'}`
      : `${value} ${label}`;
}

/**
 * A spread (uncertainty, difference): scaled but not shifted, two figures, in the unit its value is shown in.
 * @param beside the value it stands beside [SI]: `12.0 g ± 2.0`, not `± 0.0020`
 */
export function formatSpread(si: number, kind: KindName, system: UnitSystem, beside: number): string {
  const unit = shownUnit(kindAt(kind, beside), system);
  const x = toShown(si, unit) - toShown(0, unit);
  return formatNumber(x, 2);
}

/** What an edit field shows: full enough to round-trip a typed value, no grouping. */
export function formatForEditing(si: number, kind: KindName, system: UnitSystem): string {
  const x = toShown(si, shownUnit(kind, system));
  return String(Number(x.toPrecision(7)));
}

/** Whether an uncertainty is worth showing beside its value: at least a two-thousandth of it. */
export function spreadMatters(value: number, sigma: number): boolean {
  return sigma > 0 && sigma >= 5e-4 * Math.abs(value);
}
