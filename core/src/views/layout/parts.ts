/** What stands beside stability: schools of balance, controls, thrust line, ground, fit, hover, warp. */
import { G0 } from '../../air';
import { powertrainOf } from '../../design';
import {
  controlLoads,
  firstFlight,
  groundGeometry,
  groundRemarks,
  internalFit,
  piecesOf,
  schoolsOf,
  thrustLine,
  warpEffect,
} from '../../layout';
import { cgPath } from '../../mass';
import { parasiteItems, towedLine } from '../../drag';
import { sectionLimits, type StallSweep } from '../../surface';
import {
  aero as aeroStep,
  air as airStep,
  coupled as coupledStep,
  sections as sectionsStep,
  shape,
  shares,
  type QuantityId,
} from '../../steps';
import { entryOf } from '../../assess';

import { groundEffect } from './motion';

import type { LayoutReport } from './report';
import type { Scene } from './scene';

/** Share of the stall angle that lift-off asks for. */
const ROTATION = 0.85;

export function groundPart(
  { run, design, state }: Scene,
  stall: StallSweep,
): Pick<LayoutReport, 'ground' | 'groundRemarks' | 'inGround'> {
  const ground = groundGeometry(design, { x: state.x, z: state.z });
  if (!ground) return { ground, groundRemarks: [], inGround: null };
  const { rotors, unpowered } = powertrainOf(design),
    { incidence } = design.surfaces.find((s) => s.role === 'wing')!;
  const rotates = rotors?.length || unpowered ? 0 : Math.max(0, ROTATION * stall.alphaStall - incidence);
  return {
    ground,
    groundRemarks: groundRemarks(ground, rotates),
    inGround: groundEffect(design, run, ground.ground),
  };
}

type CgPart = Pick<LayoutReport, 'schools' | 'first' | 'controls' | 'thrust'>;

export function balancePart(s: Scene): CgPart {
  const { run, design, ledger, loading, state, speed, trim, derivatives } = s,
    aero = run.of(aeroStep),
    { wing } = run.of(shape),
    value = (id: QuantityId, at: string) => entryOf(ledger, id, at)?.value;
  const limits = { forward: value('cgForward', 'all')!, aft: value('cgAft', 'all')! },
    fast = value('topSpeed', loading.id) ?? value('lapSpeed', loading.id) ?? speed,
    qFast = 0.5 * run.of(airStep).density * Math.max(fast, speed) ** 2,
    pull = value('staticThrust', 'all') ?? 0;
  const { polars } = run.of(sectionsStep),
    most = sectionLimits(aero, polars, (chord) => (s.stall * chord) / s.nu, s.clMax);
  const cg = { x: state.x, z: state.z };
  return {
    schools: schoolsOf(design, aero, Array.from(most)),
    first: firstFlight(design, limits, state.x),
    controls: controlLoads(design, qFast, trim.alpha, G0),
    thrust: thrustLine(design, pull, { q: s.q, area: wing.area, chord: wing.mac, cg }, derivatives),
  };
}

type BuildPart = Pick<LayoutReport, 'fit' | 'pieces' | 'hover' | 'warp' | 'path' | 'drag' | 'tow'>;

export function buildPart({ run, design, loading, speed, nu, derivatives }: Scene): BuildPart {
  const { facts } = run.of(sectionsStep),
    { density } = run.of(airStep);
  return {
    fit: internalFit(design),
    pieces: piecesOf(design, (id: string) => facts.get(id)?.thickness ?? 0.1),
    hover: run.maybe(shares, loading.id),
    warp: warpEffect(design, run.of(coupledStep), derivatives, { speed, density, g: G0 }),
    path: cgPath(design, loading, run.causes.massGrowth),
    drag: parasiteItems(design, speed, nu, loading),
    tow: loading.towed ? towedLine(loading.towed, speed, density) : null,
  };
}
