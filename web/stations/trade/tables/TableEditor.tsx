'use client';
/** One table: criteria down, options across, a mark in each cell with its reason; what it comes to beside it. */
import { ActionIcon, Button, Textarea, TextInput } from '@mantine/core';
import type { DecisionTable } from '@skiametra/core/design';
import { decide } from '@skiametra/core/trade';
import { IconTrash } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { CriterionRow } from './CriterionRow';
import { OptionHead } from './OptionHead';
import { Totals } from './Totals';
import { VerdictWords } from './VerdictWords';
import { WhyCell } from './WhyCell';
import { useTableEdits } from './useTableEdits';

interface Props {
  table: DecisionTable;
  onChange: (t: DecisionTable) => void;
  onRemove: () => void;
}
export interface CellAt {
  readonly option: string;
  readonly criterion: string;
}

export function TableEditor({ table, onChange, onRemove }: Props) {
  const edits = useTableEdits(table, onChange),
    verdict = useMemo(() => decide(table), [table]),
    [at, setAt] = useState<CellAt | null>(null);
  return (
    <div className="station cols-tables">
      <div className="stack">
        <div className="line gap8">
          <TextInput
            className="grow"
            label="Table"
            value={table.name}
            onChange={(e) => onChange({ ...table, name: e.currentTarget.value })}
          />
          <ActionIcon className="atbottom" aria-label="Remove this table" onClick={onRemove}>
            <IconTrash size={15} />
          </ActionIcon>
        </div>
        <div className="scrollx">
          <table className="decision">
            <caption className="vh">{table.name}: options by criteria</caption>
            <thead>
              <tr>
                <th scope="col">Criterion</th>
                <th scope="col" className="numeric">
                  Weight
                </th>
                <th scope="col" className="numeric">
                  Must reach
                </th>
                {table.options.map((o) => (
                  <OptionHead key={o.id} option={o} won={verdict.winner?.id === o.id} {...edits} />
                ))}
                <th scope="col">
                  <Button size="compact-xs" variant="subtle" onClick={edits.addOption}>
                    Add an option
                  </Button>
                </th>
              </tr>
            </thead>
            <tbody>
              {table.criteria.map((c) => (
                <CriterionRow key={c.id} {...{ table, criterion: c, at, edits }} onAt={setAt} />
              ))}
            </tbody>
            <Totals {...{ table, verdict }} />
          </table>
        </div>
        <div>
          <Button variant="subtle" onClick={edits.addCriterion}>
            Add a criterion
          </Button>
        </div>
        <Textarea
          label="What it is about"
          autosize
          minRows={2}
          value={table.note}
          onChange={(e) => onChange({ ...table, note: e.currentTarget.value })}
        />
      </div>
      <div className="stack">
        <VerdictWords {...{ table, verdict }} />
        <WhyCell {...{ table, at, edits }} />
      </div>
    </div>
  );
}
