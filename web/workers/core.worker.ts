/** Runs the core off the page's thread. One cache per worker: unchanged steps are reused between calls. */
import {
  assess,
  assessQuickly,
  missingPolars,
  modelOf,
  type Ledger,
  StepCache,
} from '@skiametra/core/assess';
import {
  fitSwap,
  growthReport,
  layoutAdvice,
  layoutReport,
  loadPlan,
  missionReport,
  armsOf,
  byMass,
  powerReport,
  rotorReport,
  rubberAdvice,
  soldReport,
  structureReport,
  tryChanges,
} from '@skiametra/core/views';
import {
  analyseAngles,
  flowPicture,
  modelOptions,
  prepareContour,
  rememberPolar,
} from '@skiametra/core/section';
import { adviseNext, calibrate, effectOf, explainDifference } from '@skiametra/core/refine';
import { hasWing } from '@skiametra/core/design';
import { LAYOUT_TEMPLATES } from '@skiametra/core/layout';
import { matchOne, matchSummary, prepareMatch, type MatchBench, type PartsList } from '@skiametra/core/power';
import { reduceBench } from '@skiametra/core/trial';
import { dropPlaces } from '@skiametra/core/mission';
import { fieldScores, QUANTITIES, scoresUnderRules } from '@skiametra/core/assess';
import {
  flyableWinner,
  limitingChain,
  scoresOf,
  studyTask,
  sweepCells,
  worthOf,
} from '@skiametra/core/trade';
import { LOG_FORMATS, normalFrom, simulateFlight } from '@skiametra/devices';
import type { Answers, Job, Reply } from './jobs';
import { polarOfSpec } from './polarOfSpec';
import { specKey } from './specKey';

/** What the simulated logger does wrong, so that a person sees it put right. */
const SOME_FAULTS = { gaps: 1, spikes: 2, repeats: 1 };

const cache: StepCache = new StepCache();
/** Cells and samples are many: they do not push what is shown out of the other one. */
const studied: StepCache = new StepCache();
/** The same samples for every list of the same document. */
const WORTH_SEED = 1;
let last: Ledger | null = null;
let matching: { key: string; bench: MatchBench } | null = null;

/** Propeller tables of a parts list, made once for all its slices. */
function benchOf(parts: PartsList): MatchBench {
  const key = JSON.stringify(parts.propellers.map((p) => p.data));
  if (matching?.key !== key) matching = { key, bench: prepareMatch(parts) };
  return matching.bench;
}

/** The flow at every asked angle; none for thin sheets, which are not computed this way. */
function picturesOf(j: Extract<Job, { task: 'pictures' }>): Answers['pictures'] {
  const model = modelOf(j.section);
  if (model.flow.kind !== 'coupled') return j.alphas.map(() => null);
  const found = analyseAngles(
    prepareContour(model.flow.contour),
    j.reynolds,
    j.alphas,
    modelOptions(model, { nCrit: j.nCrit, tripUpper: j.tripUpper, tripLower: j.tripLower }),
  );
  return found.map((p) => p.settled && flowPicture(p.settled.prep, p.settled.state, j.reynolds));
}

function worthIn(j: Extract<Job, { task: 'worth' }>): Answers['worth'] {
  const worth = worthOf(j.document, j.state, studied, { normal: normalFrom(WORTH_SEED) }),
    nameOf = (id: string) => QUANTITIES[id as keyof typeof QUANTITIES].name.toLowerCase();
  return { worth, limits: limitingChain(j.document, worth, nameOf, studied) };
}

function taskOf(j: Pick<Extract<Job, { task: 'cells' }>, 'document' | 'study'>) {
  const read = studyTask(j.document, j.study);
  if (read.status === 'error') throw new Error(read.message);
  return read.task;
}

