/** `skia spar`: one member alone as a cantilever, typed at the command line, as JSON in SI. */
import { readFile } from 'node:fs/promises';
import type { Member, MemberShape, TipSizes } from '@skiametra/core/design';
import {
  DISTRIBUTIONS,
  solveCantilever,
  type CantileverResult,
  type Distribution,
  type Material,
} from '@skiametra/core/structure';
import { say, sentence } from '@skiametra/core/words';
import { UsageError } from './usage';

const MM = ['height', 'width', 'wall', 'cap', 'web'] as const;
type Size = (typeof MM)[number];
const SHAPES = ['tube', 'rod', 'box', 'channel', 'i', 'strip', 'caps'] as const;
type Shape = (typeof SHAPES)[number];

const text = { type: 'string' } as const;
export const SPAR_OPTIONS = {
  shape: text,
  flat: { type: 'boolean' },
  'height-mm': text,
  'tip-height-mm': text,
  'tip-width-mm': text,
  'wall-mm': text,
  'tip-wall-mm': text,
  'cap-mm': text,
  'tip-cap-mm': text,
  'web-mm': text,
  'tip-web-mm': text,
  'web-e-gpa': text,
  'web-shear-mpa': text,
  'e-gpa': text,
  'e-around-gpa': text,
  'g-gpa': text,
  'strength-mpa': text,
  'compression-mpa': text,
  'shear-mpa': text,
  density: text,
  'held-mm': text,
  'length-m': text,
  'load-n': text,
  distribution: text,
  steps: text,
} as const;
export type SparValues = Readonly<Record<string, string | string[] | boolean | undefined>>;

function numberOf(v: SparValues, name: string, lo: number, hi: number): number | undefined {
  const raw = v[name];
  if (raw === undefined) return undefined;
  const n = Number(raw);
  if (typeof raw !== 'string' || raw.trim() === '' || !(n > lo && n <= hi))
    throw new UsageError(`--${name} takes a number above ${lo}, up to ${hi}.`);
  return n;
}

function needed(v: SparValues, name: string, lo: number, hi: number, why: string): number {
  const n = numberOf(v, name, lo, hi);
  if (n === undefined) throw new UsageError(`--${name} is missing: ${why}.`);
  return n;
}

function chosen<T extends string>(v: SparValues, name: string, among: readonly T[]): T {
  const raw = v[name];
  if (!among.includes(raw as T)) throw new UsageError(`--${name} takes one of ${among.join(', ')}.`);
  return raw as T;
}

const MOST_MM = 2000;

/** Sizes that each shape needs; the rest follow from the wall. */
const NEEDS: Readonly<Record<Shape, readonly Size[]>> = {
  tube: ['height', 'wall'],
  rod: ['height'],
  strip: ['height', 'width'],
  box: ['height', 'width', 'wall'],
  channel: ['height', 'width', 'wall'],
  i: ['height', 'width', 'wall'],
  caps: ['height', 'width', 'cap', 'web'],
};

type Sizes = Readonly<Partial<Record<Size, number>>>;

/** Sizes in m as typed. @param tip those at the tip */
function sizesOf(v: SparValues, tip: boolean): Sizes {
  const out: Partial<Record<Size, number>> = {};
  for (const size of MM) {
    const mm = numberOf(v, `${tip ? 'tip-' : ''}${size}-mm`, 0, MOST_MM);
    if (mm !== undefined) out[size] = mm / 1000;
  }
  return out;
}

/** Walls are caps and webs where these are not typed. */
function whole(shape: Shape, s: Sizes): Sizes {
  if (shape === 'tube' || shape === 'rod' || shape === 'strip') return s;
  const { cap = s.wall, web = s.wall } = s;
  return { ...s, ...(cap === undefined ? {} : { cap }), ...(web === undefined ? {} : { web }) };
}

function checked(shape: Shape, s: Sizes): Sizes {
  for (const size of NEEDS[shape]) {
    const given = s[size] ?? (size === 'wall' && s.cap !== undefined && s.web !== undefined ? 0 : undefined);
    if (given === undefined) throw new UsageError(`--${size}-mm is missing: a ${shape} needs it.`);
  }
  const full = whole(shape, s);
  if (shape === 'tube' && 2 * full.wall! > full.height! * (1 + 1e-9))
    throw new UsageError('--wall-mm is more than half of --height-mm: that is a rod.');
  if (full.cap !== undefined && shape !== 'channel' && 2 * full.cap > full.height! * (1 + 1e-9))
    throw new UsageError('The two caps are thicker than the whole height.');
  if (full.web !== undefined && full.web > full.width! * (1 + 1e-9) && shape !== 'channel')
    throw new UsageError('The web is thicker than the whole width.');
  return full;
}

