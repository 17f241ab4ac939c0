/** What hangs on rotors, of one state: who carries how much, where the CG may lie, what fits, the states side by side. */
import { hasWing, liftingPlaces, powertrainOf, type DesignDocument, type LiftingPlace } from '../../design';
import { DomainError } from '../../numeric';
import { internalFit, type Fit } from '../../layout';
import { cgPath } from '../../mass';
import { weakRotor, type WeakRotor } from '../../power';
import { G0 } from '../../air';
import { balance, frameDragOf, shares, type Shares } from '../../steps';
import { runOf, type Ledger, type StepCache } from '../../assess';
import { stateRows, type StateRow } from '../layout/states';

export interface RotorReport {
  readonly loading: string;
  readonly winged: boolean;
  readonly cg: { readonly x: number; readonly y: number; readonly z: number };
  readonly share: Shares | null;
  readonly places: readonly (LiftingPlace & { readonly diameter: number | null })[];
  /** the worst one at 70 % of its thrust */ readonly weak: WeakRotor | null;
  readonly states: readonly StateRow[];
  readonly fit: readonly Fit[];
  readonly path: readonly { count: number; mass: number; x: number; z: number }[];
  readonly frame: ReturnType<typeof frameDragOf>;
}

/** @returns null where no rotor lifts it @throws DomainError where the state is unknown */
export function rotorReport(
  { brief, design: drawn, calibration }: DesignDocument,
  ledger: Ledger,
  stateId: string,
  cache: StepCache,
): RotorReport | null {
  const loading = drawn.states.find((l) => l.id === stateId);
  if (!loading) throw new DomainError('unknown-name', `there is no state ${stateId}`);
  const run = runOf({ brief, design: drawn }, calibration, cache).inState(stateId),
    { design } = run.source,
    places = liftingPlaces(design);
  if (places.length === 0) return null;
  const { state } = run.of(balance, loading.id),
    share = run.of(shares, loading.id);
  const { lift, propeller } = powertrainOf(design),
    driven = lift?.propeller.diameter ?? (places.some((p) => p.tilts) ? propeller.diameter : null);
  const arms = places.map((p, i) => ({
    x: p.x - state.x,
    y: p.y - state.y,
    most: share ? share.rotors[i].thrust / Math.max(share.rotors[i].load, 1e-9) : 0,
  }));
  return {
    loading: loading.id,
    winged: hasWing(design),
    cg: { x: state.x, y: state.y, z: state.z },
    share,
    places: places.map((p) => ({
      ...p,
      diameter: design.thrusters.find((t) => t.id === p.id)?.diameter ?? driven,
    })),
    weak: share && !share.beside && arms.length >= 3 ? weakRotor(arms, state.mass * G0, 0.7) : null,
    states: stateRows(design, ledger, run),
    fit: internalFit(design),
    path: cgPath(design, loading, run.causes.massGrowth),
    frame: frameDragOf(design),
  };
}
