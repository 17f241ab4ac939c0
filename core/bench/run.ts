/**
 * The performance budget as one JSON table. Each row is a median over repeats in this run; `ratio` is against one
 * dense 200 x 200 `luInPlace` of the same run, so that machines can be compared. Speed is judged by ratios.
 */
import { assess, assessQuickly, evaluate, modelOf, StepCache, type QuantityRef } from '../src/assess';
import { runOf } from '../src/assess';
import { Slopes } from '../src/assess/uncertainty';
import { boundFlights, READ } from '../src/steps';
import { dropPlaces, fallOf, footprintOf } from '../src/mission';
import { axisOf, leverOf, sweepCell, worthOf, type SweepTask } from '../src/trade';
import { layoutReport, powerReport, soldReport } from '../src/views';
import { bitternDocument, craneDocument, dunlinDocument, gnatDocument } from '../src/demo';
import { priorCalibration, setPath, powertrainOf } from '../src/design';
import { luInPlace } from '../src/numeric';
import { partsFor } from '../src/mass';
import {
  buildDrive,
  combinationCount,
  matchSummary,
  operate,
  operateForThrust,
  prepareMatch,
  propellerCurve,
  simulateDischarge,
} from '../src/power';
import { cleanLog, reduceFlight, type FlightLog } from '../src/log';
import { calibrate } from '../src/refine';
import {
  analyseAngles,
  modelPolars,
  naca4,
  polarOfPrepared,
  prepareContour,
  TABLE_POINTS,
} from '../src/section';
import {
  bodySlopes,
  coupleStrips,
  derivativesOf,
  linearAero,
  solveLattice,
  solveTrim,
  stripSections,
  sweepStall,
} from '../src/surface';

function median(task: (k: number) => unknown, repeats: number): number {
  task(-1);
  const times = Array.from({ length: repeats }, (_, k) => {
    const t = performance.now();
    task(k);
    return performance.now() - t;
  });
  return times.sort((a, b) => a - b)[repeats >> 1];
}

/** A fixed, well-conditioned dense matrix, row after row. */
const N = 200;
const matrix = Float64Array.from({ length: N * N }, (_, p) => {
  const i = Math.floor(p / N),
    j = p % N;
  return Math.sin(1 + i * 7 + j * 3) + (i === j ? 20 : 0);
});

const doc = bitternDocument();
const contours = new Map([
  ['wing-section', naca4('4412')],
  ['tail-section', naca4('0009')],
]);
const drive = buildDrive(powertrainOf(doc.design), 1.225, { thrust: 1, electricalLoss: 1, capacity: 1 });
const warm = new StepCache();
assess(doc.brief, doc.design, doc.calibration, warm);

const polars = new Map(
  doc.design.sections.map((s) => [s.id, modelPolars(modelOf(s, TABLE_POINTS), [1e5, 2e5])]),
);
const solved = solveLattice(doc.design, contours),
  coupled = coupleStrips(solved),
  aero = linearAero(solved, 0, 0);
const ledger = assess(doc.brief, doc.design, doc.calibration, warm);

/** The pack seven grams heavier for every repeat. */
const heavier = (k: number) => setPath(doc.design, 'items.battery.weighed', 0.35 + 0.007 * k);
const five: QuantityRef[] = (['stallSpeed', 'glideRatio', 'lapTime', 'staticMargin', 'mass'] as const).map(
  (id) => ({ id, state: 'tubes-8' }),
);

const parts = partsFor(doc.design),
  match = powerReport(doc.brief, doc.design, doc.calibration, ledger, 'tubes-8', warm).match!,
  benchOfParts = prepareMatch(parts);
const gnat = gnatDocument(),
  gnatCache = new StepCache();
assess(gnat.brief, gnat.design, gnat.calibration, gnatCache);

const dunlin = dunlinDocument(),
  crane = craneDocument();
for (const d of [dunlin, crane]) assess(d.brief, d.design, d.calibration, warm);

