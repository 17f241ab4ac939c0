'use client';
/** An editable table over a list of the document: arrow keys, paste from a spreadsheet, add and remove rows, totals. */
import { ActionIcon, Button } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { documentField, getPath, withoutMarks } from '@skiametra/core/design';
import { parseQuantity, shownUnit, unitLabel, type KindName } from '@skiametra/core/units';
import { knownComma } from './CommaQuestion';
import { DocField, TextCell } from './QuantityField';
import { RemovalDialog, useRemoval, type Removal } from './RemoveRow';
import { useWorkspace } from './workspace/useWorkspace';

export interface Column {
  key: string;
  label: string;
  width?: number | string;
  /** right-aligned although shown by its own renderer */ numeric?: boolean;
  cell:
    | { type: 'text' }
    | {
        type: 'quantity';
        /** as the schema declares the leaf, where left out */
        kind?: KindName | ((row: Record<string, unknown>) => KindName);
        /** emptying the cell takes the number out, or makes it null */ optional?: boolean | 'null';
      }
    | { type: 'choice'; options: readonly { value: string; label: string }[] }
    | {
        type: 'shown';
        render: (row: Record<string, unknown>, index: number) => ReactNode;
        /** what a pasted cell sets: kind and place within the row, null where the row takes none */ paste?: {
          kind: KindName;
          sub: (row: Record<string, unknown>) => string | null;
        };
      };
}

interface Props {
  path: string;
  caption: string;
  columns: readonly Column[];
  newRow?: () => unknown;
  addLabel?: string;
  least?: number;
  footer?: ReactNode;
}

function moveFocus(e: KeyboardEvent<HTMLTableElement>): void {
  const td = (e.target as HTMLElement).closest('td');
  if (
    !td ||
    e.altKey ||
    !['ArrowUp', 'ArrowDown', 'Enter'].includes(e.key) ||
    (e.target as HTMLElement).tagName === 'SELECT'
  )
    return;
  const row = td.parentElement as HTMLTableRowElement;
  const next = (
    e.key === 'ArrowUp' ? row.previousElementSibling : row.nextElementSibling
  ) as HTMLTableRowElement | null;
  const target = next?.cells[td.cellIndex]?.querySelector<HTMLElement>('input, select');
  if (target) {
    e.preventDefault();
    target.focus();
  }
}

/** Width that the columns ask for together; none where one of them takes what is left. */
function widthOf(columns: readonly Column[]): number | undefined {
  const asked = columns.map((c) =>
    typeof c.width === 'number' ? c.width : c.cell.type === 'quantity' ? 62 : null,
  );
  return asked.every((w): w is number => w !== null) ? asked.reduce((s, w) => s + w, 26) : undefined;
}

/** Kind of a column in a row; null where it holds no number. */
function kindOfColumn(c: Column, row: Record<string, unknown>, path: string): KindName | null {
  if (c.cell.type !== 'quantity') return null;
  if (typeof c.cell.kind === 'function') return c.cell.kind(row);
  return c.cell.kind ?? documentField(`${path}.0.${c.key}`.replace(/^document\./, ''))?.kind ?? 'ratio';
}

