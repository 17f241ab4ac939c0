/** A design with other surfaces on it, balanced by shifting the wings along the body. */
import { findRoot } from '../../numeric';
import { sectionModel, TABLE_POINTS, type Contour } from '../../section';
import {
  powertrainOf,
  drivesOf,
  layOut,
  type Design,
  type Item,
  type Powertrain,
  type Surface,
} from '../../design';
import { flyingStates, followsMembers, standsWherePut } from '../../mass';
import { bodySlopes, linearAero, planformOf, solveLattice } from '../../surface';
import { SECTIONS } from './kit';

/** Body of a length; the stations of a model's pod and boom. */
function bodyOf(length: number, width: number): Design['body'] {
  return [
    { x: 0, width: 0.45 * width, height: 0.45 * width, z: 0 },
    { x: 0.12 * length, width, height: 1.1 * width, z: 0 },
    { x: 0.45 * length, width, height: 1.1 * width, z: 0 },
    { x: 0.65 * length, width: 0.5 * width, height: 0.55 * width, z: 0.02 },
    { x: length, width: 0.2 * width, height: 0.25 * width, z: 0.03 },
  ];
}

/** Wings and smaller surfaces as they are usually built [kg/m2]; common practice, no source. */
const SKINS = { wing: 1.4, rest: 0.75 };

/** Items that do not belong to a surface keep their mass; skins are made anew for the new surfaces. */
function itemsFor(base: Design, { surfaces, length, skins = SKINS }: Parts): Item[] {
  const old = Math.max(...base.body.map((b) => b.x)),
    k = length / old;
  const kept = base.items
    .filter((i) => standsWherePut(i) || followsMembers(i))
    .map((i) => ({
      ...i,
      x: i.x * k,
      movable: i.movable && { from: i.movable.from * k, to: i.movable.to * k },
    }));
  const span = planformOf(surfaces.find((q) => q.role === 'wing')!).span;
  const bears = (s: Surface) =>
    s.role === 'wing' || (s.role === 'tail' && s.stations.length > 1 && planformOf(s).span > 0.6 * span);
  const shells = surfaces.map((s): Item => ({
    id: `${s.id}-shell`,
    name: s.name,
    group: 'structure',
    planned: {
      kind: 'areal',
      surface: s.id,
      perArea: bears(s) ? skins.wing : skins.rest,
    },
    basis: 'guess',
    spread: 0.15,
    weighed: null,
    x: s.x,
    y: 0,
    z: s.z,
    inWing: s.role === 'wing',
    movable: null,
  }));
  const taken = new Set(kept.map((i) => i.id));
  return [...shells.map((s) => (taken.has(s.id) ? { ...s, id: `${s.id}-skin` } : s)), ...kept];
}

function contoursOf(d: Design): Map<string, Contour> {
  return new Map(
    d.sections.map((s) => [s.id, sectionModel(s.shape, s.change ?? null, TABLE_POINTS).outline]),
  );
}

/** Shifts all surfaces along the body until the middle of the states has the middle of the wanted margins. */
export function balanced(d: Design): Design {
  const contours = contoursOf(d);
  const margin =
    d.flight.marginMin +
    0.35 * (Math.min(d.flight.marginMax, d.flight.marginMin + 0.12) - d.flight.marginMin);
  const lift = drivesOf(d).lift?.id;
  const moved = (dx: number): Design => ({
    ...d,
    surfaces: d.surfaces.map((s) => ({ ...s, x: s.x + dx })),
    pods: d.pods?.map((p) => ({ ...p, stations: p.stations.map((q) => ({ ...q, x: q.x + dx })) })),
    thrusters: d.thrusters.map((t) => (t.drive === lift && t.x !== null ? { ...t, x: t.x + dx } : t)),
    ...(lift ? { items: d.items.map((i) => (i.id.startsWith('lift-') ? { ...i, x: i.x + dx } : i)) } : {}),
  });
  const off = (dx: number): number => {
    const m = moved(dx),
      sol = solveLattice(m, contours),
      aero = linearAero(sol, bodySlopes(m, sol).pitch, 0);
    const xs = flyingStates(m).map((s) => s.x);
    return (aero.neutralX - 0.5 * (Math.min(...xs) + Math.max(...xs))) / sol.refChord - margin;
  };
  const r = findRoot(off, -0.5, 0.5, 1e-3, 20);
  const dx = r.status === 'no-bracket' ? 0 : Math.round(r.x * 1000) / 1000;
  const m = moved(dx);
  // the tail must still stand on the body
  const end = Math.max(...m.surfaces.map((s) => s.x + s.stations[0].chord)),
    last = m.body[m.body.length - 1];
  return last.x < end - 0.01 ? { ...m, body: m.body.map((b) => (b === last ? { ...b, x: end } : b)) } : m;
}

