/** What is wrong with the aircraft, in sentences, each with the change that mends it where one exists. */
import {
  WANTED_LIFT,
  withoutRotors,
  LEAST_LIFT,
  hovers,
  type Brief,
  type Design,
  powertrainOf,
  sparOf,
  forwardAt,
  drivesOf,
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
import { materialNamed } from '../structure';
import { AILERON_RESERVE } from '../surface';
import { checkRequirements } from './requirements';
import type { Finding, Ledger } from './ledger';
import { listedRubber, rubberItem } from '../steps';
import { entryOf } from './ledger';
import { plausibilityFindings } from './plausibility';

type Add = (
  station: Finding['station'],
  severity: Finding['severity'],
  state: string,
  sentence: string,
  fix?: Finding['fix'],
) => void;

/** States of one kind of fault, told of by the worst of them. */
interface Fault {
  what: string;
  severity: Finding['severity'];
  holds: (margin: number) => boolean;
}

/** Unstable, tail-heavy and nose-heavy are three faults: none hides behind another. */
function balanceFaults({ marginMin, marginMax }: Design['flight']): Fault[] {
  return [
    { what: 'is unstable', severity: 'stop', holds: (m) => m < 0 && m < marginMin },
    { what: 'is tail-heavy', severity: 'stop', holds: (m) => m >= 0 && m < 0.5 * marginMin },
    {
      what: 'is tail-heavy',
      severity: 'look',
      holds: (m) => m >= Math.max(0, 0.5 * marginMin) && m < marginMin,
    },
    { what: 'is nose-heavy', severity: 'look', holds: (m) => m > marginMax },
  ];
}

function balanceFindings(design: Design, ledger: Ledger, add: Add): void {
  const forward = entryOf(ledger, 'cgForward', 'all')!.value,
    aft = entryOf(ledger, 'cgAft', 'all')!.value;
  const outside = design.states
    .filter((l) => !hovers(l))
    .filter((l) => {
      const x = entryOf(ledger, 'cgX', l.id)!.value;
      return x < forward - 1e-6 || x > aft + 1e-6;
    });
  if (outside.length === 0) return;
  const proposal = solveBalance(design, { forward, aft }),
    changes = changesOf(design, proposal);
  const fix = proposal.status === 'moved' ? { label: proposal.sentence.replace(/\.$/, ''), changes } : null;
  const marginOf = (l: { id: string }) => entryOf(ledger, 'staticMargin', l.id)!.value;
  const { marginMin, marginMax } = design.flight;
  const off = (l: { id: string }) => Math.max(marginMin - marginOf(l), marginOf(l) - marginMax);
  let said = false;
  for (const fault of balanceFaults(design.flight)) {
    const those = outside.filter((l) => fault.holds(marginOf(l)));
    if (those.length === 0) continue;
    const worst = those.reduce((a, l) => (off(l) > off(a) ? l : a));
    const wanted = `${(marginMin * 100).toFixed(0)} to ${(marginMax * 100).toFixed(0)} %`;
    // what to do is the same for all of them: said once
    const advice = said ? '' : ` ${proposal.sentence}`;
    add(
      'balance',
      fault.severity,
      worst.id,
      `${worst.name} ${fault.what}${othersToo(those.length - 1)}: static margin ${(marginOf(worst) * 100).toFixed(1)} %, wanted ${wanted}.${advice}`,
      said ? null : fix,
    );
    said = true;
  }
}

function othersToo(n: number): string {
  return n === 0 ? '' : n === 1 ? ' (so is one other state)' : ` (so are ${n} other states)`;
}

function structureFindings(design: Design, ledger: Ledger, add: Add): void {
  const s = design.structure;
  const spar = sparOf(design)?.shape;
  for (const id of !spar ? [] : spar.kind === 'tube' ? [spar.material] : [spar.capMaterial, spar.webMaterial])
    if (!materialNamed(id))
      add('structure', 'stop', 'all', `The spar names a material “${id}” that is not in the store.`);
  if (spar?.kind === 'tube' && spar.wall >= spar.outer / 2)
    add('structure', 'ask', 'all', 'The tube wall reaches the middle: it is a solid rod.');
  if (spar?.kind === 'box' && 2 * spar.cap >= spar.height)
    add('structure', 'ask', 'all', 'The two caps fill the whole spar depth.');
  const flying = design.states.filter((l) => !hovers(l));
  if (flying.length === 0) return;
  const worst = flying.reduce((a, l) =>
    entryOf(ledger, 'failLoadFactor', l.id)!.value < entryOf(ledger, 'failLoadFactor', a.id)!.value ? l : a,
  );
  const up = entryOf(ledger, 'failLoadFactor', worst.id)!.value,
    down = entryOf(ledger, 'failLoadFactorDown', worst.id)!.value;
  const needUp = s.requiredLoadFactor * s.safetyFactor,
    needDown = s.requiredNegative * s.safetyFactor;
  if (up < needUp)
    add(
      'structure',
      'stop',
      worst.id,
      `This wing breaks at ${up.toFixed(1)} g in ${worst.name}; ${s.requiredLoadFactor} g with a factor of ${s.safetyFactor} needs ${needUp.toFixed(1)} g. Deepen the spar or thicken its caps.`,
    );
  if (down < needDown)
    add(
      'structure',
      'stop',
      worst.id,
      `Downward the wing breaks at ${down.toFixed(1)} g in ${worst.name}; ${needDown.toFixed(1)} g is needed.`,
    );
}

function powerFindings(brief: Brief, design: Design, ledger: Ledger, add: Add): void {
  if (powertrainOf(design).unpowered) return;
  const { esc, motor, propeller } = powertrainOf(design);
  const amps = entryOf(ledger, 'staticCurrent', 'all')!.value;
  const each = (amps - powertrainOf(design).avionicsCurrent) / (powertrainOf(design).arrangement?.count ?? 1);
  for (const [name, drawn, limit] of [
    ['motor', each, motor.maxCurrent],
    ['controller', each, esc.maxCurrent],
    ['pack', amps, packInUse(powertrainOf(design)).maxCurrent],
  ] as const) {
    if (drawn > limit)
      add(
        'power',
        'stop',
        'all',
        `Full throttle draws ${drawn.toFixed(0)} A, over the ${name}’s ${limit.toFixed(0)} A. A smaller propeller or less pitch lowers it.`,
      );
    else if (drawn > 0.85 * limit)
      add(
        'power',
        'look',
        'all',
        `Full throttle draws ${drawn.toFixed(0)} A of the ${name}’s ${limit.toFixed(0)} A: under 15 % margin.`,
      );
  }
  const hot = entryOf(ledger, 'windingHeat', 'all')!.value,
    most = motor.maxTemperature ?? USUAL_LIMIT;
  if (hot > most)
    add(
      'power',
      'look',
      'all',
      `Full throttle held on the ground heats the winding to ${hot >= 599 ? 'far over' : `${(hot - 273.15).toFixed(0)} °C, over`} its ${(most - 273.15).toFixed(0)} °C: keep it short, or a smaller propeller.`,
    );
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
      `Pitch is ${ratio.toFixed(2)} of the diameter; blades were compared with tests from ${PITCH_RATIO_RANGE[0]} to ${PITCH_RATIO_RANGE[1]}.`,
    );
  if (entryOf(ledger, 'tipMach', 'all')!.value > TIP_LIMIT)
    add(
      'power',
      'look',
      'all',
      `The propeller tip passes Mach ${TIP_LIMIT} at full throttle: noise and loss.`,
    );
  for (const l of design.states) {
    const run = entryOf(ledger, 'groundRun', l.id)?.value ?? 0;
    if (run > brief.site.stripLength) {
      add(
        'flight',
        'look',
        l.id,
        `${l.name} needs ${run > 9000 ? 'more thrust than there is' : `${run.toFixed(1)} m`} to leave the ground; the strip is ${brief.site.stripLength} m.`,
      );
      break;
    }
  }
}

