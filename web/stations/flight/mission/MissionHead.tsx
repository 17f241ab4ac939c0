'use client';
/** Which mission is looked at, its clock, how its course lies; and what it comes to, in a sentence. */
import { Button, NativeSelect } from '@mantine/core';
import { withoutMarks, type Mission } from '@skiametra/core/design';
import { useState } from 'react';
import { DocField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { BRIEF } from '../../../parts/paths';
import { StatePicker } from '../../../parts/StatePicker';
import { freshId } from '../../../parts/table';
import { usualLeg } from '../../../parts/mission/legKinds';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** A mission to begin with: off, out and back, down. */
function firstMission(id: string, state: string | null, hangs: boolean): Mission {
  const legs = [
    usualLeg('off', 'takeOff', state),
    ...(hangs ? [] : [usualLeg('up', 'climb', null)]),
    usualLeg('out', 'straight', null),
    usualLeg('round', 'turn', null),
    usualLeg('back', 'straight', null),
    usualLeg('down', 'land', null),
  ];
  return { id, name: 'Out and back', window: null, rounds: [{ id: 'once', name: 'Once', times: 1, legs }] };
}

/** Adds a mission, and looks at it. */
export function useNewMission(): () => void {
  const missions = useWorkspace((w) => w.content.document.brief.missions),
    states = useWorkspace((w) => w.content.document.design.states),
    edit = useWorkspace((w) => w.edit),
    setMission = useWorkspace((w) => w.setMission);
  return () => {
    const id = freshId('mission', missions),
      [state] = states;
    edit({
      type: 'insert',
      path: `${BRIEF}.missions`,
      value: firstMission(id, state?.id ?? null, state?.hover === true),
    });
    setMission(id);
  };
}

export function MissionHead({ mission, free }: { mission: Mission; free: boolean }) {
  const missions = useWorkspace((w) => w.content.document.brief.missions),
    edit = useWorkspace((w) => w.edit),
    setMission = useWorkspace((w) => w.setMission),
    add = useNewMission(),
    path = `${BRIEF}.missions.${mission.id}`;
  const [said, say] = useState<string | null>(null);
  /** Refused, with the reason, where a task is still scored on it. */
  const remove = () => {
    const refused = edit({
      type: 'remove',
      path: `${BRIEF}.missions`,
      index: missions.findIndex((m) => m.id === mission.id),
    });
    say(refused && `${withoutMarks(refused)} The mission stays.`);
  };
  return (
    <div className="missionhead">
      <NativeSelect
        aria-label="Mission"
        value={mission.id}
        data={missions.map((m) => ({ value: m.id, label: m.name || m.id }))}
        onChange={(e) => setMission(e.currentTarget.value)}
      />
      <TextCell label="Name of the mission" path={`${path}.name`} />
      <DocField label="Clock" path={`${path}.window`} optional="null" hint="Empty: no clock" />
      <DocField
        label="First straight towards"
        path={`${path}.bearing`}
        optional
        hint="From north, clockwise. With where the wind blows from it says how the wind is on each leg"
      />
      {free && (
        <div>
          <div className="dim tiny">Flown by</div>
          <StatePicker />
        </div>
      )}
      <span className="actions atend">
        <Button variant="subtle" onClick={add}>
          New mission
        </Button>
        <Button variant="subtle" onClick={remove}>
          Remove
        </Button>
      </span>
      {said && (
        <div role="alert" className="stoptext note">
          {said}
        </div>
      )}
    </div>
  );
}
