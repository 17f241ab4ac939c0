/** The Bittern with a sleeve in the root of its spar: twelve tubes at the load factor asked, and the load test that proved it. */
import { emptyRecord, type DesignDocument, type Member, type TestBody } from '../design';
import { loadMeasurements } from '../trial';
import { bitternDocument } from './bittern';

const SLEEVE: Member = {
  id: 'sleeve',
  name: 'Root sleeve',
  surface: 'wing',
  chordPlace: 0.28,
  to: 0.18,
  shape: { kind: 'tube', outer: 0.008, wall: 0.001, material: 'carbon-tube' },
};

/** Twelve grams of tube inside the tube, out to 180 mm. */
export function sleevedDocument(): DesignDocument {
  const doc = bitternDocument(),
    { structure } = doc.design;
  return {
    ...doc,
    design: { ...doc.design, structure: { ...structure, members: [...structure.members, SLEEVE] } },
  };
}

/** Bags at four places of each half, for twelve tubes; the tip went a little further than the drawing said. */
export function sleeveTest(): TestBody {
  const load: NonNullable<TestBody['load']> = {
    kind: 'bags',
    direction: 'up',
    to: 4,
    bag: 0.1,
    count: 4,
    // as it was planned on the day
    plan: {
      places: [0.1, 0.3, 0.5, 0.7],
      steps: [
        { n: 1.28, bags: [0.3, 0.3, 0.3, 0.2], tip: 0.0237 },
        { n: 2.12, bags: [0.5, 0.6, 0.5, 0.4], tip: 0.0442 },
        { n: 3.03, bags: [0.8, 0.8, 0.8, 0.6], tip: 0.0667 },
        { n: 3.68, bags: [1, 1, 0.9, 0.8], tip: 0.0832 },
        { n: 4.07, bags: [1.1, 1.1, 1, 0.9], tip: 0.0929 },
      ],
      failsAt: 6.69,
      moment: 27.3,
      EI: 29.9,
      mass: 3.004,
      members: sleevedDocument().design.structure.members,
      short: [{ from: 0.667, to: 0.7, share: 0.08 }],
    },
    readings: [0.025, 0.047, 0.071, 0.088, 0.099],
    held: 5,
    remains: 0.001,
    broke: null,
  };
  return {
    card: {
      title: 'Bags to 4 g, wing turned over',
      question: 'Does the sleeved spar bear twelve tubes at 4 g?',
      oneChange: 'Sleeve in the root of the spar',
      expected: 'Tip 93 mm down in the last step, nothing left after unloading',
      stopWhen: 'Tip 25 % further than expected, or anything creaks',
      state: 'tubes-12',
      overrideReason: '',
    },
    checklist: [],
    signedBy: 'Demo pilot',
    record: {
      ...emptyRecord({ temperature: 291.15 }),
      flown: true,
      date: '2026-05-23',
      notes: 'Held every step for a minute. Came back to a millimetre.',
    },
    log: null,
    measurements: loadMeasurements(load),
    load,
  };
}
