/**
 * What each handling note most often comes from, and the test that tells it from the next cause. Trade knowledge, common
 * practice, no source; one change a flight.
 */
import { say, type Said } from '../words';
import { entryOf, type Fix, type Ledger, type QuantityId } from '../assess';
import { powertrainOf, type Design, type Handling, thrustersOf, drivesOf } from '../design';

const DEG = Math.PI / 180;

export interface Symptom {
  cause: string;
  /** what to do to tell it from the next likely cause */ test: string;
  /** the smallest change worth a flight; null where the test comes first */ fix(design: Design): Fix | null;
}

/** Stabiliser turned by so much, leading edge up positive [rad]. */
function turnStabiliser(design: Design, by: number): Fix | null {
  const tail = design.surfaces.find((s) => s.role === 'tail');
  if (!tail) return null;
  return {
    label: say('turn-stabiliser', { by }),
    changes: [{ path: `surfaces.${tail.id}.incidence`, value: tail.incidence + by }],
  };
}

function moreDownThrust(design: Design): Fix | null {
  if (powertrainOf(design).unpowered) return null;
  const shafts = thrustersOf(design, drivesOf(design).forward!.id);
  return {
    label: say('more-down-thrust', { by: 1.5 * DEG }),
    changes: shafts.map((t) => ({ path: `thrusters.${t.id}.down`, value: (t.down ?? 0) + 1.5 * DEG })),
  };
}

const none = () => null;
const SIDEWAYS: Omit<Symptom, 'cause'> = {
  test:
    'Motor off, fly slow and then fast: a pull that grows with speed is a warp or a turned fin, one that ' +
    'is worst when slow is weight on one side, one that goes with the throttle is the thrust line. Weigh ' +
    'the wing halves and measure both twists.',
  fix: none,
};

export const SYMPTOMS: Readonly<Record<Exclude<Handling, 'as expected'>, Symptom>> = {
  'nose-heavy': {
    cause: 'The CG lies ahead of where this pilot wants it, or the stabiliser is set for a faster flight.',
    test: 'Trim level, dive 30° and let go: a hard pull-out is a CG far forward, a straight line one far aft.',
    fix: none,
  },
  'tail-heavy': {
    cause: 'The CG lies behind where the elevator can be flown gently.',
    test:
      'Trim level, dive 30° and let go: what steepens or holds its line has too little margin. Balance it ' +
      'on the bench in this state first.',
    fix: none,
  },
  'tip-stall': {
    cause: 'The outer wing reaches its largest lift first: taper, thin tips, or aileron down near the stall.',
    test:
      'At height slow down with the wings level, three times: the same wing each time is a warp, either ' +
      'wing is the plan form.',
    fix: none,
  },
  'needs up trim': {
    cause:
      'The stabiliser stands too far leading edge up for this CG, or the CG is further forward than drawn.',
    test: 'Balance it on the bench in this state: where the CG is as drawn, it is the setting.',
    fix: (d) => turnStabiliser(d, -1 * DEG),
  },
  'needs down trim': {
    cause:
      'The stabiliser stands too far leading edge down for this CG, or the CG is further aft than drawn.',
    test: 'Balance it on the bench in this state, and dive 30° and let go: a pull-out is the setting, a tuck is the CG.',
    fix: (d) => turnStabiliser(d, 1 * DEG),
  },
  'needs left trim': {
    cause: 'Something turns it right: a warp, a heavy right half, side thrust or torque.',
    ...SIDEWAYS,
  },
  'needs right trim': {
    cause: 'Something turns it left: a warp, a heavy left half, side thrust or torque.',
    ...SIDEWAYS,
  },
  'climbs under power': {
    cause: 'The thrust line passes below the drag, or the slipstream loads the tail: it wants down thrust.',
    test:
      'In level flight open the throttle at once: a pitch-up in the first second is the thrust line, one ' +
      'that comes with the speed is too much angle between wing and tail.',
    fix: moreDownThrust,
  },
  'sluggish roll': {
    cause: 'Less aileron reaches the air than is drawn: slack, a soft linkage or a servo that gives way.',
    test:
      'Hold the surface by hand against the servo and measure the throw left; then fly the same roll ' +
      'faster: what grows worse with speed is the linkage, what grows better is the size.',
    fix: none,
  },
  'long ground run': {
    cause: 'Thrust is below the computed, or the ground holds more than its friction says.',
    test:
      'Pull it by a scale at walking pace (friction), then hold it by a scale at full throttle (thrust), ' +
      'both in this state.',
    fix: none,
  },
  'spar bends visibly': {
    cause: 'The spar is softer than computed, or its joint gives.',
    test:
      'Hold it at the wing tips’ middle, aircraft loaded, and measure how far the tips rise: see the ' +
      'predicted figure beside.',
    fix: none,
  },
};

/** The predicted figure that a symptom's test is held against, where there is one. */
export function heldAgainst(note: Handling, ledger: Ledger, loading: string): Said | null {
  const at = (id: QuantityId) => entryOf(ledger, id, loading);
  const bend = at('tipDeflection'),
    run = at('groundRun'),
    pull = at('staticThrust');
  if (note === 'spar bends visibly' && bend)
    return say('predicted-bend', { bend: bend.value, sigma: bend.sigma });
  if (note === 'long ground run' && run && pull)
    return say('predicted-run', { run: run.value, sigma: run.sigma, thrust: pull.value });
  return null;
}
