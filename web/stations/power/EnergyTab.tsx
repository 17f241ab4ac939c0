'use client';
/** Energy leg by leg with the reserve, counting what has been flown; packs; claims against each other. */
import { Sentence } from '../../parts/Sentence';
import { Checkbox } from '@mantine/core';
import type { PowerReport } from '@skiametra/core/views';
import { LEG_KINDS, timedMission, type Mission } from '@skiametra/core/design';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { DocField } from '../../parts/QuantityField';
import { SheetTable, freshId } from '../../parts/SheetTable';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const D = 'document.design';
/** Straights and turns belong to a lap. */
const TIMED_KINDS = LEG_KINDS.filter((k) => k !== 'straight' && k !== 'turn');

export function EnergyTab({ report }: { report: PowerReport }) {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
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
    state: design.states[0].id,
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
            <SheetTable
              path={legs}
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
                { key: 'time', label: 'Time', cell: { type: 'quantity' }, width: 50 },
                {
                  key: 'speed',
                  label: 'Speed',
                  width: 48,
                  numeric: true,
                  cell: {
                    type: 'shown',
                    render: (_r, i) => (
                      <DocField
                        label={`Speed, row ${i + 1}`}
                        path={`${legs}.${i}.speed`}
                        hideLabel
                        hideUnit
                        optional="null"
                      />
                    ),
                  },
                },
                {
                  key: 'flown',
                  label: 'Flown',
                  width: 44,
                  cell: {
                    type: 'shown',
                    render: (r, i) => (
                      <Checkbox
                        aria-label={`Flown, row ${i + 1}`}
                        checked={Boolean(r.flown)}
                        onChange={(e) =>
                          edit({
                            type: 'set',
                            path: `${legs}.${i}.flown`,
                            value: e.currentTarget.checked,
                          })
                        }
                      />
                    ),
                  },
                },
                {
                  key: 'power',
                  label: 'Power',
                  width: 60,
                  numeric: true,
                  cell: {
                    type: 'shown',
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
          ) : (
            <p className="dim">
              No plan yet. Write the flight leg by leg: what each takes from the pack, and whether that mode
              has ever been flown.
            </p>
          )}
          {!round && (
            <button type="button" className="sorter predictedtext" onClick={begin}>
              Begin with one leg
            </button>
          )}
        </section>
        {plan && <Bar plan={plan} />}
      </div>
      <div className="stack">
        {plan && (
          <section className="block" aria-label="The plan in words">
            <h2>The plan</h2>
            <p className="below4">
              {formatQuantity(plan.used, 'energy', units)} of {formatQuantity(plan.usable, 'energy', units)};{' '}
              {formatQuantity(plan.left, 'energy', units)} left,{' '}
              {formatQuantity(plan.reserve, 'energy', units)} is the reserve.
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
        )}
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

/** The pack as one bar: hatched what is not yet flown, the reserve at the end in a bracket. */
function Bar({ plan }: { plan: NonNullable<PowerReport['phases']> }) {
  const units = useWorkspace((w) => w.units);
  const most = Math.max(plan.usable, plan.used),
    W = 720,
    X = (e: number) => (e / Math.max(most, 1e-9)) * W;
  return (
    <figure className="flush">
      <svg
        viewBox={`-4 0 ${W + 12} 62`}
        width="100%"
        role="img"
        aria-label="Energy of the legs along the pack"
      >
        <defs>
          <pattern
            id="unflown"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="var(--predicted-soft)" />
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--predicted)" strokeWidth="1.6" />
          </pattern>
        </defs>
        <rect x={0} y={18} width={X(plan.usable)} height={22} fill="none" stroke="var(--hair)" />
        {plan.rows.map((r, i) => {
          const x = X(plan.rows.slice(0, i).reduce((s, p) => s + p.energy, 0));
          return (
            <g key={r.id}>
              <rect
                x={x}
                y={18}
                width={Math.max(1, X(r.energy) - 1)}
                height={22}
                fill={r.flown ? 'var(--predicted-soft)' : 'url(#unflown)'}
              >
                <title>{`${r.name}: ${formatQuantity(r.energy, 'energy', units)}`}</title>
              </rect>
              {X(r.energy) > 60 && (
                <text x={x + 4} y={54} fontSize={10.5} fill="var(--ink-2)">
                  {r.name}
                </text>
              )}
            </g>
          );
        })}
        <path
          d={`M ${X(plan.usable - plan.reserve) + 6} 12 H ${X(plan.usable - plan.reserve)} V 46 H ${X(plan.usable - plan.reserve) + 6}`}
          fill="none"
          stroke="var(--asked)"
          strokeWidth={1.6}
        />
        <text x={X(plan.usable - plan.reserve) + 8} y={12} fontSize={10.5} fill="var(--asked)">
          reserve
        </text>
      </svg>
      <figcaption className="legend">
        <span>plain: flown on this aircraft</span>
        <span>hatched: not yet flown</span>
        <span className="num">
          {formatNumber(plan.provenTime / 60, 2)} min proven of{' '}
          {formatNumber((plan.provenTime + plan.unprovenTime) / 60, 2)}
        </span>
      </figcaption>
    </figure>
  );
}

const C = `${D}.claims`;

function Claims({ report }: { report: PowerReport }) {
  const claims = useWorkspace((w) => w.content.document.design.claims);
  const edit = useWorkspace((w) => w.edit);
  if (!claims)
    return (
      <section className="block">
        <h2>Claims</h2>
        <p className="dim below8">
          Write down what makers and plans claim; what cannot be true together is pointed at.
        </p>
        <button
          type="button"
          className="sorter predictedtext"

          onClick={() =>
            edit({
              type: 'set',
              path: C,
              value: {
                payload: null,
                hoverPower: null,
                topSpeed: null,
                flightTime: null,
                thrust: null,
                current: null,
              },
            })
          }
        >
          Write claims down
        </button>
      </section>
    );
  return (
    <section className="block" aria-label="Claims">
      <h2>Claims, held against each other</h2>
      <div className="fields">
        <DocField label="Payload" path={`${C}.payload`} optional="null" />
        <DocField label="Hover power" path={`${C}.hoverPower`} optional="null" />
        <DocField label="Top speed" path={`${C}.topSpeed`} optional="null" />
        <DocField label="Flight time" path={`${C}.flightTime`} optional="null" />
        <DocField label="Static thrust" path={`${C}.thrust`} optional="null" />
        <DocField label="Static current" path={`${C}.current`} optional="null" />
      </div>
      {report.claims.length === 0 ? (
        <p className="dim over8">Nothing contradicts.</p>
      ) : (
        report.claims.map((s) => (
          <div key={s.code} className="finding ask unruled pad4">
            <span className="sev" aria-hidden="true">
              ?
            </span>
            <div>
              <Sentence of={s} />
            </div>
          </div>
        ))
      )}
    </section>
  );
}
