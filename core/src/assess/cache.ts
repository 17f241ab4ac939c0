/**
 * Results of earlier runs by step and content, owned by the caller. A key is made of the numbers of equal contents, so that
 * two contents never share one and what a document shares with an earlier one is gone through once.
 */
import type { Step } from '../steps';
import type { Run } from './run';

/** Contents that are told apart before all is forgotten: a few hundred documents. */
const CONTENTS = 400_000;
/** Parts kept within one step. */
const PARTS = 600;

export class StepCache {
  private numbers = new Map<string, number>();
  private known = new WeakMap<object, number>();
  private results = new Map<string, Map<string, unknown>>();
  private made = new Map<string, number>();
  private next = 1;
  /** that others of its family are near to */ family: Run | null = null;

  /** A number for a text that no other text of this cache has or had. */
  private numberOf(text: string): number {
    const is = this.numbers.get(text);
    if (is !== undefined) return is;
    if (this.numbers.size >= CONTENTS) this.forget();
    this.numbers.set(text, this.next);
    return this.next++;
  }

  /** Numbers are not given again: what is kept under an old one is not found by a new content. */
  private forget(): void {
    this.numbers = new Map();
    this.known = new WeakMap();
  }

  /** A plain value by its content: equal for equal content. Objects are taken to be unchanging. */
  contentOf(value: unknown): string {
    if (typeof value === 'string') return JSON.stringify(value);
    if (value === null || typeof value !== 'object') return String(value);
    const is = this.known.get(value);
    if (is !== undefined) return `#${is}`;
    const number = this.numberOf(
      Array.isArray(value)
        ? `[${value.map((v) => this.contentOf(v)).join(',')}]`
        : `{${Object.entries(value)
            .filter(([, v]) => v !== undefined)
            .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
            .map(([k, v]) => `${k}:${this.contentOf(v)}`)
            .join(',')}}`,
    );
    this.known.set(value, number);
    return `#${number}`;
  }

  /** A step's slice by its content. Its own keys stand in the order in which the step writes them. */
  contentOfSlice(slice: object): string {
    let out = '';
    for (const v of Object.values(slice)) out += `${this.contentOf(v)},`;
    return out;
  }

  /** The key of a step's result: content of its slice, keys of its needs, values of its causes. */
  keyOf(text: string): string {
    return `#${this.numberOf(text)}`;
  }

  /** The kept result, or a new one. */
  kept<T>(step: string, key: string, most: number, make: () => T): T {
    let of = this.results.get(step);
    if (!of) this.results.set(step, (of = new Map()));
    if (of.has(key)) {
      const value = of.get(key) as T;
      // the least recently used goes first
      of.delete(key);
      of.set(key, value);
      return value;
    }
    const value = make();
    this.made.set(step, this.counts(step) + 1);
    if (of.size >= most) of.delete(of.keys().next().value!);
    of.set(key, value);
    return value;
  }

  /** How many results of a step were made so far: what an edit cost. */
  counts(step: string): number {
    return this.made.get(step) ?? 0;
  }

  /** Keeps parts of one step's work. */
  partsOf(step: Step): <T>(part: string, inputs: unknown, make: () => T) => T {
    return (part, inputs, make) => this.kept(`${step.id}: ${part}`, this.contentOf(inputs), PARTS, make);
  }
}
