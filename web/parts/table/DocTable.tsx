'use client';
/** A table over a list of the document: typed in, pasted into as one change, filled down, grown at its end. */
import { ActionIcon, Button } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { RemovalDialog, useRemoval, type Removal } from '../RemoveRow';
import { useWorkspace } from '../workspace/useWorkspace';
import type { DocColumn } from './columns';
import { Table } from './Table';
import { useDocColumns } from './useDocColumns';
import { useDocList } from './useDocList';

interface Props {
  path: string;
  caption: string;
  columns: readonly DocColumn[];
  newRow?: () => unknown;
  addLabel?: string;
  /** rows that must stay */ least?: number;
  /** the order of rows means something: they can be dragged */ ordered?: boolean;
  /** where a new row goes; the end where left out */ insertAt?: number;
  /** word below the first column where others have totals */ totalLabel?: string;
}

export function DocTable(props: Props) {
  const { path, caption, columns, newRow, least = 0, ordered, insertAt } = props;
  const edit = useWorkspace((w) => w.edit);
  const list = useDocList(path, columns, newRow);
  const drawn = useDocColumns(path, columns, list.rows, props.totalLabel);
  const [removal, setRemoval] = useState<Removal | null>(null);
  const removalOf = useRemoval(path);
  const remove = (row: Record<string, unknown>, index: number) => {
    const named = removalOf(row);
    if (named) setRemoval(named);
    else list.say(edit({ type: 'remove', path, index }));
  };
  const shrinks = newRow !== undefined && list.rows.length > least;
  return (
    <div>
      <Table
        name={caption}
        columns={drawn}
        rows={list.rows}
        rowKey={(row, i) => (typeof row.id === 'string' ? row.id : String(i))}
        onPaste={list.paste}
        onFill={list.fill}
        onOrder={ordered ? list.order : undefined}
        tail={newRow && ((row, i) => shrinks && <RemoveIcon row={i + 1} onClick={() => remove(row, i)} />)}
      />
      {newRow && (
        <Button
          mt={6}
          variant="subtle"
          onClick={() => list.say(edit({ type: 'insert', path, value: newRow(), at: insertAt }))}
        >
          {props.addLabel ?? 'Add a row'}
        </Button>
      )}
      {removal && <RemovalDialog removal={removal} onClose={() => setRemoval(null)} />}
      {list.said && (
        <div role="alert" className="stoptext note">
          {list.said}
        </div>
      )}
    </div>
  );
}

function RemoveIcon({ row, onClick }: { row: number; onClick: () => void }) {
  return (
    <ActionIcon size="sm" aria-label={`Remove row ${row}`} onClick={onClick}>
      <IconTrash size={14} />
    </ActionIcon>
  );
}
