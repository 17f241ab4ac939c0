export { KINDS, UNITS, UNIT_SYSTEMS, shownUnit, toShown, fromShown, unitLabel } from './kinds';
export type { Kind, KindName, UnitSystem, Unit } from './kinds';
export { parseQuantity } from './parseQuantity';
export type { ParseResult } from './parseQuantity';
export type { Comma } from './spelling';
export {
  formatNumber,
  formatValue,
  formatQuantity,
  kindAt,
  formatSpread,
  formatForEditing,
  formatMeasured,
  formatReading,
  writtenWithSpread,
  spreadMatters,
} from './format';
export type { Written } from './format';
