'use client';
import { ActionIcon, UnstyledButton } from '@mantine/core';
import { MARKS, type Criterion, type DecisionTable } from '@skiametra/core/design';
import { IconMessage, IconMessage2, IconTrash } from '@tabler/icons-react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { TextField } from './TextField';
import type { CellAt } from './TableEditor';
import type { TableEdits } from './useTableEdits';

interface Props {
  table: DecisionTable;
  criterion: Criterion;
  at: CellAt | null;
  onAt: (at: CellAt) => void;
  edits: TableEdits;
}

const within = (v: number, most: number, put: () => void) => {
  if (!(v >= MARKS.least && v <= most)) return `From ${MARKS.least} to ${most}.`;
  put();
  return null;
};

export function CriterionRow({ table, criterion: c, at, onAt, edits }: Props) {
  return (
    <tr>
      <th scope="row">
        <TextField
          label={`Criterion ${c.name}`}
          value={c.name}
          onCommit={(name) => edits.setCriterion(c.id, { name })}
        />
      </th>
      <td className="numeric">
        <QuantityField
          hideLabel
          label={`Weight of ${c.name}`}
          value={c.weight}
          kind="ratio"
          onCommit={(weight) => within(weight, 10, () => edits.setCriterion(c.id, { weight }))}
        />
      </td>
      <td className="numeric">
        <QuantityField
          hideLabel
          label={`Least mark of ${c.name}`}
          value={c.must}
          kind="ratio"
          onCommit={(must) => within(must, MARKS.most, () => edits.setCriterion(c.id, { must }))}
          onClear={() => {
            edits.setCriterion(c.id, { must: null });
            return null;
          }}
        />
      </td>
      {table.options.map((o) => {
        const mark = o.marks.find((m) => m.criterion === c.id),
          here = at?.option === o.id && at.criterion === c.id;
        const short = c.must !== null && mark?.mark != null && mark.mark < c.must;
        return (
          <td
            key={o.id}
            className={`numeric${here ? ' chosen' : ''}${short ? ' short' : ''}`}
            onFocus={() => onAt({ option: o.id, criterion: c.id })}
          >
            <span className="line gap4">
              <QuantityField
                hideLabel
                label={`${o.name}: ${c.name}`}
                value={mark?.mark ?? null}
                kind="ratio"
                onCommit={(v) => within(v, MARKS.most, () => edits.setMark(o.id, c.id, { mark: v }))}
                onClear={() => {
                  edits.setMark(o.id, c.id, { mark: null });
                  return null;
                }}
              />
              <UnstyledButton
                className="why"
                aria-label={`Reason of the mark of ${o.name} in ${c.name}`}
                title={mark?.why || 'No reason written'}
                onClick={() => onAt({ option: o.id, criterion: c.id })}
              >
                {mark?.why ? <IconMessage2 size={14} /> : <IconMessage size={14} opacity={0.45} />}
              </UnstyledButton>
            </span>
          </td>
        );
      })}
      <td>
        <ActionIcon
          size="sm"
          aria-label={`Remove the criterion ${c.name}`}
          onClick={() => edits.removeCriterion(c.id)}
        >
          <IconTrash size={14} />
        </ActionIcon>
      </td>
    </tr>
  );
}
