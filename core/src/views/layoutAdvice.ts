/**
 * What would mend the layout: washout or sections for the stall, tail and fin for stability, decalage for trim,
 * and what growth in mass breaks. Longer jobs, run when asked.
 */
import { say, type Said } from '../words';
import { G0 } from '../air';
import { FACTOR_IDS, hovers, type Brief, type Calibration, type Design } from '../design';
import { decalageFor, finForStiffness, tailForMargin, type Sized } from '../layout';
import { growthOf, loadedState, type Growth } from '../mass';
import { AILERON_RESERVE, leastWashout, stripSections, tipSections, type StallRemedy } from '../surface';
import {
  aero as aeroStep,
  air as airStep,
  balance,
  bodies,
  coupled as coupledStep,
  sections as sectionsStep,
  shape,
} from '../steps';
import { assess, runOf } from '../assess';
import { entryOf, type Fix, type Ledger } from '../assess';
import type { StepCache } from '../assess';
import { checkRequirements } from '../assess';

export interface LayoutAdvice {
  wanted: number;
  washout: Omit<StallRemedy, 'sweep'> | null;
  washoutFix: Fix | null;
  sections: Omit<StallRemedy, 'sweep'>[];
  tail: Sized | null;
  tailFix: Fix | null;
  fin: Sized | null;
  decalage: { incidence: number; decalage: number; said: Said; fix: Fix } | null;
}

const without = ({ sweep: _sweep, ...rest }: StallRemedy): Omit<StallRemedy, 'sweep'> => rest;

/** @throws DomainError from a design that cannot be solved */
export function layoutAdvice(
  brief: Brief,
  drawn: Design,
  cal: Calibration,
  ledger: Ledger,
  loadingId: string,
  cache: StepCache,
): LayoutAdvice {
  const run = runOf({ brief, design: drawn }, cal, cache).inState(loadingId),
    { design } = run.source,
    shift = run.causes.neutralPoint - 1,
    aero = run.of(aeroStep),
    air = run.of(airStep),
    coupled = run.of(coupledStep),
    { polars, contours } = run.of(sectionsStep);
  const loading = design.states.find((l) => l.id === loadingId) ?? design.states[0],
    { state } = run.of(balance, loading.id);
  const vs = entryOf(ledger, 'stallSpeed', loading.id)?.value ?? 8,
    nu = air.viscosity / air.density;
  const speed = entryOf(ledger, 'lapSpeed', loading.id)?.value ?? 1.4 * vs,
    cl = (2 * state.mass * G0) / (air.density * speed * speed * run.of(shape).wing.area);
  const reynoldsOf = (c: number) => (vs * c) / nu;
  const task = {
    coupled,
    sections: stripSections(coupled, polars, reynoldsOf),
    design,
    aero,
    x: state.x,
    z: state.z,
  };
  const wanted = design.flight.aileronReserve ?? AILERON_RESERVE;
  const washout = leastWashout(task, wanted, cl);
  const wing = design.surfaces.find((s) => s.role === 'wing')!,
    half = wing.stations[wing.stations.length - 1].y;
  const zero = new Map(coupled.at.map((i, n) => [coupled.sol.strips[i].section, task.sections.zero[n]]));
  const known = new Map([...polars].filter(([id]) => zero.has(id)));
  const flying = design.states.filter((l) => !hovers(design, l)).map((l) => run.of(balance, l.id).state.x);
  const aft = Math.max(...(flying.length > 0 ? flying : [state.x]));
  const margin =
    0.5 * (design.flight.marginMin + Math.min(design.flight.marginMax, design.flight.marginMin + 0.08));
  const tail = tailForMargin(design, contours, aft, margin, shift);
  const trimmed = decalageFor(design, contours, cl, state.x, run.of(bodies).pitch);
  const stab = design.surfaces.find((s) => s.role === 'tail' || s.role === 'canard');
  return {
    wanted,
    washout: washout && without(washout),
    washoutFix:
      washout && washout.twist < -1e-6
        ? {
            label: say('wash-out', { by: -washout.twist }),
            changes: wing.stations.map((s, i) => ({
              path: `surfaces.${wing.id}.stations.${i}.twist`,
              value:
                Math.round((s.twist + washout.twist * Math.max(0, (s.y / half - 0.3) / 0.7)) * 1e5) / 1e5,
            })),
          }
        : null,
    sections: tipSections(task, known, reynoldsOf, (id) => zero.get(id)!, cl).map(without),
    tail,
    tailFix:
      tail && Math.abs(tail.factor - 1) > 0.03
        ? { label: say('scale-tail', { factor: tail.factor }), changes: scaleChanges(design, tail) }
        : null,
    fin: finForStiffness(design, contours, aft),
    decalage:
      trimmed && stab
        ? {
            ...trimmed,
            said: say('decalage', { ...trimmed, name: stab.name, speed, state: loading.name }),
            fix: {
              label: say('set-incidence', { name: stab.name, incidence: trimmed.incidence }),
              changes: [
                { path: `surfaces.${stab.id}.incidence`, value: Math.round(trimmed.incidence * 1e5) / 1e5 },
              ],
            },
          }
        : null,
  };
}

