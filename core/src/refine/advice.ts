/**
 * Advice from handling notes and gaps: the change that would close it, and what that change does to every
 * other number. A tail-heavy note asks for more static margin than was flown, a nose-heavy one for less.
 */
import { say, type Said } from '../words';
import { assess, entryOf, type Fix, type Ledger, type LedgerEntry, StepCache, keyOf } from '../assess';
import {
  hasWing,
  setPath,
  type Calibration,
  type Design,
  type DesignDocument,
  type Handling,
} from '../design';
import { loadedState } from '../mass';
import { sparAdvice } from './sparAdvice';
import { SYMPTOMS, heldAgainst } from './symptoms';

/** Change of static margin (fraction of the mean chord) that one note asks for. Common practice: a few per cent at a time. */
const MARGIN_STEP: Partial<Record<Handling, number>> = { 'tail-heavy': 0.025, 'nose-heavy': -0.025 };

export interface Advice {
  id: string;
  because: Said;
  said: Said;
  fix: Fix | null;
}

function balanceAdvice(design: Design, ledger: Ledger, loading: string, step: number, because: Said): Advice {
  const mac = entryOf(ledger, 'meanChord', 'all')!.value;
  const now = entryOf(ledger, 'staticMargin', loading)!.value;
  const state = loadedState(
    design,
    design.states.find((l) => l.id === loading)!,
    'best',
    1,
  );
  const wanted = -step * mac;
  const candidates = design.items
    .filter((i) => i.movable)
    .map((i) => {
      const mass = state.points.find((p) => p.id === i.id)!.mass;
      const to = i.x + (wanted * state.mass) / Math.max(mass, 1e-6);
      const reach = Math.min(i.movable!.to, Math.max(i.movable!.from, to));
      return {
        item: i,
        mass,
        to: reach,
        full: Math.abs(reach - to) < 1e-6,
        shift: (mass * (reach - i.x)) / state.mass,
      };
    })
    .filter((c) => c.mass > 0)
    .sort((a, b) => Math.abs(b.shift) - Math.abs(a.shift));
  const best = candidates.find((c) => c.full) ?? candidates[0];
  if (!best || Math.abs(best.shift) < 5e-4) {
    return {
      id: 'balance',
      because,
      said: say('no-room', { by: wanted }),
      fix: null,
    };
  }
  const to = Math.round(best.to * 1000) / 1000;
  const by = to - best.item.x,
    label = say('move-item', { name: best.item.name, by });
  const after = now - (best.mass * (to - best.item.x)) / state.mass / mac;
  return {
    id: 'balance',
    because,
    said: say('moved-for-margin', {
      move: label,
      by,
      cg: (best.mass * by) / state.mass,
      from: now,
      to: after,
      short: !best.full,
    }),
    fix: { label, changes: [{ path: `items.${best.item.id}.x`, value: to }] },
  };
}

/** Advice for one version: from its handling notes, and from what the ledger shows. */
export function adviseNext(
  doc: DesignDocument,
  ledger: Ledger,
  notes: readonly { loading: string; handling: readonly Handling[]; test: string }[],
): Advice[] {
  const out: Advice[] = [];
  for (const n of notes)
    for (const h of n.handling)
      if (h !== 'as expected')
        out.push({ ...noteAdvice(doc.design, ledger, h, n), id: `note-${out.length}` });
  const findings = ledger.findings.filter((f) => f.station === 'balance' && f.fix);
  if (!out.some((a) => a.fix?.changes.some((c) => c.path.startsWith('items.'))))
    findings.forEach((f, i) =>
      out.push({ id: `finding-${i}`, because: say('predicted-balance', {}), said: f, fix: f.fix }),
    );
  const spar = sparAdvice(doc, ledger);
  if (spar) out.push(spar);
  return out;
}

/** What one note asks for: the change of its own where it has one, and in any case its first cause and the test that tells it. */
function noteAdvice(
  design: Design,
  ledger: Ledger,
  note: Exclude<Handling, 'as expected'>,
  from: { loading: string; test: string },
): Omit<Advice, 'id'> {
  const cause = causeOf(design, ledger, note, from),
    step = MARGIN_STEP[note],
    known = design.states.some((l) => l.id === from.loading);
  const { test } = SYMPTOMS[note];
  // without a wing there is no margin to move and no tip to wash out
  if (!hasWing(design)) return { ...cause, fix: null };
  if (step !== undefined && known) {
    const cg = entryOf(ledger, 'cgX', from.loading)!.value;
    const because = say('of-note-at', { note, test: from.test, cg });
    const own = balanceAdvice(design, ledger, from.loading, step, because);
    return { ...own, said: say('tell', { first: own.said, test, figure: null }) };
  }
  if (note !== 'tip-stall') return cause;
  const own = washout(design);
  return { ...own, because: cause.because, said: say('tell', { first: own.said, test, figure: null }) };
}

/** First cause and separating test of a note; its change only where no other advice of the note makes one. */
function causeOf(
  design: Design,
  ledger: Ledger,
  note: Exclude<Handling, 'as expected'>,
  from: { loading: string; test: string },
): Omit<Advice, 'id'> {
  const s = SYMPTOMS[note],
    figure = heldAgainst(note, ledger, from.loading);
  return {
    because: say('of-note', { note, test: from.test }),
    said: say('tell', { first: say('likely-cause', { cause: s.cause }), test: s.test, figure }),
    fix: s.fix(design),
  };
}

function washout(design: Design): Pick<Advice, 'said' | 'fix'> {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  const tip = wing.stations.length - 1;
  const twist = wing.stations[tip].twist - (2 * Math.PI) / 180;
  return {
    said: say('more-washout', {}),
    fix: {
      label: say('washout-label', { by: (2 * Math.PI) / 180 }),
      changes: [{ path: `surfaces.${wing.id}.stations.${tip}.twist`, value: twist }],
    },
  };
}

/** A design with a fix applied. */
export function applyFix(design: Design, fix: Fix): Design {
  return fix.changes.reduce((d, c) => setPath(d, c.path, c.value), design);
}

export interface Effect extends Pick<LedgerEntry, 'id' | 'state' | 'part'> {
  before: number;
  after: number;
  sigma: number;
}

/** What a change does to every ledger number; only those that move by more than a thousandth. */
export function effectOf(
  doc: DesignDocument,
  calibration: Calibration,
  fix: Fix,
  cache: StepCache = new StepCache(),
): Effect[] {
  return compareLedgers(
    assess(doc.brief, doc.design, calibration, cache),
    assess(doc.brief, applyFix(doc.design, fix), calibration, cache),
  );
}

/** Numbers that differ between two ledgers, by more than a thousandth of their size. */
export function compareLedgers(before: Ledger, after: Ledger): Effect[] {
  const old = new Map(before.entries.map((e) => [keyOf(e), e]));
  return after.entries.flatMap((e) => {
    const o = old.get(keyOf(e));
    if (!o || Math.abs(e.value - o.value) <= 1e-3 * Math.max(Math.abs(o.value), 1e-9)) return [];
    const { id, state, part } = e;
    return [
      { id, state, ...(part === undefined ? {} : { part }), before: o.value, after: e.value, sigma: e.sigma },
    ];
  });
}