export interface Parts {
  margins?: [number, number];
  surfaces: Surface[];
  length: number;
  width?: number;
  pods?: Design['pods'];
  rotors?: Powertrain['rotors'];
  items?: Item[];
  /** of wings, and of what is smaller [kg/m2] */ skins?: { wing: number; rest: number };
  propX?: number;
}

/** Limits of the margin: those of the layout where it has its own; the narrow ones of a tailless wing do not outlive it. */
function marginsFor(base: Design, own?: [number, number]): { marginMin: number; marginMax: number } {
  const { marginMin, marginMax } = base.flight;
  if (own) return { marginMin: own[0], marginMax: own[1] };
  return marginMin < 0.06 ? { marginMin: 0.08, marginMax: 0.2 } : { marginMin, marginMax };
}

/** The drive it has, with its propeller where the layout puts it; what has none stays without. */
function drivenBy(base: Design, parts: Parts): Pick<Design, 'power' | 'drives' | 'thrusters'> {
  const { power, drives, thrusters } = base;
  if (!drives.length && !parts.rotors) return { power, drives, thrusters };
  const { rotors: _r, ...own } = powertrainOf(base);
  return layOut({
    ...own,
    propeller: { ...own.propeller, x: parts.propX ?? 0, z: 0 },
    ...(parts.rotors ? { rotors: parts.rotors } : {}),
  });
}

export function build(base: Design, parts: Parts): Design {
  const { pods: _p, wheels: _w, built: _b, halves: _h, ...rest } = base;
  const width = parts.width ?? Math.max(...base.body.map((b) => b.width));
  const used = new Set(parts.surfaces.flatMap((s) => s.stations.map((q) => q.section)));
  const kept = base.sections.filter((s) => !SECTIONS.some((q) => q.id === s.id) && !used.has(s.id));
  const items = [...itemsFor(base, parts), ...(parts.items ?? [])];
  const ids = new Set(items.map((i) => i.id));
  const mm = (v: number) => Math.round(v * 1000) / 1000;
  const surfaces = parts.surfaces.map((q) => ({
    ...q,
    x: mm(q.x),
    z: mm(q.z),
    ...(q.y ? { y: mm(q.y) } : {}),
    stations: q.stations.map((t) => ({ ...t, y: mm(t.y), x: mm(t.x), z: mm(t.z), chord: mm(t.chord) })),
  }));
  return balanced({
    ...rest,
    sections: [...SECTIONS.filter((s) => used.has(s.id)), ...kept],
    surfaces,
    body: bodyOf(parts.length, width),
    items,
    states: base.states
      .map((l) => ({
        ...l,
        moved: l.moved?.filter((m) => ids.has(m.item)),
        absent: l.absent?.filter((a) => ids.has(a)),
      }))
      .map((l) => JSON.parse(JSON.stringify(l)) as typeof l),
    payload: { ...base.payload, x: 0.27 * parts.length },
    ...drivenBy(base, parts),
    flight: { ...base.flight, ...marginsFor(base, parts.margins) },
    ...(parts.pods ? { pods: parts.pods } : {}),
  });
}
