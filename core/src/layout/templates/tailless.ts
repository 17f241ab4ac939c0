/** Layouts without a tail. */
import { build } from './build';
import { DEG, RUDDER, control, plate, sizeOf, st, surface, type LayoutTemplate } from './kit';

export const TAILLESS: readonly LayoutTemplate[] = [
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
];