/** Spreads of what is read off one step of a state, with one number of the design moved. */
function spreadsOf(
  d: typeof dunlin,
  path: string,
  value: number,
  step: typeof READ.changeTime.step,
  state: string,
) {
  const { brief, design } = setPath(d, path, value),
    slopes = new Slopes(runOf({ brief, design }, d.calibration, warm), d.calibration);
  return slopes.spreadsOf(step, state);
}

/** Drops of a footprint, in plain figures. */
function footprint(count: number) {
  let k = 0;
  const normal = () => Math.sin(++k) * Math.SQRT2,
    drop = { height: 25, airspeed: 6, mass: 0.3, dragArea: 0.01, density: 1.225 },
    spread = { height: 1, speed: 0.5, wind: 1, time: 0.1 };
  return footprintOf(dropPlaces(drop, spread, normal, count), fallOf(drop), 3);
}

/** Cells of sweeps as the Trade station walks them: the score, with every limit of the state. */
const sweepOver = (id: string, from: number, to: number): SweepTask => ({
  doc,
  axes: [axisOf(leverOf(doc, id)!, from, to, 60)],
  state: 'tubes-8',
  show: ['score'],
});
const newWing = sweepOver('design.surfaces.wing.stations.0.chord', 0.26, 0.3),
  newThrottle = sweepOver('design.flight.lapThrottle', 0.5, 0.9),
  newCount = sweepOver('design.payload.unitMass', 0.05, 0.12);
/** Normal-looking numbers, the same every time. */
const normals = () => {
  let k = 0;
  return () => Math.sin(++k * 12.9898) * Math.SQRT2;
};

const lu = median(() => luInPlace(matrix.slice(), N), 31);
/** Circles at 14 m/s, fifty rows a second. */
function circlingLog(rows: number): FlightLog {
  const t = Float64Array.from({ length: rows }, (_, i) => 0.02 * i),
    of = (f: (t: number, i: number) => number) => t.map(f),
    noise = (i: number) => 0.1 * Math.sin(12.9898 * i + 0.017 * i * i);
  return {
    t,
    channels: {
      east: of((s, i) => 3 * s + 47 * Math.sin(0.3 * s) + noise(i)),
      north: of((s, i) => -47 * Math.cos(0.3 * s) + noise(i + 7)),
      height: of((s, i) => 40 + noise(i + 3)),
      groundSpeed: of((s, i) => Math.hypot(3 + 14 * Math.cos(0.3 * s), 14 * Math.sin(0.3 * s)) + noise(i)),
      track: of((s) => Math.atan2(3 + 14 * Math.cos(0.3 * s), 14 * Math.sin(0.3 * s))),
      airspeed: of((_, i) => 14 + noise(i + 1)),
      ax: of((_, i) => noise(i)),
      ay: of((_, i) => noise(i)),
      az: of((_, i) => 10 + noise(i)),
      volts: of(() => 15.8),
      amps: of((_, i) => 12 + noise(i)),
      throttle: of(() => 0.6),
    },
    events: [],
    begun: null,
  };
}
const longLog = circlingLog(100_000),
  cleanedLog = cleanLog(longLog).log;

