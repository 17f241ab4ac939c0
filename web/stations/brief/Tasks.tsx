'use client';
/** What is scored, and by which formula. */
import { CellSelect } from '../../parts/fields/CellSelect';
import { BRIEF } from '../../parts/paths';
import { ActionIcon, Button } from '@mantine/core';
import { lapMission } from '@skiametra/core/design';
import { IconTrash } from '@tabler/icons-react';
import { TextCell } from '../../parts/fields/TextCell';
import { freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FormulaEditor } from './FormulaEditor';

export function Tasks() {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks);
  const mission = useWorkspace((w) => lapMission(w.content.document.brief)?.mission);
  const states = useWorkspace((w) => w.content.document.design.states);
  const edit = useWorkspace((w) => w.edit);
  return (
    <section className="block">
      <h2>
        Score <span className="right dim">one formula per task; the score is their sum</span>
      </h2>
      {tasks.map((m, i) => (
        <div key={m.id} className="missionrow">
          <TextCell label={`Task ${i + 1} name`} path={`${BRIEF}.tasks.${i}.name`} />
          <FormulaEditor index={i} />
          <CellSelect
            label={`Task ${i + 1} is flown in`}
            value={m.state}
            options={[
              { value: 'each', label: 'free choice' },
              ...states.map((l) => ({ value: l.id, label: l.name })),
            ]}
            onChange={(state) => edit({ type: 'set', path: `${BRIEF}.tasks.${i}.state`, value: state })}
          />
          <ActionIcon
            size="sm"
            onClick={() => edit({ type: 'remove', path: `${BRIEF}.tasks`, index: i })}
            aria-label={`Remove task ${i + 1}`}
          >
            <IconTrash size={14} />
          </ActionIcon>
        </div>
      ))}
      <Button
        variant="subtle"
        mt={6}
        onClick={() =>
          edit({
            type: 'insert',
            path: `${BRIEF}.tasks`,
            value: {
              id: freshId('task', tasks),
              name: 'New task',
              mission: mission?.id ?? null,
              formula: 'laps',
              state: 'each',
            },
          })
        }
      >
        Add a task
      </Button>
    </section>
  );
}
