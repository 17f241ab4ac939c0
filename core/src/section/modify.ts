/** Changes to a contour: flap, blend, scaled thickness and camber, building errors, steps. */
import { clamp, DomainError, interpolateLinear, requireInRange } from '../numeric';
import { camberAt, faces, repanel, thicknessAt, type Contour } from './contour';

type Point = [number, number];
const size = (c: Contour): number => c.xy.length / 2;

/** Outline from the two faces (x ascending), upper edge first. */
function join(upper: readonly Point[], lower: readonly Point[], n: number): Contour {
  const nose = upper[0];
  const below = lower.filter((p) => Math.hypot(p[0] - nose[0], p[1] - nose[1]) > 1e-7);
  return repanel([...[...upper].reverse(), ...below], n);
}

/** Face points on a cosine grid of x, from the nose to the edge. */
function sampled(contour: Contour, upper: boolean, count = 100): Point[] {
  const f = faces(contour)[upper ? 0 : 1];
  return Array.from({ length: count + 1 }, (_, i) => {
    const x = 0.5 * (1 - Math.cos((Math.PI * i) / count));
    return [x, interpolateLinear(f.x, f.y, x)];
  });
}

/**
 * A plain hinged flap. The gap side is closed by an arc about the hinge, the other side is trimmed; the chord stays
 * the unflapped one.
 * @param hinge share of the chord, 0.4 to 0.95, at mid thickness @param angle [rad], down positive, within 0.7
 */
export function withFlap(contour: Contour, hinge: number, angle: number): Contour {
  requireInRange('hinge place', hinge, 0.4, 0.95);
  requireInRange('flap angle', angle, -0.7, 0.7, 'rad');
  if (Math.abs(angle) < 1e-4) return contour;
  const hy = camberAt(contour, hinge),
    c = Math.cos(angle),
    s = Math.sin(angle);
  const turn = ([x, y]: Point): Point => [
    hinge + (x - hinge) * c + (y - hy) * s,
    hy - (x - hinge) * s + (y - hy) * c,
  ];
  const side = (upper: boolean): Point[] => {
    const all = sampled(contour, upper);
    const fore = all.filter((p) => p[0] < hinge - 0.004),
      aft = all.filter((p) => p[0] > hinge + 0.004).map(turn);
    if (upper === angle > 0) {
      // opened: an arc from the fixed skin to the moved one
      const r = 0.5 * thicknessAt(contour, hinge),
        start = upper ? Math.PI / 2 : -Math.PI / 2;
      const arc = Array.from({ length: 7 }, (_, i): Point => {
        const a = start - (angle * i) / 6;
        return [hinge + r * Math.cos(a), hy + r * Math.sin(a)];
      });
      return [...fore, ...arc, ...aft];
    }
    // closed: the moved skin runs under the fixed one; both end where they meet
    const meets = (p: Point, q: Point) => (upper ? p[1] > q[1] : p[1] < q[1]);
    let cut = aft.length;
    for (let i = 0; i < aft.length; i++) {
      const x = aft[i][0],
        fixedY =
          x < fore[fore.length - 1][0]
            ? interpolateLinear(
                fore.map((q) => q[0]),
                fore.map((q) => q[1]),
                x,
              )
            : NaN;
      if (Number.isNaN(fixedY) || !meets([x, fixedY], aft[i])) {
        cut = i;
        break;
      }
    }
    const kept = aft.slice(cut);
    return [...fore.filter((p) => p[0] < (kept[0]?.[0] ?? 1) - 0.004), ...kept];
  };
  return join(side(true), side(false), size(contour));
}

/** Between two sections: share 0 is the first, 1 the second; thickness and camber are mixed at the same x. */
export function blendOf(a: Contour, b: Contour, share: number): Contour {
  requireInRange('share', share, 0, 1);
  const mix = (upper: boolean) => {
    const p = sampled(a, upper),
      q = sampled(b, upper);
    return p.map((v, i): Point => [v[0], v[1] * (1 - share) + q[i][1] * share]);
  };
  return join(mix(true), mix(false), size(a));
}

