/** What a quantity is, declared beside the step whose result it is read off. */
import { say, type Code, type Fields, type Said } from '../words';
import type { KindName } from '../units';
import { ABSENT, type Source, type Step } from './step';

export type Station = 'brief' | 'shape' | 'sections' | 'balance' | 'power' | 'structure' | 'flight' | 'score';

export interface Spec<O> {
  readonly name: string;
  readonly kind: KindName;
  /** where it lives */ readonly station: Station;
  /** inputs in braces; the why-panel puts values in */ readonly formula: string;
  /** method and source */ readonly method: string;
  readonly better?: 'more' | 'less';
  /** load cases that it has a number for each of */ readonly cases?: readonly string[];
  /** SI; undefined where the aircraft or the state has no such number */ readonly read: (
    result: O,
    ofCase: string,
  ) => number | undefined;
  /** what must be said with it */ readonly remarks?: (result: O, source: Source) => Said[];
}

export interface QuantityDef {
  readonly id: string;
  readonly name: string;
  readonly kind: KindName;
  /** all: one value for the design; loading: one per state */ readonly scope: 'all' | 'state';
  readonly station: Station;
  readonly formula: string;
  readonly method: string;
  readonly better: 'more' | 'less' | 'none';
  readonly cases?: readonly string[];
  /** of a mission or of one of its legs, which its reference names */ readonly of?: 'mission' | 'leg';
}

export interface ReadQuantity extends QuantityDef {
  readonly step: Step;
  readonly read: (result: unknown, ofCase?: string) => number | undefined;
  readonly remarks: (result: unknown, source: Source) => Said[];
}

/** A remark where it applies. */
export function remark<C extends Code>(applies: boolean, code: C, fields: Fields<C>): Said[] {
  return applies ? [say(code, fields)] : [];
}

const SILENT = () => [];

/** The quantities of one step. */
export function quantitiesOf<O, const Q extends Readonly<Record<string, Spec<O>>>>(
  step: Step<O>,
  specs: Q,
): { readonly [K in keyof Q]: ReadQuantity } {
  const rows = Object.entries(specs).map(([id, s]): [string, ReadQuantity] => [
    id,
    {
      ...s,
      id,
      scope: step.scope === 'all' ? 'all' : 'state',
      better: s.better ?? 'none',
      step,
      read: (r, c) => (r === ABSENT ? undefined : s.read(r as O, c as string)),
      remarks: (r, source) => (r === ABSENT ? SILENT() : (s.remarks ?? SILENT)(r as O, source)),
    },
  ]);
  return Object.fromEntries(rows) as { readonly [K in keyof Q]: ReadQuantity };
}

/** A curve of a step on an axis of its own. Values that are not a number are gaps. */
export interface CurveSpec<O> {
  readonly xKind: KindName;
  readonly yKind: KindName;
  /** drawn as a line: no spread is sought along it */ readonly bare?: true;
  /** null where there is none */ readonly read: (
    result: O,
  ) => { x: readonly number[]; y: readonly number[] } | null;
}

export interface ReadCurve {
  readonly id: string;
  readonly bare?: true;
  readonly xKind: KindName;
  readonly yKind: KindName;
  readonly step: Step;
  readonly read: (result: unknown) => { x: readonly number[]; y: readonly number[] } | null;
}

export function curvesOf<O>(step: Step<O>, specs: Readonly<Record<string, CurveSpec<O>>>): ReadCurve[] {
  return Object.entries(specs).map(([id, s]) => ({
    ...s,
    id,
    step,
    read: (r) => (r === ABSENT ? null : s.read(r as O)),
  }));
}

/** What one file of steps hands to the plan: its steps in order, and what is read off them. */
export interface Part<
  Q extends Readonly<Record<string, ReadQuantity>> = Readonly<Record<string, ReadQuantity>>,
> {
  readonly steps: readonly Step[];
  readonly quantities: Q;
  readonly curves: readonly ReadCurve[];
}

export function part<Q extends Readonly<Record<string, ReadQuantity>>>(
  steps: readonly Step[],
  quantities: Q,
  curves: readonly ReadCurve[] = [],
): Part<Q> {
  return { steps, quantities, curves };
}
