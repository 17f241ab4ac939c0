/** Claims of makers and plans held against each other and against what is computed. A claim that cannot be is pointed at, never corrected. */
import { G0 } from '../air';
import type { Design } from '../design';
import { idealHoverPower } from '../power';

export interface ClaimContext {
  density: number;
  /** empty and loaded all-up [kg] */ emptyMass: number;
  /** of the lift rotors, null where none [m2] */ discArea: number | null;
  /** static [N, A, rad/s], with standard uncertainties; null without motor */ still: {
    thrust: number;
    thrustSigma: number;
    current: number;
    currentSigma: number;
    omega: number;
  } | null;
  pitch: number;
  packCurrent: number;
  packEnergy: number;
  /** level and hover power from the pack [W] */ cruisePower: number | null;
  hoverPower: number | null;
}

/** A claimed flight time against level flight on the wing and against hover, whichever there are. */
function timeClaim(claimed: number, c: ClaimContext): string[] {
  const minutes = (s: number) => `${(s / 60).toFixed(0)} min`,
    ways = [
      { power: c.cruisePower, how: 'on the wing' },
      { power: c.hoverPower, how: 'in hover' },
    ].filter((w): w is { power: number; how: string } => w.power !== null && w.power > 0);
  const short = ways.filter((w) => claimed > (1.1 * c.packEnergy) / w.power);
  if (short.length === 0) return [];
  const each = short.map((w) => `${minutes(c.packEnergy / w.power)} ${w.how} at ${w.power.toFixed(0)} W`);
  const left =
    short.length < ways.length ? ` It holds ${ways.find((w) => !short.includes(w))!.how} only.` : '';
  const pack = `the pack’s ${(c.packEnergy / 3600).toFixed(0)} Wh`;
  return [`${minutes(claimed)} are claimed; ${pack} last ${each.join(' and ')}.${left}`];
}

/** Sentences, one a contradiction. */
export function claimQuestions(design: Design, c: ClaimContext): string[] {
  const k = design.claims,
    out: string[] = [];
  if (!k) return out;
  if (k.hoverPower !== null && c.discArea !== null) {
    const mass = c.emptyMass + (k.payload ?? 0),
      ideal = idealHoverPower(mass * G0, c.discArea, c.density);
    const size = `${mass.toFixed(2)} kg on ${c.discArea.toFixed(2)} m² of rotor`;
    if (k.hoverPower < ideal)
      out.push(
        `Hover on ${k.hoverPower.toFixed(0)} W is claimed; ${size} needs ${ideal.toFixed(0)} W even without any loss. Payload, power or rotor size is wrong.`,
      );
    else if (k.hoverPower < ideal / 0.7)
      out.push(
        `Hover on ${k.hoverPower.toFixed(0)} W for ${size} is an overall efficiency of ${((100 * ideal) / k.hoverPower).toFixed(0)} %; 45 to 65 % is usual.`,
      );
  }
  if (k.topSpeed !== null && c.still) {
    const advance = (c.pitch * c.still.omega) / (2 * Math.PI);
    if (k.topSpeed > 1.15 * advance)
      out.push(
        `A top speed of ${k.topSpeed.toFixed(0)} m/s is claimed; the pitch advances ${advance.toFixed(0)} m/s at the static rpm, and rpm rises by a tenth or so in flight. More pitch, more rpm or less speed.`,
      );
  }
  if (k.flightTime !== null) {
    out.push(...timeClaim(k.flightTime, c));
  }
  if (
    k.thrust !== null &&
    c.still &&
    Math.abs(k.thrust - c.still.thrust) > 2 * Math.hypot(c.still.thrustSigma, 0.03 * c.still.thrust)
  )
    out.push(
      `The maker claims ${k.thrust.toFixed(1)} N; ${c.still.thrust.toFixed(1)} ± ${c.still.thrustSigma.toFixed(1)} N is computed. Bench it: claims are taken cold, on a fresh pack, and rounded up.`,
    );
  if (
    k.current !== null &&
    c.still &&
    Math.abs(k.current - c.still.current) > 2 * Math.hypot(c.still.currentSigma, 0.03 * c.still.current)
  )
    out.push(
      `The maker claims ${k.current.toFixed(0)} A; ${c.still.current.toFixed(1)} ± ${c.still.currentSigma.toFixed(1)} A is computed for this pack and propeller.`,
    );
  if (k.current !== null && k.current > c.packCurrent)
    out.push(`${k.current.toFixed(0)} A is claimed, and the pack gives ${c.packCurrent.toFixed(0)} A.`);
  return out;
}
