/**
 * Choosing a section: what each is worth at the Reynolds numbers of the design, marks from the user's own weights,
 * and how much the winner depends on them. Marks run from 0 (poorest on the shelf) to 1 (best on the shelf).
 */
import { clamp, interpolateLinear } from '../numeric';
import { contourFacts, faces, thicknessAt, type Contour } from './contour';
import type { Polar } from './polar';

export const MERITS = [
  'clMax',
  'glide',
  'lowDrag',
  'moment',
  'sparDepth',
  'flatBottom',
  'tolerance',
] as const;
export type Merit = (typeof MERITS)[number];

export interface SectionMerits {
  thickness: number;
  camber: number;
  /** largest lift at the stall's Reynolds number */ clMax: number;
  /** at the working Reynolds number */ bestGlide: number;
  /** drag at the working lift; NaN when the section does not reach it */ dragAtLift: number;
  glideAtLift: number;
  /** lift range over which drag stays within a quarter of its least */ lowDragFrom: number;
  lowDragTo: number;
  /** about the quarter chord, at the working lift */ moment: number;
  /** thickness at the spar's place / chord */ sparDepth: number;
  /** largest gap between the lower face and a straight line under its aft 70 %, / chord */ flatGap: number;
  /** drag at the working lift as drawn over drag as it may be built; 1 when it does not mind */ tolerance: number;
  confidence: Polar['confidence'];
}

/** Distance of the lower face from a straight edge laid under it from 30 % of the chord to the trailing edge. */
export function flatGap(contour: Contour): number {
  const l = faces(contour)[1];
  const a = interpolateLinear(l.x, l.y, 0.3),
    b = l.y[l.y.length - 1];
  let worst = 0;
  for (let i = 0; i <= 50; i++) {
    const x = 0.3 + (0.7 * i) / 50;
    worst = Math.max(worst, Math.abs(interpolateLinear(l.x, l.y, x) - (a + ((b - a) * i) / 50)));
  }
  return worst;
}

function momentAt(p: Polar, cl: number): number {
  const q = p.points.filter((v) => !v.stalled).sort((a, b) => a.cl - b.cl);
  return interpolateLinear(
    q.map((v) => v.cl),
    q.map((v) => v.cm),
    cl,
  );
}

/**
 * How far another polar lies from given points at the same angles: the worst case as a band; 0 where it has no solved
 * points about.
 */
export function gapBetween(
  points: Polar['points'],
  other: Polar,
  of: (p: Polar['points'][number]) => number,
): number[] {
  const q = other.points.filter((p) => p.how !== 'extended');
  if (q.length < 2) return points.map(() => 0);
  const xs = q.map((p) => p.alpha),
    ys = q.map(of);
  return points.map((p) =>
    p.alpha < xs[0] || p.alpha > xs[xs.length - 1] ? 0 : Math.abs(interpolateLinear(xs, ys, p.alpha) - of(p)),
  );
}

/** Drag at a lift within the attached range; NaN outside. */
export function dragAtLift(p: Polar, cl: number): number {
  const xs = p.attachedCl;
  return xs.length > 1 && cl >= xs[0] && cl <= xs[xs.length - 1]
    ? interpolateLinear(xs, p.attachedCd, cl)
    : NaN;
}

/**
 * @param atStall, atWork polars at the two Reynolds numbers of the design; @param built at the working one, of the
 * shape with its errors in
 * @param lift working lift coefficient @param sparAt place of the spar, share of the chord
 */
export function meritsOf(
  contour: Contour,
  atStall: Polar,
  atWork: Polar,
  built: Polar | null,
  lift: number,
  sparAt: number,
): SectionMerits {
  const f = contourFacts(contour);
  const cd = dragAtLift(atWork, lift),
    cdBuilt = built ? dragAtLift(built, lift) : NaN;
  const least = Math.min(...atWork.attachedCd),
    low = atWork.attachedCl.filter((_, i) => atWork.attachedCd[i] <= 1.25 * least);
  return {
    thickness: f.thickness,
    camber: f.camber,
    clMax: atStall.clMax,
    bestGlide: Math.max(...atWork.attachedCl.map((cl, i) => cl / atWork.attachedCd[i])),
    dragAtLift: cd,
    glideAtLift: lift / cd,
    lowDragFrom: Math.min(...low),
    lowDragTo: Math.max(...low),
    moment: momentAt(atWork, clamp(lift, atWork.clMin, atWork.clMax)),
    sparDepth: thicknessAt(contour, sparAt),
    flatGap: flatGap(contour),
    tolerance:
      Number.isFinite(cd) && Number.isFinite(cdBuilt)
        ? Math.min(1, cd / cdBuilt)
        : built && Number.isFinite(cd)
          ? 0
          : NaN,
    confidence: atWork.confidence,
  };
}

/** The number a merit goes by; more is better. */
const VALUE: Record<Merit, (m: SectionMerits) => number> = {
  clMax: (m) => m.clMax,
  glide: (m) => m.glideAtLift,
  lowDrag: (m) => m.lowDragTo - m.lowDragFrom,
  moment: (m) => -Math.abs(m.moment),
  sparDepth: (m) => m.sparDepth,
  flatBottom: (m) => -m.flatGap,
  tolerance: (m) => m.tolerance,
};