/** What comes back on its wheels must stop on the strip: told of the state that rolls farthest. */
function landingFindings(brief: Brief, design: Design, ledger: Ledger, add: Add): void {
  const strip = brief.site.stripLength;
  const runs = design.states
    .map((l) => ({ l, run: entryOf(ledger, 'landingRun', l.id)?.value ?? 0 }))
    .filter((r) => r.run > strip);
  if (runs.length === 0) return;
  const worst = runs.reduce((a, r) => (r.run > a.run ? r : a));
  const rolls = worst.run > 9000 ? 'rolls on without end' : `rolls ${worst.run.toFixed(0)} m after landing`;
  const sentence = `${worst.l.name} ${rolls}${othersToo(runs.length - 1)}; the strip is ${strip} m.`;
  add('flight', 'look', worst.l.id, `${sentence} Brakes or a skid, less speed, or another way back.`);
}

function liftFindings(design: Design, ledger: Ledger, add: Add): void {
  for (const s of withoutRotors(design))
    add(
      'balance',
      'ask',
      s.id,
      `${s.name} ${s.way} on rotors, and none are described: another way, or the lift motors?`,
    );
  for (const l of design.states) {
    const m = entryOf(ledger, 'hoverMargin', l.id);
    if (m && m.state === l.id && m.value < WANTED_LIFT)
      add(
        'power',
        m.value < LEAST_LIFT ? 'stop' : 'look',
        l.id,
        `${l.name}: lift thrust is ${m.value.toFixed(2)} times the weight; ${LEAST_LIFT} is the least, ${WANTED_LIFT} is wanted.`,
      );
  }
}

