'use client';
/** Which mission is looked at, its clock, how its course lies; and what it comes to, in a sentence. */
import { Button, NativeSelect } from '@mantine/core';
import {
  hasWing,
  powertrainOf,
  withoutMarks,
  type Design,
  type LegKind,
  type Mission,
} from '@skiametra/core/design';
import { useState } from 'react';
import { DocField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { BRIEF } from '../../../parts/paths';
import { StatePicker } from '../../../parts/StatePicker';
import { freshId } from '../../../parts/table';
import { usualLeg } from '../../../parts/mission/legKinds';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** Kinds of a mission to begin with: out and back under power, thrown and down, as long as it flies on rubber. */
function firstKinds(design: Design): LegKind[] {
  const power = powertrainOf(design);
  if (!hasWing(design)) return ['takeOff', 'straight', 'turn', 'straight', 'land'];
  if (power.rubber) return ['loiter'];
  if (power.unpowered) return ['takeOff', 'glide'];
  return ['takeOff', 'climb', 'straight', 'turn', 'straight', 'land'];
}

function firstMission(id: string, design: Design): Mission {
  const legs = firstKinds(design).map((kind, i) =>
    usualLeg(`${kind}-${i + 1}`, kind, i === 0 ? (design.states[0]?.id ?? null) : null),
  );
  // on rubber it stays up as long as that lasts
  const [only] = legs;
  if (only && legs.length === 1) delete only.time;
  return { id, name: 'A flight', window: null, rounds: [{ id: 'once', name: 'Once', times: 1, legs }] };
}

/** Adds a mission, and looks at it. */
export function useNewMission(): () => void {
  const missions = useWorkspace((w) => w.content.document.brief.missions),
    design = useWorkspace((w) => w.content.document.design),
    edit = useWorkspace((w) => w.edit),
    setMission = useWorkspace((w) => w.setMission);
  return () => {
    const id = freshId('mission', missions);
    edit({ type: 'insert', path: `${BRIEF}.missions`, value: firstMission(id, design) });
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
