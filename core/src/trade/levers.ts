/**
 * What can be changed: any number of the document by its path, sizes that move several numbers together, and choices among
 * things that are there. A sweep walks them, the worth list takes one step of each.
 */
import {
  documentField,
  documentSchema,
  drivesOf,
  getPath,
  numberFault,
  problemOf,
  setPath,
  withoutMarks,
  type Design,
  type DesignDocument,
} from '../design';
import { DomainError } from '../numeric';
import { fitChanges, isFitted, itemMass } from '../mass';
import { planformOf } from '../surface';
import type { KindName } from '../units';

export interface Lever {
  readonly id: string;
  readonly name: string;
  readonly kind: KindName;
  /** whole numbers only */ readonly whole: boolean;
  /** what the numbers 0, 1, 2 … stand for, where it is a choice */ readonly choices:
    readonly string[] | null;
  value(doc: DesignDocument): number | null;
  set(doc: DesignDocument, value: number): DesignDocument;
}

type Surface = Design['surfaces'][number];

const surfaceOf = (doc: DesignDocument, id: string) => doc.design.surfaces.find((s) => s.id === id);
const withSurface = (doc: DesignDocument, id: string, of: (s: Surface) => Surface): DesignDocument => ({
  ...doc,
  design: { ...doc.design, surfaces: doc.design.surfaces.map((s) => (s.id === id ? of(s) : s)) },
});

/** Drawn out along the span: chords and twist where they were, as shares of it. */
function spanned(s: Surface, k: number): Surface {
  return {
    ...s,
    stations: s.stations.map((p) => ({ ...p, y: p.y * k, x: p.x * k, z: p.z * k })),
    ...(s.joints ? { joints: s.joints.map((y) => y * k) } : {}),
  };
}

/** Every chord by one factor about its quarter point. */
function chorded(s: Surface, k: number): Surface {
  return {
    ...s,
    stations: s.stations.map((p) => ({ ...p, x: p.x + 0.25 * p.chord * (1 - k), chord: p.chord * k })),
  };
}

interface Derived {
  readonly name: (s: Surface) => string;
  readonly value: (s: Surface) => number;
  /** @param k factor from the present value to the new one */ readonly scaled: (
    s: Surface,
    k: number,
  ) => Surface;
}

const OF_SURFACE: Readonly<Record<string, Derived>> = {
  span: { name: (s) => `${s.name}, span`, value: (s) => planformOf(s).span, scaled: spanned },
  chord: { name: (s) => `${s.name}, mean chord`, value: (s) => planformOf(s).mac, scaled: chorded },
};

function surfaceLever(what: string, of: Derived, id: string): Lever {
  return {
    id: `${what}:${id}`,
    name: id,
    kind: 'length',
    whole: false,
    choices: null,
    value: (doc) => {
      const s = surfaceOf(doc, id);
      return s ? of.value(s) : null;
    },
    set: (doc, value) => withSurface(doc, id, (s) => of.scaled(s, value / of.value(s))),
  };
}

/** One section for a whole surface. */
function sectionLever(doc: DesignDocument, id: string): Lever {
  const { sections } = doc.design;
  return {
    id: `section:${id}`,
    name: `${surfaceOf(doc, id)!.name}, section`,
    kind: 'count',
    whole: true,
    choices: sections.map((s) => s.name),
    value: (d) => {
      const at = surfaceOf(d, id)?.stations[0].section;
      return at === undefined ? null : sections.findIndex((s) => s.id === at);
    },
    set: (d, value) => {
      const section = sections[Math.round(value)]?.id;
      if (section === undefined) throw new DomainError('out-of-range', `there is no section number ${value}`);
      return withSurface(d, id, (s) => ({ ...s, stations: s.stations.map((p) => ({ ...p, section })) }));
    },
  };
}

type PartKind = 'propeller' | 'motor' | 'pack';

/** What is fitted now, and what the swap set has of its kind. */
function partLever(doc: DesignDocument, kind: PartKind): Lever {
  const others = (doc.design.swaps ?? []).filter((s) => s.kind === kind && !isFitted(doc.design, s));
  return {
    id: `part:${kind}`,
    name: `${kind[0].toUpperCase()}${kind.slice(1)}`,
    kind: 'count',
    whole: true,
    choices: ['as fitted', ...others.map((s) => s.label)],
    value: () => 0,
    set: (d, value) => {
      const k = Math.round(value);
      if (k === 0) return d;
      const swap = others[k - 1];
      if (!swap) throw new DomainError('out-of-range', `there is no part number ${value}`);
      return {
        ...d,
        design: fitChanges(d.design, swap).reduce((x, c) => setPath(x, c.path, c.value), d.design),
      };
    },
  };
}

