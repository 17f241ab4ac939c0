'use client';
/** Other supplies than one pack: a second one, what they feed, the swap set. */
import { POWER } from '../../../parts/paths';
import { Button, Checkbox } from '@mantine/core';
import { powertrainOf } from '@skiametra/core/design';
import type { PowerReport } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { useSentence } from '../../../parts/Sentence';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Feeds } from './Feeds';
import { Swaps } from './Swaps';

const KINDS = ['pack', 'regulator', 'controller', 'motor', 'receiver', 'servo', 'other'];

export function SupplyTab({ report }: { report: PowerReport }) {
  const words = useSentence();
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
                ...(['volts', 'rating', 'draw', 'minVolts', 'maxVolts'] as const).map((key) => ({
                  key,
                  label: {
                    volts: 'Gives',
                    rating: 'Rated',
                    draw: 'Draws',
                    minVolts: 'Least',
                    maxVolts: 'Most',
                  }[key],
                  width: 54,
                  numeric: true,
                  cell: {
                    type: 'shown' as const,
                    render: (_row: Record<string, unknown>, i: number) => (
                      <DocField
                        label={`${key}, row ${i + 1}`}
                        path={`${POWER}.supply.${i}.${key}`}
                        hideLabel
                        hideUnit
                        optional={key === 'draw' ? undefined : 'null'}
                      />
                    ),
                  },
                })),
                {
                  key: 'vital',
                  label: 'Vital',
                  width: 40,
                  cell: {
                    type: 'shown',
                    render: (row, i) => (
                      <Checkbox
                        aria-label={`Vital, row ${i + 1}`}
                        checked={Boolean(row.vital)}
                        onChange={(e) =>
                          edit({
                            type: 'set',
                            path: `${POWER}.supply.${i}.vital`,
                            value: e.currentTarget.checked,
                          })
                        }
                      />
                    ),
                  },
                },
              ]}
            />
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
        {r && (
          <section className="block" aria-label="What fails with what">
            <h2>If one thing fails</h2>
            {r.lines
              .filter((l) => l.said.length > 0)
              .map((l) => (
                <div
                  key={l.id}
                  className={`${`finding ${l.single && l.lost.length ? 'stop' : 'look'}`} pad4`}
                >
                  <span className="sev" aria-hidden="true">
                    {l.single && l.lost.length ? '✕' : '!'}
                  </span>
                  <div>{l.said.map(words).join(' ')}</div>
                </div>
              ))}
            {r.lines.every((l) => l.said.length === 0) && <p className="dim">Nothing hangs on one part.</p>}
          </section>
        )}
        {r && r.volts.length > 0 && (
          <section className="block" aria-label="Volts">
            <h2>Volts: label, full, sagged</h2>
            {r.volts.map((v) => (
              <div key={v.id} className={`note ${v.ok ? '' : 'stoptext'}`}>
                {v.ok ? '' : '✕ '}
                {words(v.said)}
              </div>
            ))}
          </section>
        )}
        {r && (
          <p className="dim note flush">
            Aerials clear of carbon and of the pack, their bare ends at right angles to each other; a compass
            and its wires a hand away from those that carry the motor’s current. Range-check with the motor
            running.
          </p>
        )}
        {report.torque && (
          <section className="block" aria-label="Torque roll">
            <h2>Torque roll, full throttle at 1.2 times the stall</h2>
            <p className="below4">{words(report.torque.said)}</p>
            <p className="dim below4 note">{report.torque.gyro}</p>
            <p className="dim flush note">{report.torque.slipstream}</p>
          </section>
        )}
      </div>
    </div>
  );
}
