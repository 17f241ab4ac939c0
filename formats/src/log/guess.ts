/** Which channel each column of a table holds: by its name, by its unit, by the range of its values. */
import { CHANNELS, type ChannelId } from '@skiametra/core/log';
import type { Layout } from './layout';
import { epochKind, timeSeconds, type TimeKind } from './timeCells';
import { isUnit, unitSpelled, unitsOf } from './units';

/** What is done with a column. */
export type ColumnUse =
  | { readonly as: 'time'; readonly kind: TimeKind }
  | { readonly as: 'event' }
  | { readonly as: ChannelId; readonly unit: string };

/** By the place of the column; what is not named is left. */
export type Mapping = Readonly<Record<number, ColumnUse>>;

/** Names in several languages, small letters, words parted by one blank; the first that fits counts. */
const NAMES: readonly (readonly [RegExp, ChannelId | 'event'])[] = [
  [/\b(lat|latitude|breite|breitengrad)\b/, 'lat'],
  [/\b(lon|lng|long|longitude|länge|laenge|längengrad)\b/, 'lon'],
  [/^(x|pos x|east|easting|est|ost)\b/, 'east'],
  [/^(y|pos y|north|northing|nord)\b/, 'north'],
  [
    /\b(baro|barometric|pressure|press|qnh|qfe)\b.*\b(alt|altitude|height|höhe|hoehe)\b|^baro\b/,
    'pressureHeight',
  ],
  [
    /\b(alt|altitude|height|höhe|hoehe)\b.*\b(baro|barometric|pressure|press|qnh|qfe)\b|^palt\b/,
    'pressureHeight',
  ],
  [/\b(alt|altitude|height|elev|elevation|höhe|hoehe|hauteur|agl|msl|galt)\b|^(h|z)$/, 'height'],
  [/\b(vario|vspd|vspeed|vertical speed|climb|climb rate|vz|sink|steigen)\b/, 'climb'],
  [/\b(airspeed|aspd|ias|tas|cas|eas|pitot|air speed|fahrt)\b/, 'airspeed'],
  [
    /\b(gs|gspd|gps speed|ground speed|groundspeed|speed|spd|velocity|vel|geschw|geschwindigkeit|vitesse|sog)\b|^v$/,
    'groundSpeed',
  ],
  [/\b(cog|course|track|kurs|gps heading|direction)\b/, 'track'],
  [/\b(yaw|heading|hdg|azimuth)\b/, 'yaw'],
  [/\b(roll|bank)\b/, 'roll'],
  [/\b(pitch|nick)\b/, 'pitch'],
  [/\b(acc|accel|acceleration|a|imu)\b.*\bx\b|^(ax|accx|gx|acc x)$/, 'ax'],
  [/\b(acc|accel|acceleration|a|imu)\b.*\by\b|^(ay|accy|gy|acc y)$/, 'ay'],
  [
    /\b(acc|accel|acceleration|a|imu)\b.*\bz\b|^(az|accz|gz|acc z|nz|g load|load|load g|load factor|g force|last|lastfaktor|lastvielfaches|g kraft)$/,
    'az',
  ],
  [/\b(volt|volts|voltage|vbat|vfas|rxbt|batt v|u bat|spannung|pack v)\b|^u$/, 'volts'],
  [/\b(mah|capacity|capa|charge|consumption|consumed|used|kapazität|kapaz)\b/, 'charge'],
  [/\b(amp|amps|ampere|current|curr|strom|batt a)\b|^i$/, 'amps'],
  [/\b(power|watt|watts|leistung)\b|^p$/, 'power'],
  [/\b(rpm|rev|revs|drehzahl|n1|rotation|motor speed)\b/, 'rotation'],
  [/\b(throttle|thr|gas|motor %|esc out)\b/, 'throttle'],
  [/\b(temp|temperature|tmp|temperatur)\b/, 'temperature'],
  [/\b(event|events|marker|mark|message|msg|flag|note|mode)\b/, 'event'],
];
const TIME =
  /\b(time|timestamp|t|zeit|uhrzeit|temps|heure|sec|secs|second|seconds|elapsed|millis|clock|utc|gps time|ms)\b/;
const DAY_NAME = /\b(date|datum|day|jour)\b/;

/** Parts of a name as words: camelCase, underscores and points parted. */
const wordsOf = (name: string) =>
  name
    .replace(/([a-zäöü])([A-ZÄÖÜ])/g, '$1 $2')
    .replace(/[_.:/-]+/g, ' ')
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .trim();

interface Column {
  readonly name: string;
  /** as it stands there */ readonly raw: string;
  readonly unit: string;
  readonly cells: readonly string[];
  readonly numbers: readonly number[];
}

function columnsOf({ names, units, rows, decimal }: Layout): Column[] {
  return names.map((name, i) => {
    const cells = rows.map((r) => r[i] ?? '').filter((c) => c !== '');
    const numbers = cells
      .map((c) => Number(decimal === ',' ? c.replace(',', '.') : c))
      .filter(Number.isFinite);
    return { name: wordsOf(name), raw: name, unit: units[i] ?? '', cells, numbers };
  });
}

