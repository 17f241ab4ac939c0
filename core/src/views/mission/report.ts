/** One mission as its station shows it: legs with their numbers, what ends it, the course from above, its limits. */
import { G0 } from '../../air';
import { isFree, type DesignDocument, type Mission } from '../../design';
import {
  endingSaid,
  lineClearance,
  ON_GROUND,
  saidOfLeg,
  tightestSaid,
  trackOf,
  unflownSaid,
  type Done,
  type EndBy,
  type Flight,
  type FlownLeg,
  type Margin,
  type Track,
} from '../../mission';
import { air, boundFlights, freeFlights, shape, type FlownId } from '../../steps';
import { entriesByKey, numbersWithSpread, runOf, type Ledger, type Run, type StepCache } from '../../assess';
import { ALL, refText } from '../../steps';
import { say, type Said } from '../../words';
import { placeLimits, type PlaceLimit } from './limits';

interface Told {
  readonly value: number;
  readonly sigma: number;
}

export interface LegView {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly round: string;
  readonly pass: number;
  readonly state: string;
  /** before what ends the mission */ readonly reached: boolean;
  readonly flown: boolean;
  readonly from: number;
  readonly time: number;
  readonly distance: number;
  readonly energy: number;
  readonly charge: number;
  readonly power: number;
  readonly current: number;
  readonly volts: number;
  readonly soc: number;
  /** of the charge that may be used, at its end */ readonly share: number;
  readonly heightFrom: number;
  readonly height: number;
  /** height along it, where it is no straight line: share of its time, and height */
  readonly profile: Done['profile'];
  readonly speed: number;
  readonly load: number;
  readonly massFrom: number;
  readonly mass: number;
  readonly cgFrom: number;
  readonly cg: number;
  readonly staticMargin: number | null;
  /** [N]; null where it does not fly on a wing */ readonly drag: number | null;
  readonly lift: number | null;
  readonly liftCoefficient: number | null;
  readonly winding: number;
  readonly given: number;
  readonly margins: readonly Margin[];
  readonly margin: Margin | null;
  readonly said: readonly Said[];
  /** spreads of the first time that it is flown, where the ledger tells of them */ readonly sigmas: Readonly<
    Partial<Record<FlownId, number>>
  >;
}

export interface MissionReport {
  readonly id: string;
  readonly name: string;
  /** flown by the state that is looked at */ readonly free: boolean;
  readonly window: number | null;
  readonly reserve: number;
  readonly legs: readonly LegView[];
  readonly ending: { readonly by: EndBy; readonly at: number | null };
  readonly said: readonly Said[];
  readonly numbers: Readonly<Partial<Record<FlownId, Told>>>;
  readonly rounds: number | null;
  readonly track: Track;
  readonly wind: { readonly speed: number; readonly from: number | null };
  readonly limits: readonly PlaceLimit[];
}

/** @returns null where there is no such mission, or it cannot be flown */
export function missionReport(
  { brief, design, calibration }: DesignDocument,
  ledger: Ledger,
  asked: { mission: string; state: string },
  cache: StepCache,
): MissionReport | null {
  const mission = brief.missions.find((m) => m.id === asked.mission),
    run = runOf({ brief, design }, calibration, cache);
  if (!mission) return null;
  const free = isFree(mission),
    flights = free ? run.maybe(freeFlights, asked.state) : run.maybe(boundFlights),
    flight = flights?.of(mission.id);
  if (!flight) return null;
  const track = trackOf(flight.legs, mission.bearing ?? 0),
    { site } = brief,
    sigmas = sigmasOf(ledger, mission.id, free ? asked.state : ALL);
  return {
    id: mission.id,
    name: mission.name,
    free,
    window: mission.window,
    reserve: design.flight.reserve,
    legs: flight.legs.map((l, i) => legView(l, i < flight.reached, run, sigmas.get(l.leg.id) ?? {})),
    ending: { by: flight.ending.by, at: flight.ending.at },
    said: [
      endingSaid(mission, flight),
      ...nextSaid(flight),
      ...tightestSaid(flight),
      ...unflownSaid(flight),
      ...lines(design, flight, run),
    ],
    numbers: numbersOf(mission, ledger, free ? asked.state : ALL, () =>
      numbersWithSpread(run, calibration, mission, asked.state),
    ),
    rounds: flight.counted ? flight.rounds : null,
    track,
    wind: { speed: site.wind, from: site.windFrom ?? null },
    limits: placeLimits(site.limits ?? {}, flight, track),
  };
}