function scaleChanges(design: Design, sized: Sized): Fix['changes'] {
  const s = design.surfaces.find((q) => q.id === sized.surface)!,
    k = Math.sqrt(sized.factor);
  const mm = (v: number) => Math.round(v * 10000) / 10000;
  return [
    { path: `surfaces.${s.id}.x`, value: mm(s.x + 0.25 * s.stations[0].chord * (1 - k)) },
    {
      path: `surfaces.${s.id}.stations`,
      value: s.stations.map((p) => ({
        ...p,
        y: mm(p.y * k),
        x: mm(p.x * k),
        z: mm(p.z * k),
        chord: mm(p.chord * k),
      })),
    },
  ];
}

export interface GrowthBreak {
  said: Said;
  requirement: string;
  /** growth of the unweighed and weighed parts together over the plan, and the empty mass there [kg] */ factor: number;
  emptyMass: number;
}

export interface GrowthReport {
  growth: Growth;
  /** empty mass now, as best known [kg] */ now: number;
  breaks: GrowthBreak[];
  /** by factor on the planned empty mass */ curve: { factor: number; emptyMass: number; missed: number }[];
}

const FACTORS = Array.from({ length: 15 }, (_, i) => 1 + 0.05 * i);

/** Grows every item alike and asks which requirement goes first, and at what empty mass. */
export function growthReport(brief: Brief, design: Design, cal: Calibration, cache: StepCache): GrowthReport {
  const quiet: Calibration = { ...cal, covariance: cal.covariance.map((r) => r.map(() => 0)) };
  const grown = (f: number): Design => ({
    ...design,
    items: design.items.map((i) => ({ ...i, weighed: i.weighed === null ? null : i.weighed * f })),
  });
  const at = (f: number) => {
    const mean = [...quiet.mean];
    mean[FACTOR_IDS.indexOf('massGrowth')] *= f;
    const d = grown(f),
      ledger = assess(brief, d, { ...quiet, mean }, cache);
    return {
      missed: checkRequirements(brief, d, ledger).filter((c) => c.status === 'missed'),
      empty: loadedState(d, { count: 0 }, 'best', mean[FACTOR_IDS.indexOf('massGrowth')]).mass,
    };
  };
  const rows = FACTORS.map((factor) => ({ factor, ...at(factor) }));
  const before = new Set(rows[0].missed.map((m) => m.requirement.id));
  const breaks: GrowthBreak[] = [];
  for (const r of brief.requirements) {
    if (before.has(r.id)) continue;
    const k = rows.findIndex((x) => x.missed.some((m) => m.requirement.id === r.id));
    if (k < 1) continue;
    let lo = rows[k - 1].factor,
      hi = rows[k].factor;
    for (let i = 0; i < 4; i++) {
      const mid = 0.5 * (lo + hi);
      if (at(mid).missed.some((m) => m.requirement.id === r.id)) hi = mid;
      else lo = mid;
    }
    const end = at(hi);
    breaks.push({
      requirement: r.id,
      factor: hi,
      emptyMass: end.empty,
      said: end.missed.find((m) => m.requirement.id === r.id)!.said,
    });
  }
  return {
    growth: growthOf(design),
    now: rows[0].empty,
    breaks: breaks.sort((a, b) => a.factor - b.factor),
    curve: rows.map((r) => ({ factor: r.factor, emptyMass: r.empty, missed: r.missed.length })),
  };
}
