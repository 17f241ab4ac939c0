/** Where things lie in the balance picture: side view above, plan below, on one axis from nose to tail; names in between. */
import type { Design } from '@skiametra/core/design';
import { threeViewLines } from '@skiametra/core/layout';
import { itemMass, plannedItem } from '@skiametra/core/mass';
import { everyName, flagsOf, gathered, type Flags, type Named } from '../picture/flags';

type Item = Design['items'][number];

export interface Dot {
  readonly item: Item;
  readonly x: number;
  readonly z: number;
  readonly mass: number;
  readonly radius: number;
}

/** A state’s CG as it is named. */
export interface StatePlace {
  readonly loading: string;
  readonly name: string;
  readonly cgX: number;
}

export interface BalanceFrame {
  readonly side: ReturnType<typeof threeViewLines>;
  readonly plan: ReturnType<typeof threeViewLines>;
  readonly dots: readonly Dot[];
  readonly x0: number;
  readonly x1: number;
  /** a hundredth of the length */ readonly u: number;
  readonly zTop: number;
  /** heights in the picture: end of the side view, middle and reach of the plan, its whole */ readonly sideEnd: number;
  readonly planMid: number;
  readonly reach: number;
  readonly size: number;
  readonly rowHeight: number;
  readonly names: Flags;
  readonly stateNames: Flags;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

function dotsOf(design: Design, u: number): Dot[] {
  const all = design.items.map((item) => {
    const { x, z } = plannedItem(item, design);
    return { item, x, z, mass: itemMass(item, design) };
  });
  const biggest = Math.max(...all.map((d) => d.mass), 1e-6);
  return all.map((d) => ({ ...d, radius: Math.max(0.5, 3 * (d.mass / biggest) ** 0.5) * u }));
}

const wheelNames = (design: Design, zTop: number): Named[] =>
  (design.wheels ?? []).map((q) => ({ id: `wheel ${q.id}`, name: q.name, x: q.x, y: zTop - q.z }));

/** Extent of the outlines and the wheels. */
function extent(design: Design) {
  const lines = threeViewLines(design),
    side = lines.filter((l) => l.view === 'side'),
    plan = lines.filter((l) => l.view === 'plan'),
    us = [...side, ...plan].flatMap((l) => l.points.map((p) => p[0])),
    zs = side.flatMap((l) => l.points.map((p) => p[1])),
    wheels = (design.wheels ?? []).map((q) => q.z - (q.diameter ?? 0) / 2);
  return {
    side,
    plan,
    x0: Math.min(...us),
    x1: Math.max(...us),
    zTop: Math.max(...zs),
    zLow: Math.min(...zs, ...wheels),
  };
}

/**
 * @param neutral neutral point and the height it is drawn at [m]; null while it is unknown
 * @param states where every state's CG lies
 */
export function balanceFrame(
  design: Design,
  neutral: { readonly x: number; readonly z: number } | null,
  states: readonly StatePlace[],
): BalanceFrame {
  const { side, plan, x0, x1, zTop, zLow } = extent(design),
    w = x1 - x0,
    u = w / 100,
    size = 2 * u,
    rowHeight = 2.3 * u;
  const dots = dotsOf(design, u),
    sideEnd = zTop - zLow;
  const things: Named[] = [
    ...dots.map((d) => ({ id: d.item.id, name: d.item.name, x: d.x, y: zTop - d.z })),
    ...wheelNames(design, zTop),
    ...(neutral ? [{ id: 'neutral point', name: 'Neutral point', x: neutral.x, y: zTop - neutral.z }] : []),
  ];
  const names = flagsOf(gathered(things, 0.3 * u, everyName), size, sideEnd / 2);
  // the plan is cut at a little more than the body's own width: wings would push everything else off the screen
  const bodyHalf = Math.max(...design.body.map((b) => b.width)) / 2,
    reach = Math.max(2.2 * bodyHalf, 0.08 * w, ...design.items.map((i) => Math.min(Math.abs(i.y), 0.25 * w)));
  const planMid = sideEnd + (names.rows.below + 1) * rowHeight + reach + u;
  const places = states.map((s) => ({ id: s.loading, name: s.name, x: s.cgX, y: planMid }));
  // all of them below the plan
  const stateNames = flagsOf(gathered(places, 1.2 * u), size, -Infinity);
  const top = -(names.rows.above + 0.6) * rowHeight,
    bottom = planMid + reach + (stateNames.rows.below + 0.8) * rowHeight,
    right = Math.max(x1, names.right, stateNames.right);
  return {
    ...{ side, plan, dots, x0, x1, u, zTop, sideEnd, planMid, reach, size, rowHeight, names, stateNames },
    box: { x: x0 - 2 * u, y: top, width: right - x0 + 4 * u, height: bottom - top },
  };
}
