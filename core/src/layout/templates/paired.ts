/** Layouts whose wings share the load. */
import { build } from './build';
import { AILERON, RUDDER, control, plate, sizeOf, st, surface, type LayoutTemplate } from './kit';

export const PAIRED: readonly LayoutTemplate[] = [
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
];
