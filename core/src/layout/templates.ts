/**
 * Layouts to begin from, each drawn at the span and mean chord of the design it replaces and balanced by shifting the
 * wings along the body. What each layout fixes and what it costs stands beside it. Proportions are common practice, no source.
 */
import { findRoot } from '../numeric';
import { sectionModel, TABLE_POINTS, type Contour } from '../section';
import {
  powertrainOf,
  drivesOf,
  layOut,
  type Design,
  type Item,
  type Station,
  type Surface,
  type Powertrain,
} from '../design';
import { flyingStates, followsMembers, standsWherePut } from '../mass';
import { bodySlopes, linearAero, planformOf, solveLattice } from '../surface';

const DEG = Math.PI / 180;

export interface LayoutTemplate {
  id: string;
  name: string;
  /** what it gives */ fixes: string;
  /** what it takes, and which checks will matter */ costs: string;
  make(base: Design): Design;
}

type Control = Surface['controls'][number];
const control = (
  id: string,
  name: string,
  kind: Control['kind'],
  from: number,
  to: number,
  chordFraction: number,
  deg = 20,
): Control => ({ id, name, kind, from, to, chordFraction, maxDeflection: deg * DEG });
const st = (
  y: number,
  x: number,
  z: number,
  chord: number,
  twist = 0,
  section = 'wing-section',
): Station => ({ y, x, z, chord, twist: twist * DEG, section });
const surface = (
  id: string,
  name: string,
  role: Surface['role'],
  x: number,
  z: number,
  incidence: number,
  stations: Station[],
  controls: Control[] = [],
  more: Partial<Surface> = {},
): Surface => ({ id, name, role, x, z, incidence: incidence * DEG, stations, controls, ...more });

const AILERON = control('aileron', 'Aileron', 'aileron', 0.55, 0.95, 0.25);
const ELEVATOR = control('elevator', 'Elevator', 'elevator', 0, 1, 0.35);
const RUDDER = control('rudder', 'Rudder', 'rudder', 0, 1, 0.4, 25);

const SECTIONS: Design['sections'] = [
  { id: 'wing-section', name: 'NACA 4412', shape: { kind: 'naca4', digits: '4412' }, note: 'generated' },
  { id: 'tail-section', name: 'NACA 0009', shape: { kind: 'naca4', digits: '0009' }, note: 'generated' },
  { id: 'fore-section', name: 'NACA 4412', shape: { kind: 'naca4', digits: '4412' }, note: 'generated' },
  {
    id: 'reflex-section',
    name: 'NACA 23112',
    shape: { kind: 'naca5', digits: '23112' },
    note: 'generated, reflexed',
  },
  { id: 'sweep-section', name: 'NACA 2412', shape: { kind: 'naca4', digits: '2412' }, note: 'generated' },
];

interface Size {
  /** half span, mean chord [m] */ h: number;
  c: number;
}

/**
 * Two wings share the area of one: their chords together, less the tenth and a half that pairs are drawn larger, are the
 * chord of the single wing.
 */
function sizeOf(d: Design): Size {
  const p = planformOf(d.surfaces.find((s) => s.role === 'wing')!);
  const second = d.surfaces
    .filter((s) => s.role === 'tail')
    .map(planformOf)
    .find((t) => t.area > 0.6 * p.area);
  return { h: p.span / 2, c: second ? (p.area + second.area) / (1.15 * p.span) : p.area / p.span };
}
const plate = (
  id: string,
  name: string,
  x: number,
  z: number,
  height: number,
  chord: number,
  sweep = 0.35,
  controls: Control[] = [],
  more: Partial<Surface> = {},
) =>
  surface(
    id,
    name,
    'fin',
    x,
    z,
    0,
    [st(0, 0, 0, chord, 0, 'tail-section'), st(height, sweep * height, 0, 0.65 * chord, 0, 'tail-section')],
    controls,
    more,
  );
const tailOf = (x: number, z: number, half: number, chord: number, incidence = -1) =>
  surface(
    'tail',
    'Tailplane',
    'tail',
    x,
    z,
    incidence,
    [st(0, 0, 0, chord, 0, 'tail-section'), st(half, 0.15 * chord, 0, 0.8 * chord, 0, 'tail-section')],
    [ELEVATOR],
  );

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

