/** Outlines of the three views in metres, for the screen and for true-size drawings. */
import {
  drivesOf,
  powertrainOf,
  thrustersOf,
  type Design,
  type Driven,
  type Surface,
  type Thruster,
} from '../design';
import { allBodies, isMirrored, placeOf, stationAt } from '../surface';

export type ViewName = 'plan' | 'side' | 'front';
/**
 * A polyline on paper: u to the right, v up. Plan: nose to the left, right wing down the paper; side: nose to the left;
 * front: seen from ahead.
 */
export interface ViewLine {
  view: ViewName;
  part: string;
  kind: 'outline' | 'hinge' | 'disc' | 'centre';
  closed: boolean;
  points: [number, number][];
}

type P3 = [number, number, number];
const PROJECT: Record<ViewName, (p: P3) => [number, number]> = {
  plan: ([x, y]) => [x, -y],
  side: ([x, , z]) => [x, z],
  front: ([, y, z]) => [-y, z],
};

function edgesOf(s: Surface): { lead: P3[]; trail: P3[] } {
  const lead = s.stations.map((st): P3 => {
    const p = placeOf(s, st);
    return [p.x, p.y, p.z];
  });
  const trail = s.stations.map((st): P3 => {
    const p = placeOf(s, st),
      a = s.role === 'fin' ? 0 : s.incidence + st.twist;
    return [p.x + st.chord * Math.cos(a), p.y, p.z - st.chord * Math.sin(a)];
  });
  return { lead, trail };
}

type Drawn = Pick<Design, 'surfaces' | 'body' | 'pods' | 'power' | 'drives' | 'thrusters'>;

const VIEWS: readonly ViewName[] = ['plan', 'side', 'front'];

export function threeViewLines(design: Drawn): ViewLine[] {
  return [
    ...design.surfaces.flatMap(surfaceLines),
    ...allBodies(design).flatMap(bodyLines),
    ...thrustDiscs(design).flatMap((d) => [
      ...(d.ahead ? propellerLines(d) : []),
      ...(d.up ? rotorLines(d) : []),
    ]),
  ];
}

interface Disc {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly diameter: number;
}

/** What turns, where it stands; what tilts faces both ways. */
export interface ThrustDisc extends Disc {
  readonly name: string;
  /** pulls or pushes along the body */ readonly ahead: boolean;
  /** lifts */ readonly up: boolean;
  /** largest angle upward of one that tilts [rad] */ readonly tilt?: number;
  /** seen from behind or above; null where nobody said */ readonly turns: Thruster['turns'] | null;
}

/** Propellers and rotors that have a place; a forward one whose place nobody told of stands in the middle. */
export function thrustDiscs(design: Driven): ThrustDisc[] {
  const { rotors = [] } = powertrainOf(design),
    senses = new Map(design.thrusters.map((t) => [t.id, t.turns ?? null]));
  const lifting = rotors.map((r): ThrustDisc => ({
    ...r,
    ahead: false,
    up: true,
    turns: senses.get(r.id) ?? null,
  }));
  return [...forwardDiscs(design), ...lifting];
}

function forwardDiscs(design: Driven): ThrustDisc[] {
  const { unpowered, propeller: p } = powertrainOf(design),
    { forward } = drivesOf(design);
  if (unpowered || !forward) return [];
  const placed = thrustersOf(design, forward.id).flatMap((t): ThrustDisc[] => {
    const { id, name, x, y, z } = t;
    if (x === null || y === null || z === null) return [];
    const up = (t.tilt?.to ?? 0) > 1,
      at = { id, name, x, y, z, diameter: t.diameter ?? p.diameter, turns: t.turns ?? null };
    return [{ ...at, ahead: true, up, ...(t.tilt ? { tilt: t.tilt.to } : {}) }];
  });
  if (placed.length > 0) return placed;
  const at = { id: 'propeller', name: 'Propeller', x: p.x, y: 0, z: p.z, diameter: p.diameter };
  return [{ ...at, ahead: true, up: false, turns: null }];
}