/** Camber line and half thickness laid together again after each has been changed. */
function rebuilt(
  contour: Contour,
  camber: (x: number, y: number) => number,
  half: (x: number, t: number) => number,
): Contour {
  const up = sampled(contour, true),
    low = sampled(contour, false);
  const lay = (sign: 1 | -1) =>
    up.map((p, i): Point => {
      const mid = 0.5 * (p[1] + low[i][1]),
        t = 0.5 * (p[1] - low[i][1]);
      return [p[0], camber(p[0], mid) + sign * half(p[0], t)];
    });
  return join(lay(1), lay(-1), size(contour));
}

/** Thickness and camber each times a factor, 0.2 to 3. */
export function scaled(contour: Contour, thickness: number, camber: number): Contour {
  requireInRange('thickness factor', thickness, 0.2, 3);
  requireInRange('camber factor', camber, -3, 3);
  return rebuilt(
    contour,
    (_, y) => y * camber,
    (_, t) => t * thickness,
  );
}

/** Errors of a built section. */
export interface BuildErrors {
  /** of the largest thickness, relative */ thickness: number;
  /** of the camber, share of the chord at mid chord */ camber: number;
  /** of the nose radius, relative; a blunter nose above 0 */ nose: number;
  /** trailing edge thicker by this share of the chord */ edge: number;
}

/** The section as it may come off the board: the drawing with its errors put in. */
export function warped(contour: Contour, e: BuildErrors): Contour {
  requireInRange('nose error', e.nose, -0.6, 1);
  return rebuilt(
    contour,
    (x, y) => y + 4 * e.camber * x * (1 - x),
    (x, t) => {
      const near = Math.exp(-((x / 0.06) ** 2)); // the nose radius goes with the square of the width there
      return (
        t * (1 + e.thickness) * (1 + near * (Math.sqrt(1 + e.nose) - 1)) +
        0.5 * e.edge * x * clamp((1 - x) / 0.02, 0, 1)
      );
    },
  );
}

export interface Step {
  face: 'upper' | 'lower';
  /** share of the chord */ at: number;
  /** share of the chord */ depth: number;
}

/** Backward-facing steps reattach about six step heights downstream (Eaton and Johnston, AIAA Journal 19(9), 1981: 5 to 8). */
const REATTACH = 6;

/**
 * A face set in behind a step. With `faired` the bubble behind the step is filled, as the flow outside sees it.
 * @throws DomainError when nothing would be left behind the step
 */
export function stepped(contour: Contour, steps: readonly Step[], faired: boolean): Contour {
  for (const s of steps) {
    requireInRange('step place', s.at, 0.1, 0.95);
    requireInRange('step depth', s.depth, 0.002, 0.15);
  }
  const cutAt = (upper: boolean, x: number): number =>
    steps
      .filter((s) => (s.face === 'upper') === upper)
      .reduce((sum, s) => {
        if (x <= s.at) return sum;
        const ramp = faired ? Math.min(REATTACH * s.depth, 0.9 * (1 - s.at)) : 0.002;
        return sum + s.depth * clamp((x - s.at) / ramp, 0, 1);
      }, 0);
  const make = (upper: boolean) => {
    const extra = steps.filter((s) => (s.face === 'upper') === upper).flatMap((s) => [s.at, s.at + 0.002]);
    const f = faces(contour)[upper ? 0 : 1];
    const xs = [...sampled(contour, upper).map((p) => p[0]), ...extra]
      .sort((a, b) => a - b)
      .filter((x, i, all) => i === 0 || x - all[i - 1] > 1e-5);
    return xs.map((x): Point => [x, interpolateLinear(f.x, f.y, x) - (upper ? 1 : -1) * cutAt(upper, x)]);
  };
  const up = make(true),
    low = make(false);
  const lowX = low.map((p) => p[0]),
    lowY = low.map((p) => p[1]);
  // towards the edge the two faces of the cut section meet; a layer of 0.4 % of the chord is left
  const least = (x: number) => 0.004 * clamp((1 - x) / 0.02, 0, 1);
  for (const p of up) {
    if (p[0] < 0.1) continue; // no step lies ahead of this
    const room = p[1] - interpolateLinear(lowX, lowY, p[0]);
    if (room < least(p[0])) {
      if (p[0] < 0.6) throw new DomainError('bad-shape', 'the steps cut through the section', { x: p[0] });
      p[1] += least(p[0]) - room;
    }
  }
  if (faired) return join(up, low, size(contour));
  return { xy: Float64Array.from([...[...up].reverse(), ...low.slice(1)].flat()) };
}
