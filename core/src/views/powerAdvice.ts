/**
 * Longer jobs of the Power station, run when asked: what a swap does to every number, and what a rubber flyer
 * would try next.
 */
import { say, sentence, type Said } from '../words';
import { setPath, type Brief, type Calibration, type Design, type Swap, powertrainOf } from '../design';
import { fitChanges } from '../mass';
import { DomainError } from '../numeric';
import { flaringCurves, rubberTrials, type RubberTrial } from '../power';
import { bladeSpeed, flyRubber, speeds } from '../steps';
import { assess, runOf } from '../assess';
import { keyOf, type Fix, type Ledger, type LedgerEntry } from '../assess';
import { rubberCase } from './rubberCase';
import type { StepCache } from '../assess';

type Place = Pick<LedgerEntry, 'id' | 'state' | 'part'>;
const placeOf = ({ id, state, part }: Place): Place => ({ id, state, part });

export interface SwapEffect {
  fix: Fix;
  /** numbers before and after, in the order of the ledger */ changes: (Place & {
    before: number;
    after: number;
    sigma: number;
  })[];
  findings: Said[];
}

/** Fits a part of the swap set on paper. @throws DomainError for an unknown part */
export function fitSwap(
  brief: Brief,
  design: Design,
  cal: Calibration,
  ledger: Ledger,
  swap: Swap,
  cache: StepCache,
): SwapEffect {
  const fix: Fix = { label: say('fit-part', { part: swap.label }), changes: fitChanges(design, swap) };
  const next = fix.changes.reduce((d, c) => setPath(d, c.path, c.value), design);
  const after = assess(brief, next, cal, cache);
  const old = new Map(ledger.entries.map((e) => [keyOf(e), e.value])),
    had = new Set(ledger.findings.map((f) => sentence(f)));
  return {
    fix,
    changes: after.entries.flatMap((e) => {
      const before = old.get(keyOf(e));
      return before === undefined || Math.abs(e.value - before) <= 1e-3 * Math.max(Math.abs(before), 1e-9)
        ? []
        : [{ ...placeOf(e), before, after: e.value, sigma: e.sigma }];
    }),
    findings: after.findings.filter((f) => !had.has(sentence(f)) && f.severity !== 'ask'),
  };
}

export interface Trial {
  values: (Place & { value: number; sigma: number })[];
  thrust: { x: number[]; y: number[] } | null;
  findings: Said[];
  stopped: Said | null;
}

/**
 * A design with changes, assessed: its numbers, its full-throttle curve and what is wrong with its power, flight
 * and balance, the worst first.
 */
export function tryChanges(
  brief: Brief,
  design: Design,
  cal: Calibration,
  changes: readonly { path: string; value: unknown }[],
  cache: StepCache,
): Trial {
  const next = changes.reduce((d, c) => setPath(d, c.path, c.value), design),
    l = assess(brief, next, cal, cache),
    thrust = l.curves.find((c) => c.id === 'thrust');
  return {
    values: l.entries.map((e) => ({ ...placeOf(e), value: e.value, sigma: e.sigma })),
    thrust: thrust ? { x: [...thrust.x], y: [...thrust.y] } : null,
    findings: l.findings
      .filter((f) => ['power', 'flight', 'balance'].includes(f.station) && f.severity !== 'ask')
      .sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop')),
    stopped: l.stopped,
  };
}

/** @throws DomainError when the design has no rubber motor or the state is unknown */
export function rubberAdvice(
  brief: Brief,
  design: Design,
  cal: Calibration,
  loadingId: string,
  cache: StepCache,
): RubberTrial[] {
  const r = powertrainOf(design).rubber,
    loading = design.states.find((l) => l.id === loadingId);
  if (!r || !loading) throw new DomainError('unknown-name', 'this design has no rubber motor');
  const run = runOf({ brief, design }, cal, cache).inState(loadingId),
    of = rubberCase(run, loading.id, r);
  const bladesFor = (pitch: number, flare: number) =>
    pitch === r.propeller.pitch && flare > 0 === r.flare > 0
      ? of.blades
      : flaringCurves({ ...r.propeller, pitch }, bladeSpeed(run.of(speeds).usual), flare);
  return rubberTrials({ ...r, pitch: r.propeller.pitch }, (motor, pitch, flare) =>
    flyRubber(of, { motor, flare, blades: bladesFor(pitch, flare) }),
  );
}
