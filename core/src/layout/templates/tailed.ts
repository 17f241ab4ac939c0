/** Layouts of a wing with a tail behind it. */
import type { Item } from '../../design';
import { build } from './build';
import {
  AILERON,
  DEG,
  RUDDER,
  control,
  plate,
  sizeOf,
  st,
  surface,
  tailOf,
  type LayoutTemplate,
} from './kit';

/** A wing of one chord to its half, tapered beyond, washed out at the tip. */
const cranked = (h: number, c: number) =>
  surface(
    'wing',
    'Wing',
    'wing',
    1.15 * c,
    0.06,
    1.5,
    [st(0, 0, 0, 1.1 * c), st(0.5 * h, 0, 0.02 * h, 1.1 * c), st(h, 0.1 * c, 0.045 * h, 0.75 * c, -2)],
    [AILERON],
  );

export const TAILED: readonly LayoutTemplate[] = [
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
          cranked(h, c),
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
          cranked(h, c),
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
