/**
 * One number of the aircraft: which quantity, of which state, leg, part or case. Its written form stands in watch lists,
 * requirements, measurements and files: `groundRun@full`, `points@full;part=ferry`; `@all` is the whole design.
 */
import { isQuantity, type QuantityId } from './quantities';

export interface QuantityRef {
  readonly id: QuantityId;
  /** id of a state; the whole design where left out */ readonly state?: string;
  readonly leg?: string;
  readonly part?: string;
  readonly case?: string;
}

const PLACES = ['leg', 'part', 'case'] as const;

/** The whole design, as it is written. */
export const ALL = 'all';

export function refText(ref: QuantityRef): string {
  let text = `${ref.id}@${ref.state ?? ALL}`;
  for (const p of PLACES) if (ref[p] !== undefined) text += `;${p}=${ref[p]}`;
  return text;
}

/** Names that quantities had before, as they may stand in stored documents. */
const RENAMED: readonly { was: RegExp; is: (m: RegExpExecArray) => string }[] = [
  { was: /^points-([^@]+)@(.+)$/, is: (m) => `points@${m[2]};part=${m[1]}` },
];

/** @returns null where no quantity has that name, or a place is of no known kind */
export function readRef(text: string): QuantityRef | null {
  const renamed = RENAMED.map((r) => ({ r, m: r.was.exec(text) })).find((f) => f.m);
  if (renamed) return readRef(renamed.r.is(renamed.m!));
  const [head, ...rest] = text.split(';'),
    [id, state] = head.split('@');
  if (!isQuantity(id)) return null;
  const places: Record<string, string> = {};
  for (const part of rest) {
    const m = /^(leg|part|case)=(.+)$/.exec(part);
    if (!m) return null;
    places[m[1]] = m[2];
  }
  return { id, ...(state === undefined || state === ALL ? {} : { state }), ...places };
}
