'use client';
/** What is scored, as a rule sheet: one formula a task, with its weight, caps and odds. */
import { Button } from '@mantine/core';
import { lapMission } from '@skiametra/core/design';
import { formatNumber } from '@skiametra/core/units';
import { BRIEF } from '../../parts/paths';
import { freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { TaskRule } from './TaskRule';

export function Tasks() {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks);
  const mission = useWorkspace((w) => lapMission(w.content.document.brief)?.mission);
  const edit = useWorkspace((w) => w.edit);
  const weighed = tasks.some((t) => t.weight !== undefined),
    sum = tasks.reduce((s, t) => s + (t.weight ?? 1), 0);
  return (
    <section className="block">
      <h2>
        Score{' '}
        <span className="right dim">
          {weighed ? `weights sum to ${formatNumber(sum, 4)}; ` : ''}the score is the sum of the tasks
        </span>
      </h2>
      {tasks.map((t, i) => (
        <TaskRule key={t.id} task={t} index={i} />
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
