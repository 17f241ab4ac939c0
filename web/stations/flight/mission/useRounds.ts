'use client';
/** Rounds and legs of a mission as they are changed: added, copied, taken away, begun anew from a leg. */
import type { Leg, LegKind, Mission } from '@skiametra/core/design';
import { freshId } from '../../../parts/table';
import { usualLeg } from '../../../parts/mission/legKinds';
import { useMission } from '../../../parts/mission/useMission';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

type Round = Mission['rounds'][number];

const allLegs = (rounds: readonly Round[]) => rounds.flatMap((r) => r.legs);

/** Legs under ids that the mission has not. */
function renamed(legs: readonly Leg[], rounds: readonly Round[]): Leg[] {
  const taken = [...allLegs(rounds)];
  return legs.map((l) => {
    const copy = { ...l, id: freshId('leg', taken) };
    taken.push(copy);
    return copy;
  });
}

export function useRounds() {
  const { mission } = useMission(),
    edit = useWorkspace((w) => w.edit),
    states = useWorkspace((w) => w.content.document.design.states);
  const rounds = mission?.rounds ?? [],
    path = `document.brief.missions.${mission?.id ?? ''}.rounds`;
  const set = (next: readonly Round[]) => edit({ type: 'set', path, value: next });
  return {
    mission,
    rounds,
    path,
    /** a leg of a kind, as the first of a mission in the first state */
    newLeg: (kind: LegKind = 'straight') =>
      usualLeg(
        freshId('leg', allLegs(rounds)),
        kind,
        allLegs(rounds).length === 0 ? (states[0]?.id ?? null) : null,
      ),
    addRound: () => set([...rounds, { id: freshId('round', [...rounds]), name: 'Then', times: 1, legs: [] }]),
    copyRound: (id: string) => {
      const at = rounds.findIndex((r) => r.id === id),
        of = rounds[at];
      if (!of) return;
      const copy = { ...of, id: freshId('round', [...rounds]), legs: renamed(of.legs, rounds) };
      set(rounds.toSpliced(at + 1, 0, copy));
    },
    removeRound: (id: string) => set(rounds.filter((r) => r.id !== id)),
    copyLeg: (round: string, id: string) =>
      set(
        rounds.map((r) => {
          const at = r.legs.findIndex((l) => l.id === id);
          return r.id !== round || at < 0
            ? r
            : { ...r, legs: r.legs.toSpliced(at + 1, 0, ...renamed([r.legs[at]!], rounds)) };
        }),
      ),
    /** that leg and those behind it become a round of their own */
    beginRound: (round: string, id: string) =>
      set(
        rounds.flatMap((r) => {
          const at = r.legs.findIndex((l) => l.id === id);
          if (r.id !== round || at < 1) return [r];
          const rest = { id: freshId('round', [...rounds]), name: 'Then', times: 1, legs: r.legs.slice(at) };
          return [{ ...r, legs: r.legs.slice(0, at) }, rest];
        }),
      ),
    /** the legs of a round go to the end of the one before */
    joinBefore: (round: string) => {
      const at = rounds.findIndex((r) => r.id === round);
      if (at < 1) return;
      const joined = { ...rounds[at - 1]!, legs: [...rounds[at - 1]!.legs, ...rounds[at]!.legs] };
      set(rounds.toSpliced(at - 1, 2, joined));
    },
    setTimes: (round: string, times: number | null) =>
      set(rounds.map((r) => (r.id === round ? { ...r, times } : r))),
  };
}
