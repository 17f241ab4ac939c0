'use client';
/** What can be done with a whole table: choose its columns, copy it, fill down, put it back as it comes. */
import { ActionIcon, Menu } from '@mantine/core';
import { IconArrowBarDown, IconCheck, IconCopy, IconDots, IconRestore } from '@tabler/icons-react';
import { give } from '../give';
import type { Block } from './block';
import { blockText } from './useBlock';
import { isUsual, USUAL } from './useRemembered';
import type { Grid } from './useGrid';

interface Props<R> {
  name: string;
  grid: Grid<R>;
  block: Block | null;
  onFill?: ((block: Block) => void) | undefined;
}

export function TableMenu<R>({ name, grid, block, onFill }: Props<R>) {
  const every = grid.table.getAllLeafColumns().filter((c) => c.getCanHide());
  const last = { row: grid.rows.length - 1, column: grid.columns.length - 1 };
  const whole = { from: { row: 0, column: 0 }, to: last };
  return (
    <Menu position="bottom-end" withinPortal closeOnItemClick={false}>
      <Menu.Target>
        <ActionIcon className="tablemenu" size="sm" aria-label={`Columns and copies: ${name}`}>
          <IconDots size={16} aria-hidden="true" />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item
          closeMenuOnClick
          leftSection={<IconCopy size={14} />}
          onClick={() => void navigator.clipboard?.writeText(blockText(grid, block ?? whole))}
        >
          {block ? 'Copy the block' : 'Copy the table'}
        </Menu.Item>
        <Menu.Item
          closeMenuOnClick
          onClick={() => give(`${name}.tsv`, 'text/tab-separated-values', blockText(grid, whole))}
        >
          Download as TSV
        </Menu.Item>
        {onFill && (
          <Menu.Item
            closeMenuOnClick
            leftSection={<IconArrowBarDown size={14} />}
            rightSection={<kbd>Ctrl D</kbd>}
            disabled={!block || block.from.row === block.to.row}
            onClick={() => block && onFill(block)}
          >
            Fill down
          </Menu.Item>
        )}
        {!isUsual(grid.remembered) && (
          <Menu.Item
            closeMenuOnClick
            leftSection={<IconRestore size={14} />}
            onClick={() => grid.remember(USUAL)}
          >
            As it comes: order, columns, widths
          </Menu.Item>
        )}
        {every.length > 1 && <Menu.Label>Columns</Menu.Label>}
        {every.length > 1 &&
          every.map((c) => (
            <Menu.Item
              key={c.id}
              aria-label={`${String(c.columnDef.header)}, ${c.getIsVisible() ? 'shown' : 'put away'}`}
              leftSection={<IconCheck size={14} className={c.getIsVisible() ? undefined : 'unseen'} />}
              onClick={() => c.toggleVisibility()}
            >
              {String(c.columnDef.header)}
            </Menu.Item>
          ))}
      </Menu.Dropdown>
    </Menu>
  );
}
