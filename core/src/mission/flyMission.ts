/** A mission flown leg by leg: rounds once, so many times, or as often as the clock and the packs allow. */
import type { Mission } from '../design';
import { endingOf, type Counted, type Ending } from './ending';
import type { Crew, Flight, FlownLeg } from './flight';
import { flyLeg } from './flyLeg';
import { ON_GROUND } from './legs';
import type { Margin } from './margins';
import { copied, shareOf, type Tally } from './spend';

const MOST_ROUNDS = 500;

type Round = Mission['rounds'][number];

/** @param lean numbers alone, as on both sides of a cause of uncertainty */
function flyRound(round: Round, pass: number, t: Tally, crew: Crew, lean: boolean): FlownLeg[] {
  const out: FlownLeg[] = [],
    place = { round: round.id, pass, lean };
  for (const leg of round.legs) out.push(flyLeg(leg, place, t, crew));
  return out;
}

/** What the rounds after it take, flown from here: time and share of the charge. */
function afterwards(rounds: readonly Round[], t: Tally, crew: Crew): { time: number; share: number } {
  const then = copied(t);
  for (const r of rounds)
    for (let pass = 1; pass <= (r.times ?? 0); pass++) flyRound(r, pass, then, crew, true);
  return { time: then.time - t.time, share: shareOf(then, crew) - shareOf(t, crew) };
}

/** A round as often as the clock and the packs allow, with enough of both for what comes after. */
function flyOften(
  round: Round,
  rest: readonly Round[],
  window: number | null,
  t: Tally,
  crew: Crew,
  fixed: number | null,
): { legs: FlownLeg[]; counted: Counted | null } {
  const tail = afterwards(rest, t, crew),
    most = { time: (window ?? Infinity) - tail.time, share: 1 - tail.share },
    legs: FlownLeg[] = [];
  for (let pass = 1; pass <= MOST_ROUNDS; pass++) {
    const at = { time: t.time, share: shareOf(t, crew) },
      next = copied(t),
      flown = flyRound(round, pass, next, crew, fixed !== null);
    const took = { time: next.time - at.time, share: shareOf(next, crew) - at.share },
      fits = next.time <= most.time && shareOf(next, crew) <= most.share;
    const unflyable = flown.some((l) => l.done.fault !== null || !(l.time < Infinity));
    if (unflyable || !(took.time > 0)) return { legs: [...legs, ...flown], counted: null };
    if (fixed === null && !fits) return { legs, counted: countedBy(pass - 1, at, took, most) };
    if (pass > (fixed ?? pass)) return { legs, counted: countedBy(pass - 1, at, took, most) };
    Object.assign(t, next);
    legs.push(...flown);
    // the next would take as much as the last did
    if (pass === fixed) {
      const then = { time: t.time, share: shareOf(t, crew) };
      return { legs, counted: countedBy(pass, then, took, most) };
    }
  }
  return { legs, counted: null };
}

type Two = { time: number; share: number };

/** Rounds that clock and packs each allow, the last one as far as it would come. */
function countedBy(whole: number, at: Two, took: Two, most: Two): Counted {
  const clock = whole + (most.time - at.time) / took.time,
    charge = took.share > 0 ? whole + (most.share - at.share) / took.share : Infinity,
    least = Math.max(0, Math.min(clock, charge));
  return { by: clock <= charge ? 'clock' : 'charge', rounds: least, clock, charge };
}

/** What is a step, held where it was at rest while causes of uncertainty are moved. */
export interface Held {
  /** rounds flown as often as fits */ readonly passes: number | null;
  /** legs begun before it ends */ readonly reached: number;
}

/** Where it stands before its first leg. */
function begun(mission: Mission, crew: Crew, asked: string): Tally {
  const first = mission.rounds.flatMap((r) => r.legs)[0],
    grounded = first && (first.kind === 'takeOff' || ON_GROUND.has(first.kind)),
    craft = crew.craft(first?.state ?? asked),
    cold = { winding: crew.air, case: crew.air };
  return {
    time: 0,
    // what nothing lifts off is thrown
    height: grounded || craft.hangs ? 0 : crew.hand,
    heading: mission.bearing ?? 0,
    known: mission.bearing !== undefined,
    craft,
    aloft: 0,
    used: { drive: 0, lift: 0 },
    heat: { drive: cold, lift: cold },
  };
}

/**
 * @param asked state of a first leg that names none
 * @returns every leg in the order flown; those after what ends it too, so that a plan is seen whole
 */
export function flyMission(mission: Mission, crew: Crew, asked: string, held: Held | null = null): Flight {
  const t = begun(mission, crew, asked),
    legs: FlownLeg[] = [];
  let counted: Counted | null = null;
  mission.rounds.forEach((round, i) => {
    if (round.times === null) {
      const rest = mission.rounds.slice(i + 1),
        fixed = held && counted === null ? held.passes : null,
        often = flyOften(round, rest, mission.window, t, crew, fixed);
      legs.push(...often.legs);
      counted ??= often.counted;
      return;
    }
    for (let pass = 1; pass <= round.times; pass++)
      legs.push(...flyRound(round, pass, t, crew, held !== null));
  });
  // with a cause moved it ends where it did at rest, and why is not asked again
  let known: Ending | null = null;
  const ending = () => (known ??= endingOf(legs, mission.window, counted));
  const reached = held?.reached ?? (ending().at === null ? legs.length : ending().at! + 1);
  return toldOf(legs, reached, ending, counted);
}

function toldOf(
  legs: readonly FlownLeg[],
  reached: number,
  ending: () => Ending,
  counted: Counted | null,
): Flight {
  const out = { time: 0, distance: 0, energy: 0, charge: 0, given: 0, peak: 0, unproven: 0 };
  let margin: Margin | null = null;
  for (let i = 0; i < reached; i++) {
    const l = legs[i];
    out.time += l.time;
    out.distance += l.distance;
    out.energy += l.energy;
    out.charge += l.charge;
    out.given += l.given;
    out.peak = Math.max(out.peak, l.height, l.heightFrom, l.done.top ?? 0);
    if (!l.leg.flown && !ON_GROUND.has(l.leg.kind)) out.unproven += l.energy;
    if (l.margin && (margin === null || l.margin.ratio < margin.ratio)) margin = l.margin;
  }
  return {
    legs,
    reached,
    get ending() {
      return ending();
    },
    ...out,
    share: legs[reached - 1]?.share ?? 0,
    counted: counted !== null,
    rounds: counted?.rounds ?? 0,
    unproven: out.energy > 0 ? out.unproven / out.energy : 0,
    margin,
  };
}
