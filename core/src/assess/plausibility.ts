/**
 * Plausibility: numbers outside what is usual for such an aircraft, and claims that must agree with one another. Questions
 * only, never a block. Ranges are common practice, no source.
 */
import { powertrainOf, type Design } from '../design';
import { itemMass, linkParts, scaleResolution } from '../mass';
import type { Finding, Ledger } from './ledger';
import { entryOf } from './ledger';
import { quantityDef } from '../steps';
import { say, type Said } from '../words';
import { CLASS_WORDS, classOf, usualRanges } from './usual';

/** Questions about values outside what is usual for such an aircraft, once per quantity. */
function rangeQuestions(design: Design, ledger: Ledger): Finding[] {
  const kind = classOf(design, ledger),
    half = (entryOf(ledger, 'wingSpan', 'all')?.value ?? 0) / 2;
  return Object.entries(usualRanges(design, kind, half)).flatMap(([id, [lo, hi]]): Finding[] => {
    const e = ledger.entries.find((x) => x.id === id && !(x.value >= lo && x.value <= hi));
    const def = quantityDef(id);
    if (!e || !def) return [];
    const said = say('unusual', {
      name: def.name,
      kind: e.kind,
      aircraft: CLASS_WORDS[kind],
      value: e.value,
      low: lo,
      high: hi,
    });
    return [{ station: def.station, severity: 'ask', state: e.state, fix: null, ...said }];
  });
}

/** Lines that are parts and are typed as masses: another part leaves them where they are. */
function typedParts(design: Design): Finding[] {
  const linked = linkParts(design).items;
  const typed = linked.flatMap((i, k) =>
    i === design.items[k] || design.items[k].weighed !== null ? [] : [i],
  );
  if (typed.length === 0) return [];
  const changes = typed.map((i) => ({ path: `items.${i.id}.planned`, value: i.planned }));
  return [
    {
      station: 'balance',
      severity: 'ask',
      state: 'all',
      ...say('typed-parts', { names: typed.map((i) => i.name) }),
      fix: { label: say('follow-parts', {}), changes },
    },
  ];
}

/** The rotors are drawn under Shape and driven under Power: one size. */
function rotorConflict(design: Design): Finding[] {
  const { lift, rotors } = powertrainOf(design),
    odd = rotors?.find((r) => lift && Math.abs(r.diameter / lift.propeller.diameter - 1) > 0.03);
  if (!lift || !odd) return [];
  // without a size of its own a thruster is drawn as its drive's propeller
  const changes = rotors!.map((r) => ({ path: `thrusters.${r.id}.diameter`, value: undefined }));
  const fix = { label: say('draw-as-driven', {}), changes },
    said = say('rotor-drawn', { rotor: odd.name, drawn: odd.diameter, driven: lift.propeller.diameter });
  return [{ station: 'power', severity: 'ask', state: 'all', ...said, fix }];
}

/** Claims of one design that cannot both be true. */
function contradictions(design: Design): Finding[] {
  const out: Finding[] = [];
  const ask = (station: Finding['station'], said: Said) =>
    out.push({ station, severity: 'ask', state: 'all', fix: null, ...said });
  const { battery, motor, esc, unpowered } = powertrainOf(design);
  out.push(...typedParts(design), ...rotorConflict(design));
  if (!unpowered) {
    const pack = design.items
      .filter((i) => i.group === 'battery')
      .reduce((s, i) => s + itemMass(i, design), 0);
    const wh = (battery.capacity * battery.series * 3.7) / 3600;
    if (pack > 0 && !(wh / pack >= 90 && wh / pack <= 260))
      ask('power', say('odd-pack', { energy: wh * 3600, mass: pack }));
    const cellMilliohm = battery.cellResistance * 1000,
      ampHours = battery.capacity / 3600 / battery.parallel;
    if (cellMilliohm * ampHours > 120 || cellMilliohm * ampHours < 3)
      ask('power', say('odd-cell', { charge: ampHours * 3600, resistance: battery.cellResistance }));
    if (motor.resistance * motor.noLoadCurrent > 2) ask('power', say('odd-motor', {}));
    if (esc.maxCurrent > motor.maxCurrent * 6) ask('power', say('odd-controller', {}));
  }
  for (const s of design.sections)
    if (s.shape.kind === 'naca4' && Number(s.shape.digits.slice(2)) > 21)
      ask('sections', say('thick-section', { name: s.name, percent: s.shape.digits.slice(2) }));
  return out;
}

/** The sum of the parts against the scale. */
function sumChecks(design: Design, ledger: Ledger): Finding[] {
  return design.scale.flatMap((w) => {
    const e = entryOf(ledger, 'mass', w.state);
    if (!e) return [];
    const off = w.mass - e.value;
    const step = scaleResolution(design, w.mass);
    if (Math.abs(off) <= Math.max(0.004 * w.mass, 0.5 * step)) return [];
    const name = design.states.find((l) => l.id === w.state)?.name ?? w.state;
    return [
      {
        station: 'balance' as const,
        severity: 'look' as const,
        state: w.state,
        fix: null,
        ...say('off-the-scale', { state: name, listed: e.value, scale: w.mass, resolution: step }),
      },
    ];
  });
}

export function plausibilityFindings(design: Design, ledger: Ledger): Finding[] {
  return [...rangeQuestions(design, ledger), ...contradictions(design), ...sumChecks(design, ledger)];
}
