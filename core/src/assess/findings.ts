/** What is wrong with the aircraft, in sentences, each with the change that mends it where one exists. */
import {
  WANTED_LIFT,
  withoutRotors,
  LEAST_LIFT,
  hovers,
  type Brief,
  type Design,
  powertrainOf,
  forwardAt,
  drivesOf,
  thrustersOf,
  unknownParts,
} from '../design';
import { changesOf, solveBalance, isFitted } from '../mass';
import {
  joinPacks,
  packOf,
  packInUse,
  PITCH_RATIO_RANGE,
  rubberMotor,
  supplyReport,
  TIP_LIMIT,
  USUAL_LIMIT,
} from '../power';
import { judgeAsFlown } from './asFlown';
import { missionFindings, winchFindings } from './missionFindings';
import { structureFindings } from './structureFindings';
import { say, type Fields, type Said } from '../words';
import { AILERON_RESERVE } from '../surface';
import { checkRequirements } from './requirements';
import type { AddFinding, Finding, Ledger } from './ledger';
import { listedRubber, rubberItem } from '../steps';
import { rotorFindings } from './rotorFindings';
import { entryOf } from './ledger';
import { plausibilityFindings } from './plausibility';

/** States of one kind of fault, told of by the worst of them. */
interface Fault {
  fault: 'unstable' | 'tail-heavy' | 'nose-heavy';
  severity: Finding['severity'];
  holds: (margin: number) => boolean;
}

/** Unstable, tail-heavy and nose-heavy are three faults: none hides behind another. */
function balanceFaults({ marginMin, marginMax }: Design['flight']): Fault[] {
  return [
    { fault: 'unstable', severity: 'stop', holds: (m) => m < 0 && m < marginMin },
    { fault: 'tail-heavy', severity: 'stop', holds: (m) => m >= 0 && m < 0.5 * marginMin },
    {
      fault: 'tail-heavy',
      severity: 'look',
      holds: (m) => m >= Math.max(0, 0.5 * marginMin) && m < marginMin,
    },
    { fault: 'nose-heavy', severity: 'look', holds: (m) => m > marginMax },
  ];
}

function balanceFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  const forward = entryOf(ledger, 'cgForward', 'all')?.value,
    aft = entryOf(ledger, 'cgAft', 'all')?.value;
  // without a wing there is no margin
  if (forward === undefined || aft === undefined) return;
  const outside = design.states
    .filter((l) => !hovers(design, l))
    .filter((l) => {
      const x = entryOf(ledger, 'cgX', l.id)!.value;
      return x < forward - 1e-6 || x > aft + 1e-6;
    });
  if (outside.length === 0) return;
  const proposal = solveBalance(design, { forward, aft }),
    changes = changesOf(design, proposal);
  const label = say('balance-moves-label', proposal.said.fields as Fields<'balance-moves'>),
    fix = proposal.status === 'moved' ? { label, changes } : null;
  const marginOf = (l: { id: string }) => entryOf(ledger, 'staticMargin', l.id)!.value;
  const { marginMin, marginMax } = design.flight;
  const off = (l: { id: string }) => Math.max(marginMin - marginOf(l), marginOf(l) - marginMax);
  let said = false;
  for (const fault of balanceFaults(design.flight)) {
    const those = outside.filter((l) => fault.holds(marginOf(l)));
    if (those.length === 0) continue;
    const worst = those.reduce((a, l) => (off(l) > off(a) ? l : a));
    add(
      'balance',
      fault.severity,
      worst.id,
      say('margin-outside', {
        state: worst.name,
        fault: fault.fault,
        others: those.length - 1,
        margin: marginOf(worst),
        least: marginMin,
        most: marginMax,
        // what to do is the same for all of them: said once
        advice: said ? null : proposal.said,
      }),
      said ? null : fix,
    );
    said = true;
  }
}