function shapeOf(shape: Shape, s: Sizes, flat: boolean, material: string): MemberShape {
  const { height = 0, width = 0, wall = 0, cap = wall, web = wall } = s;
  switch (shape) {
    case 'tube':
      return { kind: 'tube', outer: height, wall, material };
    case 'rod':
      return { kind: 'rod', outer: height, material };
    case 'strip':
      return { kind: 'strip', height, width, material };
    case 'i':
      return { kind: 'i', height, width, cap, web, material };
    case 'channel':
      return { kind: 'channel', height, width, cap, web, material, lies: flat };
    default:
      return { kind: shape, height, width, cap, capMaterial: material, web, webMaterial: 'web' };
  }
}

/** Sizes at the tip under the names that the shape has. */
function tipOf(shape: Shape, s: Sizes): TipSizes | undefined {
  const { height, ...rest } = whole(shape, s);
  const named: TipSizes = {
    ...(height === undefined ? {} : shape === 'tube' || shape === 'rod' ? { outer: height } : { height }),
    ...rest,
  };
  return Object.keys(named).length > 0 ? named : undefined;
}

const GPA = 1e9,
  MPA = 1e6;
/** Poisson's ratio of 0.3, and the shear strength of a metal by von Mises, where nothing else is typed. */
const TO_SHEAR = 1 / 2.6,
  MISES = 1 / Math.sqrt(3);

/** What is typed, as a material: used whole, its strengths are those that may be counted on. */
function materialOf(id: string, v: SparValues): Material {
  const E = needed(v, 'e-gpa', 0, 2000, 'how stiff it is') * GPA,
    strength = needed(v, 'strength-mpa', 0, 20000, 'the stress it stands') * MPA;
  return {
    id,
    name: 'material typed',
    kind: 'metal',
    modulus: E,
    across: (numberOf(v, 'e-around-gpa', 0, 2000) ?? E / GPA) * GPA,
    shearModulus: (numberOf(v, 'g-gpa', 0, 1000) ?? (E * TO_SHEAR) / GPA) * GPA,
    tension: strength,
    compression: (numberOf(v, 'compression-mpa', 0, 20000) ?? strength / MPA) * MPA,
    shear: (numberOf(v, 'shear-mpa', 0, 20000) ?? (strength * MISES) / MPA) * MPA,
    density: numberOf(v, 'density', 0, 25000) ?? 0,
    scatter: 0,
    knockdown: 1,
    source: 'typed',
  };
}

/**
 * A web of another material strains with the caps and is stressed by its own E. What it stands in shear is not known before
 * it is typed: it is not counted then, and said so.
 */
function webOf(cap: Material, v: SparValues): Material {
  const other = numberOf(v, 'web-e-gpa', 0, 2000),
    shear = numberOf(v, 'web-shear-mpa', 0, 20000),
    E = other === undefined ? cap.modulus : other * GPA;
  return {
    ...cap,
    id: 'web',
    name: 'web',
    modulus: E,
    across: E,
    shearModulus: (cap.shearModulus * E) / cap.modulus,
    shear: shear !== undefined ? shear * MPA : other === undefined ? cap.shear : Infinity,
  };
}

/** Ways of failing that nothing typed lets one reckon. */
function notCounted(v: SparValues): string[] {
  return v['web-e-gpa'] !== undefined && v['web-shear-mpa'] === undefined
    ? ['shear of the web: type --web-shear-mpa']
    : [];
}

type RawStep = Readonly<Record<string, unknown>> & { 'from-m': number };

/** A list of records that each say from where they hold; null for anything else. */
function rawSteps(data: unknown): RawStep[] | null {
  const isStep = (s: unknown): s is RawStep =>
    typeof s === 'object' &&
    s !== null &&
    typeof (s as RawStep)['from-m'] === 'number' &&
    (s as RawStep)['from-m'] > 0;
  return Array.isArray(data) && data.length <= 20 && data.every(isStep) ? data : null;
}

interface Piece {
  readonly from: number;
  readonly values: SparValues;
}

