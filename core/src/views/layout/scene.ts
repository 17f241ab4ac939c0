/** What the parts of the layout report share: one state of one run at one speed. */
import { sentence } from '../../words';
import { G0 } from '../../air';
import { factorsOf, type Brief, type Calibration, type Design } from '../../design';
import { DomainError } from '../../numeric';
import { actingFactors, derivativesOf, type Derivatives, type TrimState } from '../../surface';
import {
  aero as aeroStep,
  air as airStep,
  balance,
  bodies,
  lattice,
  shape,
  trust,
  type QuantityId,
} from '../../steps';
import { runOf } from '../../assess';
import type { StepCache } from '../../assess';
import { entryOf, type Ledger } from '../../assess';

import { trimAt } from './motion';
import type { Run } from '../../assess';
import type { State } from '../../design';
import type { MassState } from '../../mass';

export interface Scene {
  readonly run: Run;
  readonly design: Design;
  readonly ledger: Ledger;
  readonly loading: State;
  readonly state: MassState;
  /** [m/s] */ readonly speed: number;
  /** of the stall [m/s] */ readonly stall: number;
  /** dynamic pressure [Pa] */ readonly q: number;
  /** [m2/s] */ readonly nu: number;
  readonly trim: TrimState;
  readonly derivatives: Derivatives;
  /** factor on the largest lift of sections */ readonly clMax: number;
}

export interface Inputs {
  readonly brief: Brief;
  readonly design: Design;
  readonly calibration: Calibration;
  readonly ledger: Ledger;
}

const value = (ledger: Ledger, id: QuantityId, at: string) => entryOf(ledger, id, at)?.value;

/**
 * @param asked [m/s]; the lap speed of the state where left out
 * @throws DomainError when the ledger stopped, or the state is unknown
 */
export function sceneOf(of: Inputs, stateId: string, cache: StepCache, asked?: number): Scene {
  const { brief, calibration, ledger } = of,
    loading = of.design.states.find((l) => l.id === stateId);
  if (!loading) throw new DomainError('unknown-name', `there is no state ${stateId}`);
  if (ledger.stopped && ledger.entries.length === 0)
    throw new DomainError('out-of-range', sentence(ledger.stopped));
  const run = runOf({ brief, design: of.design }, calibration, cache).inState(loading.id),
    { design } = run.source,
    air = run.of(airStep),
    aero = run.of(aeroStep),
    { wing } = run.of(shape),
    { state } = run.of(balance, loading.id);
  const stall =
    value(ledger, 'stallSpeed', loading.id) ??
    Math.sqrt((2 * state.mass * G0) / (air.density * wing.area * 1.2));
  const speed = asked ?? Math.max(1.05 * stall, value(ledger, 'lapSpeed', loading.id) ?? 1.4 * stall);
  const trim = trimAt(run, loading, speed),
    at = { alpha: trim.alpha, elevator: trim.elevator, x: state.x, z: state.z },
    d = derivativesOf(run.of(lattice), at, run.of(bodies));
  // one neutral point: the stiffness in pitch is the ledger's margin times the lift slope
  const derivatives = { ...d, Cmalpha: -((aero.neutralX - state.x) / wing.mac) * d.CLalpha };
  const { clMax } = actingFactors(factorsOf(calibration.mean), run.of(trust));
  return {
    run,
    design,
    ledger,
    loading,
    state,
    speed,
    stall,
    q: 0.5 * air.density * speed * speed,
    nu: air.viscosity / air.density,
    trim,
    derivatives,
    clMax,
  };
}
