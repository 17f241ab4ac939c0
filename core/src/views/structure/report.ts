/** What the Structure station and `skia structure` show of one state, read off the steps: cases along the span, the diagram. */
import { runOf, type StepCache } from '../../assess';
import { factorsOf, type Brief, type Calibration, type Design, type DesignDocument } from '../../design';
import { DomainError } from '../../numeric';
import { arms, bearing, bent, cases, verdicts, type CaseVerdict } from '../../steps';
import {
  deflected,
  factorAt,
  integrated,
  loadCases,
  memberMass,
  type ArmVerdict,
  type Bearing,
  type CaseId,
  type Learnt,
  type LoadCase,
  type Weak,
} from '../../structure';
import { envelopeOf, type Envelope } from './envelope';
import { memberViews, type MemberView } from './members';

/** One case along the half span; places are those of the report. */
export interface CaseView {
  readonly id: CaseId;
  /** load factor of the case, and speed [m/s] */ readonly n: number;
  readonly speed: number;
  /** times it is borne, where and by whom it fails */ readonly factor: number;
  readonly place: number;
  readonly weak: Weak | null;
  /** [N m], [N], [N m] */ readonly moment: readonly number[];
  readonly shear: readonly number[];
  readonly torque: readonly number[];
  /** times the case is borne at each place; Infinity where nothing loads it */ readonly factors: readonly number[];
  readonly ways: readonly (Weak | null)[];
  /** [m], [rad nose up] */ readonly deflection: readonly number[];
  readonly twist: readonly number[];
}

export interface StructureReport {
  readonly state: string;
  readonly surface: string;
  /** places along the half span; those where a size jumps stand twice [m] */ readonly y: readonly number[];
  /** outer end of the surface [m] */ readonly tip: number;
  readonly EI: readonly number[];
  readonly GJ: readonly number[];
  readonly members: readonly MemberView[];
  /** both halves [kg] */ readonly mass: number;
  readonly cases: readonly CaseView[];
  /** deflection of the tip at load factor 1, as the ledger has it [m] */ readonly tipAtOne: number;
  readonly envelope: Envelope;
}

function caseView(b: Bearing, of: LoadCase, v: CaseVerdict, f: Learnt): CaseView {
  const at = Array.from(b.y, (_, p) => factorAt(b, of.load, p, f)),
    over = (load: Float64Array, stiffness: Float64Array) =>
      load.map((m, p) => (stiffness[p] > 0 ? m / (stiffness[p] * f.stiffness) : 0));
  return {
    id: of.id,
    n: of.n,
    speed: of.speed,
    factor: v.factor,
    place: v.y,
    weak: v.weak,
    moment: [...of.load.moment],
    shear: [...of.load.shear],
    torque: [...of.load.torque],
    factors: at.map((a) => a.factor),
    ways: at.map((a) => a.weak),
    deflection: [...deflected(b.y, over(of.load.moment, b.EI))],
    twist: [...integrated(b.y, over(of.load.torque, b.GJ))],
  };
}

/** @returns null where nothing bears @throws DomainError for a state that is not there */
export function structureReport(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  state: string,
  cache: StepCache,
): StructureReport | null {
  if (!design.states.some((s) => s.id === state))
    throw new DomainError('unknown-name', `there is no state ${state}`, { state });
  const run = runOf({ brief, design }, calibration, cache).inState(state),
    b = run.maybe(bearing),
    found = b && run.maybe(cases, state),
    verdict = b && run.maybe(verdicts, state);
  if (!b || !found || !verdict) return null;
  const { strength, stiffness } = factorsOf(calibration.mean),
    learnt = { strength, stiffness };
  return {
    state,
    surface: b.surface,
    y: [...b.y],
    tip: b.tip,
    EI: [...b.EI],
    GJ: [...b.GJ],
    members: memberViews(design, b),
    mass: memberMass(design, b.surface)?.mass ?? 0,
    cases: loadCases(found).map((c) =>
      caseView(
        b,
        c,
        verdict.cases.find((v) => v.id === c.id)!,
        learnt,
      ),
    ),
    tipAtOne: run.of(bent, state)?.deflection.at(-1) ?? 0,
    envelope: envelopeOf(design, found, verdict),
  };
}

/** Arms, booms, legs and mounts of a state, with a wing or without. */
export function armsOf(
  { brief, design, calibration }: DesignDocument,
  state: string,
  cache: StepCache,
): readonly ArmVerdict[] {
  return runOf({ brief, design }, calibration, cache).maybe(arms, state)?.all ?? [];
}
