'use client';
/** One row of a table; with a handle where the order of rows matters. */
import { ActionIcon } from '@mantine/core';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconGripVertical } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { heading, inBlock, type Block } from './block';
import type { Grid } from './useGrid';

interface Props<R> {
  row: R;
  index: number;
  /** place as displayed */ at: number;
  id: string;
  grid: Grid<R>;
  block: Block | null;
  ordered: boolean;
  className: string | undefined;
  tail: ((row: R, index: number) => ReactNode) | undefined;
}

export function TableRow<R>(props: Props<R>) {
  return props.ordered ? <Dragged {...props} /> : <tr className={props.className}>{cellsOf(props)}</tr>;
}

function Dragged<R>(props: Props<R>) {
  const s = useSortable({ id: props.id });
  const transform = s.transform && CSS.Translate.toString({ ...s.transform, x: 0 });
  return (
    <tr
      ref={s.setNodeRef}
      className={s.isDragging ? 'dragged' : props.className}
      // where the drag has brought it
      style={{ transform: transform ?? undefined, transition: s.transition }}
    >
      <td className="grip">
        <ActionIcon size="sm" aria-label={`Move row ${props.index + 1}`} {...s.attributes} {...s.listeners}>
          <IconGripVertical size={14} aria-hidden="true" />
        </ActionIcon>
      </td>
      {cellsOf(props)}
    </tr>
  );
}

function cellsOf<R>({ row, index, at, grid, block, tail }: Props<R>) {
  return (
    <>
      {grid.columns.map((c, column) => {
        const picked = block && inBlock(block, { row: at, column });
        return (
          <td
            key={c.key}
            className={c.numeric ? 'num' : undefined}
            data-cell={`${at} ${column}`}
            data-picked={picked || undefined}
            data-label={heading(c.label, c.unit)}
            tabIndex={-1}
          >
            {c.render(row, index)}
          </td>
        );
      })}
      {tail && <td className="tail">{tail(row, index)}</td>}
    </>
  );
}