/** What an item weighs, however that is known. */
function massLever(doc: DesignDocument, id: string): Lever {
  const find = (d: DesignDocument) => d.design.items.find((i) => i.id === id);
  return {
    id: `mass:${id}`,
    name: `${find(doc)!.name}, mass`,
    kind: 'mass',
    whole: false,
    choices: null,
    value: (d) => {
      const item = find(d);
      return item ? itemMass(item, d.design) : null;
    },
    set: (d, value) => {
      const item = find(d)!,
        known = item.weighed !== null,
        path = `design.items.${id}.${known ? 'weighed' : 'planned'}`;
      return setPath(d, path, known ? value : { kind: 'mass', mass: value });
    },
  };
}

/** Cells or charge of the pack that the forward drive draws from, its mass with them. */
function packLever(doc: DesignDocument, what: 'series' | 'capacity'): Lever | null {
  const { forward, lift } = drivesOf(doc.design),
    pack = doc.design.power.packs.find((p) => p.id === (forward ?? lift)?.packs[0]);
  if (!pack) return null;
  const path = `design.power.packs.${pack.id}.${what}`,
    item = doc.design.items.find((i) => i.part?.kind === 'pack' && i.part.of !== 'second');
  return {
    id: `pack:${what}`,
    name: what === 'series' ? `${pack.name}, cells with their mass` : `${pack.name}, capacity with its mass`,
    kind: what === 'series' ? 'count' : 'charge',
    whole: what === 'series',
    choices: null,
    value: (d) => getPath(d, path) as number,
    set: (d, value) => {
      const next = setPath(d, path, value);
      // a line that follows its part is heavier by itself
      if (!item || (item.weighed === null && item.planned.kind === 'part')) return next;
      const lever = massLever(d, item.id),
        was = getPath(d, path) as number;
      return lever.set(next, (lever.value(d)! * value) / was);
    },
  };
}

/** Words before the name of a number: what it belongs to. */
function ownerOf(doc: DesignDocument, path: string): string {
  const segments = path.split('.');
  for (let n = segments.length - 1; n > 1; n--) {
    const at = getPath(doc, segments.slice(0, n).join('.'));
    if (typeof at === 'object' && at !== null && 'name' in at && typeof at.name === 'string')
      return `${at.name}, `;
  }
  return '';
}

const capital = (s: string) => `${s[0].toUpperCase()}${s.slice(1)}`;

function pathLever(doc: DesignDocument, path: string): Lever | null {
  const now = getPath(doc, path),
    known = documentField(path);
  if (typeof now !== 'number' || !/^(design|brief)\./.test(path)) return null;
  const kind = known?.kind ?? 'ratio',
    of = ownerOf(doc, path),
    label = known?.label ?? path;
  return {
    id: path,
    // a state is called by what it carries: what is counted stands first
    name: capital(path.endsWith('.count') && of ? `${label}, ${of.slice(0, -2)}` : `${of}${label}`),
    kind,
    whole: kind === 'count',
    choices: null,
    value: (d) => {
      const v = getPath(d, path);
      return typeof v === 'number' ? v : null;
    },
    set: (d, value) => setPath(d, path, value),
  };
}

/**
 * @param id a path (`design.payload.unitMass`), or `span:wing`, `chord:wing`, `section:wing`, `part:propeller`, `mass:battery`,
 * `pack:series`, `pack:capacity`
 * @returns null where this document has no such input
 */
export function leverOf(doc: DesignDocument, id: string): Lever | null {
  const [what, of] = id.split(':');
  if (of === undefined) return pathLever(doc, id);
  const surface = surfaceOf(doc, of);
  if (Object.hasOwn(OF_SURFACE, what) && surface)
    return { ...surfaceLever(what, OF_SURFACE[what], of), name: OF_SURFACE[what].name(surface) };
  if (what === 'section' && surface) return sectionLever(doc, of);
  if (what === 'part' && ['propeller', 'motor', 'pack'].includes(of)) return partLever(doc, of as PartKind);
  if (what === 'mass' && doc.design.items.some((i) => i.id === of)) return massLever(doc, of);
  if (what === 'pack' && (of === 'series' || of === 'capacity')) return packLever(doc, of);
  return null;
}

/** Why a value cannot stand there; null where it can. A number by its path is held against its own leaf, the rest as a whole. */
export function wrongAt(doc: DesignDocument, lever: Lever, value: number): string | null {
  if (!lever.id.includes(':')) {
    const fault = numberFault(lever.id, lever.whole ? Math.round(value) : value);
    return fault && withoutMarks(`${lever.name} ${fault}`);
  }
  const read = documentSchema.safeParse(lever.set(doc, lever.whole ? Math.round(value) : value));
  if (read.success) return null;
  return withoutMarks(`${lever.name} ${problemOf(read.error).what}`);
}