const run: { [K in Job['task']]: (job: Extract<Job, { task: K }>) => Answers[K] } = {
  assess: (j) => {
    const ledger = assess(j.document.brief, j.document.design, j.document.calibration, cache);
    last = ledger.stopped ? null : ledger;
    return ledger;
  },
  assessQuickly: (j) =>
    last && assessQuickly(j.document.brief, j.document.design, j.document.calibration, cache, last),
  missing: (j) => missingPolars(j.document.design),
  remember: (j) => {
    for (const [key, polar] of j.entries) rememberPolar(key, polar);
    return j.entries.length;
  },
  polar: (j) => ({ key: specKey(j.spec), polar: polarOfSpec(j.spec) }),
  pictures: picturesOf,
  calibrate: (j) => calibrate(j.prior, j.observed, j.from, cache),
  effect: (j) => effectOf(j.document, j.document.calibration, j.fix, cache),
  explain: (j) => explainDifference(j.before, j.after, j.keys, cache),
  advise: (j) => adviseNext(j.document, j.ledger, j.notes),
  layout: (j) =>
    hasWing(j.document.design)
      ? layoutReport(j.document, j.ledger, j.loading, cache, { stall: j.stall })
      : null,
  byMass: (j) => byMass(j.document, j.loading, cache),
  rotors: (j) => rotorReport(j.document, j.ledger, j.loading, cache),
  mission: (j) => missionReport(j.document, j.ledger, { mission: j.mission, state: j.loading }, cache),
  drops: (j) => dropPlaces(j.drop, j.spread, normalFrom(j.seed), j.count),
  layoutAdvice: (j) =>
    layoutAdvice(j.document.brief, j.document.design, j.document.calibration, j.ledger, j.loading, cache),
  growth: (j) => growthReport(j.document.brief, j.document.design, j.document.calibration, cache),
  template: (j) => LAYOUT_TEMPLATES.find((t) => t.id === j.id)!.make(j.design),
  power: (j) =>
    powerReport(j.document.brief, j.document.design, j.document.calibration, j.ledger, j.loading, cache),
  structure: (j) => ({
    wing: structureReport(j.document.brief, j.document.design, j.document.calibration, j.loading, cache),
    arms: armsOf(j.document, j.loading, cache),
  }),
  loadPlan: (j) => loadPlan(j.document, j.loading, j.load, cache),
  sold: (j) => soldReport(j.document, j.member, j.kind, cache),
  fitSwap: (j) =>
    fitSwap(j.document.brief, j.document.design, j.document.calibration, j.ledger, j.swap, cache),
  rubberAdvice: (j) =>
    rubberAdvice(j.document.brief, j.document.design, j.document.calibration, j.loading, cache),
  match: (j) => matchSummary(j.parts, benchOf(j.parts), j.match, j.from, j.to),
  matchOne: (j) => matchOne(j.parts, benchOf(j.parts), j.match, j.index),
  tryChanges: (j) =>
    tryChanges(j.document.brief, j.document.design, j.document.calibration, j.changes, cache),
  worth: worthIn,
  cells: (j) => sweepCells(taskOf(j), j.indices, studied),
  winner: (j) => flyableWinner(taskOf(j), j.cells, j.study.show, studied),
  rules: (j) => scoresUnderRules(j.document, j.others, studied),
  scores: (j) => scoresOf(j.document, j.loading, j.changes, studied),
  field: (j) => fieldScores(j.brief, j.entrants, studied),
  bench: (j) =>
    reduceBench(j.document.brief, j.document.design, j.document.calibration, j.bench, j.temperature),
  fly: (j) =>
    LOG_FORMATS[j.format].write(
      simulateFlight(j.document, j.loading, { laps: j.laps, seed: j.seed, polar: true, faults: SOME_FAULTS })
        .log,
    ),
};

self.onmessage = (event: MessageEvent<{ id: number; job: Job }>) => {
  const { id, job } = event.data;
  let reply: Reply;
  try {
    reply = { id, status: 'done', value: (run[job.task] as (j: Job) => Answers[Job['task']])(job) };
  } catch (e) {
    reply = { id, status: 'failed', message: e instanceof Error ? e.message : String(e) };
  }
  self.postMessage(reply);
};
