'use client';
/** Headings of a table: sort by a press, draw the width at the edge. */
import { Glossed } from '../glossary/Glossed';
import { UnstyledButton } from '@mantine/core';
import { IconChevronDown, IconChevronUp } from '@tabler/icons-react';
import { flexRender, type Header } from '@tanstack/react-table';
import { heading } from './block';
import type { GridColumn } from './columns';
import type { Grid, Placed } from './useGrid';

export function TableHead<R>({ grid, grip, tail }: { grid: Grid<R>; grip: boolean; tail: boolean }) {
  const headers = grid.table.getHeaderGroups()[0]?.headers ?? [];
  return (
    <thead>
      <tr>
        {grip && <Empty says="Order" />}
        {headers.map((header) => {
          const column = grid.columns.find((c) => c.key === header.column.id);
          return column && <Heading key={header.id} header={header} column={column} grid={grid} />;
        })}
        {tail && <Empty says="Remove" />}
      </tr>
    </thead>
  );
}

function Empty({ says }: { says: string }) {
  return (
    <th className="w26">
      <span className="vh">{says}</span>
    </th>
  );
}

const SORTS = { asc: 'ascending', desc: 'descending', none: 'none' } as const;

interface HeadingProps<R> {
  header: Header<Placed<R>, unknown>;
  column: GridColumn<R>;
  grid: Grid<R>;
}
function Heading<R>({ header, column, grid }: HeadingProps<R>) {
  const sorted = header.column.getIsSorted() || 'none';
  const drawn = grid.remembered.widths[column.key];
  const text = heading(String(flexRender(column.label, header.getContext())), column.unit);
  const said = column.label ? <Glossed text={text} /> : <span className="vh">Remove</span>;
  const Icon = sorted === 'desc' ? IconChevronDown : IconChevronUp;
  return (
    <th
      className={column.numeric ? 'num' : undefined}
      aria-sort={header.column.getCanSort() ? SORTS[sorted] : undefined}
      title={column.hint}
      // as the person has drawn it
      style={{ width: drawn ?? column.width }}
    >
      {header.column.getCanSort() ? (
        <UnstyledButton className="sorter" onClick={header.column.getToggleSortingHandler()}>
          {said}
          {sorted !== 'none' && <Icon size={12} aria-hidden="true" />}
        </UnstyledButton>
      ) : (
        said
      )}
      <span
        className={header.column.getIsResizing() ? 'edge drawn' : 'edge'}
        aria-hidden="true"
        onPointerDown={(e) => e.stopPropagation()}
        onMouseDown={header.getResizeHandler()}
        onTouchStart={header.getResizeHandler()}
        onDoubleClick={() => header.column.resetSize()}
      />
    </th>
  );
}
