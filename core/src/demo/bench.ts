/**
 * The Bittern's propellers and packs on the thrust stand: readings by hand, made up. Run 2 of P1 was tared with a cable
 * hanging.
 */
import { emptyRecord, type BenchBody, type TestBody } from '../design';
import { fittedNow, reduceBench } from '../trial';
import { bitternDocument } from './bittern';

/** throttle, V, A, N, rpm, motor °C */
type Reading = [number, number, number, number, number, number];

const P1_A: Reading[] = [
  [0, 16.76, 0.02, -0.01, 0, 13],
  [0.3, 16.71, 0.85, 1.35, 2990, 14],
  [0.45, 16.65, 2.2, 3.02, 4430, 15],
  [0.6, 16.56, 4.57, 5.28, 5830, 16],
  [0.8, 16.38, 9.67, 9.06, 7560, 18],
  [1, 16.09, 17.03, 13.37, 9150, 21],
  [0, 16.69, 0.02, 0.01, 0, 22],
];
const P1_A_TARE: Reading[] = [
  [0, 16.76, 0.02, 0.25, 0, 13],
  [0.3, 16.7, 0.85, 1.59, 2990, 14],
  [0.45, 16.65, 2.2, 3.24, 4430, 15],
  [0.6, 16.56, 4.56, 5.52, 5820, 16],
  [0.8, 16.38, 9.67, 9.25, 7560, 18],
  [1, 16.09, 17.04, 13.63, 9160, 21],
  [0, 16.7, 0.03, 0.23, 0, 22],
];
const P2_A: Reading[] = [
  [0, 16.76, 0.04, 0, 0, 13],
  [0.3, 16.7, 0.98, 1.77, 2970, 14],
  [0.45, 16.64, 2.63, 3.94, 4390, 15],
  [0.6, 16.53, 5.54, 6.81, 5730, 16],
  [0.8, 16.31, 11.63, 11.51, 7420, 18],
  [1, 15.97, 20.46, 16.75, 8910, 22],
  [0, 16.7, 0.02, -0.01, 0, 23],
];
const P3_A: Reading[] = [
  [0, 16.75, 0.02, 0.01, 0, 13],
  [0.3, 16.71, 0.64, 0.86, 3010, 14],
  [0.45, 16.68, 1.56, 1.99, 4500, 14],
  [0.6, 16.61, 3.16, 3.53, 5940, 16],
  [0.8, 16.49, 6.64, 6.17, 7800, 17],
  [1, 16.29, 11.86, 9.36, 9530, 20],
  [0, 16.72, 0.02, -0.02, 0, 20],
];
const P1_B: Reading[] = [
  [0, 16.75, 0.04, -0.01, 0, 13],
  [0.3, 16.7, 0.85, 1.34, 2990, 14],
  [0.45, 16.67, 2.21, 3.02, 4440, 15],
  [0.6, 16.59, 4.58, 5.3, 5830, 16],
  [0.8, 16.45, 9.72, 9.13, 7600, 18],
  [1, 16.22, 17.32, 13.58, 9230, 21],
  [0, 16.73, 0.04, -0.01, 0, 22],
];

const rowsOf = (list: Reading[]): BenchBody['runs'][number]['rows'] =>
  list.map(([throttle, volts, amps, newton, rpm, celsius], i) => [
    10 * i,
    throttle,
    volts,
    amps,
    newton,
    (rpm * Math.PI) / 30,
    celsius + 273.15,
  ]);

function benchTest(
  title: string,
  date: string,
  propeller: string,
  pack: string,
  runs: [name: string, rows: Reading[]][],
  claim: BenchBody['claim'],
  notes: string,
): TestBody {
  const doc = bitternDocument(),
    temperature = 286.15;
  const bench: BenchBody = {
    propeller,
    pack,
    fitted: fittedNow(doc.design, propeller),
    runs: runs.map(([name, rows]) => ({ name, kind: 'table', rows: rowsOf(rows) })),
    claim,
  };
  return {
    card: {
      title,
      question: 'Does the maker’s figure hold, and the computed one?',
      oneChange: '',
      expected: '',
      stopWhen: 'Motor case at 70 °C, anything loose, anybody in the plane of the propeller',
      state: 'ferry',
      overrideReason: '',
    },
    checklist: [],
    signedBy: 'Demo pilot',
    record: emptyRecord({
      flown: true,
      date,
      temperature,
      notes,
    }),
    log: null,
    bench,
    measurements: reduceBench(doc.brief, doc.design, doc.calibration, bench, temperature).measurements,
  };
}

/** Two packs and three propellers, in the order they were run. */
export function bitternBenchTests(): TestBody[] {
  return [
    benchTest(
      'P1 10 × 6, pack A',
      '2026-05-02',
      'prop-10x6',
      'pack-a',
      [
        ['run 1', P1_A],
        ['run 2', P1_A_TARE],
      ],
      { thrust: 16.5, current: 17, volts: 16 },
      'Second run after the cable was moved.',
    ),
    benchTest(
      'P2 11 × 5.5, pack A',
      '2026-05-02',
      'prop-11x5_5',
      'pack-a',
      [['run 1', P2_A]],
      null,
      'Most pull of the three; would it clear the boards?',
    ),
    benchTest('P3 9 × 6 sport, pack A', '2026-05-02', 'prop-9x6', 'pack-a', [['run 1', P3_A]], null, ''),
    benchTest(
      'P1 10 × 6, pack B',
      '2026-05-03',
      'prop-10x6',
      'pack-b',
      [['run 1', P1_B]],
      null,
      'New pack: sags less.',
    ),
  ];
}
