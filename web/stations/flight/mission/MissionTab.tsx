'use client';
/** What is flown, in what order, how long it lasts and what ends it. */
import { Button } from '@mantine/core';
import { isFree, type Mission } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import type { MissionReport } from '@skiametra/core/views';
import { useState } from 'react';
import { Cautions } from '../../../parts/Cautions';
import { StationFindings } from '../../../parts/Findings';
import { MarkedNumber } from '../../../parts/marks/MarkedNumber';
import { Sentence } from '../../../parts/Sentence';
import { useMission } from '../../../parts/mission/useMission';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { CourseView } from './CourseView';
import { LegPanel } from './LegPanel';
import { MissionHead, useNewMission } from './MissionHead';
import { MissionStrip } from './MissionStrip';
import { PlaceLimits } from './PlaceLimits';
import { Rounds } from './Rounds';

export function MissionTab() {
  const { mission, report, trouble } = useMission(),
    add = useNewMission();
  if (!mission)
    return (
      <section className="block">
        <h2>No mission yet</h2>
        <p className="dim">
          Write what is flown, leg by leg: what each takes of the pack and of the clock, and what ends it.
        </p>
        <Button variant="light" onClick={add}>
          Begin with a flight
        </Button>
      </section>
    );
  return (
    <div className="stack">
      <MissionHead mission={mission} free={isFree(mission)} />
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      <Flown key={mission.id} mission={mission} report={report} />
    </div>
  );
}

const LETS_GO: readonly string[] = ['drop', 'letOut', 'tow', 'takeIn'];
/** Something leaves it in flight, or hangs on a line. */
const letsGo = (m: Mission) => m.rounds.some((r) => r.legs.some((l) => LETS_GO.includes(l.kind)));

/** Where it ends, or else comes nearest to a limit, is looked at first. */
function firstSeen(report: MissionReport | null): number {
  if (!report) return 0;
  if (report.ending.at !== null) return report.ending.at;
  const least = report.legs.reduce((a, l, i) => (ratioOf(l) < ratioOf(report.legs[a]!) ? i : a), 0);
  return least;
}
const ratioOf = (l: MissionReport['legs'][number]) => l.margin?.ratio ?? Infinity;

function Flown({ mission, report }: { mission: Mission; report: MissionReport | null }) {
  const [at, setAt] = useState<number | null>(null);
  const chosen = Math.min(at ?? firstSeen(report), Math.max(0, (report?.legs.length ?? 1) - 1)),
    view = report?.legs[chosen];
  const round = mission.rounds.find((r) => r.legs.some((l) => l.id === view?.id)),
    leg = round?.legs.find((l) => l.id === view?.id);
  const choose = (id: string) => setAt(report?.legs.findIndex((l) => l.id === id) ?? 0);
  return (
    <>
      {report ? (
        <>
          <Ending report={report} />
          <MissionStrip mission={mission} report={report} chosen={chosen} onChoose={setAt} />
        </>
      ) : (
        <p className="dim" role="status">
          Flying it through …
        </p>
      )}
      <div className="station cols-mission">
        <div className="stack">
          <Rounds report={report} chosen={view?.id ?? null} onChoose={choose} />
        </div>
        <div className="stack">
          {report && <CourseView report={report} chosen={chosen} onChoose={setAt} />}
          {view && leg && round && (
            <LegPanel
              key={view.id}
              view={view}
              leg={leg}
              round={round.id}
              path={`document.brief.missions.${mission.id}.rounds.${round.id}.legs.${leg.id}`}
            />
          )}
          <PlaceLimits limits={report?.limits ?? []} />
          <StationFindings of="flight" />
          {letsGo(mission) && <Cautions at="air" />}
        </div>
      </div>
    </>
  );
}

const TOTALS: readonly [id: keyof MissionReport['numbers'], name: string, kind: KindName][] = [
  ['missionTime', 'time', 'duration'],
  ['missionDistance', 'way', 'distance'],
  ['missionEnergy', 'energy', 'energy'],
  ['missionGiven', 'delivered', 'count'],
  ['missionPeak', 'highest', 'distance'],
];

/** What ends it, and what it comes to. */
function Ending({ report }: { report: MissionReport }) {
  const units = useWorkspace((w) => w.units),
    [ends, ...more] = report.said;
  const told = TOTALS.flatMap(([id, name, kind]) => {
    const n = report.numbers[id];
    if (!n || (n.value === 0 && id !== 'missionTime')) return [];
    return [{ name, kind, of: n }];
  });
  return (
    <div className="missionends">
      <p className="flush">
        <b className={report.ending.at !== null ? 'stoptext' : undefined}>{ends && <Sentence of={ends} />}</b>{' '}
        {more.map((s) => (
          <span key={s.code}>
            <Sentence of={s} />{' '}
          </span>
        ))}
      </p>
      <p className="flush missiontotals">
        {told.map((t) => (
          <span key={t.name}>
            <span className="dim">{t.name}</span> <MarkedNumber of={t.of} kind={t.kind} units={units} />
          </span>
        ))}
      </p>
    </div>
  );
}
