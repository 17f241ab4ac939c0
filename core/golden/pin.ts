/**
 * What one document comes to, flattened to a record of numbers and words that can be laid beside an earlier one: every
 * ledger value with its spread and shares, curves, findings, and the reports of some states. Long lists are held by
 * their length and every seventh entry.
 */
import { sentence, type AnySaid } from '../src/words';
import { assess, INPUT_IDS, StepCache, type LedgerEntry } from '../src/assess';
import { layoutReport, powerReport } from '../src/views';
import { FACTOR_IDS, type DesignDocument } from '../src/design';

export type Pinned = Record<string, number | string | boolean | null>;

const LONG = 16,
  EVERY = 7;

/** What is said, as a person reads it. */
function isSaid(value: unknown): value is AnySaid {
  return typeof value === 'object' && value !== null && 'code' in value && 'fields' in value;
}

function flatten(value: unknown, path: string, into: Pinned): void {
  if (value === undefined || typeof value === 'function') return;
  if (isSaid(value)) {
    const { code: _code, fields: _fields, ...rest } = value;
    into[path] = sentence(value);
    flatten(rest, path, into);
    return;
  }
  if (value === null || typeof value === 'boolean' || typeof value === 'string') into[path] = value;
  else if (typeof value === 'number') into[path] = Number.isFinite(value) ? value : String(value);
  else if (Array.isArray(value) || ArrayBuffer.isView(value)) {
    const list = Array.from(value as ArrayLike<unknown>),
      long = list.length > LONG;
    if (list.length === 0) return;
    into[`${path}.length`] = list.length;
    list.forEach((v, i) => {
      if (!long || i % EVERY === 0 || i === list.length - 1) flatten(v, `${path}.${i}`, into);
    });
  } else if (value instanceof Map) flatten(Object.fromEntries(value), path, into);
  else for (const [k, v] of Object.entries(value as object)) flatten(v, path ? `${path}.${k}` : k, into);
}

/** Shares of the variance that are any, by the name of their cause. */
function sharesOf(e: LedgerEntry): Pinned {
  const rows = [
    ...e.shares.map((s, i) => [FACTOR_IDS[i], s]),
    ...e.inputShares.map((s, i) => [INPUT_IDS[i], s]),
  ];
  return Object.fromEntries(rows.filter(([, s]) => s !== 0));
}

/** First, middle and last state: what is empty, full, and special. */
function someStates(doc: DesignDocument): string[] {
  const ids = doc.design.states.map((l) => l.id);
  return [...new Set([ids[0], ids[ids.length >> 1], ids[ids.length - 1]])];
}

/** @param reports false for the ledger alone */
export function pin(doc: DesignDocument, reports = true): Pinned {
  const { brief, design, calibration } = doc,
    cache = new StepCache(),
    ledger = assess(brief, design, calibration, cache),
    out: Pinned = { stopped: ledger.stopped && sentence(ledger.stopped) };
  for (const e of ledger.entries) {
    const { id, state, part, leg, value, sigma, warnings, names } = e;
    flatten(
      { value, sigma, warnings, names, ...sharesOf(e) },
      `${[id, part, leg].filter(Boolean).join('-')}@${state}`,
      out,
    );
  }
  for (const c of ledger.curves) {
    const { id, state, x, y, sigma, xKind, yKind } = c;
    flatten({ x, y, sigma, xKind, yKind }, `curve ${id}@${state}`, out);
  }
  flatten(ledger.findings, 'findings', out);
  if (!reports) return out;
  for (const s of someStates(doc)) {
    flatten(layoutReport({ brief, design, calibration }, ledger, s, cache), `layout ${s}`, out);
    flatten(powerReport(brief, design, calibration, ledger, s, cache), `power ${s}`, out);
  }
  return out;
}
