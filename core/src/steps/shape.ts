/** Plan forms: sizes that everything is referred to, and volumes of tail and fin. */
import { hasWing } from '../design';
import { planformOf, referencePlanform, tailVolume, type Planform } from '../surface';
import { quantitiesOf, remark, part } from './quantity';
import { ABSENT, step, type Absent } from './step';

export interface Shape {
  /** of all wings together, span and chord of the front one */ readonly wing: Planform & { wings: string[] };
  readonly tail: Planform | null;
  readonly fin: Planform | null;
}

export const shape = step({
  id: 'shape',
  scope: 'all',
  needs: {},
  slice: ({ design }) => ({ surfaces: design.surfaces }),
  run: (_, { surfaces }): Shape | Absent => {
    if (!hasWing({ surfaces })) return ABSENT;
    const by = (role: 'tail' | 'fin') => {
      const found = surfaces.find((s) => s.role === role);
      return found ? planformOf(found) : null;
    };
    return { wing: referencePlanform(surfaces), tail: by('tail'), fin: by('fin') };
  },
});

const PLAN = 'Plan-form geometry',
  VOLUME = 'Plan-form geometry; volume coefficients as in Raymer, Aircraft Design, ch. 6 (from memory)';

const SHAPE = quantitiesOf(shape, {
  wingArea: {
    name: 'Wing area',
    kind: 'area',
    station: 'shape',
    formula: 'sum of panels, both halves',
    method: 'Plan-form geometry, through the body',
    read: (r) => r.wing.area,
    remarks: ({ wing }) => remark(wing.wings.length > 1, 'two-wings', { names: wing.wings }),
  },
  wingSpan: {
    name: 'Span',
    kind: 'length',
    station: 'shape',
    formula: 'tip to tip',
    method: PLAN,
    read: (r) => r.wing.span,
  },
  aspectRatio: {
    name: 'Aspect ratio',
    kind: 'ratio',
    station: 'shape',
    formula: '{wingSpan}² / {wingArea}',
    method: PLAN,
    read: (r) => r.wing.aspectRatio,
  },
  meanChord: {
    name: 'Mean aerodynamic chord',
    kind: 'length',
    station: 'shape',
    formula: '2/S · ∫ c² dy',
    method: 'Plan-form geometry; Raymer, Aircraft Design, ch. 4, for any plan form (from memory)',
    read: (r) => r.wing.mac,
  },
  tailVolume: {
    name: 'Tail volume',
    kind: 'ratio',
    station: 'shape',
    formula: 'S_tail · arm / ({wingArea} · {meanChord}); arm between quarter chords',
    method: VOLUME,
    better: 'more',
    // a second wing behind the first is no tail: its volume says nothing
    read: ({ wing, tail }) =>
      tail && wing.wings.length === 1 ? tailVolume(wing, tail, false).volume : undefined,
  },
  finVolume: {
    name: 'Fin volume',
    kind: 'ratio',
    station: 'shape',
    formula: 'S_fin · arm / ({wingArea} · {wingSpan}); arm between quarter chords',
    method: VOLUME,
    better: 'more',
    read: ({ wing, fin }) => (fin ? tailVolume(wing, fin, true).volume : undefined),
  },
});

export const SHAPE_PART = part([shape], SHAPE);
