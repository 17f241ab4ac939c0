/**
 * Largest lift from coupled stall sweeps, on a small grid of Reynolds scale (speed times density over
 * viscosity, 1/m) by places of the CG.
 * The grid is the same for all aircraft, a node is swept when it is first asked for and kept by shape and
 * sections alone; in between,
 * linear in log Reynolds number and in the CG. Mass and CG therefore move it smoothly, and a root that stalls early on purpose
 * counts with all that the rest of the wing goes on to carry (the critical-section method gave 0.70 for 1.12 there).
 */
import type { Design } from '../design';
import type { PolarSet } from '../section';
import { planformOf } from './planform';
import { sweepStall } from './stallSweep';
import type { LinearAero } from './trim';
import { stripSections, type CoupledStrips } from './coupledStrips';

/** What one sweep, or a place between four, says. */
export interface LiftAtStall {
  clMax: number;
  /** angle of attack at it [rad] */ alphaStall: number;
  /** from the first stall of the wing to where half of the ailerons has let go [rad] */ reserve:
    number | null;
  /** the flow did not settle up to the stall, or it had not stalled where the sweep ends */ unsure: boolean;
  /** the same up to where the ailerons let go */ reserveUnsure: boolean;
}

export interface LiftTask {
  design: Pick<Design, 'surfaces'>;
  coupled: CoupledStrips;
  aero: LinearAero;
  polars: ReadonlyMap<string, PolarSet>;
  /** keeps the sweep at a node of the grid for all who ask for it */ kept: (
    node: string,
    make: () => LiftAtStall,
  ) => LiftAtStall;
}

/**
 * Reynolds scales of neighbouring nodes, and CG places in mean chords. Halving both moves largest lift of the
 * demos by under 0.7 %.
 */
const RATIO = 1.5,
  PLACE = 0.1;
/** A strip's lift that is missed by more than this (in lift coefficient) makes the whole unsure. */
const ROUGH = 0.03;
const FROM = Math.PI / 90,
  STEP = Math.PI / 180;

function swept(task: LiftTask, scale: number, x: number): LiftAtStall {
  const { coupled, polars, design, aero } = task;
  const sections = stripSections(coupled, polars, (chord) => scale * chord);
  const sweep = sweepStall(
    { coupled, sections, design, aero, x, z: 0 },
    { kind: 'level' },
    STEP,
    undefined,
    FROM,
  );
  const at = sweep.flows.findIndex((f) => f.alpha >= sweep.alphaStall - 1e-9);
  const lost = sweep.flows.findIndex((f) => f.alpha >= (sweep.aileronsLost ?? Infinity) - 1e-9);
  const rough = (until: number) => sweep.flows.slice(0, until).some((f) => f.residual > ROUGH);
  return {
    clMax: sweep.clMax,
    alphaStall: sweep.alphaStall,
    reserve: sweep.aileronReserve,
    unsure: at >= sweep.flows.length - 1 || rough(at + 2),
    reserveUnsure: rough(lost < 0 ? sweep.flows.length : lost + 1),
  };
}

function nodeAt(task: LiftTask, k: number, j: number): LiftAtStall {
  const wing = planformOf(task.design.surfaces.find((s) => s.role === 'wing')!);
  return task.kept(`${k} ${j}`, () => swept(task, RATIO ** k, wing.macX + j * PLACE * wing.mac));
}

/** Places on the grid: the node below, and how far on the way to the next. */
function placesOf(task: LiftTask, scale: number, x: number): { k: number; t: number; j: number; u: number } {
  const wing = planformOf(task.design.surfaces.find((s) => s.role === 'wing')!);
  const a = Math.log(scale) / Math.log(RATIO),
    b = (x - wing.macX) / (PLACE * wing.mac);
  const k = Math.floor(a),
    j = Math.floor(b);
  return { k, t: a - k, j, u: b - j };
}

/**
 * @param scale speed times density over viscosity [1/m], above 0
 * @param x CG [m]
 */
export function largestLift(task: LiftTask, scale: number, x: number): LiftAtStall {
  const { k, t, j, u } = placesOf(task, scale, x);
  const corners = [
    [nodeAt(task, k, j), (1 - t) * (1 - u)],
    [nodeAt(task, k + 1, j), t * (1 - u)],
    [nodeAt(task, k, j + 1), (1 - t) * u],
    [nodeAt(task, k + 1, j + 1), t * u],
  ] as const;
  const mix = (f: (n: LiftAtStall) => number) => corners.reduce((s, [n, w]) => s + (w > 0 ? w * f(n) : 0), 0);
  return {
    clMax: mix((n) => n.clMax),
    alphaStall: mix((n) => n.alphaStall),
    reserve: corners.some(([n]) => n.reserve === null) ? null : mix((n) => n.reserve!),
    unsure: corners.some(([n, w]) => w > 0 && n.unsure),
    reserveUnsure: corners.some(([n, w]) => w > 0 && n.reserveUnsure),
  };
}
