/**
 * What a design must keep to in the state that is flown: the brief's musts, the strip, climb and strength; and that it handles:
 * balance, stall order, throw of the controls. Each is a margin that falls below zero where it blocks, so that its line can
 * be drawn.
 */
import { ALL, marginOf, readRef, refsAsked, refText, statesAsked, type QuantityRef } from '../assess';
import { hovers, powertrainOf, type DesignDocument, type Requirement } from '../design';
import { AILERON_RESERVE } from '../surface';
import { say, type Said } from '../words';
import { QUANTITIES, quantityDef, type QuantityId } from '../assess';

type Read = (ref: string) => number | undefined;

export interface Limit {
  readonly id: string;
  readonly name: string;
  readonly refs: readonly QuantityRef[];
  /** over the limit's own size, below zero where it blocks; null where the aircraft has no such number */ margin(
    read: Read,
  ): number | null;
  /** what it says with a value, in a person's units */ said(read: Read): Said;
}

interface Spec {
  readonly id: string;
  readonly quantity: QuantityId;
  readonly op: Requirement['op'];
  readonly min: number | null;
  readonly max: number | null;
  /** of what size its margins are counted, SI */ readonly scale: number;
  readonly rule: string;
}

const least = (quantity: QuantityId, min: number, scale: number, id: string = quantity): Spec => ({
  id,
  quantity,
  op: 'atLeast',
  min,
  max: null,
  scale,
  rule: '',
});
const most = (quantity: QuantityId, max: number, scale: number, id: string = quantity): Spec => ({
  id,
  quantity,
  op: 'atMost',
  min: null,
  max,
  scale,
  rule: '',
});

/** Climb that a powered aircraft must have to score [m/s], as the score has it. */
const LEAST_CLIMB = 0.2;

/** Currents that a part may not exceed. */
function currentSpecs({ design }: DesignDocument): Spec[] {
  const p = powertrainOf(design);
  if (p.unpowered) return [];
  const { motor, esc } = p,
    count = p.arrangement?.count ?? 1,
    amps = Math.min(motor.maxCurrent, esc.maxCurrent) * count + p.avionicsCurrent;
  return [most('staticCurrent', amps, amps)];
}

/** How it must fly and handle on its wing. */
function winged(doc: DesignDocument): Spec[] {
  const { brief, design } = doc,
    { marginMin, marginMax, aileronReserve, turnBank } = design.flight,
    wanted = design.structure.requiredLoadFactor;
  return [
    most('groundRun', brief.site.stripLength, brief.site.stripLength),
    ...(powertrainOf(design).unpowered ? [] : [least('climbRate', LEAST_CLIMB, 1)]),
    least('failLoadFactor', 1 / Math.cos(turnBank), 1),
    least('allowedLoadFactor', wanted, wanted),
    least('staticMargin', marginMin, 0.1, 'nose-up'),
    most('staticMargin', marginMax, 0.1, 'nose-heavy'),
    least('aileronReserve', aileronReserve ?? AILERON_RESERVE, AILERON_RESERVE),
    least('foreplaneLead', 0, 0.1),
    most('pitchThrow', 1, 1),
  ];
}

/** What takes as long as all the rest, and seldom blocks: held against winners alone. */
const costly = (): Spec[] => [least('yawStiffness', 0, 0.1)];

/** How it must hang on its rotors. */
const hanging = (): Spec[] => [least('hoverMargin', 1, 1)];

function requirementLimit(r: Requirement, doc: DesignDocument, state: string): Limit | null {
  const def = quantityDef(r.quantity),
    of = r.state === ALL ? { ...r, state } : r;
  // what is asked of all that fly on a wing is not asked of one that hangs
  if (!def || (r.state === ALL && !statesAsked(r, doc.design).includes(state))) return null;
  const refs = refsAsked(of, doc.design).flatMap((t) => readRef(t) ?? []),
    other = of.state === state ? undefined : doc.design.states.find((s) => s.id === of.state)?.name;
  return limitOf({ ...r, id: `asked:${r.id}`, scale: scaleOf(r), ...(other && { other }) }, refs);
}

const scaleOf = (r: Pick<Requirement, 'min' | 'max'>) =>
  Math.max(Math.abs(r.min ?? 0), Math.abs(r.max ?? 0), 1e-6);

type Bounds = Pick<Spec, 'id' | 'op' | 'min' | 'max' | 'scale' | 'rule'> & {
  quantity: string;
  /** name of the state that it is asked of, where it is not the one that is flown */ other?: string;
};

function limitOf(spec: Bounds, refs: readonly QuantityRef[]): Limit {
  const def = quantityDef(spec.quantity)!,
    name = spec.other ? `${def.name} in ${spec.other}` : def.name,
    keys = refs.map(refText);
  const worst = (read: Read): number | undefined => {
    const all = keys.flatMap((k) => read(k) ?? []);
    return all.length === 0
      ? undefined
      : all.reduce((a, v) => (marginOf(spec, v) < marginOf(spec, a) ? v : a));
  };
  return {
    id: spec.id,
    name,
    refs,
    margin: (read) => {
      const v = worst(read);
      return v === undefined ? null : marginOf(spec, v) / spec.scale;
    },
    said: (read) =>
      say('limit', {
        name,
        kind: def.kind,
        op: spec.op,
        min: spec.min,
        max: spec.max,
        rule: spec.rule,
        value: worst(read) ?? null,
      }),
  };
}

/** A must that asks more of the same number, in the same direction, leaves nothing to the usual limit. */
const covers = (r: Requirement, s: Spec) =>
  !r.wish &&
  r.quantity === s.quantity &&
  r.part === undefined &&
  (s.op === 'atMost' ? r.op !== 'atLeast' && r.max! <= s.max! : r.op !== 'atMost' && r.min! >= s.min!);

const ofState = (r: Requirement, state: string) => r.state === ALL || r.state === state;

/**
 * @param state id of the state that is flown; musts of other states are held to where they name these
 * @param whole with what is costly to compute
 */
export function limitsOf(doc: DesignDocument, state: string, whole = false): Limit[] {
  const { brief, design } = doc,
    flown = design.states.find((s) => s.id === state);
  if (!flown) return [];
  const specs = hovers(design, flown)
      ? hanging()
      : [...winged(doc), ...currentSpecs(doc), ...(whole ? costly() : [])],
    musts = brief.requirements.filter((r) => !r.wish);
  const usual = specs
    .filter((s) => !musts.some((r) => ofState(r, state) && covers(r, s)))
    .map((s) => {
      const ref = QUANTITIES[s.quantity].scope === 'all' ? { id: s.quantity } : { id: s.quantity, state };
      return limitOf(s, [ref]);
    });
  return [...musts.flatMap((r) => requirementLimit(r, doc, state) ?? []), ...usual];
}