export type Weights = Partial<Record<Merit, number>>;
export interface Mark {
  id: string;
  mark: number;
  parts: Record<Merit, number>;
}

/** Marks of every section on the shelf, best first. A number that is missing counts as the poorest. */
export function rankSections(
  shelf: readonly { id: string; merits: SectionMerits }[],
  weights: Weights,
): Mark[] {
  const scale = Object.fromEntries(
    MERITS.map((m) => {
      const v = shelf.map((s) => VALUE[m](s.merits)).filter(Number.isFinite);
      return [m, [Math.min(...v), Math.max(...v)]];
    }),
  ) as Record<Merit, [number, number]>;
  const total = MERITS.reduce((s, m) => s + (weights[m] ?? 0), 0);
  return shelf
    .map(({ id, merits }) => {
      const parts = Object.fromEntries(
        MERITS.map((m) => {
          const [lo, hi] = scale[m],
            v = VALUE[m](merits);
          return [m, Number.isFinite(v) ? (hi > lo ? (v - lo) / (hi - lo) : 1) : 0];
        }),
      ) as Record<Merit, number>;
      return {
        id,
        parts,
        mark: total > 0 ? MERITS.reduce((s, m) => s + (weights[m] ?? 0) * parts[m], 0) / total : 0,
      };
    })
    .sort((a, b) => b.mark - a.mark);
}

export interface Turn {
  merit: Merit;
  /** weight at which another section wins */ weight: number;
  winner: string;
}

/**
 * For each weight, the nearest value (0 to 10) at which the winner changes and who wins then; weights that change
 * nothing are left out.
 * Marks are linear in one weight, so the crossing is exact.
 */
export function weightTurns(marks: readonly Mark[], weights: Weights): Turn[] {
  const [first, ...rest] = marks;
  if (!first) return [];
  const sum = (k: Mark) => MERITS.reduce((s, m) => s + (weights[m] ?? 0) * k.parts[m], 0);
  return MERITS.flatMap((merit) => {
    const now = weights[merit] ?? 0;
    let best: Turn | null = null;
    for (const k of rest) {
      const lead = sum(first) - sum(k),
        gain = k.parts[merit] - first.parts[merit];
      if (Math.abs(gain) < 1e-9) continue;
      const weight = now + lead / gain;
      if (
        weight >= 0 &&
        weight <= 10 &&
        (best === null || Math.abs(weight - now) < Math.abs(best.weight - now))
      )
        best = { merit, weight, winner: k.id };
    }
    return best ? [best] : [];
  }).sort(
    (a, b) => Math.abs(a.weight - (weights[a.merit] ?? 0)) - Math.abs(b.weight - (weights[b.merit] ?? 0)),
  );
}

/** In a sentence: what ends the lift of this section at this Reynolds number. */
export function limitSentence(p: Polar): string {
  const deg = (a: number) => `${((a * 180) / Math.PI).toFixed(1)} degrees`;
  if (p.points.length === 0) return 'No angle settled; nothing can be said about this shape.';
  const solved = p.points.filter((q) => q.how === 'solved');
  if (solved.length === 0)
    return `A thin sheet lets go at its leading edge near ${deg(p.alphaStall)}; the number is from tests on plates.`;
  let top = 0;
  solved.forEach((q, i) => {
    if (q.cl > solved[top].cl) top = i;
  });
  const at = solved[top],
    after = solved[top + 1];
  const bubble = at.bubble;
  if (after && after.cl < at.cl - 0.08 && bubble && bubble[0] < 0.1)
    return `The bubble at the nose bursts beyond ${deg(p.alphaStall)}: lift falls suddenly from ${p.clMax.toFixed(2)}.`;
  if (!after && p.missed.some((a) => a > at.alpha))
    return `Beyond ${deg(at.alpha)} no attached flow was found: the layer at the nose lets go at once, so expect a sharp stall near lift ${p.clMax.toFixed(2)}.`;
  if (bubble && bubble[1] > 0.9)
    return `The laminar layer leaves at ${(100 * bubble[0]).toFixed(0)} % of the chord and hardly comes back before the edge: this Reynolds number is too low for the section; a trip ahead of ${(100 * bubble[0]).toFixed(0)} % would help.`;
  if (at.separationUpper < 0.95)
    return `The turbulent layer lets go from the trailing edge forwards; at ${deg(p.alphaStall)} it has reached ${(100 * at.separationUpper).toFixed(0)} % of the chord and lift stops growing at ${p.clMax.toFixed(2)}: a gentle stall.`;
  return `Lift stops growing at ${deg(p.alphaStall)} with ${p.clMax.toFixed(2)}.`;
}

/** Angles of the pressure picture [rad]: -4 to 16 degrees by one. */
export const PICTURE_ANGLES: number[] = Array.from({ length: 21 }, (_, i) => ((i - 4) * Math.PI) / 180);
