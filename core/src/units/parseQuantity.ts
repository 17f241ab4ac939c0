/**
 * Reads what a person types in a quantity field: numbers, units and small sums.
 * `2*14 in`, `1 lb 3 oz`, `(1600-40)/2`, `12,5 mm`. Never evaluates code.
 * A number without a unit takes the unit of its neighbour in a sum, else the field's own unit.
 */
import { clockTime, commaIsOpen, plainFigures, plainTorque, type Comma } from './spelling';
import { KINDS, UNITS, fromShown, type KindName, type UnitSystem } from './kinds';

export type ParseResult =
  | { status: 'ok'; si: number }
  /** `comma`: what is typed can be read two ways; ask once and read again with the answer */
  | { status: 'error'; message: string; comma?: { decimal: number; thousands: number } };

/** A running value: plain number, or SI with a dimension. */
interface Val {
  n: number;
  dim: string | null;
}

const GRAVITY = UNITS.kgf.scale;

class EntryError extends Error {}

const ALIASES: Record<string, string> = {
  '"': 'in',
  inch: 'in',
  inches: 'in',
  "'": 'ft',
  feet: 'ft',
  foot: 'ft',
  grams: 'g',
  gram: 'g',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  ounce: 'oz',
  ounces: 'oz',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  sec: 's',
  secs: 's',
  second: 's',
  seconds: 's',
  mins: 'min',
  minute: 'min',
  minutes: 'min',
  hour: 'h',
  hours: 'h',
  degrees: 'deg',
  degC: '°C',
  degF: '°F',
  kmh: 'km/h',
  kph: 'km/h',
  knots: 'kt',
  'ft^2': 'ft²',
  ft2: 'ft²',
  'in^2': 'in²',
  in2: 'in²',
  'm^2': 'm²',
  m2: 'm²',
  'dm^2': 'dm²',
  dm2: 'dm²',
  'cm^2': 'cm²',
  cm2: 'cm²',
  'g/dm2': 'g/dm²',
  'g/dm^2': 'g/dm²',
  'kg/m2': 'kg/m²',
  'kg/m^2': 'kg/m²',
  'g/m2': 'g/m²',
  'g/m^2': 'g/m²',
  'oz/ft2': 'oz/ft²',
  'kg/m3': 'kg/m³',
  kts: 'kt',
  kn: 'kt',
  knot: 'kt',
  thou: 'mil',
  mils: 'mil',
  'lb/ft3': 'lb/ft³',
  'lb/ft^3': 'lb/ft³',
  'lb/in3': 'lb/in³',
  'lb/in^3': 'lb/in³',
  'g/cm3': 'g/cm³',
  'g/cm^3': 'g/cm³',
  'g/cc': 'g/cm³',
  Nm: 'N·m',
  mOhm: 'mΩ',
  mOhms: 'mΩ',
};

