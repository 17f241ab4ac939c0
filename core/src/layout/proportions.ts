/** Proportions of models known to fly, averaged into a first guess. */
import { say, type Said } from '../words';
import { drivesOf, liftingPlaces, type Design, type ReferenceModel } from '../design';
import { planformOf, referencePlanform } from '../surface';

export interface Proportions {
  aspectRatio: number | null;
  /** [kg/m2] */ wingLoading: number | null;
  tailShare: number | null;
  finShare: number | null;
  /** tail arm over mean chord */ tailArm: number | null;
  bodyLength: number | null;
  cgChord: number | null;
  tailVolume: number | null;
  /** [kg/m2] */ discLoading: number | null;
  /** most payload over mass */ payloadShare: number | null;
}

const mean = (list: (number | null)[]): number | null => {
  const v = list.filter((x): x is number => x !== null);
  return v.length > 0 ? v.reduce((s, x) => s + x, 0) / v.length : null;
};

/** Of two figures; null where one is not known. */
const over = (a: number | null | undefined, b: number | null | undefined): number | null =>
  a == null || b == null ? null : a / b;

/** What has no wing has no proportions to one. */
export function proportionsOf(m: ReferenceModel): Proportions {
  const arm = over(m.tailArm, over(m.area, m.span)),
    tail = over(m.tailArea, m.area);
  return {
    aspectRatio: over(m.span, over(m.area, m.span)),
    wingLoading: over(m.mass, m.area),
    tailShare: tail,
    finShare: over(m.finArea, m.area),
    tailArm: arm,
    bodyLength: over(m.bodyLength, m.span),
    cgChord: m.cgChord,
    tailVolume: arm === null || tail === null ? null : arm * tail,
    discLoading: over(m.mass, m.discArea),
    payloadShare: over(m.payload, m.mass),
  };
}

export function averageProportions(list: readonly ReferenceModel[]): Proportions {
  const all = list.map(proportionsOf);
  return Object.fromEntries(
    (
      [
        'aspectRatio',
        'wingLoading',
        'tailShare',
        'finShare',
        'tailArm',
        'bodyLength',
        'cgChord',
        'tailVolume',
        'discLoading',
        'payloadShare',
      ] as const
    ).map((k) => [k, mean(all.map((p) => p[k]))]),
  ) as unknown as Proportions;
}

/** The surfaces of a design scaled to averaged proportions at its present span; what the models do not tell is kept. */
export function withProportions(design: Design, p: Proportions): Design['surfaces'] {
  const wing = design.surfaces.find((s) => s.role === 'wing')!,
    w = planformOf(wing);
  const chordFactor = p.aspectRatio === null ? 1 : w.aspectRatio / p.aspectRatio;
  const chorded = { ...wing, stations: wing.stations.map((s) => ({ ...s, chord: s.chord * chordFactor })) };
  const now = planformOf(chorded);
  const scale = (s: Design['surfaces'][number], share: number | null) => {
    if (share === null) return s;
    const k = Math.sqrt((share * now.area) / planformOf(s).area);
    return {
      ...s,
      stations: s.stations.map((q) => ({ ...q, y: q.y * k, x: q.x * k, z: q.z * k, chord: q.chord * k })),
    };
  };
  return design.surfaces.map((s) => {
    if (s.id === wing.id) return chorded;
    const sized = scale(s, s.role === 'tail' ? p.tailShare : s.role === 'fin' ? p.finShare : null);
    if (s.role !== 'tail' || p.tailArm === null) return sized;
    const t = planformOf(sized);
    return {
      ...sized,
      x: sized.x + (now.macX + 0.25 * now.mac + p.tailArm * now.mac - t.macX - 0.25 * t.mac),
    };
  });
}

/** How far a design lies outside what its models span: sentences, empty when inside. */
export function beyondModels(design: Design, list: readonly ReferenceModel[], mass: number): Said[] {
  if (list.length < 2) return [];
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  const tail = design.surfaces.find((s) => s.role === 'tail'),
    t = tail && planformOf(tail);
  const mine: Partial<Proportions> = {
    aspectRatio: wing.aspectRatio,
    wingLoading: mass / referencePlanform(design.surfaces).area,
    ...(t ? { tailShare: t.area / wing.area } : {}),
  };
  const names = {
    aspectRatio: 'Aspect ratio',
    wingLoading: 'Wing loading [kg/m²]',
    tailShare: 'Tail over wing area',
  } as const;
  return (Object.keys(names) as (keyof typeof names)[]).flatMap((k) => {
    const v = list.map((m) => proportionsOf(m)[k]).filter((x): x is number => x !== null),
      x = mine[k];
    if (v.length < 2 || x == null) return [];
    const lo = Math.min(...v),
      hi = Math.max(...v);
    return x < lo || x > hi
      ? [say('beyond-models', { what: names[k], value: x, count: v.length, low: lo, high: hi })]
      : [];
  });
}

/** Proportions of a design, as a model of its own. @param mass of the state that is looked at [kg]; null where not known */
export function ownProportions(design: Design, mass: number | null, payload: number | null): Proportions {
  const { surfaces, body } = design,
    wing = surfaces.find((s) => s.role === 'wing'),
    w = wing && referencePlanform(surfaces),
    of = (role: 'tail' | 'fin') => {
      const s = surfaces.find((x) => x.role === role);
      return s ? planformOf(s) : null;
    };
  const tail = of('tail'),
    discs = liftingPlaces(design),
    size = drivesOf(design).lift?.propeller?.diameter;
  return proportionsOf({
    id: '',
    name: '',
    note: '',
    span: w?.span ?? null,
    area: w?.area ?? null,
    mass,
    tailArea: tail?.area ?? null,
    tailArm: w && tail ? tail.macX + 0.25 * tail.mac - w.macX - 0.25 * w.mac : null,
    finArea: of('fin')?.area ?? null,
    bodyLength: body.length > 1 ? body[body.length - 1].x - body[0].x : null,
    cgChord: null,
    ...(discs.length > 0 && size ? { discArea: (discs.length * Math.PI * size * size) / 4 } : {}),
    ...(payload ? { payload } : {}),
  });
}

/** So much over what a donor was is not yet worth a word. */
const WORTH_A_WORD = 1.05;

/** What is heavier or faster than the aircraft that its parts came from. */
export function beyondDonors(
  list: readonly ReferenceModel[],
  now: { mass: number; fastest: number | null },
): Said[] {
  return list
    .filter((m) => m.donor)
    .flatMap((m) => {
      const mass = over(now.mass, m.mass),
        speed = over(now.fastest, m.fastest);
      return [
        ...(mass !== null && mass > WORTH_A_WORD
          ? [say('beyond-donor-mass', { name: m.name, times: mass, was: m.mass! })]
          : []),
        ...(speed !== null && speed > WORTH_A_WORD
          ? [say('beyond-donor-speed', { name: m.name, times: speed, was: m.fastest! })]
          : []),
      ];
    });
}