/** Items that do not belong to a surface keep their mass; skins are made anew for the new surfaces. */
function itemsFor(base: Design, surfaces: readonly Surface[], length: number): Item[] {
  const old = Math.max(...base.body.map((b) => b.x)),
    k = length / old;
  const kept = base.items
    .filter((i) => standsWherePut(i) || followsMembers(i))
    .map((i) => ({
      ...i,
      x: i.x * k,
      movable: i.movable && { from: i.movable.from * k, to: i.movable.to * k },
    }));
  const shells = surfaces.map((s): Item => ({
    id: `${s.id}-shell`,
    name: s.name,
    group: 'structure',
    planned: {
      kind: 'areal',
      surface: s.id,
      perArea:
        s.role === 'wing' ||
        (s.role === 'tail' &&
          s.stations.length > 1 &&
          planformOf(s).span > 0.6 * planformOf(surfaces.find((q) => q.role === 'wing')!).span)
          ? 1.4
          : 0.75,
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

interface Parts {
  margins?: [number, number];
  surfaces: Surface[];
  length: number;
  width?: number;
  pods?: Design['pods'];
  rotors?: Powertrain['rotors'];
  items?: Item[];
  wheels?: boolean;
  propX?: number;
}

/** Limits of the margin: those of the layout where it has its own; the narrow ones of a tailless wing do not outlive it. */
function marginsFor(base: Design, own?: [number, number]): { marginMin: number; marginMax: number } {
  const { marginMin, marginMax } = base.flight;
  if (own) return { marginMin: own[0], marginMax: own[1] };
  return marginMin < 0.06 ? { marginMin: 0.08, marginMax: 0.2 } : { marginMin, marginMax };
}

function build(base: Design, parts: Parts): Design {
  const { pods: _p, wheels: _w, built: _b, halves: _h, ...rest } = base,
    { rotors: _r, ...own } = powertrainOf(base);
  const width = parts.width ?? Math.max(...base.body.map((b) => b.width));
  const used = new Set(parts.surfaces.flatMap((s) => s.stations.map((q) => q.section)));
  const kept = base.sections.filter((s) => !SECTIONS.some((q) => q.id === s.id) && !used.has(s.id));
  const items = [...itemsFor(base, parts.surfaces, parts.length), ...(parts.items ?? [])];
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
    ...layOut({
      ...own,
      propeller: { ...own.propeller, x: parts.propX ?? 0, z: 0 },
      ...(parts.rotors ? { rotors: parts.rotors } : {}),
    }),
    flight: { ...base.flight, ...marginsFor(base, parts.margins) },
    ...(parts.pods ? { pods: parts.pods } : {}),
  });
}

export const LAYOUT_TEMPLATES: readonly LayoutTemplate[] = [
  {
    id: 'conventional',
    name: 'Wing and tail',
    fixes: 'A wide CG range, honest stall, every control where it is expected.',
    costs:
      'The tail carries down or nothing, and its boom weighs. Check tail volume, boom stiffness, propeller clearance.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 4.6 * c + 0.1;
      return build(base, {
        length: L,
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            1.15 * c,
            0.06,
            1.5,
            [
              st(0, 0, 0, 1.1 * c),
              st(0.5 * h, 0, 0.02 * h, 1.1 * c),
              st(h, 0.1 * c, 0.045 * h, 0.75 * c, -2),
            ],
            [AILERON],
          ),
          tailOf(3.9 * c, 0.08, 0.33 * h, 0.65 * c),
          plate('fin', 'Fin', 3.85 * c, 0.05, 0.26 * h, 0.8 * c, 0.35, [RUDDER]),
        ],
      });
    },
  },
  {
    id: 'v-tail',
    name: 'V-tail',
    fixes: 'Two surfaces instead of three, clear of grass and wash.',
    costs:
      'Mixed controls: full up and full rudder together are not there. Check Dutch roll and the mixing throws.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 4.6 * c + 0.1,
        t = 0.36 * h,
        a = 38 * DEG;
      return build(base, {
        length: L,
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            1.15 * c,
            0.06,
            1.5,
            [
              st(0, 0, 0, 1.1 * c),
              st(0.5 * h, 0, 0.02 * h, 1.1 * c),
              st(h, 0.1 * c, 0.045 * h, 0.75 * c, -2),
            ],
            [AILERON],
          ),
          surface(
            'tail',
            'V-tail',
            'tail',
            3.85 * c,
            0.05,
            -1,
            [
              st(0, 0, 0, 0.75 * c, 0, 'tail-section'),
              st(t * Math.cos(a), 0.2 * c, t * Math.sin(a), 0.55 * c, 0, 'tail-section'),
            ],
            [control('ruddervator', 'Ruddervator', 'ruddervator', 0, 1, 0.35)],
          ),
        ],
      });
    },
  },
  {
    id: 'polyhedral',
    name: 'Polyhedral, rudder and elevator',
    fixes: 'Rights itself and turns by rudder alone: fewer servos, no ailerons to lose.',
    costs: 'Rolls slowly and in every side gust. Check Dutch roll, spiral and the joints.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 5 * c + 0.1;
      const z1 = 0.5 * h * Math.tan(3 * DEG),
        z2 = z1 + 0.5 * h * Math.tan(12 * DEG);
      return build(base, {
        length: L,
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            1.2 * c,
            0.06,
            2,
            [st(0, 0, 0, 1.1 * c), st(0.5 * h, 0, z1, 1.1 * c), st(h, 0.1 * c, z2, 0.7 * c, -1.5)],
            [],
            { joints: [0, 0.5 * h] },
          ),
          tailOf(4.2 * c, 0.06, 0.36 * h, 0.65 * c),
          plate('fin', 'Fin', 4.15 * c, 0.04, 0.3 * h, 0.9 * c, 0.3, [RUDDER]),
        ],
      });
    },
  },
  {
    id: 'canard',
    name: 'Canard',
    fixes:
      'The foreplane stalls first and drops the nose: the wing need never stall. Propeller behind, clear view ahead.',
    costs:
      'A narrow CG range far ahead of the wing, a wing that never reaches its best lift, long ground runs. Check the order of the stall at every CG.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 4.2 * c;
      return build(base, {
        length: L,
        propX: L,
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            2.9 * c,
            0.03,
            0.5,
            [
              st(0, 0, 0, 1.05 * c, 0, 'sweep-section'),
              st(0.4 * h, 0.12 * c, 0, 1.05 * c, 0, 'sweep-section'),
              st(h, 0.55 * c, 0.02 * h, 0.8 * c, -1, 'sweep-section'),
            ],
            [AILERON],
          ),
          surface(
            'foreplane',
            'Foreplane',
            'canard',
            0.25 * c,
            0.05,
            3.5,
            [st(0, 0, 0, 0.5 * c, 0, 'fore-section'), st(0.42 * h, 0, 0, 0.5 * c, 0, 'fore-section')],
            [control('elevator', 'Elevator', 'elevator', 0.1, 1, 0.3)],
          ),
          plate('fins', 'Tip fins', 3.5 * c, 0, 0.3 * h, 0.85 * c, 0.4, [RUDDER], { y: h, mirror: true }),
        ],
      });
    },
  },
  {
    id: 'tandem',
    name: 'Tandem wings',
    fixes: 'Two short wings share the lift: small span, wide CG range.',
    costs:
      'The rear wing flies in the front one’s downwash: more drag than one wing of the same area. Check lift shares and that the front wing stalls first.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 4.8 * c;
      return build(base, {
        length: L,
        surfaces: [
          surface(
            'wing',
            'Front wing',
            'wing',
            0.8 * c,
            0.06,
            3,
            [st(0, 0, 0, 0.62 * c), st(h, 0, 0.03 * h, 0.58 * c, -1)],
            [AILERON],
          ),
          surface(
            'rear',
            'Rear wing',
            'tail',
            3.4 * c,
            0,
            1,
            [st(0, 0, 0, 0.62 * c), st(h, 0, 0.05 * h, 0.58 * c)],
            [control('elevator', 'Elevator', 'elevator', 0, 0.5, 0.25)],
          ),
          plate('fin', 'Fin', 3.7 * c, 0.05, 0.28 * h, 0.8 * c, 0.3, [RUDDER]),
        ],
      });
    },
  },
  {
    id: 'swept',
    name: 'Tailless, swept',
    fixes: 'No boom, few parts, little drag; the swept tips are the tail.',
    costs:
      'Must be washed out or reflexed to trim; a few millimetres of CG decide; tips stall first if the washout is short. Check Cm at no lift above zero, the stall map, pitch damping.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 2.9 * c,
        back = h * Math.tan(24 * DEG);
      return build(base, {
        length: L,
        propX: 0,
        margins: [0.04, 0.12],
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            0.35 * c,
            0.02,
            4,
            [
              st(0, 0, 0, 1.25 * c, 0, 'sweep-section'),
              st(0.5 * h, 0.5 * back, 0.01 * h, c, -3.5, 'sweep-section'),
              st(h, back, 0.03 * h, 0.75 * c, -8, 'tail-section'),
            ],
            [control('elevon', 'Elevon', 'elevon', 0.5, 0.97, 0.22)],
          ),
          plate('fins', 'Tip fins', 0.35 * c + back + 0.05 * c, 0, 0.26 * h, 0.75 * c, 0.5, [], {
            y: h,
            mirror: true,
          }),
        ],
      });
    },
  },
  {
    id: 'plank',
    name: 'Tailless, straight',
    fixes: 'The simplest shape there is: one panel a side, flat to carry.',
    costs:
      'Needs a reflexed section; damps little in pitch; a CG range of millimetres. Check the margin at every state and the elevon trim.',
    make: (base) => {
      const { h, c } = sizeOf(base);
      const L = 2.6 * c;
      return build(base, {
        length: L,
        propX: 0,
        margins: [0.04, 0.12],
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            0.6 * c,
            0.02,
            2,
            [st(0, 0, 0, 1.05 * c, 0, 'reflex-section'), st(h, 0, 0.04 * h, 0.95 * c, -1, 'reflex-section')],
            [control('elevon', 'Elevon', 'elevon', 0.45, 0.97, 0.2)],
          ),
          plate('fin', 'Fin', 1.75 * c, 0.04, 0.34 * h, 1.1 * c, 0.3, [RUDDER]),
        ],
      });
    },
  },
  {
    id: 'closed',
    name: 'Closed wing',
    fixes:
      'Two wings joined at the tips brace each other and lose less at the tips than a pair alone; short span.',
    costs:
      'Much wetted area and low Reynolds numbers, and the joints carry load. Check profile drag, the rear wing’s share of lift, and which wing stalls first.',
    make: (base) => {
      const { h, c } = sizeOf(base),
        L = 4.4 * c,
        s = 0.85 * c,
        gap = 0.25 * h;
      return build(base, {
        length: L,
        surfaces: [
          surface(
            'wing',
            'Front wing',
            'wing',
            0.8 * c,
            -0.02,
            3,
            [st(0, 0, 0, 0.6 * c), st(h, s, 0, 0.5 * c, -3.5)],
            [AILERON],
          ),
          surface(
            'rear',
            'Rear wing',
            'tail',
            3.6 * c,
            gap - 0.02,
            1,
            [st(0, 0, 0, 0.6 * c), st(h, -s, 0, 0.5 * c)],
            [control('elevator', 'Elevator', 'elevator', 0.05, 0.5, 0.25)],
          ),
          surface(
            'plates',
            'Tip plates',
            'fin',
            0.8 * c + s,
            -0.02,
            0,
            [
              st(0, 0, 0, 0.5 * c, 0, 'tail-section'),
              st(gap, 3.6 * c - s - 0.8 * c - s, 0, 0.5 * c, 0, 'tail-section'),
            ],
            [],
            { y: h, mirror: true },
          ),
          plate('fin', 'Fin', 3.6 * c, gap, 0.34 * h, 1.1 * c, 0.3, [RUDDER]),
        ],
      });
    },
  },
  {
    id: 'lift-cruise',
    name: 'Lift and cruise',
    fixes: 'Takes off and lands upright on four rotors, flies on its wing in between.',
    costs:
      'Carries four motors that only drag in cruise; the CG must suit rotors and wing alike. Check hover thrust margin, CG against the rotors’ middle, and that the change-over is above the stall.',
    make: (base) => {
      const { h, c } = sizeOf(base),
        L = 4.6 * c + 0.1,
        r = 0.5 * h * 0.5,
        wx = 1.15 * c,
        middle = wx + 0.32 * c,
        arm = Math.max(1.05 * c, 0.9 * r);
      const rotor = (id: string, name: string, x: number, y: number) => ({
        id,
        name,
        x,
        y,
        z: 0.07,
        diameter: 1.4 * r,
        maxThrust: 18,
      });
      const boom = (x: number) => ({ x, width: 0.02, height: 0.02, z: 0.05 });
      const items = (
        [
          ['fl', -arm, 1],
          ['fr', -arm, 1],
          ['rl', arm, 1],
          ['rr', arm, 1],
        ] as const
      ).map(([k, dx], i): Item => ({
        id: `lift-${k}`,
        name: `Lift motor ${i + 1}`,
        group: 'propulsion',
        part: { kind: 'lift motor', of: k },
        planned: { kind: 'mass', mass: 0.075 },
        basis: 'guess',
        spread: 0.1,
        weighed: null,
        x: middle + dx,
        y: i % 2 === 0 ? -0.45 * h : 0.45 * h,
        z: 0.06,
        inWing: false,
        movable: null,
      }));
      return build(base, {
        length: L,
        items,
        surfaces: [
          surface(
            'wing',
            'Wing',
            'wing',
            wx,
            0.06,
            2,
            [st(0, 0, 0, 1.05 * c), st(h, 0, 0.03 * h, 0.95 * c, -2)],
            [AILERON],
          ),
          tailOf(3.9 * c, 0.08, 0.36 * h, 0.68 * c),
          plate('fin', 'Fin', 3.85 * c, 0.05, 0.3 * h, 0.9 * c, 0.35, [RUDDER]),
        ],
        pods: [
          {
            id: 'booms',
            name: 'Lift booms',
            y: 0.45 * h,
            stations: [boom(middle - arm - 0.03), boom(middle + arm + 0.03)],
          },
        ],
        rotors: [
          rotor('fl', 'Front left', middle - arm, -0.45 * h),
          rotor('fr', 'Front right', middle - arm, 0.45 * h),
          rotor('rl', 'Rear left', middle + arm, -0.45 * h),
          rotor('rr', 'Rear right', middle + arm, 0.45 * h),
        ],
      });
    },
  },
];
