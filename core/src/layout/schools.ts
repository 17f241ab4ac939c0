/** The schools of where an aircraft must balance, side by side; and where to begin on the first flight. */
import { say, type Said } from '../words';
import { findRoot } from '../numeric';
import type { Design } from '../design';
import { planformOf, solveTrim, stripLift, stripStrengths, tailVolume, type LinearAero } from '../surface';

export interface School {
  id: 'margin' | 'tail-volume' | 'percent' | 'foreplane';
  name: string;
  /** CG limits [m]; null where it says nothing of one end */ forward: number | null;
  aft: number | null;
  recommended: boolean;
  why: string;
}

/** The trade's neutral point of free-flight models: 0.25 + 0.25 AR^(1/4) V_H of the mean chord (common practice). */
export function tailVolumeNeutral(aspectRatio: number, tailVolume: number): number {
  return 0.25 + 0.25 * aspectRatio ** 0.25 * tailVolume;
}

/**
 * CG at which foreplane and wing meet their section limits at one trimmed lift: ahead of it the foreplane stalls first.
 * @param limits largest section lift coefficient by strip
 * @returns null when one of them stalls first everywhere looked
 */
export function foreplaneFirstLimit(
  aero: LinearAero,
  limits: readonly number[],
  margin = 0.05,
): number | null {
  const { sol } = aero;
  const lead = (cgX: number): number => {
    const at = (cl: number) => {
      const t = solveTrim(aero, cl, cgX);
      return stripLift(sol, stripStrengths(sol, t.alpha, t.elevator));
    };
    const low = at(0),
      unit = at(1);
    let canard = Infinity,
      wing = Infinity;
    sol.strips.forEach((s, i) => {
      const cl = (limits[i] - low[i]) / (unit[i] - low[i]);
      if (!(unit[i] > low[i])) return;
      if (s.role === 'canard') canard = Math.min(canard, cl);
      else if (s.role === 'wing') wing = Math.min(wing, cl);
    });
    return Math.min(canard, 9) * (1 + margin) - Math.min(wing, 9);
  };
  const r = findRoot(lead, aero.neutralX - 1.5 * sol.refChord, aero.neutralX + 0.3 * sol.refChord, 1e-6);
  return r.status === 'found' ? r.x : null;
}

export function schoolsOf(design: Design, aero: LinearAero, limits: readonly number[]): School[] {
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!),
    { marginMin, marginMax } = design.flight;
  const behind = design.surfaces.filter((s) => s.role === 'tail'),
    ahead = design.surfaces.find((s) => s.role === 'canard');
  const pct = (f: number) => wing.macX + f * wing.mac;
  const out: School[] = [
    {
      id: 'margin',
      name: 'Static margin about the computed neutral point',
      forward: aero.neutralX - marginMax * wing.mac,
      aft: aero.neutralX - marginMin * wing.mac,
      recommended: true,
      why: 'It counts every surface, the body and the downwash of this aircraft, for any layout; tests move it.',
    },
  ];
  if (behind.length > 0 && !ahead) {
    const V = behind.reduce((s, t) => s + tailVolume(wing, planformOf(t), false).volume, 0);
    const np = tailVolumeNeutral(wing.aspectRatio, V);
    out.push({
      id: 'tail-volume',
      name: 'Tail-volume rule of free-flight builders',
      forward: pct(np - marginMax),
      aft: pct(np - marginMin),
      recommended: false,
      why: `Neutral point near ${(100 * np).toFixed(0)} % of the mean chord from tail volume ${V.toFixed(2)} alone (arm between quarter chords). Good for models with a big lifting tail on a thin stick; it knows nothing of a body, or of sweep.`,
    });
  }
  if (!ahead && behind.length > 0)
    out.push({
      id: 'percent',
      name: 'A plain percentage of the chord',
      forward: pct(0.25),
      aft: pct(0.33),
      recommended: false,
      why: 'A quarter to a third of the mean chord suits an ordinary tail; with half the wing’s area behind, 90 % is right, and on a tailless wing a third is fatal. A starting guess where nothing else is known.',
    });
  if (behind.length === 0 && !ahead)
    out.push({
      id: 'percent',
      name: 'A plain percentage of the chord',
      forward: pct(0.15),
      aft: pct(0.22),
      recommended: false,
      why: 'Tailless wings sit at 15 to 22 % of the mean chord (common practice); a few millimetres decide, so measure the mean chord first.',
    });
  if (ahead) {
    const x = foreplaneFirstLimit(aero, limits);
    out.push({
      id: 'foreplane',
      name: 'The foreplane must stall first',
      forward: null,
      aft: x,
      recommended: false,
      why:
        x === null
          ? 'Within reach of the neutral point the order of stalling does not change; see the stall map.'
          : 'Behind this the wing lets go before the foreplane and the nose pitches up. The recommended limits must lie ahead of it too.',
    });
  }
  return out;
}

export interface FirstFlight {
  start: number;
  startChord: number;
  step: number;
  stepChord: number;
  aftMost: number;
  said: Said;
}

/**
 * Begin at the forward end; steps of 1 % of the mean chord, not under 1 mm. @param now CG of the state meant for the
 * first flight [m]
 */
export function firstFlight(
  design: Design,
  limits: { forward: number; aft: number },
  now: number,
): FirstFlight {
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  const width = limits.aft - limits.forward;
  const start = limits.forward + 0.1 * width;
  const step = Math.max(0.001, Math.round(10 * wing.mac) / 1000);
  const on = (x: number) => (x - wing.macX) / wing.mac;
  const shift = start - now;
  return {
    start,
    startChord: on(start),
    step,
    stepChord: step / wing.mac,
    aftMost: limits.aft,
    said: say('first-flight', { start, chord: on(start), shift, step, aft: limits.aft }),
  };
}