const nextSaid = ({ ending: { next } }: Flight): Said[] =>
  next && Number.isFinite(next.used) ? [say('mission-next', next)] : [];

/** What hangs on a line in the states that are flown. */
function lines(design: DesignDocument['design'], flight: Flight, run: Run): Said[] {
  const { density } = run.of(air),
    seen = new Map(flight.legs.map((l) => [l.state, l.speed]));
  return [...seen].flatMap(([id, speed]) => {
    const state = design.states.find((s) => s.id === id);
    return state?.towed ? lineClearance(design, state, speed, density) : [];
  });
}

type Sigmas = LegView['sigmas'];

/** Spreads of the legs by their ids, as the ledger has them. */
function sigmasOf(ledger: Ledger, mission: string, state: string): ReadonlyMap<string, Sigmas> {
  const out = new Map<string, Partial<Record<FlownId, number>>>();
  for (const e of ledger.entries) {
    if (e.part !== mission || e.state !== state || e.leg === undefined) continue;
    out.set(e.leg, { ...out.get(e.leg), [e.id]: e.sigma });
  }
  return out;
}

function legView(l: FlownLeg, reached: boolean, run: Run, sigmas: Sigmas): LegView {
  const { leg, before, after } = l,
    wing = run.maybe(shape),
    flies = wing !== null && !before.hangs && l.speed > 0,
    lift = before.mass * G0 * l.load,
    q = 0.5 * run.of(air).density * l.speed * l.speed;
  return {
    id: leg.id,
    name: leg.name,
    kind: leg.kind,
    round: l.round,
    pass: l.pass,
    state: l.state,
    reached,
    flown: (leg.flown ?? false) || ON_GROUND.has(leg.kind),
    from: l.from,
    time: l.time,
    distance: l.distance,
    energy: l.energy,
    charge: l.charge,
    power: l.power,
    current: l.current,
    volts: l.volts,
    soc: l.soc,
    share: l.share,
    heightFrom: l.heightFrom,
    height: l.height,
    profile: l.done.profile,
    speed: l.speed,
    load: l.load,
    massFrom: before.mass,
    mass: after.mass,
    cgFrom: before.cgX,
    cg: after.cgX,
    staticMargin: before.staticMargin,
    drag: flies ? before.drag(l.speed, l.load) : null,
    lift: flies ? lift : null,
    liftCoefficient: flies ? lift / (q * wing.wing.area) : null,
    winding: l.winding,
    given: l.given,
    margins: l.margins,
    margin: l.margin,
    said: saidOfLeg(l),
    sigmas: l.pass === 1 ? sigmas : {},
  };
}

/** Those of the whole mission: as the ledger has them, else found for the state that is looked at. */
function numbersOf(
  mission: Mission,
  ledger: Ledger,
  state: string,
  find: () => readonly { id: FlownId; leg?: string; value: number | undefined; sigma: number }[],
): MissionReport['numbers'] {
  const index = entriesByKey(ledger),
    known = index.get(refText({ id: 'missionTime', state, part: mission.id }));
  const out: Partial<Record<FlownId, Told>> = {};
  if (known) {
    for (const e of ledger.entries)
      if (e.part === mission.id && e.state === state && e.leg === undefined && e.id.startsWith('mission'))
        out[e.id as FlownId] = { value: e.value, sigma: e.sigma };
    return out;
  }
  for (const n of find())
    if (n.leg === undefined && n.value !== undefined) out[n.id] = { value: n.value, sigma: n.sigma };
  return out;
}
