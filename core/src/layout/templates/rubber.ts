/** A rubber model: a long motor in the body turns a large slow propeller; it climbs, glides and circles by its own trim. */
import type { Design, Item, Powertrain } from '../../design';
import { linkParts } from '../../mass';
import { build } from './build';
import { thing, tubeOf, undriven } from './gliders';
import { DEG, plate, sizeOf, st, surface, tailOf, type LayoutTemplate } from './kit';

/** Strip as it is sold [m], and loops of it for the size: cross-section goes with weight times diameter. */
const STRIP = { width: 0.0032, thickness: 0.00105 };
const strandsFor = (span: number) => Math.min(60, Math.max(2, 2 * Math.round(6 * (span / 0.9) ** 2.5)));

function motorFor(span: number, length: number): NonNullable<Powertrain['rubber']> {
  return {
    ...STRIP,
    strands: strandsFor(span),
    length,
    density: 930,
    lubricated: true,
    wound: 0.8,
    backedOff: 0,
    winder: 5,
    propeller: {
      diameter: Math.round(360 * span) / 1000,
      pitch: Math.round(420 * span) / 1000,
      blades: 2,
      family: 'carved',
      folds: true,
    },
    flare: 0,
    trimCl: 0.8,
    ceiling: null,
    field: null,
  };
}

/** The motor and its propeller follow their data; the rest is guessed. */
function parts(length: number, span: number): Item[] {
  const nose = thing('nose-clay', 'Trim clay', 'other', 0.002, 0.01);
  const propeller = thing('propeller', 'Propeller and shaft', 'propulsion', 0.009 * (span / 0.9) ** 2, -0.01),
    rubber = thing('rubber', 'Rubber motor', 'propulsion', 0, 0.36 * length);
  return [
    { ...nose, movable: { from: 0, to: length } },
    { ...propeller, part: { kind: 'propeller', of: 'rubber' } },
    { ...rubber, planned: { kind: 'part', factor: 1 }, part: { kind: 'rubber' } },
  ];
}

function rubberModel(base: Design): Design {
  const { h, c } = sizeOf(base),
    span = 2 * h,
    length = 6.6 * c;
  const flight = { ...base.flight, turnBank: 15 * DEG };
  const bare = undriven(base, length, 0.016 * span, parts(length, span)),
    tip = 0.45 * h * Math.tan(14 * DEG);
  const drawn = build(
    {
      ...bare,
      flight,
      power: { ...bare.power, rubber: motorFor(span, Math.round(600 * length) / 1000) },
      structure: { ...bare.structure, members: tubeOf(0.025 * c) },
    },
    {
      length,
      width: Math.min(0.04, 0.25 * c),
      surfaces: [
        surface('wing', 'Wing', 'wing', 2 * c, 0.03, 2.5, [
          st(0, 0, 0, 1.06 * c, 0, 'thin-section'),
          st(0.55 * h, 0, 0.55 * h * Math.tan(2 * DEG), 1.06 * c, 0, 'thin-section'),
          st(h, 0.1 * c, 0.55 * h * Math.tan(2 * DEG) + tip, 0.8 * c, -1, 'thin-section'),
        ]),
        tailOf(5.5 * c, 0.03, 0.38 * h, 0.72 * c),
        plate('fin', 'Fin', 5.6 * c, 0.03, 0.16 * h, 0.7 * c, 0.3, []),
      ],
      skins: { wing: 0.13, rest: 0.06 },
    },
  );
  return linkParts(drawn);
}

export const RUBBERS: readonly LayoutTemplate[] = [
  {
    id: 'rubber',
    name: 'Rubber model',
    fixes: 'Nothing to charge and little to break: energy by the gram of strip, a climb, a glide, a circle.',
    costs:
      'Everything is trim: torque rolls and pitches it while it lasts. Check the climb on full turns, the circle, and a motor that was wound to breaking once.',
    anew: true,
    make: rubberModel,
  },
];
