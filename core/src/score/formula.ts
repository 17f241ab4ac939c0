/**
 * Score formulas: parsed by an expression library, then read through our own allow-list, so that only
 * numbers, known names, arithmetic, comparisons, `? :` and a few functions can run. Values are SI.
 * Errors carry the character where they happened.
 */
import { create, parseDependencies, type MathNode } from 'mathjs/number';
import { KINDS, UNITS, type KindName } from '../units';
import { MOST_PLACES, rankOf, stepsAt, tableAt } from './tables';

const { parse } = create({ parseDependencies });

export type FormulaResult =
  | {
      status: 'ok';
      names: string[];
      warnings: string[];
      evaluate(values: Readonly<Record<string, number>>): number;
    }
  | { status: 'error'; message: string; at: number };

/** Name to what it is; a null kind is a plain number. */
export type NameTable = Readonly<Record<string, KindName | null>>;

interface Fn {
  readonly fn: (...a: number[]) => number;
  readonly least: number;
  readonly most: number;
  /** all are of one kind, and so is what comes of them */ readonly same: boolean;
  /** after the first they come in pairs: a place and what counts there */ readonly pairs?: true;
  /** all are of one kind; what comes of them is a plain number */ readonly alike?: true;
}

const FUNCTIONS: Record<string, Fn> = {
  min: { fn: Math.min, least: 1, most: 12, same: true },
  max: { fn: Math.max, least: 1, most: 12, same: true },
  abs: { fn: Math.abs, least: 1, most: 1, same: true },
  floor: { fn: Math.floor, least: 1, most: 1, same: true },
  ceil: { fn: Math.ceil, least: 1, most: 1, same: true },
  round: { fn: Math.round, least: 1, most: 1, same: true },
  sqrt: { fn: Math.sqrt, least: 1, most: 1, same: false },
  exp: { fn: Math.exp, least: 1, most: 1, same: false },
  log: { fn: Math.log, least: 1, most: 1, same: false },
  steps: { fn: stepsAt, least: 3, most: MOST_PLACES, same: false, pairs: true },
  table: { fn: tableAt, least: 5, most: MOST_PLACES, same: false, pairs: true },
  rank: { fn: rankOf, least: 2, most: MOST_PLACES, same: false, alike: true },
};

type Eval = (v: Readonly<Record<string, number>>) => number;
/** dim null: a plain literal, fits anything; '?' : not followed further */
interface Built {
  run: Eval;
  dim: string | null;
}

class FormulaError extends Error {
  constructor(
    message: string,
    readonly word: string,
  ) {
    super(message);
  }
}

const BINARY: Record<string, (a: number, b: number) => number> = {
  '+': (a, b) => a + b,
  '-': (a, b) => a - b,
  '*': (a, b) => a * b,
  '/': (a, b) => a / b,
  '^': (a, b) => a ** b,
  '%': (a, b) => a % b,
  '<': (a, b) => Number(a < b),
  '>': (a, b) => Number(a > b),
  '<=': (a, b) => Number(a <= b),
  '>=': (a, b) => Number(a >= b),
  '==': (a, b) => Number(a === b),
  '!=': (a, b) => Number(a !== b),
  and: (a, b) => Number(a !== 0 && b !== 0),
  or: (a, b) => Number(a !== 0 || b !== 0),
};

/** Plain words for a dimension, for warnings. */
const DIM_WORDS: Record<string, string> = {
  s: 'a time',
  kg: 'a mass',
  m: 'a length',
  'm/s': 'a speed',
  J: 'an energy',
  W: 'a power',
  N: 'a force',
  '1': 'a plain number',
  m2: 'an area',
  V: 'a voltage',
  A: 'a current',
  rad: 'an angle',
};

function unite(op: string, parts: Built[], warnings: string[]): string | null {
  const dims = [...new Set(parts.map((p) => p.dim).filter((d): d is string => d !== null && d !== '?'))];
  if (dims.length > 1)
    warnings.push(
      `“${op}” puts ${DIM_WORDS[dims[0]] ?? dims[0]} together with ${DIM_WORDS[dims[1]] ?? dims[1]}; divide each by what it is measured against first.`,
    );
  return dims[0] ?? (parts.some((p) => p.dim === '?') ? '?' : null);
}

