'use client';
/** Other supplies than one pack: a second one, what they feed, the swap set. */
import { POWER } from '../../../parts/paths';
import { Button } from '@mantine/core';
import { powertrainOf } from '@skiametra/core/design';
import type { SupplyReport } from '@skiametra/core/power';
import type { PowerReport } from '@skiametra/core/views';
import { useSentence } from '../../../parts/Sentence';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Feeds } from './Feeds';
import { Swaps } from './Swaps';

const KINDS = ['pack', 'regulator', 'controller', 'motor', 'receiver', 'servo', 'other'];

export function SupplyTab({ report }: { report: PowerReport }) {
  const supply = useWorkspace((w) => powertrainOf(w.content.document.design).supply);
  const edit = useWorkspace((w) => w.edit);
  const r = report.supply;
  const newRow = () => ({
    id: freshId('part', supply ?? []),
    name: 'Part',
    kind: 'other',
    feeds: [],
    volts: null,
    rating: null,
    draw: 0,
    minVolts: null,
    maxVolts: null,
    vital: false,
  });
  return (
    <div className="station cols-supplytab">
      <div className="stack">
        <section className="block">
          <h2>Supply and wiring</h2>
          {supply ? (
            <PartTable newRow={newRow} />
          ) : (
            <>
              <p className="dim">
                Not drawn yet. List packs, regulators, receiver and servos and who feeds them: single points
                of failure and wrong volts are pointed at.
              </p>
              <Button
                variant="light"
                onClick={() =>
                  edit({
                    type: 'set',
                    path: `${POWER}.supply`,
                    value: [
                      { ...newRow(), id: 'main', name: 'Flight pack', kind: 'pack', volts: 14.8 },
                      {
                        ...newRow(),
                        id: 'receiver',
                        name: 'Receiver',
                        kind: 'receiver',
                        feeds: ['main'],
                        draw: 0.1,
                        vital: true,
                      },
                    ],
                  })
                }
              >
                Begin with pack and receiver
              </Button>
            </>
          )}
        </section>
        <Swaps report={report} />
      </div>
      <div className="stack">
        {r && <FailsWith r={r} />}
        {r && r.volts.length > 0 && <VoltWords r={r} />}
        {r && (
          <p className="dim note flush">
            Aerials clear of carbon and of the pack, their bare ends at right angles to each other; a compass
            and its wires a hand away from those that carry the motor’s current. Range-check with the motor
            running.
          </p>
        )}
        {report.torque && <TorqueWords torque={report.torque} />}
      </div>
    </div>
  );
}

/** Parts, what feeds them, their volts. */
interface PartTableProps {
  newRow: () => unknown;
}
function PartTable({ newRow }: PartTableProps) {
  return (
    <DocTable
      path={`${POWER}.supply`}
      caption="Parts of the supply"
      addLabel="Add a part"
      newRow={newRow}
      columns={[
        { key: 'name', label: 'Part', cell: { type: 'text' }, width: 150 },
        {
          key: 'kind',
          label: 'Kind',
          cell: { type: 'choice', options: KINDS.map((k) => ({ value: k, label: k })) },
          width: 78,
        },
        {
          key: 'feeds',
          label: 'Fed by (any one)',
          width: 130,
          cell: { type: 'shown', render: (_row, i) => <Feeds row={i} /> },
        },
        { key: 'volts', label: 'Gives', width: 54, cell: { type: 'quantity', optional: 'null' } },
        { key: 'rating', label: 'Rated', width: 54, cell: { type: 'quantity', optional: 'null' } },
        { key: 'draw', label: 'Draws', width: 54, cell: { type: 'quantity' } },
        { key: 'minVolts', label: 'Least', width: 54, cell: { type: 'quantity', optional: 'null' } },
        { key: 'maxVolts', label: 'Most', width: 54, cell: { type: 'quantity', optional: 'null' } },
        { key: 'vital', label: 'Vital', width: 40, cell: { type: 'check' } },
      ]}
    />
  );
}

/** What fails with what. */
interface FailsWithProps {
  r: SupplyReport;
}
function FailsWith({ r }: FailsWithProps) {
  const words = useSentence();
  return (
    <section className="block" aria-label="What fails with what">
      <h2>If one thing fails</h2>
      {r.lines
        .filter((l) => l.said.length > 0)
        .map((l) => (
          <div key={l.id} className={`${`finding ${l.single && l.lost.length ? 'stop' : 'look'}`} pad4`}>
            <span className="sev" aria-hidden="true">
              {l.single && l.lost.length ? '✕' : '!'}
            </span>
            <div>{l.said.map(words).join(' ')}</div>
          </div>
        ))}
      {r.lines.every((l) => l.said.length === 0) && <p className="dim">Nothing hangs on one part.</p>}
    </section>
  );
}

/** Volts against what every part stands. */
interface VoltWordsProps {
  r: SupplyReport;
}
function VoltWords({ r }: VoltWordsProps) {
  const words = useSentence();
  return (
    <section className="block" aria-label="Volts">
      <h2>Volts: label, full, sagged</h2>
      {r.volts.map((v) => (
        <div key={v.id} className={`note ${v.ok ? '' : 'stoptext'}`}>
          {v.ok ? '' : '✕ '}
          {words(v.said)}
        </div>
      ))}
    </section>
  );
}

/** Torque of the propeller on the aircraft. */
interface TorqueWordsProps {
  torque: NonNullable<PowerReport['torque']>;
}
function TorqueWords({ torque }: TorqueWordsProps) {
  const words = useSentence();
  return (
    <section className="block" aria-label="Torque roll">
      <h2>Torque roll, full throttle at 1.2 times the stall</h2>
      <p className="below4">{words(torque.said)}</p>
      <p className="dim below4 note">{torque.gyro}</p>
      <p className="dim flush note">{torque.slipstream}</p>
    </section>
  );
}