/** Drives of which too little is known, and those beyond the two that are computed. */
function drivenFindings(design: Design, add: Add): void {
  const { forward, lift, more } = drivesOf(design);
  for (const drive of [forward, lift]) {
    if (!drive || drive.fitted === false) continue;
    const unknown = unknownParts(drive);
    // rotors that are only drawn claim their thrust themselves
    if (unknown.length === 0 || (drive === lift && !drive.motor && !drive.propeller)) continue;
    const parts = unknown.join(', ');
    add('power', 'ask', 'all', `${drive.name}: ${parts} not known, so that nothing is computed of it.`);
  }
  for (const drive of more)
    add(
      'power',
      'ask',
      'all',
      `${drive.name} is not computed: one forward drive and one set of lift rotors are.`,
    );
}

/** Second pack, supply, lift rotors, rubber: what the plain drive does not have. */
function wiringFindings(design: Design, ledger: Ledger, add: Add): void {
  drivenFindings(design, add);
  const { second, battery, supply, rubber } = powertrainOf(design);
  if (second) {
    const pair = joinPacks(packOf(battery), packOf(second.battery), second.joined);
    if (pair.status === 'unsafe') add('power', 'stop', 'all', pair.reason);
  }
  if (supply) {
    const r = supplyReport(supply, battery.chemistry),
      shared = r.lines.filter((l) => l.single && l.lost.length > 0);
    if (shared.length)
      add(
        'power',
        'look',
        'all',
        `Steering hangs on one line (${shared.map((l) => l.name.toLowerCase()).join(', ')}); a separate receiver supply takes it off.`,
      );
    for (const l of r.lines)
      if (l.used !== null && l.used > 1)
        add('power', 'stop', 'all', `${l.name}: ${l.current.toFixed(1)} A where ${l.rating} A is rated.`);
    for (const v of r.volts) if (!v.ok) add('power', 'stop', 'all', v.sentence);
  }
  liftFindings(design, ledger, add);
  if (rubber) {
    const item = rubberItem(design),
      mass = rubberMotor(rubber).mass,
      listed = listedRubber(design);
    const fix = item
      ? {
          label: `Weigh the rubber in at ${(mass * 1000).toFixed(2)} g`,
          changes: [
            { path: `items.${item.id}.planned`, value: { kind: 'part', factor: 1 } },
            { path: `items.${item.id}.weighed`, value: null },
          ],
        }
      : null;
    if (listed === null)
      add(
        'power',
        'look',
        'all',
        `All-up leaves out the rubber: strip and length make ${(mass * 1000).toFixed(1)} g, and no line of the mass list is the rubber motor.`,
      );
    else if (Math.abs(listed - mass) > 0.08 * mass)
      add(
        'power',
        'look',
        'all',
        `The mass list says ${(listed * 1000).toFixed(2)} g of rubber; strip, strands and length make ${(mass * 1000).toFixed(2)} g.`,
        fix,
      );
  }
  const propeller = (design.swaps ?? []).find(
    (s) => s.kind === 'propeller' && s.data.correction && isFitted(design, s),
  );
  if (propeller?.kind === 'propeller' && !powertrainOf(design).propeller.correction)
    add(
      'power',
      'look',
      'all',
      `${propeller.label} has been on the thrust stand, and the design flies it as computed.`,
      {
        label: `Fly ${propeller.label} as benched`,
        changes: [
          { path: `${forwardAt(design)!.drive}.propeller.correction`, value: propeller.data.correction },
        ],
      },
    );
}