function product(op: string, a: Built, b: Built): string | null {
  if (b.dim === null || b.dim === '1') return a.dim;
  if (op === '*' && (a.dim === null || a.dim === '1')) return b.dim;
  if (op === '/' && a.dim === b.dim) return '1';
  return '?';
}

/** Two values, or one with its sign. */
function operated(op: string, parts: Built[], warnings: string[]): Built {
  if (parts.length === 1 && (op === '-' || op === '+')) {
    const s = op === '-' ? -1 : 1;
    return { run: (v) => s * parts[0].run(v), dim: parts[0].dim };
  }
  const f = Object.hasOwn(BINARY, op) ? BINARY[op] : undefined;
  if (!f || parts.length !== 2) throw new FormulaError(`“${op}” cannot be used here.`, op);
  const [a, b] = parts;
  const dim =
    op === '+' || op === '-'
      ? unite(op, parts, warnings)
      : op === '*' || op === '/'
        ? product(op, a, b)
        : op === '^'
          ? a.dim === null || a.dim === '1'
            ? a.dim
            : '?'
          : (unite(op, parts, warnings), '1');
  return { run: (v) => f(a.run(v), b.run(v)), dim };
}

/** @param args built only where the function is known: its own fault is told before theirs */
function called(name: string, args: () => Built[], warnings: string[]): Built {
  const f = Object.hasOwn(FUNCTIONS, name) ? FUNCTIONS[name] : undefined;
  if (!f)
    throw new FormulaError(
      `“${name}” is not a function known here; there are ${Object.keys(FUNCTIONS).join(', ')}.`,
      name,
    );
  const parts = args();
  if (parts.length < f.least || parts.length > f.most)
    throw new FormulaError(
      `“${name}” takes ${f.least === f.most ? f.least : `${f.least} or more`} value${f.most === 1 ? '' : 's'}.`,
      name,
    );
  if (f.pairs && parts.length % 2 === 0)
    throw new FormulaError(`“${name}” takes a value, then pairs of a place and what counts there.`, name);
  const places = f.pairs ? parts.filter((_, i) => i === 0 || i % 2 === 1) : parts,
    dim = f.same || f.pairs || f.alike ? unite(name, places, warnings) : '1';
  return {
    run: (v) => f.fn(...parts.map((p) => p.run(v))),
    dim: f.same ? dim : f.pairs ? '?' : '1',
  };
}

/** A name with points: `relay.out.time`; nothing else may be taken out of anything. */
function pointedName(node: MathNode): string {
  const n = node as MathNode & { type: string; name?: string; object?: MathNode; index?: MathNode };
  if (n.type === 'SymbolNode') return n.name!;
  const index = n.index as (MathNode & { dimensions?: (MathNode & { value?: unknown })[] }) | undefined,
    last = index?.dimensions?.[0]?.value;
  if (n.type !== 'AccessorNode' || index?.dimensions?.length !== 1 || typeof last !== 'string')
    throw new FormulaError('Only names may stand before and behind a point.', '');
  return `${pointedName(n.object!)}.${last}`;
}

function named(name: string, names: NameTable, used: Set<string>): Built {
  if (!Object.hasOwn(names, name)) throw new FormulaError(unknownName(name, Object.keys(names)), name);
  used.add(name);
  const kind = names[name];
  return { run: (v) => v[name], dim: kind === null ? '1' : UNITS[KINDS[kind].metric].dim };
}

/** What is missing of a name, and the nearest that there is. */
function unknownName(name: string, all: readonly string[]): string {
  const at = name.lastIndexOf('.'),
    head = name.slice(0, at);
  if (at < 0) return `“${name}” is not a name known here.${nearest(name, all)}`;
  const tails = all.filter((n) => n.startsWith(`${head}.`)).map((n) => n.slice(head.length + 1));
  if (tails.length > 0)
    return `“${head}” is there, but it has no “${name.slice(at + 1)}”.${nearest(name.slice(at + 1), tails, 3)}`;
  const heads = [...new Set(all.flatMap((n) => (n.includes('.') ? [n.slice(0, n.lastIndexOf('.'))] : [])))];
  return `“${head}” is no mission, leg or state of this project.${nearest(head, heads, 3)}`;
}

