/** How the facts of a sentence are written in a person's units. */
import {
  formatQuantity,
  kindAt,
  shownUnit,
  toShown,
  unitLabel,
  type KindName,
  type UnitSystem,
} from '../units';

/** Something to be said: what it is, and its facts in SI. */
export interface AnySaid {
  readonly code: string;
  readonly fields: Readonly<Record<string, unknown>>;
}

/** Significant figures of a written number. */
const figuresOf = (text: string) => text.replace(/^-?0*\.?0*/, '').replace('.', '').length;

/** To so many decimals in the metric unit; elsewhere to as many figures as that has. */
function written(si: number, kind: KindName, units: UnitSystem, decimals: number): string {
  const metric = toShown(si, shownUnit(kind, 'metric')).toFixed(decimals),
    unit = shownUnit(kind, units);
  if (unit === shownUnit(kind, 'metric')) return metric;
  const x = toShown(si, unit),
    figures = Math.max(2, figuresOf(metric)),
    magnitude = x === 0 ? 0 : Math.floor(Math.log10(Math.abs(x)));
  return x.toFixed(Math.min(6, Math.max(0, figures - 1 - magnitude)));
}

const withUnit = (value: string, label: string) =>
  label === '' ? value : label === '°' ? `${value}°` : `${value} ${label}`;

export class Speech {
  constructor(
    readonly units: UnitSystem,
    private readonly wording: (said: AnySaid, units: UnitSystem) => string,
  ) {}

  /** @param decimals in the metric unit of the kind */
  q(si: number, kind: KindName, decimals: number): string {
    const text = written(si, kind, this.units, decimals).replace(/^-(?=0\.?0*$)/, '');
    return withUnit(text.replace('-', '−'), unitLabel(shownUnit(kind, this.units)));
  }

  /** The number alone, where several share a unit. */
  n(si: number, kind: KindName, decimals: number): string {
    return written(si, kind, this.units, decimals).replace('-', '−');
  }

  /** As the kind is shown everywhere. */
  show(si: number, kind: KindName): string {
    return formatQuantity(si, kindAt(kind, si), this.units);
  }

  /** A figure that somebody typed: as it is. */
  plain(si: number, kind: KindName): string {
    const unit = shownUnit(kind, this.units),
      x = Number(toShown(si, unit).toPrecision(4));
    return withUnit(String(x).replace('-', '−'), unitLabel(unit));
  }

  /** To what the scale reads [kg]. */
  grams(mass: number, resolution: number): string {
    const decimals = Math.max(0, Math.ceil(-Math.log10(resolution * 1000) - 1e-9));
    return this.q(Math.round(mass / resolution) * resolution, 'mass', decimals);
  }

  /** A sentence within a sentence; nothing for none. */
  also(said: AnySaid | null | undefined): string {
    return said ? ` ${this.wording(said, this.units)}` : '';
  }

  said(said: AnySaid): string {
    return this.wording(said, this.units);
  }
}

/** `and 2 others`, of faults that several states share. */
export function othersToo(n: number): string {
  return n === 0 ? '' : n === 1 ? ' (so is one other state)' : ` (so are ${n} other states)`;
}

/** From the first letter on as it stands within a sentence. */
export const lower = (name: string) => name.toLowerCase();