/** A unit that is written beside the name, or behind its last underscore or blank, or as its last word. */
function writtenUnit({ name, raw, unit }: Column, dim: string) {
  const last = name.split(' ').at(-1)!,
    behind = /[_ ]([^_ ]+)$/.exec(raw)?.[1];
  if (unit !== '') return unitSpelled(unit, dim);
  if (behind !== undefined && unitSpelled(behind, dim)) return unitSpelled(behind, dim);
  // a word that was parted from what stands before it is none
  return last === name || behind !== undefined ? null : unitSpelled(last, dim);
}

const sizeOf = (numbers: readonly number[]) => {
  const sorted = numbers.map(Math.abs).sort((a, b) => a - b);
  return { most: sorted.at(-1) ?? 0, middle: sorted[sorted.length >> 1] ?? 0 };
};

/** The unit that makes flyable values of what stands there, where none is written. */
function unitByRange(column: Column, id: ChannelId): string {
  const { dim } = CHANNELS[id],
    { most, middle } = sizeOf(column.numbers);
  const usual = unitsOf(dim)[0]!.name;
  switch (dim) {
    case 'rad':
      return most > 40_000 ? '1e-7 deg' : most > 720 ? '0.01 deg' : usual;
    case 'm/s':
      return most > 20_000 ? 'mm/s' : most > 250 ? 'cm/s' : usual;
    case 'm':
      return most > 2e6 ? 'mm' : most > 2e4 && id !== 'east' && id !== 'north' ? 'cm' : usual;
    case 'm/s2':
      return id === 'az' && middle > 4 && middle < 30
        ? 'm/s²'
        : middle > 200
          ? 'mg'
          : most > 30
            ? 'm/s²'
            : 'g';
    case 'V':
      return middle > 200 ? 'mV' : usual;
    case 'A':
      return most > 1000 ? 'mA' : usual;
    case '1':
      return most > 400 ? 'µs' : most <= 1.05 ? '0 to 1' : '%';
    case 'K':
      return middle > 200 ? 'K' : usual;
    default:
      return usual;
  }
}

/** A sign that stands alone is the unit of what is measured. */
const SIGNS: Readonly<Record<string, ChannelId>> = { V: 'volts', A: 'amps', W: 'power' };

/** What a column is by its name; a unit of something else beside it says that it is not. */
function heldBy(c: Column, taken: ReadonlySet<string>): ChannelId | 'event' | undefined {
  const may = (what: ChannelId | 'event') =>
    !taken.has(what) &&
    (what === 'event' ||
      c.unit === '' ||
      !isUnit(c.unit) ||
      unitSpelled(c.unit, CHANNELS[what].dim) !== null);
  const sign = SIGNS[c.raw.trim()];
  if (sign && may(sign)) return sign;
  return NAMES.find(([re, what]) => re.test(c.name) && may(what))?.[1];
}

function channelUse(column: Column, id: ChannelId): ColumnUse {
  return { as: id, unit: writtenUnit(column, CHANNELS[id].dim)?.name ?? unitByRange(column, id) };
}

const rising = (of: readonly number[]) =>
  of.length > 2 && of.slice(1).filter((v, i) => v >= of[i]!).length >= 0.97 * (of.length - 1);

/** How a column tells the time; null where it does not. */
function timeKind(column: Column): TimeKind | null {
  const { cells, numbers, unit, name } = column,
    first = cells[cells.length >> 1] ?? '';
  if (numbers.length < 0.5 * cells.length || /:/.test(first)) {
    if (Number.isFinite(timeSeconds(first, 'date')) && /\d[T ]\s*\d{1,2}:/.test(first)) return 'date';
    if (/\d:\d{2}/.test(first)) return 'clock';
    return Number.isFinite(timeSeconds(first, 'day')) ? 'day' : null;
  }
  const epoch = epochKind(numbers[0] ?? 0);
  if (epoch) return epoch;
  const written =
    /^(µs|us|ms|ns|min|h|s)$/.exec(unit.toLowerCase())?.[1] ?? /\b(us|ms|min|millis)\b/.exec(name)?.[1];
  if (written)
    return ({ us: 'µs', millis: 'ms' } as Record<string, TimeKind>)[written] ?? (written as TimeKind);
  const step = sizeOf(numbers.slice(1).map((v, i) => v - numbers[i]!)).middle;
  return numbers.every(Number.isInteger) && step >= 5 ? 'ms' : 's';
}

/** The column that tells the time: by name, else the first that rises all along. */
function timeColumn(columns: readonly Column[]): number {
  const named = columns.findIndex(
    (c) => TIME.test(c.name) && !/^(air|flight) time/.test(c.name) && timeKind(c),
  );
  if (named >= 0) return named;
  return columns.findIndex(
    (c) => (rising(c.numbers) && sizeOf(c.numbers).most > 0) || timeKind(c) === 'date',
  );
}

/** What each column seems to hold. Each channel is taken once, by the first column that fits. */
export function guessMapping(layout: Layout): Mapping {
  const columns = columnsOf(layout),
    out: Record<number, ColumnUse> = {},
    taken = new Set<string>();
  const time = timeColumn(columns);
  columns.forEach((c, i) => {
    if (i === time) out[i] = { as: 'time', kind: timeKind(c)! };
    else if (DAY_NAME.test(c.name) && timeKind(c) === 'day') out[i] = { as: 'time', kind: 'day' };
    else {
      const id = heldBy(c, taken);
      if (!id || (id !== 'event' && c.numbers.length === 0)) return;
      taken.add(id);
      out[i] = id === 'event' ? { as: 'event' } : channelUse(c, id);
    }
  });
  return out;
}
