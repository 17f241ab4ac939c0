/** Energy phase by phase: what each takes from the pack, what is left, and how much of the plan rests on modes nobody has flown. */
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
  sentences: string[];
}

/** @param usable energy of the pack [J] @param reserve share of it kept back */
export function phasePlan(phases: readonly PhaseInput[], usable: number, reserve: number): PhasePlan {
  let left = usable,
    short: string | null = null;
  const sentences: string[] = [];
  const rows = phases.map((p) => {
    const energy = (p.power ?? 0) * p.time;
    left -= energy;
    if (p.power === null) sentences.push(`${p.name} cannot be held by the power there is.`);
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
  const dark = rows.filter((r) => !r.flown).map((r) => r.name.toLowerCase());
  if (dark.length)
    sentences.push(
      `Not yet flown: ${dark.join(', ')}. ${used > 0 ? `${((100 * unproven) / used).toFixed(0)} % of the energy` : 'The plan'} rests on them; ${(provenTime / 60).toFixed(1)} min of it are proven.`,
    );
  if (short !== null)
    sentences.push(
      left < 0
        ? `The pack is empty in ${rows.find((r) => r.id === short)!.name.toLowerCase()}, ${(-left / 3600).toFixed(1)} Wh short.`
        : `${rows.find((r) => r.id === short)!.name} eats into the reserve of ${(reserve * 100).toFixed(0)} %.`,
    );
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