/** Steps of a file: what changes further out, in the names of the options. */
async function stepsOf(path: string, base: SparValues): Promise<Piece[]> {
  const raw = await readFile(path, 'utf8').catch(() => {
    throw new UsageError(`${path} cannot be read.`);
  });
  let data: unknown;
  try {
    data = JSON.parse(raw);
  } catch {
    throw new UsageError(`${path} is not JSON.`);
  }
  const steps = rawSteps(data);
  if (!steps)
    throw new UsageError(`${path} holds no list of steps, each with "from-m" and what changes there.`);
  const pieces = steps.map((s): Piece => {
    const unknown = Object.keys(s).find(
      (k) => k !== 'from-m' && !Object.hasOwn(SPAR_OPTIONS, k) && k !== 'width-mm',
    );
    if (unknown) throw new UsageError(`${path}: a step has no “${unknown}”.`);
    const own = Object.fromEntries(
      Object.entries(s).map(([k, x]) => [k, typeof x === 'boolean' ? x : String(x)]),
    );
    // a taper ends where the next piece begins
    const kept = Object.fromEntries(Object.entries(base).filter(([k]) => !k.startsWith('tip-')));
    return { from: s['from-m'], values: { ...kept, ...own } };
  });
  if (pieces.some((p, i) => i > 0 && p.from <= pieces[i - 1]!.from))
    throw new UsageError(`${path}: steps must go outward.`);
  return pieces;
}

const round = (v: number): number | null => (Number.isFinite(v) ? Number(v.toPrecision(8)) : null);

function resultJson(r: CantileverResult, member: Member): object {
  const stress = Math.max(...r.stress),
    f = r.first;
  const at = r.y.length / 3;
  const places = [...Array.from({ length: at }, (_, i) => 3 * i), r.y.length - 1];
  return {
    EI: round(r.EI[0]!),
    rootMoment: round(r.moment[0]!),
    tipDeflection: round(r.deflection[r.deflection.length - 1]!),
    stress: round(stress),
    failLoadFactor: f && round(f.factor),
    first: f && sentence(say('fails-first', { ...f, member: member.name, of: null })),
    way: f?.way ?? null,
    place: f && round(f.y),
    sidewaysIfNotHeld: round(r.sideways),
    mass: r.mass > 0 ? round(r.mass) : null,
    stations: places.map((p) => ({
      y: round(r.y[p]!),
      moment: round(r.moment[p]!),
      shear: round(r.shear[p]!),
      EI: round(r.EI[p]!),
      deflection: round(r.deflection[p]!),
      stress: round(r.stress[p]!),
      margin: round(r.factor[p]!),
    })),
  };
}

/** @throws UsageError one sentence */
export async function sparCommand(v: SparValues): Promise<object> {
  chosen(v, 'shape', SHAPES);
  const length = needed(v, 'length-m', 0, 50, 'how far it reaches from its root'),
    load = needed(v, 'load-n', 0, 1e6, 'the whole load on this one cantilever'),
    distribution = v.distribution === undefined ? 'elliptic' : chosen(v, 'distribution', DISTRIBUTIONS),
    held = numberOf(v, 'held-mm', -1, 1e5);
  const pieces: Piece[] = [
    { from: 0, values: v },
    ...(typeof v.steps === 'string' ? await stepsOf(v.steps, v) : []),
  ];
  const materials = new Map<string, Material>();
  const built = pieces.map(({ from, values }, i) => {
    const shape = chosen(values, 'shape', SHAPES),
      id = `m${i}`,
      own = materialOf(id, values),
      tip = tipOf(shape, sizesOf(values, true));
    materials.set(id, own).set(`web${i}`, webOf(own, values));
    const root = shapeOf(shape, checked(shape, sizesOf(values, false)), values.flat === true, id),
      named = 'webMaterial' in root ? { ...root, webMaterial: `web${i}` } : root;
    return { from, shape: named, ...(tip ? { tip } : {}) };
  });
  const [first, ...steps] = built as [(typeof built)[number], ...typeof built];
  const outside = steps.find((s) => s.from >= length);
  if (outside) throw new UsageError(`A step begins at ${outside.from} m, beyond the end at ${length} m.`);
  const member: Member = {
    id: 'member',
    name: 'the member',
    surface: 'wing',
    chordPlace: 0.3,
    shape: first.shape,
    ...('tip' in first && first.tip ? { tip: first.tip } : {}),
    ...(steps.length > 0 ? { steps } : {}),
    ...(held === undefined ? {} : { held: held / 1000 }),
  };
  const solved = solveCantilever({
    member,
    named: (id) => materials.get(id),
    length,
    load,
    distribution: distribution as Distribution,
  });
  const out = notCounted(v);
  return { ...resultJson(solved!, member), ...(out.length > 0 ? { notCounted: out } : {}) };
}
