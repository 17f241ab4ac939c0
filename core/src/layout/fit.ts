/**
 * Do the boxes go into the body, do they run into each other, and how far can each be moved. Body of elliptic sections
 * between its stations.
 */
import type { Design, Item } from '../design';

export interface Fit {
  item: string;
  name: string;
  /** least room left at a corner, as a fraction of the way to the wall; below zero it sticks out */ room: number;
  inside: boolean;
  /** other items whose boxes it runs into */ meets: string[];
  /** range of its middle along x in which it fits, at its height and across place; null when it fits nowhere */ travel: {
    from: number;
    to: number;
  } | null;
  /** ends of its movable range that do not fit */ blocked: boolean;
}

function bodyAt(body: Design['body'], x: number): { width: number; height: number; z: number } | null {
  if (x < body[0].x || x > body[body.length - 1].x) return null;
  let i = 0;
  while (i < body.length - 2 && body[i + 1].x < x) i++;
  const a = body[i],
    b = body[i + 1],
    t = (x - a.x) / (b.x - a.x);
  return {
    width: a.width + t * (b.width - a.width),
    height: a.height + t * (b.height - a.height),
    z: a.z + t * (b.z - a.z),
  };
}

type Box = NonNullable<Item['box']>;

/** Room left by a box with its middle at x: 1 less the worst corner's place in the ellipse. */
function roomAt(body: Design['body'], box: Box, x: number, y: number, z: number): number {
  let worst = 1;
  for (let k = 0; k <= 6; k++) {
    const s = bodyAt(body, x + box.length * (k / 6 - 0.5));
    if (!s || !(s.width > 0) || !(s.height > 0)) return -1;
    for (const sy of [-1, 1])
      for (const sz of [-1, 1]) {
        const u = (y + (sy * box.width) / 2) / (s.width / 2),
          v = (z + (sz * box.height) / 2 - s.z) / (s.height / 2);
        worst = Math.min(worst, 1 - Math.sqrt(u * u + v * v));
      }
  }
  return worst;
}

const overlap = (a: Item, b: Item): boolean =>
  Math.abs(a.x - b.x) < (a.box!.length + b.box!.length) / 2 - 1e-6 &&
  Math.abs(a.y - b.y) < (a.box!.width + b.box!.width) / 2 - 1e-6 &&
  Math.abs(a.z - b.z) < (a.box!.height + b.box!.height) / 2 - 1e-6;

const SCAN = 0.0025;

export function internalFit(design: Design): Fit[] {
  const boxed = design.items.filter((i) => i.box && !i.inWing);
  const { body } = design;
  return boxed.map((item) => {
    const room = roomAt(body, item.box!, item.x, item.y, item.z);
    let from: number | null = null,
      to = 0;
    // outward from where it is, else the whole body
    const fits = (x: number) => roomAt(body, item.box!, x, item.y, item.z) >= 0;
    if (fits(item.x)) {
      from = item.x;
      to = item.x;
      while (fits(from - SCAN)) from -= SCAN;
      while (fits(to + SCAN)) to += SCAN;
    } else
      for (let x = body[0].x; x <= body[body.length - 1].x; x += SCAN)
        if (fits(x)) {
          from ??= x;
          to = x;
        } else if (from !== null) break;
    const travel = from === null ? null : { from, to };
    return {
      item: item.id,
      name: item.name,
      room,
      inside: room >= 0,
      meets: boxed.filter((o) => o.id !== item.id && overlap(item, o)).map((o) => o.name),
      travel,
      blocked:
        item.movable !== null &&
        (travel === null || item.movable.from < travel.from - 0.003 || item.movable.to > travel.to + 0.003),
    };
  });
}
