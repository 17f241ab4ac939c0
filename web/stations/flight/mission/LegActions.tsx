'use client';
import { Button } from '@mantine/core';
import type { Leg } from '@skiametra/core/design';
import { useRounds } from './useRounds';

/** What may be done with a leg beside typing in it. */
export function LegActions({ leg, round }: { leg: Leg; round: string }) {
  const { rounds, copyLeg, beginRound } = useRounds();
  const first = rounds.find((r) => r.id === round)?.legs[0]?.id === leg.id;
  return (
    <div className="actions after">
      <Button variant="subtle" onClick={() => copyLeg(round, leg.id)}>
        Copy the leg
      </Button>
      {!first && (
        <Button variant="subtle" onClick={() => beginRound(round, leg.id)}>
          Begin a round here
        </Button>
      )}
    </div>
  );
}
