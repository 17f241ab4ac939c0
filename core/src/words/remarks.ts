/** Words that stand with a number: what must be said with it. */
const nothing = (text: string) => (_: object) => text;

export const REMARK_WORDS = {
  'level-not-held': nothing('Full throttle does not hold level flight.'),
  'lift-motors-weak': nothing('The lift motors cannot hold this weight.'),
  'nothing-brakes': nothing('Nothing brakes it: it rolls on.'),
  'turn-weak': nothing('Full throttle does not hold the speed in the turn; the real lap is slower.'),
  'wind-too-strong': nothing('The wind is not below the airspeed: the lap is never finished.'),
  'inner-wing-stalls': nothing(
    'In the turn as it is banked the inner wing stalls at the speed flown: bank less, or fly faster.',
  ),
  'turn-near-stall': nothing('The lap turn is flown within 10 % of the stall: less bank or more speed.'),
  'throttle-not-held': nothing(
    'The lap throttle does not hold this state level; the numbers that follow assume 1.1 times the stall speed.',
  ),
  'glide-speed': nothing('No motor: the speed of the best glide.'),
  'over-full-throttle': nothing('More than full throttle would be needed.'),
  'pack-ends-laps': nothing('The pack, not the clock, ends the laps.'),
  'laps-not-begun': nothing('It does not climb: the laps are never begun.'),
  'rough-section': (f: { name: string; warning: string }) =>
    `Section ${f.name} is known only roughly here. ${f.warning}`.trim(),
  'reserve-not-settled': nothing(
    'Past the first stall the flow does not settle in the computation: this angle is a guess. Stall the aircraft high up ' +
      'and see when the ailerons stop answering.',
  ),
  'stall-not-settled': nothing(
    'The flow did not settle up to the stall: this is the largest lift that was found.',
  ),
  'does-not-fly': nothing('It does not hold itself up: more torque, less weight or more wing.'),
  'under-ceiling': nothing('It reaches the ceiling and stays under it; what hangs there ends such flights.'),
  'ceiling-below': nothing('The ceiling is below this.'),
  'two-wings': (f: { names: readonly string[] }) =>
    `Reference: ${f.names.join(' and ')} together; span and mean chord of the front one.`,
  'never-airborne': nothing('Thrust does not overcome friction and drag: it never leaves the ground.'),
  'bends-dihedral': nothing(
    'In flight it has this much more dihedral than on the bench, and twice that in a turn at twice the weight: rig it for flight, and where it droops when pushed, expect the roll to loosen.',
  ),
  'no-spread': nothing('Its uncertainty could not be found; it may be as large as the number itself.'),
  'no-flow': (f: { section: string }) =>
    `no flow about section ${f.section} could be found; look at its outline`,
  'no-number': (f: { name: string }) =>
    `${f.name} does not come to a number; check the sizes that were entered last.`,
  /** a fault that the computation names itself */
  fault: (f: { text: string; of: string; fields: Readonly<Record<string, unknown>> }) => f.text,
  stopped: (
    f: { why: { code: string; fields: Readonly<Record<string, unknown>> } },
    s: { said(x: { code: string; fields: Readonly<Record<string, unknown>> }): string },
  ) => `The computation stopped: ${s.said(f.why)}.`,
};