/** Outlines of a surface in every view, and the hinges of its controls. */
function surfaceLines(s: Surface): ViewLine[] {
  const out: ViewLine[] = [];
  const { lead, trail } = edgesOf(s);
  for (const side of isMirrored(s) ? [1, -1] : [1]) {
    const flip = ([x, y, z]: P3): P3 => [x, side * y, z];
    const loop = [...lead, ...[...trail].reverse()].map(flip);
    for (const view of VIEWS) {
      if (view === 'side' && side < 0) continue;
      out.push({ view, part: s.id, kind: 'outline', closed: true, points: loop.map(PROJECT[view]) });
    }
    const end = s.stations[s.stations.length - 1].y;
    for (const c of s.controls) {
      const at = (eta: number, f: number): P3 => {
        const st = stationAt(s, eta * end),
          p = placeOf(s, st);
        return flip([p.x + f * st.chord, p.y, p.z]);
      };
      const quad = [
        at(c.from, 1),
        at(c.from, 1 - c.chordFraction),
        at(c.to, 1 - c.chordFraction),
        at(c.to, 1),
      ];
      out.push({
        view: s.role === 'fin' ? 'side' : 'plan',
        part: s.id,
        kind: 'hinge',
        closed: false,
        points: quad.map(PROJECT[s.role === 'fin' ? 'side' : 'plan']),
      });
    }
  }
  return out;
}

function bodyLines(b: ReturnType<typeof allBodies>[number]): ViewLine[] {
  const out: ViewLine[] = [];
  for (const side of b.count === 2 ? [1, -1] : [1]) {
    const y = side * b.y,
      st = b.stations;
    out.push({
      view: 'plan',
      part: 'body',
      kind: 'outline',
      closed: true,
      points: [
        ...st.map((p): P3 => [p.x, y + p.width / 2, p.z]),
        ...[...st].reverse().map((p): P3 => [p.x, y - p.width / 2, p.z]),
      ].map(PROJECT.plan),
    });
    if (side > 0)
      out.push({
        view: 'side',
        part: 'body',
        kind: 'outline',
        closed: true,
        points: [
          ...st.map((p): P3 => [p.x, y, p.z + p.height / 2]),
          ...[...st].reverse().map((p): P3 => [p.x, y, p.z - p.height / 2]),
        ].map(PROJECT.side),
      });
    const big = st.reduce((a, p) => (p.width * p.height > a.width * a.height ? p : a));
    out.push({
      view: 'front',
      part: 'body',
      kind: 'outline',
      closed: true,
      points: circle(48, (c, s): P3 => [big.x, y + (big.width / 2) * c, big.z + (big.height / 2) * s]).map(
        PROJECT.front,
      ),
    });
  }
  return out;
}

/** The disc of a propeller: round from the front, a line in the other views. */
function propellerLines(p: Disc): ViewLine[] {
  const out: ViewLine[] = [];
  const R = p.diameter / 2;
  out.push({
    view: 'front',
    part: p.id,
    kind: 'disc',
    closed: true,
    points: circle(60, (c, s): P3 => [p.x, p.y + R * c, p.z + R * s]).map(PROJECT.front),
  });
  out.push({
    view: 'plan',
    part: p.id,
    kind: 'disc',
    closed: false,
    points: (
      [
        [p.x, p.y + R, p.z],
        [p.x, p.y - R, p.z],
      ] as P3[]
    ).map(PROJECT.plan),
  });
  out.push({
    view: 'side',
    part: p.id,
    kind: 'disc',
    closed: false,
    points: (
      [
        [p.x, p.y, p.z + R],
        [p.x, p.y, p.z - R],
      ] as P3[]
    ).map(PROJECT.side),
  });
  return out;
}

/** The disc of a lift rotor: round from above. */
function rotorLines(r: Disc): ViewLine[] {
  const out: ViewLine[] = [];
  const R = r.diameter / 2;
  out.push({
    view: 'plan',
    part: r.id,
    kind: 'disc',
    closed: true,
    points: circle(48, (c, s): P3 => [r.x + R * c, r.y + R * s, r.z]).map(PROJECT.plan),
  });
  out.push({
    view: 'side',
    part: r.id,
    kind: 'disc',
    closed: false,
    points: (
      [
        [r.x - R, r.y, r.z],
        [r.x + R, r.y, r.z],
      ] as P3[]
    ).map(PROJECT.side),
  });
  out.push({
    view: 'front',
    part: r.id,
    kind: 'disc',
    closed: false,
    points: (
      [
        [r.x, r.y - R, r.z],
        [r.x, r.y + R, r.z],
      ] as P3[]
    ).map(PROJECT.front),
  });
  return out;
}

function circle(n: number, at: (c: number, s: number) => P3): P3[] {
  return Array.from({ length: n }, (_, i) =>
    at(Math.cos((2 * Math.PI * i) / n), Math.sin((2 * Math.PI * i) / n)),
  );
}
