'use client';
/** What is scored, and by which formula. */
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
          <select
            className="cell"
            aria-label={`Task ${i + 1} is flown in`}
            value={m.state}
            style={{ background: 'transparent', border: 0, color: 'var(--ink)', padding: '4px 0' }}
            onChange={(e) => edit({ type: 'set', path: `${BRIEF}.tasks.${i}.state`, value: e.target.value })}
          >
            <option value="each">free choice</option>
            {states.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </select>
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
