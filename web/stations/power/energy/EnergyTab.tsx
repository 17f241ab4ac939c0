'use client';
/** Where the energy of the pack goes, leg by leg of the mission, and how long it lasts. */
import type { LegView, PowerReport } from '@skiametra/core/views';
import Link from 'next/link';
import { Sentence } from '../../../parts/Sentence';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { LEG_WORDS } from '../../../parts/mission/legKinds';
import { useMission } from '../../../parts/mission/useMission';
import { useWayToTab } from '../../../parts/frame/useAddress';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Claims } from './Claims';
import { Bar } from './EnergyBar';

export function EnergyTab({ report }: { report: PowerReport }) {
  const { mission, report: flown } = useMission(),
    there = useWayToTab('flight', 'mission');
  const written = (
    <Link href={there} className="textbutton dotted">
      Flight, Mission
    </Link>
  );
  return (
    <div className="station cols-energytab">
      <div className="stack">
        <section className="block">
          <h2>
            {mission ? `${mission.name}, leg by leg` : 'The flight, leg by leg'}
            <span className="right dim">legs are written under {written}</span>
          </h2>
          {flown ? (
            <LegTable legs={flown.legs} />
          ) : (
            <p className="dim">{mission ? 'Flying it through …' : 'No mission yet.'}</p>
          )}
        </section>
        {flown && <Bar report={flown} />}
      </div>
      <div className="stack">
        {flown && (
          <section className="block" aria-label="The plan in words">
            <h2>The plan</h2>
            {flown.said.map((s) => (
              <p key={s.code} className="below4">
                <Sentence of={s} />
              </p>
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

/** The first time that each leg is flown. */
function LegTable({ legs }: { legs: readonly LegView[] }) {
  const states = useWorkspace((w) => w.content.document.design.states);
  const first = legs.filter((l, i) => legs.findIndex((o) => o.id === l.id) === i);
  const columns: ShownColumn<LegView>[] = [
    { key: 'name', label: 'Leg', fixed: true, value: (l) => l.name },
    { key: 'kind', label: 'Kind', value: (l) => LEG_WORDS[l.kind as keyof typeof LEG_WORDS] },
    { key: 'state', label: 'State', value: (l) => states.find((s) => s.id === l.state)?.name ?? l.state },
    { key: 'time', label: 'Time', kind: 'time', value: (l) => (Number.isFinite(l.time) ? l.time : null) },
    { key: 'power', label: 'Power', kind: 'power', value: (l) => l.power },
    { key: 'current', label: 'Current', kind: 'current', value: (l) => l.current },
    { key: 'volts', label: 'Volts', kind: 'voltage', value: (l) => (l.volts > 0 ? l.volts : null) },
    { key: 'energy', label: 'Energy', kind: 'energy', value: (l) => l.energy },
    { key: 'soc', label: 'Charge', kind: 'percent', value: (l) => l.soc },
  ];
  return <ShownTable name="Energy by leg" rows={first} rowKey={(l) => l.id} columns={columns} />;
}
