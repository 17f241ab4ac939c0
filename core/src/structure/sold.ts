/**
 * Sizes that shops keep, all generic: tubes by diameter and wall, rods, strips, square tubes [mm]. Common practice, no
 * source. Spars built of strips: caps of what is sold over webs of sheet, as deep as the section.
 */
import type { MemberShape } from '../design';

/** One thing that can be bought, or built of what can be. */
export interface Sold {
  readonly label: string;
  readonly shape: MemberShape;
  /** as deep as the section lets it: its height is the room there is */ readonly fills?: boolean;
}

const MM = 1e-3;
const text = (...mm: number[]) => mm.map((x) => String(x)).join(' × ');

/** Diameter and wall. */
// prettier-ignore
const CARBON_TUBES: readonly [number, number][] = [
  [3, 0.5], [4, 0.5], [4, 1], [5, 0.5], [5, 1], [6, 0.5], [6, 1], [7, 0.5], [8, 0.5], [8, 1], [9, 0.5], [10, 0.5],
  [10, 1], [11, 0.5], [12, 0.5], [12, 1], [13, 1], [14, 1], [15, 1], [16, 1], [18, 1], [20, 1], [20, 1.5], [22, 1],
  [25, 1], [25, 1.5], [28, 1], [30, 1], [30, 1.5], [35, 1.5], [40, 1.5],
];
// prettier-ignore
const METAL_TUBES: readonly [number, number][] = [
  [3, 0.45], [4, 0.45], [5, 0.45], [6, 0.45], [6, 1], [8, 0.5], [8, 1], [10, 0.5], [10, 1], [12, 1], [14, 1], [15, 1],
  [16, 1], [18, 1], [20, 1], [20, 1.5], [22, 1], [25, 1], [25, 1.5], [30, 1.5],
];
const RODS = [1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
const WIRES = [0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5];
// prettier-ignore
const SQUARES: readonly [number, number][] = [[5, 0.5], [6, 1], [8, 1], [10, 1], [12, 1], [15, 1.5], [20, 1.5]];
const SIDES = [2, 3, 4, 5, 6, 8, 10, 12, 15];
/** Width and thickness of pultruded strips. */
// prettier-ignore
const CARBON_STRIPS: readonly [number, number][] = [
  [3, 0.5], [3, 1], [5, 0.5], [5, 1], [6, 0.5], [6, 1], [8, 1], [10, 0.6], [10, 1], [12, 1], [15, 1], [20, 1],
];
const WEBS = [1, 1.5, 2, 3, 4, 5, 6, 8, 10];

function tubes(): Sold[] {
  const of = (sizes: readonly [number, number][], material: string, name: string) =>
    sizes.map(([d, t]): Sold => ({
      label: `${name} ${text(d, t)}`,
      shape: { kind: 'tube', outer: d * MM, wall: t * MM, material },
    }));
  return [
    ...of(CARBON_TUBES, 'carbon-tube', 'carbon tube'),
    ...of(METAL_TUBES, 'alu-6061', 'aluminium tube'),
    ...of(METAL_TUBES.slice(0, 10), 'glass-tube', 'glass tube'),
  ];
}

function rods(): Sold[] {
  const of = (sizes: readonly number[], material: string, name: string) =>
    sizes.map((d): Sold => ({
      label: `${name} ${d}`,
      shape: { kind: 'rod', outer: d * MM, material },
    }));
  return [
    ...of(RODS, 'carbon-pultruded', 'carbon rod'),
    ...of(RODS, 'glass-tube', 'glass rod'),
    ...of(WIRES, 'steel-wire', 'steel wire'),
    ...of([3, 4, 5, 6, 8, 10], 'beech', 'beech dowel'),
  ];
}

function strips(): Sold[] {
  const woods = [
    ['spruce', 'spruce'],
    ['pine-500', 'pine'],
    ['balsa', 'balsa'],
    ['balsa-240', 'hard balsa'],
    ['basswood', 'basswood'],
  ] as const;
  const wooden = woods.flatMap(([material, name]) =>
    SIDES.flatMap((h) =>
      SIDES.filter((b) => b <= h).map((b): Sold => ({
        label: `${name} ${text(h, b)}, upright`,
        shape: { kind: 'strip', height: h * MM, width: b * MM, material },
      })),
    ),
  );
  const carbon = CARBON_STRIPS.map(([b, t]): Sold => ({
    label: `carbon strip ${text(b, t)}, upright`,
    shape: { kind: 'strip', height: b * MM, width: t * MM, material: 'carbon-pultruded' },
  }));
  return [...wooden, ...carbon];
}

function squares(): Sold[] {
  return SQUARES.flatMap(([side, wall]) =>
    (
      [
        ['alu-6061', 'aluminium'],
        ['carbon-tube', 'carbon'],
      ] as const
    ).map(([material, name]): Sold => ({
      label: `${name} square tube ${text(side, wall)}`,
      shape: { kind: 'square tube', height: side * MM, width: side * MM, wall: wall * MM, material },
    })),
  );
}

/** Caps of strips that are sold, one or two on another, over a web of sheet or foam. */
function built(): Sold[] {
  const caps: { width: number; cap: number; material: string; name: string }[] = [
    ...CARBON_STRIPS.flatMap(([b, t]) =>
      [1, 2].map((n) => ({
        width: b,
        cap: n * t,
        material: 'carbon-pultruded',
        name: `${n > 1 ? '2 ' : ''}carbon ${text(b, t)}`,
      })),
    ),
    ...SIDES.flatMap((b) =>
      SIDES.filter((t) => t <= b).map((t) => ({
        width: b,
        cap: t,
        material: 'spruce',
        name: `spruce ${text(b, t)}`,
      })),
    ),
  ];
  const webs = [
    ...WEBS.map((t) => ({ t, material: 'balsa', name: `balsa ${t}` })),
    ...WEBS.slice(0, 5).map((t) => ({ t, material: 'birch-ply-45', name: `plywood ${t}` })),
    ...[5, 10, 15, 20].map((t) => ({ t, material: 'xps-32', name: `foam ${t}` })),
  ];
  return caps.flatMap((c) =>
    webs.flatMap((w) => {
      const shape = (kind: 'caps' | 'box', count: number): Sold[] =>
        count * w.t > c.width
          ? []
          : [
              {
                label: `caps ${c.name}, ${count === 2 ? 'two webs' : 'web'} ${w.name}`,
                shape: {
                  kind,
                  height: 0.02,
                  width: c.width * MM,
                  cap: c.cap * MM,
                  capMaterial: c.material,
                  web: w.t * MM,
                  webMaterial: w.material,
                },
                fills: true,
              },
            ];
      return [...shape('caps', 1), ...shape('box', 2)];
    }),
  );
}

export const SOLD_KINDS = ['tube', 'rod', 'strip', 'square tube', 'built'] as const;
export type SoldKind = (typeof SOLD_KINDS)[number];

/** What is sold of a kind. */
export function soldOf(kind: SoldKind): Sold[] {
  switch (kind) {
    case 'tube':
      return tubes();
    case 'rod':
      return rods();
    case 'strip':
      return strips();
    case 'square tube':
      return squares();
    default:
      return built();
  }
}
