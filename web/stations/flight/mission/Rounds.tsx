'use client';
/** The legs as they are written, round by round: dragged into order, with what each takes beside it. */
import { Button, NativeSelect } from '@mantine/core';
import type { Mission } from '@skiametra/core/design';
import type { MissionReport } from '@skiametra/core/views';
import { IntField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { DocTable } from '../../../parts/table';
import { useLegColumns } from './useLegColumns';
import { useRounds } from './useRounds';

interface Props {
  report: MissionReport | null;
  chosen: string | null;
  onChoose: (leg: string) => void;
}

export function Rounds(props: Props) {
  const { rounds, addRound } = useRounds();
  return (
    <>
      {rounds.map((r) => (
        <Round key={r.id} round={r} {...props} />
      ))}
      <div>
        <Button variant="light" onClick={addRound}>
          Add a round
        </Button>
      </div>
    </>
  );
}

type OneRound = Mission['rounds'][number];

function Round({ round, ...props }: Props & { round: OneRound }) {
  const { path, newLeg } = useRounds(),
    columns = useLegColumns(round.id, props.report, props.chosen, props.onChoose);
  return (
    <section className="block" aria-label={`Round: ${round.name}`}>
      <RoundHead round={round} />
      <DocTable
        path={`${path}.${round.id}.legs`}
        ordered
        caption={`Legs of ${round.name}`}
        addLabel="Add a leg"
        newRow={() => newLeg()}
        columns={columns}
      />
    </section>
  );
}

const HOW = [
  { value: 'once', label: 'flown so many times' },
  { value: 'often', label: 'as often as fits' },
];

function RoundHead({ round }: { round: OneRound }) {
  const { rounds, path, setTimes, copyRound, removeRound, joinBefore } = useRounds(),
    first = rounds[0]?.id === round.id;
  return (
    <div className="roundhead">
      <TextCell label="Name of the round" path={`${path}.${round.id}.name`} />
      <NativeSelect
        aria-label={`${round.name}: how often`}
        value={round.times === null ? 'often' : 'once'}
        data={HOW}
        onChange={(e) => setTimes(round.id, e.currentTarget.value === 'often' ? null : 1)}
      />
      {round.times !== null && <IntField label="Times" path={`${path}.${round.id}.times`} />}
      <span className="atend actions">
        {!first && (
          <Button variant="subtle" onClick={() => joinBefore(round.id)}>
            Join with the one before
          </Button>
        )}
        <Button variant="subtle" onClick={() => copyRound(round.id)}>
          Copy
        </Button>
        {rounds.length > 1 && (
          <Button variant="subtle" onClick={() => removeRound(round.id)}>
            Remove
          </Button>
        )}
      </span>
    </div>
  );
}
