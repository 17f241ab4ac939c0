/**
 * Plausibility: numbers outside what is usual for such an aircraft, and claims that must agree with one another. Questions
 * only, never a block. Ranges are common practice, no source.
 */
import { powertrainOf, type Design } from '../design';
import { gramsText, itemMass, linkParts, scaleResolution } from '../mass';
import { formatQuantity, type KindName } from '../units';
import type { Finding, Ledger } from './ledger';
import { entryOf } from './ledger';
import { quantityDef } from '../steps';
import { CLASS_WORDS, classOf, usualRanges } from './usual';

function slipOf(value: number, lo: number, hi: number): string {
  const ten = value < lo ? value * 10 : value / 10;
  return ten >= lo && ten <= hi ? ' A slip of ten, or a wrong unit?' : ' Is that what was meant?';
}

/** Questions about values outside what is usual for such an aircraft, once per quantity. */
function rangeQuestions(design: Design, ledger: Ledger): Finding[] {
  const kind = classOf(design, ledger),
    half = (entryOf(ledger, 'wingSpan', 'all')?.value ?? 0) / 2;
  return Object.entries(usualRanges(design, kind, half)).flatMap(([id, [lo, hi]]): Finding[] => {
    const e = ledger.entries.find((x) => x.id === id && !(x.value >= lo && x.value <= hi));
    const def = quantityDef(id);
    if (!e || !def) return [];
    const show = (v: number) => formatQuantity(v, e.kind as KindName, 'metric');
    const usual = `usual for ${CLASS_WORDS[kind]} is ${show(lo)} to ${show(hi)}`;
    const sentence = `${def.name} comes out at ${show(e.value)}; ${usual}.${slipOf(e.value, lo, hi)}`;
    return [{ station: def.station, severity: 'ask', state: e.state, fix: null, sentence }];
  });
}

/** Lines that are parts and are typed as masses: another part leaves them where they are. */
function typedParts(design: Design): Finding[] {
  const linked = linkParts(design).items;
  const typed = linked.flatMap((i, k) =>
    i === design.items[k] || design.items[k].weighed !== null ? [] : [i],
  );
  if (typed.length === 0) return [];
  const names = typed.map((i) => i.name).join(', ');
  const as = typed.length === 1 ? 'as a mass' : 'as masses';
  const sentence = `${names}: typed ${as}, so that another part changes no weight.`;
  const changes = typed.map((i) => ({ path: `items.${i.id}.planned`, value: i.planned }));
  return [
    {
      station: 'balance',
      severity: 'ask',
      state: 'all',
      sentence,
      fix: { label: 'Let them follow their parts', changes },
    },
  ];
}

/** The rotors are drawn under Shape and driven under Power: one size. */
function rotorConflict(design: Design): Finding[] {
  const { lift, rotors } = powertrainOf(design),
    odd = rotors?.find((r) => lift && Math.abs(r.diameter / lift.propeller.diameter - 1) > 0.03);
  if (!lift || !odd) return [];
  const mm = (m: number) => `${Math.round(m * 1000)} mm`;
  const drawnAs = `${odd.name} is drawn ${mm(odd.diameter)} across`;
  const sentence = `${drawnAs}; the lift propellers of the drive are ${mm(lift.propeller.diameter)}.`;
  // without a size of its own a thruster is drawn as its drive's propeller
  const changes = rotors!.map((r) => ({ path: `thrusters.${r.id}.diameter`, value: undefined }));
  const fix = { label: 'Draw them as driven', changes };
  return [{ station: 'power', severity: 'ask', state: 'all', sentence, fix }];
}

/** Claims of one design that cannot both be true. */
function contradictions(design: Design): Finding[] {
  const out: Finding[] = [];
  const ask = (station: Finding['station'], sentence: string) =>
    out.push({ station, severity: 'ask', state: 'all', fix: null, sentence });
  const { battery, motor, esc, unpowered } = powertrainOf(design);
  out.push(...typedParts(design), ...rotorConflict(design));
  if (!unpowered) {
    const pack = design.items
      .filter((i) => i.group === 'battery')
      .reduce((s, i) => s + itemMass(i, design), 0);
    const wh = (battery.capacity * battery.series * 3.7) / 3600;
    if (pack > 0 && !(wh / pack >= 90 && wh / pack <= 260))
      ask(
        'power',
        `The pack holds ${wh.toFixed(0)} Wh and weighs ${(pack * 1000).toFixed(0)} g: ${(wh / pack).toFixed(0)} Wh/kg, where lithium packs give 120 to 220. One of the two numbers is off.`,
      );
    const cellMilliohm = battery.cellResistance * 1000,
      ampHours = battery.capacity / 3600 / battery.parallel;
    if (cellMilliohm * ampHours > 120 || cellMilliohm * ampHours < 3)
      ask(
        'power',
        `A cell of ${ampHours.toFixed(1)} Ah with ${cellMilliohm.toFixed(1)} mΩ is unusual; ${(20 / ampHours).toFixed(0)} mΩ would be ordinary.`,
      );
    if (motor.resistance * motor.noLoadCurrent > 2)
      ask(
        'power',
        'Motor resistance times no-load current exceeds 2 V: check that the resistance was entered in milliohms.',
      );
    if (esc.maxCurrent > motor.maxCurrent * 6)
      ask('power', 'The controller is rated six times the motor: check the two limits.');
  }
  for (const s of design.sections)
    if (s.shape.kind === 'naca4' && Number(s.shape.digits.slice(2)) > 21)
      ask('sections', `Section ${s.name} is ${s.shape.digits.slice(2)} % thick; is that meant?`);
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
        sentence: `The parts add up to ${gramsText(e.value, step)} in ${name}, the scale says ${gramsText(w.mass, step)}: ${gramsText(Math.abs(off), step)} ${off > 0 ? 'is missing from the list' : 'is listed twice or has gone'}.`,
      },
    ];
  });
}

export function plausibilityFindings(design: Design, ledger: Ledger): Finding[] {
  return [...rangeQuestions(design, ledger), ...contradictions(design), ...sumChecks(design, ledger)];
}