function powerFindings(brief: Brief, design: Design, ledger: Ledger, add: AddFinding): void {
  if (powertrainOf(design).unpowered) return;
  const { esc, motor, propeller } = powertrainOf(design);
  const amps = entryOf(ledger, 'staticCurrent', 'all')!.value;
  const each = (amps - powertrainOf(design).avionicsCurrent) / (powertrainOf(design).arrangement?.count ?? 1);
  for (const [part, drawn, limit] of [
    ['motor', each, motor.maxCurrent],
    ['controller', each, esc.maxCurrent],
    ['pack', amps, packInUse(powertrainOf(design)).maxCurrent],
  ] as const) {
    if (drawn > limit) add('power', 'stop', 'all', say('over-current', { part, drawn, limit }));
    else if (drawn > 0.85 * limit) add('power', 'look', 'all', say('near-current', { part, drawn, limit }));
  }
  const hot = entryOf(ledger, 'windingHeat', 'all')!.value,
    most = motor.maxTemperature ?? USUAL_LIMIT;
  if (hot > most) add('power', 'look', 'all', say('hot-winding', { winding: hot, limit: most }));
  const ratio = propeller.pitch / propeller.diameter;
  if (
    !powertrainOf(design).fan &&
    !propeller.table &&
    !(ratio >= PITCH_RATIO_RANGE[0] && ratio <= PITCH_RATIO_RANGE[1])
  )
    add(
      'power',
      'look',
      'all',
      say('odd-pitch', { ratio, least: PITCH_RATIO_RANGE[0], most: PITCH_RATIO_RANGE[1] }),
    );
  if (entryOf(ledger, 'tipMach', 'all')!.value > TIP_LIMIT)
    add('power', 'look', 'all', say('fast-tip', { mach: TIP_LIMIT }));
  for (const l of design.states) {
    const run = entryOf(ledger, 'groundRun', l.id)?.value ?? 0;
    if (run > brief.site.stripLength) {
      add(
        'flight',
        'look',
        l.id,
        say('strip-too-short', { state: l.name, run, strip: brief.site.stripLength }),
      );
      break;
    }
  }
}

/** What comes back on its wheels must stop on the strip: told of the state that rolls farthest. */
function landingFindings(brief: Brief, design: Design, ledger: Ledger, add: AddFinding): void {
  const strip = brief.site.stripLength;
  const runs = design.states
    .map((l) => ({ l, run: entryOf(ledger, 'landingRun', l.id)?.value ?? 0 }))
    .filter((r) => r.run > strip);
  if (runs.length === 0) return;
  const worst = runs.reduce((a, r) => (r.run > a.run ? r : a));
  const { l, run } = worst,
    others = runs.length - 1;
  add('flight', 'look', l.id, say('rolls-past', { state: l.name, run, others, strip }));
}

function liftFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  for (const s of withoutRotors(design))
    add('balance', 'ask', s.id, say('no-rotors', { state: s.name, way: s.way }));
  for (const l of design.states) {
    const m = entryOf(ledger, 'hoverMargin', l.id);
    if (m && m.state === l.id && m.value < WANTED_LIFT)
      add(
        'power',
        m.value < LEAST_LIFT ? 'stop' : 'look',
        l.id,
        say('weak-lift', { state: l.name, ratio: m.value, least: LEAST_LIFT, wanted: WANTED_LIFT }),
      );
  }
}

/** Drives of which too little is known, and those beyond the two that are computed. */
function drivenFindings(design: Design, add: AddFinding): void {
  const { forward, lift, more } = drivesOf(design);
  for (const drive of [forward, lift]) {
    if (!drive || drive.fitted === false) continue;
    const unknown = unknownParts(drive);
    // rotors that are only drawn claim their thrust themselves
    if (unknown.length === 0 || (drive === lift && !drive.motor && !drive.propeller)) continue;
    add('power', 'ask', 'all', say('parts-unknown', { drive: drive.name, parts: unknown }));
  }
  const at = forward && forward.fitted !== false ? thrustersOf(design, forward.id)[0] : undefined;
  if (forward && forward.fitted !== false && (!at || at.x === null || at.z === null))
    add('power', 'ask', 'all', say('pushes-nowhere', { drive: forward.name }));
  for (const drive of more) add('power', 'ask', 'all', say('not-computed', { drive: drive.name }));
}

/** Second pack, supply, lift rotors, rubber: what the plain drive does not have. */
function wiringFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  drivenFindings(design, add);
  const { second, battery, supply, rubber } = powertrainOf(design);
  if (second) {
    const pair = joinPacks(packOf(battery), packOf(second.battery), second.joined);
    if (pair.status === 'unsafe') add('power', 'stop', 'all', pair.said);
  }
  if (supply) {
    const r = supplyReport(supply, battery.chemistry),
      shared = r.lines.filter((l) => l.single && l.lost.length > 0);
    if (shared.length) add('power', 'look', 'all', say('one-line', { names: shared.map((l) => l.name) }));
    for (const l of r.lines)
      if (l.used !== null && l.used > 1)
        add(
          'power',
          'stop',
          'all',
          say('over-rating', { part: l.name, current: l.current, rating: l.rating! }),
        );
    for (const v of r.volts) if (!v.ok) add('power', 'stop', 'all', v.said);
  }
  liftFindings(design, ledger, add);
  rotorFindings(design, ledger, add);
  judgeAsFlown(design, add);
  if (rubber) {
    const item = rubberItem(design),
      mass = rubberMotor(rubber).mass,
      listed = listedRubber(design);
    const fix = item
      ? {
          label: say('weigh-rubber', { mass }),
          changes: [
            { path: `items.${item.id}.planned`, value: { kind: 'part', factor: 1 } },
            { path: `items.${item.id}.weighed`, value: null },
          ],
        }
      : null;
    if (listed === null) add('power', 'look', 'all', say('no-rubber-listed', { mass }));
    else if (Math.abs(listed - mass) > 0.08 * mass)
      add('power', 'look', 'all', say('other-rubber', { listed, mass }), fix);
  }
  const propeller = (design.swaps ?? []).find(
    (s) => s.kind === 'propeller' && s.data.correction && isFitted(design, s),
  );
  if (propeller?.kind === 'propeller' && !powertrainOf(design).propeller.correction)
    add('power', 'look', 'all', say('flown-as-computed', { propeller: propeller.label }), {
      label: say('fly-as-benched', { propeller: propeller.label }),
      changes: [
        { path: `${forwardAt(design)!.drive}.propeller.correction`, value: propeller.data.correction },
      ],
    });
}

function flightFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  for (const l of design.states) {
    const climb = entryOf(ledger, 'climbRate', l.id)?.value ?? Infinity;
    if (climb < 0.5) {
      add('flight', 'stop', l.id, say('weak-climb', { state: l.name, rate: climb }));
      break;
    }
  }
  for (const l of design.states) {
    // one of both: the wing as a whole near its stall, or its inner half at it
    const [said] = (['turnStallSpeed', 'turnGust'] as const).flatMap(
      (id) => entryOf(ledger, id, l.id)?.warnings ?? [],
    );
    if (said) {
      add('flight', 'look', l.id, say('of-state', { state: l.name, said }));
      break;
    }
  }
  const reserve = entryOf(ledger, 'aileronReserve', 'all')?.value,
    wanted = design.flight.aileronReserve ?? AILERON_RESERVE;
  if (reserve !== undefined && reserve < wanted)
    add('shape', 'look', 'all', say('ailerons-lost', { reserve, wanted }));
  const yaw = design.states
    .filter((l) => !hovers(design, l))
    .map((l) => ({ l, v: entryOf(ledger, 'yawStiffness', l.id)?.value ?? 1 }))
    .reduce<{ l: { id: string; name: string }; v: number } | null>(
      (a, q) => (a === null || q.v < a.v ? q : a),
      null,
    );
  if (yaw && yaw.v < 0.01)
    add(
      'balance',
      yaw.v < 0 ? 'stop' : 'look',
      yaw.l.id,
      say('weathercocks', { state: yaw.l.name, stiffness: yaw.v }),
    );
}

/** Let go slower than this many times the stall it has no hand's breadth to spare. Common practice, no source. */
const LET_GO = 1.1;

/** What is thrown, slung, pushed or dropped: too slow, or into the ground. */
function departureFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  for (const { id, name } of design.states) {
    const lowest = entryOf(ledger, 'launchLowest', id)?.value,
      over = entryOf(ledger, 'launchOverStall', id)?.value;
    if (over === undefined) continue;
    const needed = entryOf(ledger, 'throwNeeded', id)?.value ?? null,
      lost = entryOf(ledger, 'launchLost', id)?.value ?? 0;
    const ground = lowest !== undefined && lowest < 0;
    if (ground || (lowest !== undefined && lowest < 0.3) || (lowest === undefined && over < LET_GO)) {
      const said = say('leaves-low', { state: name, over, lost, lowest: lowest ?? null, needed });
      add('flight', ground ? 'stop' : 'look', id, said);
      return;
    }
  }
}

export function findingsOf(
  brief: Brief,
  design: Design,
  ledger: Ledger,
  scoreErrors: readonly Said[],
): Finding[] {
  if (ledger.stopped)
    return [{ station: 'shape', severity: 'stop', state: 'all', ...ledger.stopped, fix: null }];
  const out: Finding[] = [];
  const add: AddFinding = (station, severity, state, said, fix = null) => {
    out.push({ station, severity, state, ...said, fix });
  };
  balanceFindings(design, ledger, add);
  structureFindings(design, ledger, add);
  powerFindings(brief, design, ledger, add);
  wiringFindings(design, ledger, add);
  flightFindings(design, ledger, add);
  landingFindings(brief, design, ledger, add);
  departureFindings(design, ledger, add);
  missionFindings(brief, ledger, add);
  winchFindings(design, add);
  for (const e of scoreErrors) add('score', 'look', 'all', e);
  for (const c of checkRequirements(brief, design, ledger)) {
    if (c.status === 'unknown') add('brief', 'look', 'all', c.said);
    else if (c.status === 'missed') add('brief', 'look', c.state, c.said);
  }
  const re = entryOf(ledger, 'reynoldsLap', design.states[0].id)?.value ?? Infinity;
  if (re < 6e4) add('sections', 'look', 'all', say('low-reynolds', { reynolds: re }));
  return [...out, ...plausibilityFindings(design, ledger)];
}
