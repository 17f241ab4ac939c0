/**
 * What a load test says: the stiffness of the spar by the slope of what was read over what was expected; its strength by
 * where it broke, or that it is no less than what was held; and what of it proves a state.
 */
import type { Design, LoadTest, Measurement, Member, TestBody } from '../design';
import { stableJson } from '../numeric';
import { say, type Said } from '../words';

/** A tip is read with a ruler to about this share of the whole. Common practice, no source. */
const READ_TO = 0.03;
/** More left after unloading than this share of the largest reading is damage. Common practice, no source. */
const COMES_BACK = 0.05;
/** Further than this share beyond what is expected is the end of the test. */
export const STOP_BEYOND = 0.25;

/** Slope of readings over expectations through nothing, and its spread; null where nothing was read. */
export function bendingRatio({ plan, readings }: LoadTest): { ratio: number; sigma: number } | null {
  const pairs = (plan?.steps ?? []).flatMap((s, i) => {
    const read = readings[i] ?? null;
    return read === null || !(s.tip > 0) ? [] : [{ e: s.tip, r: read }];
  });
  const ee = pairs.reduce((s, p) => s + p.e * p.e, 0);
  if (!(ee > 0)) return null;
  const ratio = pairs.reduce((s, p) => s + p.e * p.r, 0) / ee;
  if (!(ratio > 0)) return null;
  const left = pairs.reduce((s, p) => s + (p.r - ratio * p.e) ** 2, 0),
    scatter = pairs.length > 1 ? Math.sqrt(left / (pairs.length - 1) / ee) : 0;
  return { ratio, sigma: Math.hypot(scatter, READ_TO * ratio) };
}

/** Load factor of the last step that was held; 0 where none was. */
export function heldTo({ plan, held }: LoadTest): number {
  return plan && held > 0 ? plan.steps[Math.min(held, plan.steps.length) - 1].n : 0;
}

/** Measurements of a load test; none before it was done. */
export function loadMeasurements(test: LoadTest): Measurement[] {
  const { plan, broke, direction, kind } = test;
  if (!plan) return [];
  const out: Measurement[] = [],
    from = kind === 'tips' ? 'lifted by the tips' : `bags, ${direction}`,
    whole = { state: 'all', source: 'bench' as const, setAside: false };
  const bent = bendingRatio(test);
  if (bent)
    out.push({
      ...whole,
      quantity: 'sparStiffness',
      value: plan.EI / bent.ratio,
      sigma: (plan.EI * bent.sigma) / bent.ratio ** 2,
      from: `${from}: tip over what was expected`,
    });
  const n = heldTo(test);
  if (broke) {
    const value = (plan.moment * broke.n) / plan.failsAt,
      // it broke between the step that held and the one that did not
      step = Math.max(broke.n - n, 0.05 * broke.n) / 2;
    out.push({
      ...whole,
      quantity: 'sparMoment',
      value,
      sigma: value * (step / broke.n),
      from: `${from}: it broke`,
    });
  } else if (n > 0) {
    const value = (plan.moment * n) / plan.failsAt;
    out.push({
      ...whole,
      quantity: 'sparMoment',
      value,
      sigma: READ_TO * value,
      from: `${from}: held, and no more is known`,
      bound: 'least',
    });
  }
  return out;
}

/** Names and repairs carry nothing. */
const bare = (members: readonly Member[]) => members.map(({ name: _n, repair: _r, ...m }) => m);

/** Whether the wing that was loaded is the one that is drawn. */
export function isOwnWing(design: Pick<Design, 'structure'>, { plan }: Pick<LoadTest, 'plan'>): boolean {
  return plan !== null && stableJson(bare(plan.members)) === stableJson(bare(design.structure.members));
}

/** What is to be said of a test that was done. */
export function loadRemarks(test: LoadTest): Said[] {
  const { plan, readings, remains } = test,
    out: Said[] = [];
  if (!plan) return out;
  const bent = bendingRatio(test);
  if (bent && Math.abs(bent.ratio - 1) > 2 * bent.sigma)
    out.push(say('load-bent', { ratio: bent.ratio, sigma: bent.sigma }));
  const most = Math.max(0, ...readings.map((r) => Math.abs(r ?? 0)));
  if (remains !== null && most > 0 && Math.abs(remains) > COMES_BACK * most)
    out.push(say('load-remains', { remains, most }));
  const beyond = plan.steps.findIndex((s, i) => (readings[i] ?? 0) > (1 + STOP_BEYOND) * s.tip);
  if (beyond >= 0) out.push(say('load-beyond', { step: beyond + 1 }));
  return out;
}

export interface Proof {
  readonly n: number;
  /** all-up mass that it stands for [kg] */ readonly mass: number;
  readonly date: string;
}

type Dated = Pick<TestBody, 'load' | 'record'>;

const ofLoad = (tests: readonly Dated[]) =>
  tests.flatMap((t) => (t.load?.plan && t.record.date ? [{ ...t, load: t.load, plan: t.load.plan }] : []));

/** The highest load upward that was held, since a date where one is given; null where none was. */
export function proofOf(tests: readonly Dated[], since = ''): Proof | null {
  let best: Proof | null = null;
  for (const { load, plan, record } of ofLoad(tests)) {
    const up = load.direction === 'up' || load.kind === 'tips',
      n = heldTo(load);
    if (!up || load.broke || !(n > 0) || record.date < since) continue;
    if (!best || n * plan.mass > best.n * best.mass) best = { n, mass: plan.mass, date: record.date };
  }
  return best;
}

/** Day on which the wing last broke under load; null where it never did. */
function brokeOn(tests: readonly Dated[]): string | null {
  const days = ofLoad(tests).flatMap((t) => (t.load.broke ? [t.record.date] : []));
  return days.sort().at(-1) ?? null;
}

/** Half a per cent: a proof that was met is met. */
const MET = 0.995;

/**
 * What proofs and repairs forbid.
 * @param mass all-up of the state [kg] @param asked load factor
 */
export function proofStops(
  design: Pick<Design, 'structure'>,
  all: readonly Dated[],
  mass: number,
  asked: number,
): Said[] {
  const out: Said[] = [],
    { members } = design.structure,
    // what proved or broke another wing says nothing of this one
    tests = all.filter((t) => t.load && isOwnWing(design, t.load));
  const enough = (p: Proof | null) => p !== null && (p.n * p.mass) / mass >= MET * asked;
  for (const { name, repair } of members)
    if (repair && repair.reason.trim() === '' && !enough(proofOf(tests, repair.date)))
      out.push(say('stop-repaired', { member: name, date: repair.date, asked }));
  const broke = brokeOn(tests),
    mended = members.some((m) => broke !== null && m.repair && m.repair.date >= broke);
  if (broke !== null && !mended) out.push(say('stop-broke', { date: broke }));
  const proof = proofOf(tests);
  if (proof && !enough(proof))
    out.push(say('stop-past-proof', { ...proof, now: (proof.n * proof.mass) / mass, weighs: mass, asked }));
  return out;
}
