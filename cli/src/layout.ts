/** `skia surfaces` and `skia balance`: lift, stall, stability, modes, limits and the solver's proposal as JSON. */
import { sentence } from '@skiametra/core/words';
import { assess, entryOf, StepCache, type Ledger } from '@skiametra/core/assess';
import { layoutReport, rotorReport, type LayoutReport } from '@skiametra/core/views';
import { hasWing, hovers, type DesignDocument } from '@skiametra/core/design';
import { flyingStates, loadedState, solveBalance } from '@skiametra/core/mass';
import { UsageError } from './usage';

export const LAYOUT_OPTIONS = {
  speed: { type: 'string' },
  alpha: { type: 'string' },
  trim: { type: 'boolean' },
} as const;

const DEG = Math.PI / 180;

function numberOf(name: string, text: string, lo: number, hi: number): number {
  const v = Number(text);
  if (text.trim() === '' || !(v >= lo && v <= hi))
    throw new UsageError(`--${name} takes a number from ${lo} to ${hi}.`);
  return v;
}

const round = (v: number): number => Number(v.toPrecision(6));

/** @param loading id; the first state that flies when null */
export function surfacesCommand(
  doc: DesignDocument,
  loading: string | null,
  values: { speed?: string; alpha?: string; trim?: boolean },
): object {
  if (values.alpha !== undefined && values.trim) throw new UsageError('Give --alpha or --trim, not both.');
  const speed = values.speed === undefined ? undefined : numberOf('speed', values.speed, 1, 120);
  const alpha = values.alpha === undefined ? null : numberOf('alpha', values.alpha, -20, 30) * DEG;
  const cache: StepCache = new StepCache();
  const ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  if (ledger.stopped && ledger.entries.length === 0) throw new UsageError(sentence(ledger.stopped));
  if (!hasWing(doc.design))
    throw new UsageError('This aircraft has no wing: its rotors are told of by skia hover FILE.');
  const state =
    loading ?? (doc.design.states.find((l) => !hovers(doc.design, l)) ?? doc.design.states[0])!.id;
  const r = layoutReport(doc, ledger, state, cache, speed === undefined ? {} : { speed });
  const at = alpha === null ? null : flowAt(r, alpha);
  const d = r.derivatives;
  return {
    state,
    speed: r.speed,
    reference: {
      area: r.reference.area,
      chord: r.reference.chord,
      span: r.reference.span,
      momentX: r.cg.x,
      momentZ: r.cg.z,
    },
    alpha: at ? alpha : r.trim.alpha,
    trimmed: at === null,
    elevator: at ? null : r.trim.elevator,
    pitchControl: r.trim.control,
    CL: round(at ? at.CL : r.CL),
    CD: round(at ? at.CDprofile + at.CDi : r.induced + profileAt(r)),
    CDi: round(at ? at.CDi : r.induced),
    Cm: round(at ? at.Cm : 0),
    settled: at ? at.status === 'settled' : true,
    CLalpha: round(d.CLalpha),
    CmAlpha: round(d.Cmalpha),
    neutralPointX: round(r.neutralX),
    cgX: round(r.cg.x),
    staticMargin: round((r.neutralX - r.cg.x) / r.reference.chord),
    CLmax: round(entryOf(ledger, 'clMax', state)?.value ?? r.stall.clMax),
    alphaStall: r.stall.alphaStall,
    aileronReserve: r.stall.aileronReserve,
    firstStall: r.stall.first,
    stall: flowAt(r, at ? alpha! : r.stall.alphaStall).strips.map((s) => ({
      surface: s.surface,
      side: s.side,
      eta: round(s.eta),
      clRatio: round(s.ratio),
      state: s.state,
    })),
    liftShares: r.shares,
    derivatives: Object.fromEntries(Object.entries(d).map(([k, v]) => [k, round(v)])),
    ...behaviour(r),
  };
}

/** How it swings, feels and what its controls ask. */
function behaviour(r: LayoutReport) {
  return {
    modes: r.modes.map((m) => ({
      name: m.name,
      real: round(m.root.re),
      imaginary: round(m.root.im),
      period: m.period,
      damping: round(m.damping),
      timeToHalfOrDouble: round(m.halfTime),
      stable: m.stable,
    })),
    handling: r.handling.map((h) => ({
      name: h.name,
      figure: h.figure,
      judgement: h.judgement,
      words: h.words,
    })),
    controls: r.controls.map((c) => ({
      surface: c.surface,
      name: c.name,
      hingeMoment: round(c.torque),
      margin: c.margin,
    })),
  };
}

/** The swept flow nearest to an angle. */
function flowAt(r: LayoutReport, alpha: number) {
  return r.stall.flows.reduce((a, f) => (Math.abs(f.alpha - alpha) < Math.abs(a.alpha - alpha) ? f : a));
}

/** Profile drag of the flow whose lift is nearest to the trimmed one. */
function profileAt(r: LayoutReport): number {
  return r.stall.flows.reduce((a, f) => (Math.abs(f.CL - r.CL) < Math.abs(a.CL - r.CL) ? f : a)).CDprofile;
}

/** Masses, CG and inertia of every state. */
function statesJson({ design }: DesignDocument, ledger: Ledger): object[] {
  return design.states.map((l) => {
    const s = loadedState(design, l, 'best', 1);
    return {
      id: l.id,
      name: l.name,
      mass: round(s.mass),
      cg: { x: round(s.x), y: round(s.y), z: round(s.z) },
      sigma: { mass: round(s.sigmaMass), x: round(s.sigmaX) },
      inertia: { ixx: round(s.ixx), iyy: round(s.iyy), izz: round(s.izz), ixz: round(s.ixz) },
      staticMargin: entryOf(ledger, 'staticMargin', l.id)?.value ?? null,
      hover: hovers(design, l),
    };
  });
}

/** Without a wing there are no limits but those of the rotors. */
function rotorBalance(doc: DesignDocument, ledger: Ledger, cache: StepCache): object {
  const r = rotorReport(doc, ledger, doc.design.states[0]!.id, cache);
  return { states: statesJson(doc, ledger), fit: r?.fit ?? [], hover: r?.share ?? null };
}

export function balanceCommand(doc: DesignDocument): object {
  const cache: StepCache = new StepCache();
  const ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  if (ledger.stopped && ledger.entries.length === 0) throw new UsageError(sentence(ledger.stopped));
  if (!hasWing(doc.design)) return rotorBalance(doc, ledger, cache);
  const limits = {
    forward: entryOf(ledger, 'cgForward', 'all')!.value,
    aft: entryOf(ledger, 'cgAft', 'all')!.value,
  };
  const first = doc.design.states.find((l) => !hovers(doc.design, l)) ?? doc.design.states[0];
  const r = layoutReport(doc, ledger, first!.id, cache);
  return {
    states: statesJson(doc, ledger),
    spread: (() => {
      const xs = flyingStates(doc.design).map((s) => s.x);
      return { forward: Math.min(...xs), aft: Math.max(...xs) };
    })(),
    neutralPoint: { x: r.neutralX, sigma: entryOf(ledger, 'neutralPoint', 'all')?.sigma ?? null },
    limits,
    schools: r.schools,
    worst: r.worst,
    proposal: solveBalance(doc.design, limits),
    firstFlight: r.first,
    ground: r.ground,
    groundRemarks: r.groundRemarks,
    fit: r.fit,
    hover: r.hover,
  };
}
