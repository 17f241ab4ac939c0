/**
 * A load test on the ground that stands for a case in the air: bags along a half turned over (or upright, for loads from
 * above), or the aircraft lifted by its tips with mass in its body. What is asked of the root is reproduced; elsewhere it is
 * said where the test asks too little.
 */
import { G0 } from '../air';
import { addPoint, deflected } from './beam';
import type { Bearing } from './bearing';
import { addTo, nothing, type Carried } from './spanLoad';
import { verdictOf, type Learnt } from './verdict';

export interface LoadTestTask {
  readonly bearing: Bearing;
  /** load of the case at its own load factor, and that factor (below nil for a push) */ readonly load: Carried;
  readonly n: number;
  /** own weight of the half at 1 g, pointing down */ readonly weight: Carried;
  /** all-up [kg] */ readonly mass: number;
  readonly kind: 'bags' | 'tips';
  /** load factor to reach, above nil */ readonly to: number;
  /** places of bags on a half */ readonly count: number;
  /** what the bags come in [kg] */ readonly bag: number;
  readonly learnt: Learnt;
}

interface LoadStep {
  readonly n: number;
  readonly bags: number[];
  readonly tip: number;
}

interface Short {
  readonly from: number;
  readonly to: number;
  readonly share: number;
}

export interface PlannedTest {
  readonly places: number[];
  readonly steps: LoadStep[];
  readonly failsAt: number;
  readonly short: Short[];
}

/** Shares of the whole at which it is read. Common practice, no source. */
const STEPS = [0.25, 0.5, 0.75, 0.9, 1];
/** Less than this share of the case is said to be too little. */
const ENOUGH = 0.95;

/** Value of a row of places at a distance out. */
function at(b: Bearing, row: Float64Array, y: number): number {
  let p = 0;
  while (p < b.y.length - 1 && b.y[p + 1] <= y) p++;
  const q = Math.min(p + 1, row.length - 1),
    gap = b.y[q] - b.y[p];
  return gap > 0 ? row[p] + ((row[q] - row[p]) * (y - b.y[p])) / gap : row[p];
}

/** Point loads of bags, in the sense of the case: positive where it presses the upper face. */
function bagLoad(b: Bearing, places: readonly number[], bags: readonly number[]): Carried {
  const out = nothing(b.y.length);
  places.forEach((y, i) => addPoint(b.y, y, bags[i] * G0, out.shear, out.moment));
  return out;
}

const rounded = (kg: number, bag: number) => Math.max(0, Math.round(kg / bag)) * bag;

/** Bags that the case asks of each place, less what the half itself weighs there [kg]. */
function wantedBags(t: LoadTestTask, edges: readonly number[]): number[] {
  const { bearing: b, load, n, weight, to } = t,
    k = to / Math.abs(n),
    sign = n >= 0 ? 1 : -1;
  return edges.slice(1).map((outer, i) => {
    const inner = edges[i],
      asked = sign * k * (at(b, load.shear, inner) - at(b, load.shear, outer)),
      // the wing lies so that its own weight bends it as the case does
      own = at(b, weight.shear, outer) - at(b, weight.shear, inner);
    return Math.max(0, asked - own) / G0;
  });
}

/** What hangs on the half in one step: bags and its own weight, or the tip's share of all less its own weight. */
function stepLoad(t: LoadTestTask, places: readonly number[], bags: readonly number[]): Carried {
  const { bearing: b, weight, kind, mass } = t;
  if (kind === 'tips') {
    const out = nothing(b.y.length);
    addPoint(b.y, b.tip, ((mass + bags[0]) * G0) / 2, out.shear, out.moment);
    addTo(out, weight, 1);
    return out;
  }
  const out = bagLoad(b, places, bags);
  addTo(out, weight, -1);
  return out;
}

