'use client';
/** One task of the rule sheet. */
import { ActionIcon, Button } from '@mantine/core';
import type { Odds, Task } from '@skiametra/core/design';
import { IconTrash } from '@tabler/icons-react';
import { CellSelect } from '../../parts/fields/CellSelect';
import { DocField } from '../../parts/fields/DocField';
import { TextCell } from '../../parts/fields/TextCell';
import { BRIEF } from '../../parts/paths';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FormulaEditor } from './FormulaEditor';
import { rulesOf } from './taskWords';

const USUAL_ODDS: Odds = { chance: null, tried: 0, won: 0, attempts: 1, failed: 0 };

export function TaskRule({ task, index }: { task: Task; index: number }) {
  const states = useWorkspace((w) => w.content.document.design.states),
    edit = useWorkspace((w) => w.edit),
    path = `${BRIEF}.tasks.${task.id}`,
    rules = rulesOf(task);
  return (
    <div className="taskrule">
      <div className="taskhead">
        <TextCell label={`Task ${index + 1} name`} path={`${path}.name`} />
        <FormulaEditor index={index} />
        <CellSelect
          label={`Task ${index + 1} is flown in`}
          value={task.state}
          options={[
            { value: 'each', label: 'free choice' },
            ...states.map((l) => ({ value: l.id, label: l.name })),
          ]}
          onChange={(state) => edit({ type: 'set', path: `${path}.state`, value: state })}
        />
        <ActionIcon
          size="sm"
          onClick={() => edit({ type: 'remove', path: `${BRIEF}.tasks`, index })}
          aria-label={`Remove task ${index + 1}`}
        >
          <IconTrash size={14} />
        </ActionIcon>
      </div>
      <details>
        <summary className="dim clickable small">
          {rules.length > 0 ? rules.join(' · ') : 'Weight, caps, odds'}
        </summary>
        <div className="taskrules">
          <DocField label="Weight" path={`${path}.weight`} optional />
          <DocField label="At least" path={`${path}.least`} optional />
          <DocField label="At most" path={`${path}.most`} optional />
          {task.odds ? (
            <OddsFields path={`${path}.odds`} />
          ) : (
            <Button
              className="atbottom"
              size="compact-xs"
              variant="default"
              onClick={() => edit({ type: 'set', path: `${path}.odds`, value: USUAL_ODDS })}
            >
              It may fail
            </Button>
          )}
        </div>
      </details>
    </div>
  );
}

function OddsFields({ path }: { path: string }) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <>
      <DocField
        label="Chance, if known"
        path={`${path}.chance`}
        optional="null"
        hint="Left empty it is counted: came off of tried."
      />
      <DocField label="Came off" path={`${path}.won`} />
      <DocField label="of tried" path={`${path}.tried`} />
      <DocField label="Best of attempts" path={`${path}.attempts`} />
      <DocField label="Points where it fails" path={`${path}.failed`} />
      <Button
        className="atbottom"
        size="compact-xs"
        variant="default"
        onClick={() => edit({ type: 'set', path, value: undefined })}
      >
        It always comes off
      </Button>
    </>
  );
}
