/** Everything of a document that may be varied: what the worth list asks about first, then every other number. */
import { documentField, type DesignDocument } from '../design';
import { candidatesOf } from './candidates';
import { leverOf, type Lever } from './levers';

/** Parts of a document that hold no inputs of the aircraft, its site or its missions. */
const LEFT_OUT =
  /^(calibration|trade|brief\.(requirements|tasks|rivals|variants|statements|stated|references|watch))\b/;

function pathsIn(value: unknown, path: string, into: string[]): string[] {
  if (LEFT_OUT.test(path)) return into;
  if (typeof value === 'number') into.push(path);
  else if (Array.isArray(value))
    value.forEach((v: unknown, i) => {
      const id = typeof v === 'object' && v !== null && 'id' in v ? String(v.id) : String(i);
      pathsIn(v, `${path}.${id}`, into);
    });
  else if (typeof value === 'object' && value !== null)
    for (const [k, v] of Object.entries(value)) pathsIn(v, path ? `${path}.${k}` : k, into);
  return into;
}

/** @param state that is flown */
export function inputsOf(doc: DesignDocument, state: string): Lever[] {
  const first = candidatesOf(doc, state).map((c) => c.lever),
    known = new Set(first.map((l) => l.id));
  const rest = pathsIn({ design: doc.design, brief: doc.brief }, '', [])
    // of a measured section's points, an outline's corners: no names, no inputs
    .filter((p) => !known.has(p) && documentField(p) !== null && !/\.points\./.test(p))
    .flatMap((p) => leverOf(doc, p) ?? []);
  return [...first, ...rest];
}

/** Steps to either side that a range reaches at first. */
const REACH = 10;

/** A range about where an input stands, in whole steps, within what may stand there. */
export function usualRange(doc: DesignDocument, lever: Lever, state: string): { from: number; to: number } {
  const now = lever.value(doc) ?? 0,
    step =
      candidatesOf(doc, state).find((c) => c.lever.id === lever.id)?.step ??
      Math.max(Math.abs(now) * 0.03, 1e-3);
  if (lever.choices) return { from: 0, to: lever.choices.length - 1 };
  const reach = lever.whole ? Math.max(2, Math.round(Math.abs(now) / 2)) : REACH * step,
    least = lever.whole ? 1 : now > 0 ? 0.3 * now : -Infinity;
  return { from: Math.max(least, now - reach), to: now + reach };
}