/** Tip by the load that is put on alone: the scale is read before and after. */
function tipOf(t: LoadTestTask, places: readonly number[], bags: readonly number[]): number {
  const { bearing: b, learnt, kind, mass } = t,
    on = kind === 'tips' ? nothing(b.y.length) : bagLoad(b, places, bags);
  if (kind === 'tips') addPoint(b.y, b.tip, ((mass + bags[0]) * G0) / 2, on.shear, on.moment);
  const w = deflected(
    b.y,
    on.moment.map((m, p) => (b.EI[p] > 0 ? m / (b.EI[p] * learnt.stiffness) : 0)),
  );
  return w[w.length - 1];
}

/** Where the last step asks less than the case does, told in stretches; the outermost tenth matters to nobody. */
function shortOf(t: LoadTestTask, last: Carried): Short[] {
  const { bearing: b, load, n, to } = t,
    k = to / Math.abs(n),
    out: Short[] = [];
  let open: { from: number; to: number; share: number } | null = null;
  for (let p = 0; p < b.y.length; p++) {
    const asked = Math.abs(k * load.moment[p]),
      share = asked > 0 ? last.moment[p] / asked : 1,
      low = share < ENOUGH && b.y[p] < 0.9 * b.end;
    if (low && !open) open = { from: b.y[p], to: b.y[p], share };
    else if (low && open) open = { from: open.from, to: b.y[p], share: Math.min(open.share, share) };
    if (!low && open) {
      out.push(open);
      open = null;
    }
  }
  if (open) out.push(open);
  return out.filter((s) => s.to > s.from);
}

/** Mass in the body that makes the root of a wing lifted by its tips see the case [kg]. */
function ballast(t: LoadTestTask): number {
  const { bearing: b, load, n, weight, mass, to } = t,
    asked = Math.abs((to / n) * load.moment[0]);
  return Math.max(0, (2 * (asked - weight.moment[0])) / (G0 * b.tip) - mass);
}

/** The whole load in whole bags: one more where most is missing, until the root sees what is asked. */
function wholeBags(
  t: LoadTestTask,
  wanted: readonly number[],
  reached: (bags: readonly number[]) => number,
): number[] {
  const bags = wanted.map((kg) => rounded(kg, t.bag));
  for (let k = 0; k < 4 * bags.length && !(reached(bags) >= t.to); k++) {
    const least = bags.reduce((a, kg, i) => (wanted[i] - kg > wanted[a] - bags[a] ? i : a), 0);
    bags[least] += t.bag;
  }
  return bags;
}

/** Steps that rise: those that round to the one before are left out. */
function stepsOf(t: LoadTestTask, places: readonly number[], wanted: readonly number[]): LoadStep[] {
  const perG = Math.abs(t.load.moment[0] / t.n),
    reached = (bags: readonly number[]) => stepLoad(t, places, bags).moment[0] / perG,
    whole = wholeBags(t, wanted, reached),
    all = (t.kind === 'tips' ? [0, ...STEPS] : STEPS).map((s): LoadStep => {
      const bags = s === 1 ? whole : wanted.map((kg, i) => Math.min(whole[i], rounded(s * kg, t.bag)));
      return { n: reached(bags), bags, tip: tipOf(t, places, bags) };
    });
  return all.filter((s, i) => i === 0 || s.bags.some((kg, j) => kg !== all[i - 1].bags[j]));
}

export function planLoadTest(t: LoadTestTask): PlannedTest {
  const { bearing: b, kind, count } = t,
    edges = Array.from({ length: count + 1 }, (_, i) => (b.tip * i) / count),
    places = kind === 'tips' ? [] : edges.slice(1).map((y, i) => (y + edges[i]) / 2),
    wanted = kind === 'tips' ? [ballast(t)] : wantedBags(t, edges),
    steps = stepsOf(t, places, wanted),
    end = steps[steps.length - 1],
    last = stepLoad(t, places, end.bags);
  // turned over, what presses the upper face in the air presses it here
  const sense = t.n >= 0 ? last : mirrored(last);
  return { places, steps, failsAt: end.n * verdictOf(b, sense, t.learnt).factor, short: shortOf(t, last) };
}

const mirrored = ({ shear, moment, torque }: Carried): Carried => ({
  shear: shear.map((v) => -v),
  moment: moment.map((v) => -v),
  torque,
});
