'use client';
/** Flights of a season in one table and one chart. */
import { DateWords } from '../../../parts/dates/DateWords';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { powertrainOf } from '@skiametra/core/design';
import { rubberSeason } from '@skiametra/core/trial';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export function useSeason() {
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const pitch = useWorkspace((w) => powertrainOf(w.content.document.design).rubber!.propeller.pitch);
  return rubberSeason(
    tests.filter((t) => t.versionId === versionId),
    pitch,
  );
}

export function Season() {
  const season = useSeason();

  if (season.length === 0)
    return (
      <p className="dim">No flight is logged yet: record launch turns, turns left and seconds under Test.</p>
    );
  const best = Math.max(...season.filter((s) => s.clean).map((s) => s.seconds));
  return (
    <section className="block" aria-label="Season">
      <h2>Flights of this version</h2>
      <ShownTable
        name="Logged flights"
        rows={season}
        rowKey={(s) => s.id}
        rowClass={(s) => (s.clean ? (s.seconds === best ? 'chosen' : undefined) : 'faded')}
        columns={COLUMNS}
      />
      <p className="dim small over4">
        Pitch flown: what the blade would need for the advance of the first clean flight at this rpm. A flight
        that is not clean is set aside in the fit. The marks beside the readings are of flights on nearly
        these turns.
      </p>
    </section>
  );
}

type Flown = ReturnType<typeof useSeason>[number];

const COLUMNS: ShownColumn<Flown>[] = [
  { key: 'date', label: 'Date', value: (s) => s.date, render: (s) => <DateWords iso={s.date} /> },
  {
    key: 'change',
    label: 'What was changed',
    fixed: true,
    value: (s) => (s.clean ? s.change : `${s.change} (not clean)`),
  },
  { key: 'turns', label: 'Turns', kind: 'count', value: (s) => s.launchTurns },
  { key: 'left', label: 'Left', kind: 'count', value: (s) => s.turnsLeft },
  { key: 'torque', label: 'Torque', kind: 'smallMoment', value: (s) => s.torque },
  { key: 'omega', label: 'Rotation', kind: 'rotation', value: (s) => s.omega },
  { key: 'pitch', label: 'Pitch flown', kind: 'length', value: (s) => s.pitch },
  { key: 'height', label: 'Height', kind: 'distance', value: (s) => s.height },
  { key: 'seconds', label: 'Time', kind: 'time', value: (s) => s.seconds },
];