const TOKEN =
  /\s*(?:(\d+(?:[.,]\d+)?(?:[eE][-+]?\d+)?|[.,]\d+)|([+\-*/()])|(%|"|'|°[CF]?|(?:[A-Za-zΩ]+[²³]?(?:·[A-Za-z]+[²³]?)?(?:\^?[23])?(?:\/(?!\d)[A-Za-z]+[²³]?(?:\^?[23])?)?)))/y;

interface Tok {
  kind: 'num' | 'op' | 'unit';
  text: string;
  value: number;
}

function tokenise(text: string): Tok[] {
  const out: Tok[] = [];
  TOKEN.lastIndex = 0;
  const src = text.trim().replace(/[−–]/g, '-').replace(/×/g, '*');
  while (TOKEN.lastIndex < src.length) {
    const at = TOKEN.lastIndex;
    const m = TOKEN.exec(src);
    if (!m) throw new EntryError(`“${src.slice(at).trim().slice(0, 12)}” is not a number, a unit or a sum.`);
    if (m[1]) out.push({ kind: 'num', text: m[1], value: Number(m[1].replace(',', '.')) });
    else if (m[2]) out.push({ kind: 'op', text: m[2], value: 0 });
    else out.push({ kind: 'unit', text: m[3], value: 0 });
  }
  return out;
}

function unitNamed(name: string): string {
  const key = UNITS[name] ? name : ALIASES[name];
  if (!key || !UNITS[key]) throw new EntryError(`“${name}” is not a unit known here.`);
  return key;
}

/** Recursive descent over sums, products and compound quantities. */
class Reader {
  private i = 0;
  constructor(
    private readonly toks: Tok[],
    private readonly homeUnit: string,
  ) {}

  private peek(): Tok | undefined {
    return this.toks[this.i];
  }
  private takeOp(...ops: string[]): string | null {
    const t = this.peek();
    if (t?.kind === 'op' && ops.includes(t.text)) {
      this.i++;
      return t.text;
    }
    return null;
  }

  readAll(): Val {
    const v = this.sum();
    const rest = this.peek();
    if (rest) throw new EntryError(`“${rest.text}” was not expected there.`);
    return v;
  }

  private sum(): Val {
    let v = this.product();
    for (let op = this.takeOp('+', '-'); op; op = this.takeOp('+', '-'))
      v = this.add(v, this.product(), op === '+' ? 1 : -1);
    return v;
  }

  private add(a: Val, b: Val, sign: number): Val {
    if (a.dim === b.dim) return { n: a.n + sign * b.n, dim: a.dim };
    if (a.dim === null || b.dim === null) {
      const plainIsA = a.dim === null;
      const dim = (a.dim ?? b.dim)!;
      const scale = this.lastScale;
      return { n: (plainIsA ? a.n * scale : a.n) + sign * (plainIsA ? b.n : b.n * scale), dim };
    }
    throw new EntryError('Those two units cannot be added.');
  }

  private product(): Val {
    let v = this.signed();
    for (let op = this.takeOp('*', '/'); op; op = this.takeOp('*', '/')) {
      const w = this.signed();
      if (v.dim && w.dim) throw new EntryError('Multiply or divide a quantity by a plain number only.');
      // `35/2 mm` is half of 35 mm: the unit closes the whole quotient
      if (op === '/' && w.dim) {
        v = { n: (v.n / w.n) * this.lastScale ** 2, dim: w.dim };
        continue;
      }
      v = { n: op === '*' ? v.n * w.n : v.n / w.n, dim: v.dim ?? w.dim };
    }
    return v;
  }

  private signed(): Val {
    if (this.takeOp('-')) {
      const v = this.signed();
      return { n: -v.n, dim: v.dim };
    }
    this.takeOp('+');
    return this.atom();
  }

  private lastScale = 1;

  private atom(): Val {
    if (this.takeOp('(')) {
      const v = this.sum();
      if (!this.takeOp(')')) throw new EntryError('A bracket is not closed.');
      return this.withUnit(v);
    }
    const t = this.peek();
    if (!t) throw new EntryError('The entry stops short: a number is missing.');
    if (t.kind !== 'num') throw new EntryError(`A number was expected before “${t.text}”.`);
    this.i++;
    let v = this.withUnit({ n: t.value + this.fraction(t), dim: null });
    while (v.dim && this.peek()?.kind === 'num') {
      const next = this.toks[this.i++];
      v = this.add(v, this.withUnit({ n: next.value + this.fraction(next), dim: null }), 1);
    }
    return v;
  }

  /** The rest of a mixed number: `31 3/4`. */
  private fraction(whole: Tok): number {
    const [a, op, b] = this.toks.slice(this.i, this.i + 3);
    const mixed = a?.kind === 'num' && op?.text === '/' && b?.kind === 'num';
    if (!mixed || ![whole, a, b].every((t) => /^\d+$/.test(t.text)) || a.value >= b.value) return 0;
    this.i += 3;
    return a.value / b.value;
  }

  private withUnit(v: Val): Val {
    const t = this.peek();
    if (t?.kind !== 'unit') return v;
    if (v.dim) throw new EntryError(`“${t.text}” follows a quantity that has a unit already.`);
    this.i++;
    const unit = this.resolve(t.text);
    this.lastScale = UNITS[unit].scale;
    return { n: fromShown(v.n, unit), dim: UNITS[unit].dim };
  }

  /** In a field of load factors a bare g is the load factor, not the gram. */
  private resolve(name: string): string {
    if (name === 'g' && this.homeUnit === 'g0') return 'g0';
    return unitNamed(name);
  }
}

/**
 * @param text what was typed
 * @param kind what the field holds
 * @param system whose units a bare number is in
 * @param comma what a lone comma before three figures means to this person; asked where null
 * @returns SI value, or a sentence that says what is wrong
 */
export function parseQuantity(
  text: string,
  kind: KindName,
  system: UnitSystem,
  comma: Comma | null = null,
): ParseResult {
  if (comma === null && commaIsOpen(text)) {
    const [decimal, thousands] = (['decimal', 'thousands'] as const).map((c) =>
      parseQuantity(text, kind, system, c),
    );
    if (decimal.status === 'ok' && thousands.status === 'ok')
      return {
        status: 'error',
        message: `“${text.trim()}” can be read two ways: which is meant?`,
        comma: { decimal: decimal.si, thousands: thousands.si },
      };
    return decimal;
  }
  const home = KINDS[kind][system];
  const seconds = UNITS[home].dim === 's' ? clockTime(text, home === 'h') : null;
  if (seconds !== null) return { status: 'ok', si: seconds };
  if (text.trim() === '') return { status: 'error', message: 'Type a number.' };
  if (text.length > 80) return { status: 'error', message: 'That is too long for a number.' };
  try {
    const v = new Reader(tokenise(plainTorque(plainFigures(text, comma))), home).readAll();
    // a force is often written as the weight of a mass
    const weight = v.dim === 'kg' && UNITS[home].dim === 'N';
    const si = v.dim === null ? fromShown(v.n, home) : weight ? v.n * GRAVITY : v.n;
    if (v.dim !== null && v.dim !== UNITS[home].dim && !weight)
      return {
        status: 'error',
        message: `That unit does not fit here; the field is in ${home === '1' ? 'plain numbers' : home}.`,
      };
    if (!Number.isFinite(si)) return { status: 'error', message: 'That does not come to a number.' };
    return { status: 'ok', si };
  } catch (e) {
    if (e instanceof EntryError) return { status: 'error', message: e.message };
    throw e;
  }
}
