/**
 * Energy phase by phase: what each takes from the pack, what is left, and how much of the plan rests on modes nobody has
 * flown.
 */
import { say, type Said } from '../words';
export interface PhaseInput {
  id: string;
  name: string;
  kind: string;
  time: number;
  flown: boolean;
  /** from the pack [W]; null when it cannot be held */ power: number | null;
}

export interface PhaseRow extends PhaseInput {
  energy: number;
  /** after it [J] */ left: number;
  share: number;
}
export interface PhasePlan {
  rows: PhaseRow[];
  /** [J] */ usable: number;
  used: number;
  reserve: number;
  left: number;
  /** of the energy used, the part in modes not yet flown */ unproven: number;
  unprovenTime: number;
  provenTime: number;
  /** first phase that eats into the reserve, null when none */ short: string | null;
  sentences: Said[];
}

/** @param usable energy of the pack [J] @param reserve share of it kept back */
export function phasePlan(phases: readonly PhaseInput[], usable: number, reserve: number): PhasePlan {
  let left = usable,
    short: string | null = null;
  const sentences: Said[] = [];
  const rows = phases.map((p) => {
    const energy = (p.power ?? 0) * p.time;
    left -= energy;
    if (p.power === null) sentences.push(say('leg-not-held', { leg: p.name }));
    if (short === null && left < reserve * usable - 1e-9) short = p.id;
    return { ...p, energy, left, share: usable > 0 ? energy / usable : 0 };
  });
  const sum = (keep: (r: PhaseRow) => boolean, of: (r: PhaseRow) => number) =>
    rows.filter(keep).reduce((a, r) => a + of(r), 0);
  const used = sum(
      () => true,
      (r) => r.energy,
    ),
    unproven = sum(
      (r) => !r.flown,
      (r) => r.energy,
    ),
    unprovenTime = sum(
      (r) => !r.flown,
      (r) => r.time,
    ),
    provenTime = sum(
      (r) => r.flown,
      (r) => r.time,
    );
  const legs = rows.filter((r) => !r.flown).map((r) => r.name);
  if (legs.length)
    sentences.push(
      say('not-yet-flown', { legs, share: used > 0 ? unproven / used : null, proven: provenTime }),
    );
  if (short !== null) {
    const leg = rows.find((r) => r.id === short)!.name;
    sentences.push(
      left < 0 ? say('pack-empty-in', { leg, short: -left }) : say('eats-reserve', { leg, reserve }),
    );
  }
  return {
    rows,
    usable,
    used,
    reserve: reserve * usable,
    left,
    unproven,
    unprovenTime,
    provenTime,
    short,
    sentences,
  };
}