const rows: Record<string, [ms: number, note: string]> = {
  'lu 200x200': [lu, 'the yardstick'],
  'assess, first time': [
    median(() => assess(doc.brief, doc.design, doc.calibration), 5),
    'demo, ten states, uncertainty of every number, empty cache but for the section polars',
  ],
  'assess, mass edited': [
    median((k) => assess(doc.brief, heavier(k), doc.calibration, warm), 15),
    'demo, sections and lattice reused',
  ],
  'numbers first, mass edited': [
    median((k) => assessQuickly(doc.brief, heavier(k + 0.5), doc.calibration, warm, ledger), 15),
    'the same without new uncertainties: what an edit shows at once',
  ],
  'numbers first, wing edited': [
    median(
      (k) =>
        assessQuickly(
          doc.brief,
          setPath(doc.design, 'surfaces.wing.stations.0.chord', 0.25 + 1e-4 * k),
          doc.calibration,
          warm,
          ledger,
        ),
      7,
    ),
    'lattice, coupled strips and drag tables made anew',
  ],
  'assess, wing edited': [
    median(
      (k) =>
        assess(
          doc.brief,
          setPath(doc.design, 'surfaces.wing.stations.0.chord', 0.27 + 1e-4 * k),
          doc.calibration,
          warm,
        ),
      7,
    ),
    'demo, sections reused',
  ],
  'assess, payload renamed': [
    median(
      (k) => assess(doc.brief, setPath(doc.design, 'payload.name', `Tube ${k}`), doc.calibration, warm),
      9,
    ),
    'nothing is computed again',
  ],
  'evaluate five, wing edited': [
    median(
      (k) =>
        evaluate(
          { ...doc, design: setPath(doc.design, 'surfaces.wing.stations.0.chord', 0.29 + 1e-4 * k) },
          five,
          warm,
        ),
      7,
    ),
    'five numbers of one state, as a search asks for them',
  ],
  'evaluate five, throttle edited': [
    median(
      (k) =>
        evaluate({ ...doc, design: setPath(doc.design, 'flight.lapThrottle', 0.5 + 1e-3 * k) }, five, warm),
      15,
    ),
    'thrust at the new throttle, and laps with it',
  ],
  'sweep cell, wing edited': [
    median((k) => sweepCell(newWing, k + 1, warm), 21),
    'the score of a state and all its limits, with a new lattice',
  ],
  'sweep cell, throttle edited': [
    median((k) => sweepCell(newThrottle, k + 1, warm), 41),
    'the same with thrust at a new throttle',
  ],
  'sweep cell, payload edited': [
    median((k) => sweepCell(newCount, k + 1, warm), 41),
    'the same with another mass of a unit',
  ],
  'worth list': [
    median(
      (k) => worthOf({ ...doc, design: heavier(20 + k) }, 'tubes-8', new StepCache(), { normal: normals() }),
      3,
    ),
    'one step of every input of the demo, the best at samples of all that is not known; with an empty cache',
  ],
  'load cases with uncertainty': [
    median((k) => {
      const design = setPath(doc.design, 'structure.requiredLoadFactor', 4 + 1e-3 * k),
        slopes = new Slopes(runOf({ brief: doc.brief, design }, doc.calibration, warm), doc.calibration);
      return doc.design.states.map((s) => slopes.spreadsOf(READ.caseFactor.step, s.id));
    }, 15),
    'eight cases of ten states along the span, on both sides of every cause',
  ],
  'envelope on rotors with uncertainty': [
    median(
      (k) => spreadsOf(dunlin, 'design.flight.lean', 0.6 + 1e-3 * k, READ.rotorTopSpeed.step, 'darts-16'),
      15,
    ),
    'one state: flight over speed on both sides of every cause',
  ],
  'envelope on the wing with uncertainty': [
    median(
      (k) => spreadsOf(doc, 'design.flight.reserve', 0.15 + 1e-4 * k, READ.cruiseLongest.step, 'tubes-8'),
      15,
    ),
    'one state: level power over speed, longest and farthest, on both sides of every cause',
  ],
  'corridor with uncertainty': [
    median(
      (k) =>
        spreadsOf(
          crane,
          'design.dragItems.0.dragArea',
          0.002 + 1e-6 * k,
          READ.changeTime.step,
          'cruise-full',
        ),
      15,
    ),
    'one state: shares over speed, two changes, on both sides of every cause',
  ],
  'mission of 46 legs with uncertainty': [
    median(
      (k) =>
        spreadsOf(
          doc,
          'brief.missions.relay.rounds.crossing.legs.hand-over.time',
          18 + 1e-3 * k,
          boundFlights,
          'all',
        ),
      15,
    ),
    'a leg edited: charge, heat, volts and margins of every leg, on both sides of every cause',
  ],
  'footprint of 10,000 drops': [median(() => footprint(10_000), 5), 'with drag, in the browser in a worker'],
  'what is sold, 1649 built spars': [
    median(() => soldReport(doc, 'spar', 'built', warm), 5),
    'caps of strips over webs, as deep as the section, ranked for every case of every state',
  ],
  'section polar, 37 points': [
    median(
      () =>
        analyseAngles(
          prepareContour(naca4('4412')),
          2e5,
          Array.from({ length: 37 }, (_, i) => ((i - 8) * Math.PI) / 360),
        ),
      3,
    ),
    '-4 to 14 degrees by a half at Re 2e5, 160 points, coupled; panels and their response included',
  ],
  'section table': [
    median(() => polarOfPrepared(prepareContour(naca4('4412', TABLE_POINTS)), 2e5), 3),
    'both stalls at one Reynolds number, 100 points, as the assessment uses it',
  ],
  lattice: [median(() => solveLattice(doc.design, contours), 9), 'wing and tail, 88 panels a side'],
  'trim and derivatives': [
    median(() => {
      const l = solveLattice(doc.design, contours),
        b = bodySlopes(doc.design, l),
        t = solveTrim(linearAero(l, b.pitch, 0), 0.6, 0.4);
      return derivativesOf(l, { ...t, x: 0.4, z: 0 }, b);
    }, 9),
    'demo from its shape: lattice of 194 panels, both flows, body, trim, all first-order derivatives',
  ],
  'stall sweep': [
    median(
      () =>
        sweepStall({
          coupled,
          sections: stripSections(coupled, polars, (c) => 6e5 * c),
          design: doc.design,
          aero,
          x: 0.4,
          z: 0,
        }),
      5,
    ),
    '31 angles, 24 strips a side at their sections’ lift, lattice reused',
  ],
  'layout report': [
    median(() => layoutReport(doc, ledger, 'tubes-8', warm), 5),
    'one state, lattice and sections reused',
  ],
  'operating point': [
    median(() => {
      for (let i = 0; i < 100; i++) operate(drive, 0.8, i / 5);
    }, 9) / 100,
    'one throttle and speed',
  ],
  'operating point for a thrust': [
    median(() => {
      for (let i = 0; i < 100; i++) operateForThrust(drive, 4, 5 + i / 5);
    }, 9) / 100,
    'rpm, current and duty that give it',
  ],
  'propeller table': [
    median(() => propellerCurve({ diameter: 0.254, pitch: 0.127, blades: 2 }), 9),
    'blade elements, 22 advance ratios at two tip speeds',
  ],
  discharge: [
    median(() => simulateDischarge(drive, [{ seconds: 3600, speed: 14, thrust: 4 }], 288, 1, 5), 9),
    'a pack run down in 5 s steps, motor heat with it',
  ],
  'match, all combinations': [
    median(() => matchSummary(parts, benchOfParts, match, 0, combinationCount(parts)), 3),
    `${combinationCount(parts)} combinations on one core; the page spreads them over workers`,
  ],
  'power report': [
    median(() => powerReport(doc.brief, doc.design, doc.calibration, ledger, 'tubes-8', warm), 5),
    'chain, sweeps, two discharges, torque, supply, phases',
  ],
  'assess, rubber edited': [
    median(
      (k) =>
        assess(
          gnat.brief,
          setPath(gnat.design, 'power.rubber.length', 0.38 + 1e-5 * k),
          gnat.calibration,
          gnatCache,
        ),
      5,
    ),
    'indoor model: two states flown on rubber, uncertainty of every number',
  ],
  calibrate: [
    median(
      () =>
        calibrate(
          priorCalibration(),
          [
            {
              brief: doc.brief,
              design: doc.design,
              measurements: [
                {
                  quantity: 'lapTime',
                  state: 'tubes-6',
                  value: 27,
                  sigma: 0.3,
                  source: 'timed',
                  from: '',
                  setAside: false,
                },
              ],
            },
          ],
          [],
          warm,
        ),
      3,
    ),
    'one flight, three rounds',
  ],
  logClean: [median(() => cleanLog(longLog), 3), '100,000 rows of 12 channels: faults found'],
  logReduce: [
    median(() => reduceFlight(cleanedLog, { mass: 1, area: 0.3, density: null }), 3),
    'the same: segments and results',
  ],
};

console.log(
  JSON.stringify(
    {
      node: process.version,
      rows: Object.entries(rows).map(([name, [ms, note]]) => ({
        name,
        medianMs: Number(ms.toPrecision(3)),
        ratio: Number((ms / lu).toPrecision(3)),
        note,
      })),
    },
    null,
    2,
  ),
);