export function SheetTable({ path, caption, columns, newRow, addLabel, least = 0, footer }: Props) {
  const rows = (useWorkspace((w) => getPath(w.content, path)) as Record<string, unknown>[] | undefined) ?? [];
  const edit = useWorkspace((w) => w.edit);
  const units = useWorkspace((w) => w.units);
  const [error, setError] = useState<string | null>(null);
  const person = useWorkspace((w) => w.person.id);
  const [removal, setRemoval] = useState<Removal | null>(null);
  const removalOf = useRemoval(path);
  const kindOf = (c: Column, row: Record<string, unknown>): KindName | null => kindOfColumn(c, row, path);

  const paste = (e: ClipboardEvent<HTMLTableElement>) => {
    const text = e.clipboardData.getData('text/plain');
    if (!/[\t\n]/.test(text.trim())) return;
    const td = (e.target as HTMLElement).closest('td');
    if (!td) return;
    e.preventDefault();
    const r0 = (td.parentElement as HTMLTableRowElement).sectionRowIndex,
      c0 = td.cellIndex;
    const changes: { path: string; value: unknown }[] = [];
    for (const [i, line] of text.replace(/\r/g, '').replace(/\n$/, '').split('\n').entries()) {
      for (const [j, raw] of line.split('\t').entries()) {
        const row = rows[r0 + i],
          col = columns[c0 + j];
        if (!row) {
          setError(
            `The pasted block has more rows than the table from here on; add rows first. Nothing was pasted.`,
          );
          return;
        }
        if (!col || (col.cell.type === 'shown' && !col.cell.paste)) continue;
        const pasted = col.cell.type === 'shown' ? col.cell.paste : undefined;
        const sub = pasted ? pasted.sub(row) : col.key;
        const kind = pasted ? pasted.kind : kindOf(col, row);
        if (sub === null || (pasted && raw.trim() === '')) continue;
        if (kind) {
          const p = parseQuantity(raw, kind, units, knownComma(person));
          if (p.status === 'error') {
            setError(
              `Pasted “${raw.trim().slice(0, 20)}” for ${col.label}: ${p.message} Nothing was pasted.`,
            );
            return;
          }
          changes.push({ path: `${path}.${r0 + i}.${sub}`, value: p.si });
        } else changes.push({ path: `${path}.${r0 + i}.${col.key}`, value: raw.trim() });
      }
    }
    (document.activeElement as HTMLElement | null)?.blur();
    const refused = edit({ type: 'apply', changes });
    setError(refused && `${withoutMarks(refused)} Nothing was pasted.`);
  };

  return (
    <div className="scrollx">
      <table
        className="sheet fixed"
        // columns that all have a width never squeeze each other: the table scrolls instead
        style={{ minWidth: widthOf(columns) }}
        onKeyDown={moveFocus}
        onPaste={paste}
        aria-label={caption}
      >
        <thead>
          <tr>
            {columns.map((c) => {
              const k = kindOf(c, rows[0] ?? {});
              const u =
                k && typeof (c.cell as { kind: unknown }).kind !== 'function'
                  ? unitLabel(shownUnit(k, units))
                  : '';
              return (
                <th
                  key={c.key}
                  className={k || c.numeric ? 'num' : undefined}
                  style={{ width: c.width ?? (k ? 62 : undefined) }}
                >
                  {c.label || <span className="vh">Remove</span>}
                  {u ? ` [${u}]` : ''}
                </th>
              );
            })}
            {newRow && (
              <th className="w26">
                <span className="vh">Remove</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={typeof row.id === 'string' ? row.id : i}>
              {columns.map((c) => {
                const at = `${path}.${i}.${c.key}`;
                const kind = kindOf(c, row);
                const name = `${c.label}, row ${i + 1}`;
                return (
                  <td key={c.key} className={kind || c.numeric ? 'num' : undefined}>
                    {kind ? (
                      <DocField
                        label={name}
                        path={at}
                        kind={kind}
                        hideLabel
                        hideUnit={typeof (c.cell as { kind: unknown }).kind !== 'function'}
                        optional={c.cell.type === 'quantity' ? c.cell.optional : false}
                      />
                    ) : c.cell.type === 'text' ? (
                      <TextCell label={name} path={at} />
                    ) : c.cell.type === 'choice' ? (
                      <select
                        className="cell"
                        aria-label={name}
                        value={String(getPath(row, c.key) ?? '')}
                        onChange={(e) =>
                          setError(edit({ type: 'set', path: at, value: e.target.value || undefined }))
                        }
                      >
                        {c.cell.options.map((o) => (
                          <option key={o.value} value={o.value}>
                            {o.label}
                          </option>
                        ))}
                      </select>
                    ) : c.cell.type === 'shown' ? (
                      c.cell.render(row, i)
                    ) : null}
                  </td>
                );
              })}
              {newRow && (
                <td>
                  {rows.length > least && (
                    <ActionIcon
                      size="sm"
                      aria-label={`Remove row ${i + 1}`}
                      onClick={() => {
                        const named = removalOf(row);
                        if (named) setRemoval(named);
                        else setError(edit({ type: 'remove', path, index: i }));
                      }}
                    >
                      <IconTrash size={14} />
                    </ActionIcon>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
        {footer && <tfoot>{footer}</tfoot>}
      </table>
      {newRow && (
        <Button
          mt={6}
          variant="subtle"
          onClick={() => setError(edit({ type: 'insert', path, value: newRow() }))}
        >
          {addLabel ?? 'Add a row'}
        </Button>
      )}
      {removal && <RemovalDialog removal={removal} onClose={() => setRemoval(null)} />}
      {error && (
        <div role="alert" className="stoptext note">
          {error}
        </div>
      )}
    </div>
  );
}

/** A new id: random, so that two people who add an entry at once do not get the same one. */
export function freshId(stem: string, list: readonly { id: string }[]): string {
  const bytes = crypto.getRandomValues(new Uint8Array(5));
  const id = `${stem}-${[...bytes].map((b) => b.toString(36).padStart(2, '0')).join('')}`;
  return list.some((e) => e.id === id) ? freshId(stem, list) : id;
}