/** Walks the library's syntax tree; anything not named here is refused. */
function build(node: MathNode, names: NameTable, used: Set<string>, warnings: string[]): Built {
  const sub = (n: MathNode) => build(n, names, used, warnings);
  const n = node as MathNode & {
    type: string;
    value?: unknown;
    name?: string;
    op?: string;
    args?: MathNode[];
    content?: MathNode;
    condition?: MathNode;
    trueExpr?: MathNode;
    falseExpr?: MathNode;
    params?: MathNode[];
    conditionals?: string[];
    fn?: { name?: string };
  };
  switch (n.type) {
    case 'ConstantNode': {
      if (typeof n.value !== 'number')
        throw new FormulaError('Only numbers may be written out.', String(n.value));
      const value = n.value;
      return { run: () => value, dim: null };
    }
    case 'ParenthesisNode':
      return sub(n.content!);
    case 'SymbolNode':
      return named(n.name!, names, used);
    case 'AccessorNode':
      return named(pointedName(n), names, used);
    case 'OperatorNode':
      return operated(n.op ?? '', n.args!.map(sub), warnings);
    case 'RelationalNode': {
      const parts = n.params!.map(sub);
      const ops: Record<string, string> = {
        smaller: '<',
        larger: '>',
        smallerEq: '<=',
        largerEq: '>=',
        equal: '==',
        unequal: '!=',
      };
      unite('<', parts, warnings);
      return {
        run: (v) =>
          Number(n.conditionals!.every((c, i) => BINARY[ops[c]](parts[i].run(v), parts[i + 1].run(v)) !== 0)),
        dim: '1',
      };
    }
    case 'ConditionalNode': {
      const [c, t, f] = [sub(n.condition!), sub(n.trueExpr!), sub(n.falseExpr!)];
      return { run: (v) => (c.run(v) !== 0 ? t.run(v) : f.run(v)), dim: unite('? :', [t, f], warnings) };
    }
    case 'FunctionNode':
      return called(n.fn?.name ?? '', () => n.args!.map(sub), warnings);
    default:
      throw new FormulaError(
        'That cannot be used in a score; use numbers, names, + - * / ^, comparisons, ? : and functions.',
        '',
      );
  }
}

/** A suggestion when a name is a few letters off or differs only in case. */
function nearest(word: string, names: readonly string[], most = 2): string {
  const distance = (a: string, b: string) => {
    let prev = Array.from({ length: b.length + 1 }, (_, i) => i);
    for (let i = 1; i <= a.length; i++) {
      const cur = [i];
      for (let j = 1; j <= b.length; j++)
        cur[j] = Math.min(prev[j] + 1, cur[j - 1] + 1, prev[j - 1] + Number(a[i - 1] !== b[j - 1]));
      prev = cur;
    }
    return prev[b.length];
  };
  const best = names
    .map((n) => ({ n, d: distance(word.toLowerCase(), n.toLowerCase()) }))
    .sort((a, b) => a.d - b.d)[0];
  return best && best.d <= most ? ` Did you mean “${best.n}”?` : '';
}

/**
 * Checks and compiles a formula.
 * @param text at most 500 characters
 * @param names allowed names and their kinds
 */
export function compileFormula(text: string, names: NameTable): FormulaResult {
  if (text.trim() === '') return { status: 'error', message: 'Write a formula.', at: 0 };
  if (text.length > 500)
    return { status: 'error', message: 'A formula may have 500 characters at most.', at: 500 };
  let node: MathNode;
  try {
    node = parse(text);
  } catch (e) {
    const at = e instanceof Error && 'char' in e && typeof e.char === 'number' ? e.char : text.length;
    return {
      status: 'error',
      message: `The formula cannot be read at character ${at}.`,
      at: Math.max(0, at - 1),
    };
  }
  const used = new Set<string>();
  const warnings: string[] = [];
  try {
    const built = build(node, names, used, warnings);
    return { status: 'ok', names: [...used], warnings, evaluate: built.run };
  } catch (e) {
    if (!(e instanceof FormulaError)) throw e;
    const at = e.word ? text.search(new RegExp(`(?<![\\w])${e.word.replace(/[^\w]/g, '\\$&')}(?![\\w])`)) : 0;
    return { status: 'error', message: e.message, at: Math.max(0, at) };
  }
}
