'use client';
import { ActionIcon } from '@mantine/core';
import type { DecisionOption } from '@skiametra/core/design';
import { IconTrash } from '@tabler/icons-react';
import { CellSelect } from '../../../parts/fields/CellSelect';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { TextField } from './TextField';
import type { TableEdits } from './useTableEdits';

type Props = Pick<TableEdits, 'setOption' | 'removeOption'> & {
  option: DecisionOption;
  won: boolean;
};

/** An option: its name, the version that it is, and why it was left. */
export function OptionHead({ option: o, won, setOption, removeOption }: Props) {
  const versions = useWorkspace((w) => w.versions);
  return (
    <th scope="col" className={won ? 'won' : undefined}>
      <span className="line gap4">
        <TextField label="Option" value={o.name} onCommit={(name) => setOption(o.id, { name })} />
        <ActionIcon size="sm" aria-label={`Remove the option ${o.name}`} onClick={() => removeOption(o.id)}>
          <IconTrash size={13} />
        </ActionIcon>
      </span>
      <CellSelect
        label={`Version that ${o.name} is`}
        value={o.version}
        options={[
          { value: '', label: 'no version' },
          ...versions.filter((v) => v.id > 0).map((v) => ({ value: v.name, label: v.name })),
        ]}
        onChange={(version) => setOption(o.id, { version })}
      />
      <TextField
        label={`Why ${o.name} was left`}
        value={o.rejected}
        placeholder="not rejected"
        onCommit={(rejected) => setOption(o.id, { rejected })}
      />
    </th>
  );
}
