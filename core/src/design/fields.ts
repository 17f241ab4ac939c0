/**
 * What the numbers of the document are: kind of quantity, name and, where that is not enough, a word of help, what is usual,
 * a step. Declared on the schema's own leaves, and read by change lists, the published JSON Schema, tables and fields that
 * are given a path alone.
 */
import { z } from 'zod';
import { KINDS, type KindName } from '../units';

export interface Field {
  readonly kind: KindName;
  readonly label: string;
  readonly help?: string;
  /** what is usual [SI], common practice unless the help names a source: outside it is asked about, never refused */
  readonly usual?: readonly [low: number, high: number];
  /** nudge of an arrow key in the shown unit, where that of the kind is too coarse or too fine */
  readonly step?: number;
}

export const FIELDS = z.registry<Field>();

/** A leaf of the schema with what it is. A copy: one plain number may stand in many places. */
export function field<S extends z.ZodType>(
  schema: S,
  kind: KindName,
  label: string,
  more: Pick<Field, 'help' | 'usual' | 'step'> = {},
): S {
  const own = schema.clone() as S;
  FIELDS.add(own, { kind, label, ...more });
  return own;
}

/** A schema as it is built: what the registry is looked up through. */
interface Node {
  def: { type: string; valueType?: Node; items?: readonly Node[] };
  shape?: Readonly<Record<string, Node>>;
  element?: Node;
  options?: readonly Node[];
  unwrap?: () => Node;
}

/** What one segment of a path leads to from a schema, through everything that may be left out; several where kinds differ. */
function below(node: Node, segment: string): Node[] {
  switch (node.def.type) {
    case 'optional':
    case 'nullable':
      return below(node.unwrap!(), segment);
    case 'object':
      return Object.hasOwn(node.shape!, segment) ? [node.shape![segment]] : [];
    case 'array':
      return [node.element!];
    case 'record':
      return node.def.valueType ? [node.def.valueType] : [];
    case 'tuple':
      return node.def.items![Number(segment)] ? [node.def.items![Number(segment)]] : [];
    case 'union':
      return node.options!.flatMap((o) => below(o, segment));
    default:
      return [];
  }
}

function bare(node: Node): Node {
  return node.def.type === 'optional' || node.def.type === 'nullable' ? bare(node.unwrap!()) : node;
}

/**
 * What stands at a path of a schema (segments by dots; entries of lists by id or index). Where a choice of forms has the
 * same name in several, the first that is declared answers.
 * @returns null where nothing is declared
 */
export function fieldIn(schema: z.ZodType, path: string): Field | null {
  const ends = path
    .split('.')
    .reduce<Node[]>((nodes, segment) => nodes.flatMap((n) => below(n, segment)), [schema as unknown as Node]);
  for (const end of ends) {
    const known = FIELDS.get(bare(end) as unknown as z.ZodType);
    if (known) return known;
  }
  return null;
}

/**
 * Why a value cannot stand at a path of a schema, by the leaf alone; null where it can. What several leaves must agree on is
 * not looked at.
 * @returns undefined where the path leads to no leaf
 */
export function faultAt(schema: z.ZodType, path: string, value: unknown): z.ZodError | null | undefined {
  const ends = path
    .split('.')
    .reduce<Node[]>((nodes, segment) => nodes.flatMap((n) => below(n, segment)), [schema as unknown as Node]);
  if (ends.length === 0) return undefined;
  let fault: z.ZodError | null = null;
  for (const end of ends) {
    const read = (end as unknown as z.ZodType).safeParse(value);
    if (read.success) return null;
    fault = read.error;
  }
  return fault;
}

/** Every number of a schema by its path, with what is declared of it; `*` stands for the entries of a list. */
export function numbersOf(schema: z.ZodType): { path: string; field: Field | null }[] {
  const out: { path: string; field: Field | null }[] = [];
  const walk = (wrapped: Node, path: string): void => {
    const node = bare(wrapped),
      at = (s: string) => (path ? `${path}.${s}` : s);
    if (node.def.type === 'number')
      out.push({ path, field: FIELDS.get(node as unknown as z.ZodType) ?? null });
    else if (node.shape) for (const [k, n] of Object.entries(node.shape)) walk(n, at(k));
    else if (node.element) walk(node.element, at('*'));
    else if (node.def.type === 'union') for (const o of node.options!) walk(o, path);
    else if (node.def.valueType) walk(node.def.valueType, at('*'));
    else node.def.items?.forEach((n, i) => walk(n, at(String(i))));
  };
  walk(schema as unknown as Node, '');
  return out;
}

/** The unit that a number is stored in, as it is written; nothing for a plain ratio. */
export function storedUnit(kind: KindName): string {
  return SI_UNITS[KINDS[kind].metric] ?? '';
}

/** Stored units by what is shown. */
const SI_UNITS: Readonly<Record<string, string>> = {
  mm: 'm',
  m: 'm',
  'dm²': 'm²',
  'cm²': 'm²',
  'mm²': 'm²',
  g: 'kg',
  kg: 'kg',
  'g/m²': 'kg/m²',
  'g/dm²': 'kg/m²',
  'kg/m³': 'kg/m³',
  N: 'N',
  'N·m': 'N·m',
  'mN·m': 'N·m',
  'N·m²': 'N·m²',
  MPa: 'Pa',
  GPa: 'Pa',
  s: 's',
  min: 's',
  h: 's',
  'm/s': 'm/s',
  '°': 'rad',
  rpm: 'rad/s',
  'rpm/V': 'rad/s/V',
  '°C': 'K',
  K: 'K',
  V: 'V',
  A: 'A',
  mΩ: 'ohm',
  mAh: 'A·s',
  Wh: 'J',
  W: 'W',
  'W/kg': 'W/kg',
  '/rad': '1/rad',
  'W/m²': 'W/m²',
  'rad/(N·m)': 'rad/(N·m)',
  'kg·m²': 'kg·m²',
};