function flightFindings(design: Design, ledger: Ledger, add: Add): void {
  for (const l of design.states) {
    const climb = entryOf(ledger, 'climbRate', l.id)?.value ?? Infinity;
    if (climb < 0.5) {
      add(
        'flight',
        'stop',
        l.id,
        `${l.name} climbs at ${climb.toFixed(2)} m/s: too little to clear anything.`,
      );
      break;
    }
  }
  for (const l of design.states) {
    const e = entryOf(ledger, 'turnStallSpeed', l.id);
    if (e?.warnings.length) {
      add('flight', 'look', l.id, `${l.name}: ${e.warnings[0]}`);
      break;
    }
  }
  const reserve = entryOf(ledger, 'aileronReserve', 'all')?.value,
    wanted = design.flight.aileronReserve ?? AILERON_RESERVE;
  const deg = (r: number) => `${((r * 180) / Math.PI).toFixed(1)}°`;
  if (reserve !== undefined && reserve < wanted)
    add(
      'shape',
      'look',
      'all',
      `In the heaviest state the ailerons lose the wing ${deg(Math.max(0, reserve))} after its first strip stalls; ${deg(wanted)} is wanted, or it drops a wing. Washout or another section outboard moves the stall inboard: see the stall map.`,
    );
  const yaw = design.states
    .filter((l) => !hovers(l))
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
      `${yaw.l.name} hardly weathercocks (Cnβ ${yaw.v.toFixed(3)} per rad, the weakest state): more fin, or a longer tail.`,
    );
}

export function findingsOf(
  brief: Brief,
  design: Design,
  ledger: Ledger,
  scoreErrors: readonly string[],
): Finding[] {
  if (ledger.stopped)
    return [{ station: 'shape', severity: 'stop', state: 'all', sentence: ledger.stopped, fix: null }];
  const out: Finding[] = [];
  const add: Add = (station, severity, state, sentence, fix = null) => {
    out.push({ station, severity, state, sentence, fix });
  };
  balanceFindings(design, ledger, add);
  structureFindings(design, ledger, add);
  powerFindings(brief, design, ledger, add);
  wiringFindings(design, ledger, add);
  flightFindings(design, ledger, add);
  landingFindings(brief, design, ledger, add);
  for (const e of scoreErrors) add('score', 'look', 'all', e);
  for (const c of checkRequirements(brief, design, ledger)) {
    if (c.status === 'unknown') add('brief', 'look', 'all', c.sentence);
    else if (c.status === 'missed') add('brief', 'look', c.state, c.sentence);
  }
  const re = entryOf(ledger, 'reynoldsLap', design.states[0].id)?.value ?? Infinity;
  if (re < 6e4)
    add(
      'sections',
      'look',
      'all',
      `The wing works at a Reynolds number of ${Math.round(re / 1000)} thousand: the section estimate is rough below 60 thousand.`,
    );
  return [...out, ...plausibilityFindings(design, ledger)];
}
