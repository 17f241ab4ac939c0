/**
 * Everything about shape, stall, stability and balance of one state that does not fit into a ledger of numbers: the map
 * of the stall, derivatives and modes with their meaning, schools, controls, ground, fit, pieces, hover, warp.
 * Reads the ledger for what is in it; made on demand, for the state that is looked at.
 */
import { type Said } from '../../words';
import { G0 } from '../../air';
import { type DesignDocument } from '../../design';
import { type HandlingLine, type Mode } from '../../flight';
import {
  type ControlLoad,
  type FirstFlight,
  type Fit,
  type GroundGeometry,
  type GroundRemark,
  type HoverShare,
  type Piece,
  type School,
  type ThrustLine,
  type WarpEffect,
} from '../../layout';
import { type DragItem, type TowShape } from '../../drag';
import { type Derivatives, type StallSweep, type SweepCase, type TrimState } from '../../surface';
import { lattice, shape } from '../../steps';
import type { StepCache } from '../../assess';
import { type Ledger } from '../../assess';

import { type StateRow } from './states';
import { stateRows } from './states';
import { worstState } from './states';

import { balancePart, buildPart, groundPart } from './parts';
import { sceneOf } from './scene';
import { stabilityPart } from './stability';
import { stallPart, type StallWay } from './stall';

export interface LayoutReport {
  loading: string;
  /** speed and lift the numbers hold for [m/s] */ speed: number;
  CL: number;
  reference: { area: number; chord: number; span: number; x: number };
  cg: { x: number; z: number };
  neutralX: number;
  trim: TrimState & { control: 'control' | 'incidence' | 'none' };
  /** where it flies with the controls in line: lift coefficient and speed [m/s]; null when no lift trims it */ handsOff: {
    CL: number;
    alpha: number;
    speed: number;
  } | null;
  /** moment about the CG by angle of attack, controls in line [rad, -] */ moment: {
    alpha: number[];
    cm: number[];
    cl: number[];
  };
  /** Cm at no lift: must be above zero for a tailless aircraft to trim */ momentAtNoLift: number;
  shares: Record<string, number>;
  induced: number;
  derivatives: Derivatives;
  modes: Mode[];
  handling: HandlingLine[];
  stall: StallSweep;
  stallCase: SweepCase;
  ailerons: { surface: string; from: number; to: number; kind: string }[];
  schools: School[];
  first: FirstFlight;
  controls: ControlLoad[];
  thrust: ThrustLine | null;
  ground: GroundGeometry | null;
  groundRemarks: GroundRemark[];
  /** standing on its wheels: height of the wing over its span, lift slope and induced drag over those in free air */ inGround: {
    height: number;
    slope: number;
    induced: number;
  } | null;
  fit: Fit[];
  pieces: Piece[];
  hover: HoverShare | null;
  warp: WarpEffect | null;
  states: StateRow[];
  /** id and why */ worst: { loading: string; said: Said } | null;
  path: { count: number; mass: number; x: number; z: number }[];
  drag: DragItem[];
  tow: TowShape | null;
}

/**
 * @param ledger of the same document
 * @param options.speed [m/s]; the lap speed of the state where left out
 * @throws DomainError when the ledger stopped, or the state is unknown
 */
export function layoutReport(
  { brief, design, calibration }: Pick<DesignDocument, 'brief' | 'design' | 'calibration'>,
  ledger: Ledger,
  stateId: string,
  cache: StepCache,
  options: { stall?: StallWay; speed?: number } = {},
): LayoutReport {
  const s = sceneOf({ brief, design, calibration, ledger }, stateId, cache, options.speed),
    { run, state } = s,
    { wing } = run.of(shape);
  const states = stateRows(design, ledger, run),
    stall = stallPart(s, options.stall);
  return {
    loading: s.loading.id,
    speed: s.speed,
    CL: (state.mass * G0) / (s.q * wing.area),
    reference: { area: wing.area, chord: wing.mac, span: wing.span, x: run.of(lattice).refX },
    cg: { x: state.x, z: state.z },
    ...stabilityPart(s),
    ...stall,
    ...balancePart(s),
    ...groundPart(s, stall.stall),
    ...buildPart(s),
    states,
    worst: worstState(design, states),
  };
}
