/** The map of the stall as it is flown into. */
import { stripSections, sweepStall, type StallSweep, type SweepCase } from '../../surface';
import {
  aero as aeroStep,
  air as airStep,
  coupled as coupledStep,
  sections as sectionsStep,
} from '../../steps';

import type { Scene } from './scene';

export type StallWay = 'level' | 'sideslip' | 'rolling' | 'turn';

function caseOf(way: StallWay | undefined, { run, design, state }: Scene): SweepCase {
  if (way === 'sideslip') return { kind: 'sideslip', beta: (10 * Math.PI) / 180 };
  if (way === 'rolling') return { kind: 'rolling', helix: 0.05 };
  if (way === 'turn')
    return {
      kind: 'turn',
      bank: design.flight.turnBank,
      mass: state.mass,
      density: run.of(airStep).density,
    };
  return { kind: 'level' };
}

export function stallPart(s: Scene, way?: StallWay): { stall: StallSweep; stallCase: SweepCase } {
  const { run, design, state } = s,
    coupled = run.of(coupledStep),
    reynolds = (chord: number) => (s.stall * chord) / s.nu;
  const sections = stripSections(coupled, run.of(sectionsStep).polars, reynolds, s.clMax),
    stallCase = caseOf(way, s);
  const at = { coupled, sections, design, aero: run.of(aeroStep), x: state.x, z: state.z };
  return { stall: sweepStall(at, stallCase), stallCase };
}
