/** What the Power station shows of one state, read off the steps. */
import { sentence, type Said } from '../../words';
import { G0 } from '../../air';
import {
  factorsOf,
  hasWing,
  type State,
  type Brief,
  type Calibration,
  type Design,
  powertrainOf,
} from '../../design';
import { DomainError } from '../../numeric';
import {
  supplyReport,
  type Discharge,
  type DriveChain,
  type MatchTask,
  type SolarArray,
  type SolarDay,
  type StaticCard,
  type SupplyReport,
  type TorqueRoll,
} from '../../power';
import { actingFactors } from '../../surface';
import { claimQuestions } from './claims';
import { air as airStep, airframe, balance, drives, energy, hasRubber, shape, trust } from '../../steps';
import { runOf, type Run } from '../../assess';
import type { StepCache } from '../../assess';
import { entryOf, type Ledger } from '../../assess';

import { type Scene } from './scene';
import { type SpeedRow } from './electric';
import { type ThrottleRow } from './electric';
import { electricPart } from './electric';
import { torqueOf } from './torque';
import { type GlideReport } from './glide';
import { glidePart } from './glide';
import { type RubberReport } from './rubber';
import { rubberPart } from './rubber';
import { type HoverReport } from './hover';
import { hoverPart } from './hover';
import { solarPart } from './energy';
import { packRemarks } from './energy';
import { claimContext } from './claimContext';
import { type SwapRow } from './swaps';
import { swapRows } from './swaps';
import { matchTask } from './matchTask';

export interface PowerReport {
  loading: string;
  kind: 'electric' | 'rubber' | 'glider' | 'rotors';
  chain: { still: DriveChain; flight: DriveChain; full: DriveChain; speed: number } | null;
  cards: { still: StaticCard; flight: StaticCard } | null;
  speeds: SpeedRow[];
  throttles: ThrottleRow[];
  discharge: { flight: Discharge; full: Discharge } | null;
  volts: { printed: number; full: number; half: number; loaded: number; least: number } | null;
  idle: { windmilling: number; stopped: number; folded: number | null } | null;
  /** null without a wing */ glide: GlideReport | null;
  /** largest propeller that still clears the ground by 25 mm [m] */ largestPropeller: number | null;
  pitchSpeed: number | null;
  stalledBlade: number | null;
  from: string | null;
  torque: TorqueRoll | null;
  rubber: RubberReport | null;
  hover: HoverReport | null;
  solar: { array: SolarArray; day: SolarDay; load: number } | null;
  supply: SupplyReport | null;
  packs: Said[];
  claims: Said[];
  swaps: SwapRow[];
  match: MatchTask | null;
}

/** @throws DomainError when the ledger stopped, or the loading is unknown */
export function powerReport(
  brief: Brief,
  drawn: Design,
  cal: Calibration,
  ledger: Ledger,
  loadingId: string,
  cache: StepCache,
): PowerReport {
  const loading = drawn.states.find((l) => l.id === loadingId);
  if (!loading) throw new DomainError('unknown-name', `there is no state ${loadingId}`);
  if (ledger.stopped && ledger.entries.length === 0)
    throw new DomainError('out-of-range', sentence(ledger.stopped));
  const run = runOf({ brief, design: drawn }, cal, cache).inState(loadingId),
    { design } = run.source;
  if (!hasWing(design)) return rotorsAlone(run, ledger, loading);
  const f = actingFactors(factorsOf(cal.mean), run.of(trust)),
    { cruise, lifting } = run.of(drives),
    charge = run.of(energy),
    frame = run.of(airframe, loading.id);
  // what is left of the charge is the step's, not the drive's
  const drive = cruise && { ...cruise, charge: charge.cruise };
  const s: Scene = {
    brief,
    design,
    run,
    air: run.of(airStep),
    area: run.of(shape).wing.area,
    frame,
    f,
    ledger,
    loading,
    state: run.of(balance, loading.id).state,
    drive,
    lift: lifting && (lifting === cruise ? drive : { ...lifting, charge: charge.lifting }),
    speed: entryOf(ledger, 'lapSpeed', loading.id)!.value,
    stall: entryOf(ledger, 'stallSpeed', loading.id)!.value,
    drag: (v, lift = frame.mass * G0) => frame.parts(v, lift).total,
  };
  const { rubber, supply, battery } = powertrainOf(design);
  return {
    loading: loading.id,
    kind: drive ? 'electric' : rubber ? 'rubber' : 'glider',
    ...electricPart(s),
    torque: drive ? torqueOf(s, drive) : null,
    glide: glidePart(s),
    rubber: rubber && hasRubber(design, loading) ? rubberPart(s) : null,
    hover: s.lift ? hoverPart(s, s.lift, s) : null,
    solar: solarPart(s),
    supply: supply ? supplyReport(supply, battery.chemistry) : null,
    packs: packRemarks(design),
    claims: drive || s.lift ? claimQuestions(design, claimContext(s)) : [],
    swaps: swapRows(s),
    match: drive ? matchTask(s, drive) : null,
  };
}

/** Without a wing and a cruise drive: what lifts, and what feeds it. */
function rotorsAlone(run: Run, ledger: Ledger, loading: State): PowerReport {
  const { design } = run.source,
    { lifting } = run.of(drives),
    lift = lifting && { ...lifting, charge: run.of(energy).lifting },
    { state } = run.of(balance, loading.id),
    { supply, battery } = powertrainOf(design);
  const context = { design, ledger, lift, drive: null, air: run.of(airStep), speed: 0, state, drag: () => 0 };
  return {
    ...NOTHING_FORWARD,
    loading: loading.id,
    hover: lift ? hoverPart({ design, state }, lift, null) : null,
    supply: supply ? supplyReport(supply, battery.chemistry) : null,
    packs: packRemarks(design),
    claims: lift ? claimQuestions(design, claimContext(context)) : [],
  };
}
const NOTHING_FORWARD = {
  kind: 'rotors',
  chain: null,
  cards: null,
  speeds: [],
  throttles: [],
  discharge: null,
  volts: null,
  idle: null,
  glide: null,
  largestPropeller: null,
  pitchSpeed: null,
  stalledBlade: null,
  from: null,
  torque: null,
  rubber: null,
  solar: null,
  swaps: [],
  match: null,
} as const satisfies Partial<PowerReport>;
