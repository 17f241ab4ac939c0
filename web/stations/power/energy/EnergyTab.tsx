'use client';
/** Where the energy of the pack goes, and how long it lasts. */
import { Button } from '@mantine/core';
import { LEG_KINDS, timedMission, type Mission } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { PhasePlan, PhaseRow } from '@skiametra/core/mission';
import type { PowerReport } from '@skiametra/core/views';
import { Sentence } from '../../../parts/Sentence';
import { DocTable, freshId, type DocRow } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Claims } from './Claims';
import { Bar } from './EnergyBar';

/** Straights and turns belong to a lap. */
const TIMED_KINDS = LEG_KINDS.filter((k) => k !== 'straight' && k !== 'turn');

export function EnergyTab({ report }: { report: PowerReport }) {
  const design = useWorkspace((w) => w.content.document.design);

  const edit = useWorkspace((w) => w.edit);
  const missions = useWorkspace((w) => w.content.document.brief.missions);
  const mission = timedMission({ missions }),
    round = mission?.rounds[0],
    legs = `document.brief.missions.${mission?.id}.rounds.${round?.id}.legs`,
    plan = report.phases;
  const rowOf = (r: Record<string, unknown>) => plan?.rows.find((p) => p.id === r.id);
  const newRow = () => ({
    id: freshId('leg', round?.legs ?? []),
    name: 'Leg',
    kind: 'cruise' as const,
    state: design.states[0]?.id ?? '',
    time: 60,
    speed: null,
    flown: false,
  });
  const begin = () => {
    const value: Mission = {
      id: freshId('mission', missions),
      name: 'Flight',
      window: null,
      rounds: [{ id: 'once', name: 'Once', times: 1, legs: [newRow()] }],
    };
    edit({ type: 'insert', path: 'document.brief.missions', value });
  };
  return (
    <div className="station cols-energytab">
      <div className="stack">
        <section className="block">
          <h2>
            The flight, leg by leg <span className="right dim">an empty speed is the state’s own</span>
          </h2>
          {round ? (
            <LegTable legs={legs} newRow={newRow} rowOf={rowOf} plan={plan} />
          ) : (
            <p className="dim">
              No plan yet. Write the flight leg by leg: what each takes from the pack, and whether that mode
              has ever been flown.
            </p>
          )}
          {!round && (
            <Button variant="light" onClick={begin}>
              Begin with one leg
            </Button>
          )}
        </section>
        {plan && <Bar plan={plan} />}
      </div>
      <div className="stack">
        {plan && <PlanWords plan={plan} />}
        <section className="block">
          <h2>Pack</h2>
          {report.packs.map((s) => (
            <p key={s.code} className="below4 note">
              <Sentence of={s} />
            </p>
          ))}
        </section>
        <Claims report={report} />
      </div>
    </div>
  );
}

/** Legs as they are typed, with what each takes from the pack. */
interface LegTableProps {
  legs: string;
  newRow: () => unknown;
  rowOf: (row: DocRow) => PhaseRow | undefined;
  plan: PhasePlan | null;
}
function LegTable({ legs, newRow, rowOf, plan }: LegTableProps) {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  return (
    <DocTable
      path={legs}
      ordered
      totalLabel="In all"
      caption="Legs of the flight"
      addLabel="Add a leg"
      newRow={newRow}
      columns={[
        { key: 'name', label: 'Leg', cell: { type: 'text' }, width: 128 },
        {
          key: 'kind',
          label: 'Mode',
          cell: { type: 'choice', options: TIMED_KINDS.map((k) => ({ value: k, label: k })) },
          width: 66,
        },
        {
          key: 'state',
          label: 'State',
          cell: {
            type: 'choice',
            options: design.states.map((l) => ({ value: l.id, label: l.name })),
          },
          width: 96,
        },
        { key: 'time', label: 'Time', cell: { type: 'quantity' }, width: 50, total: true },
        { key: 'speed', label: 'Speed', width: 48, cell: { type: 'quantity', optional: 'null' } },
        { key: 'flown', label: 'Flown', width: 44, cell: { type: 'check' } },
        {
          key: 'power',
          label: 'Power',
          width: 60,
          numeric: true,
          cell: {
            type: 'shown',
            value: (r) => rowOf(r)?.power ?? null,
            render: (r) => (
              <span className="num">
                {rowOf(r) ? (
                  rowOf(r)!.power === null ? (
                    <span className="stoptext">too much</span>
                  ) : (
                    formatQuantity(rowOf(r)!.power!, 'power', units)
                  )
                ) : (
                  '…'
                )}
              </span>
            ),
          },
        },
        {
          key: 'energy',
          label: 'Energy',
          width: 76,
          numeric: true,
          cell: {
            type: 'shown',
            value: (r) => rowOf(r)?.energy ?? null,
            render: (r) => (
              <span className="num oneliner">
                {rowOf(r) ? formatQuantity(rowOf(r)!.energy, 'energy', units) : ''}
              </span>
            ),
          },
        },
        {
          key: 'left',
          label: 'Left',
          width: 70,
          numeric: true,
          cell: {
            type: 'shown',
            render: (r) => (
              <span
                className={`num ${plan && (rowOf(r)?.left ?? Infinity) < plan.reserve ? 'stoptext' : ''}`}
              >
                {rowOf(r) ? formatQuantity(rowOf(r)!.left, 'energy', units) : ''}
              </span>
            ),
          },
        },
      ]}
    />
  );
}

/** What the plan comes to. */
interface PlanWordsProps {
  plan: PhasePlan;
}
function PlanWords({ plan }: PlanWordsProps) {
  const units = useWorkspace((w) => w.units);
  return (
    <section className="block" aria-label="The plan in words">
      <h2>The plan</h2>
      <p className="below4">
        {formatQuantity(plan.used, 'energy', units)} of {formatQuantity(plan.usable, 'energy', units)};{' '}
        {formatQuantity(plan.left, 'energy', units)} left, {formatQuantity(plan.reserve, 'energy', units)} is
        the reserve.
      </p>
      {plan.sentences.map((s) => (
        <div key={s.code + String(s.fields.leg ?? '')} className="finding look unruled pad4">
          <span className="sev" aria-hidden="true">
            !
          </span>
          <div>
            <Sentence of={s} />
          </div>
        </div>
      ))}
    </section>
  );
}
