'use client';
/** Why a mark is what it is, and who gave it. */
import { Textarea } from '@mantine/core';
import type { DecisionTable } from '@skiametra/core/design';
import type { CellAt } from './TableEditor';
import type { TableEdits } from './useTableEdits';

interface Props {
  table: DecisionTable;
  at: CellAt | null;
  edits: TableEdits;
}

const LONGEST = 120;

export function WhyCell({ table, at, edits }: Props) {
  const option = table.options.find((o) => o.id === at?.option),
    criterion = table.criteria.find((c) => c.id === at?.criterion);
  if (!at || !option || !criterion)
    return <p className="dim note">Choose a mark to write why it is what it is.</p>;
  const mark = option.marks.find((m) => m.criterion === at.criterion);
  return (
    <section className="block" aria-label="Reason of a mark">
      <h2>
        {option.name}: {criterion.name}
      </h2>
      <Textarea
        label="Why"
        autosize
        minRows={2}
        maxLength={LONGEST}
        value={mark?.why ?? ''}
        onChange={(e) => edits.setMark(at.option, at.criterion, { why: e.currentTarget.value })}
      />
      {mark?.by && <p className="dim note">Marked by {mark.by}.</p>}
    </section>
  );
}
