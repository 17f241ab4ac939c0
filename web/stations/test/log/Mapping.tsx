'use client';
/** What each column of a table holds: guessed from its name, its unit and its values, set right by a person. */
import { Button, NativeSelect } from '@mantine/core';
import type { LogColumn } from '@skiametra/core/design';
import { CHANNELS, type ChannelId } from '@skiametra/core/log';
import { TIME_KINDS, unitsOf } from '@skiametra/formats/logWords';
import { useState } from 'react';
import type { TableHead } from '../../../workers/logJobs';

const LEFT = '';
const HOLDS = [
  { value: LEFT, label: 'not used' },
  { value: 'time', label: 'time' },
  { value: 'event', label: 'event' },
  ...Object.entries(CHANNELS).map(([value, c]) => ({ value, label: c.name })),
];
const TIME_WORDS: Readonly<Record<string, string>> = {
  day: 'date',
  clock: 'time of day',
  date: 'date and time',
};

/** Ways in which a column of this kind may be written. */
function waysOf(as: string): { value: string; label: string }[] {
  if (as === 'time') return TIME_KINDS.map((k) => ({ value: k, label: TIME_WORDS[k] ?? k }));
  if (as === LEFT || as === 'event') return [];
  return unitsOf(CHANNELS[as as ChannelId].dim).map((u) => ({ value: u.name, label: u.name }));
}

/** A column taken for something else, in the first way that it may be written. */
function taken(column: number, as: string): LogColumn | null {
  if (as === LEFT) return null;
  const way = waysOf(as)[0]?.value;
  if (as === 'time') return { column, as, kind: way ?? 's' };
  return way ? { column, as, unit: way } : { column, as };
}

const DELIMITERS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
  ' ': 'blanks',
};

function Found({ table }: { table: TableHead }) {
  return (
    <p className="flush">
      {table.names.length} columns parted by {DELIMITERS[table.delimiter] ?? 'signs'}, decimal{' '}
      {table.decimal === ',' ? 'commas' : 'points'}
      {table.before > 1 && `, ${table.before} lines before the values`}. What each column holds was guessed
      from its name and its values: set right what is not so. It is asked once for each logger.
    </p>
  );
}

export function Mapping({
  table,
  onTake,
  onLeave,
}: {
  table: TableHead;
  onTake: (c: LogColumn[]) => void;
  onLeave: () => void;
}) {
  const [columns, setColumns] = useState<readonly LogColumn[]>(table.columns);
  const put = (column: number, next: LogColumn | null) =>
    setColumns(
      [
        // each thing is told by one column; dates and times of day stand together
        ...columns.filter(
          (c) => c.column !== column && !(next && c.as === next.as && c.as !== 'time' && c.as !== 'event'),
        ),
        ...(next ? [next] : []),
      ].sort((a, b) => a.column - b.column),
    );
  const timed = columns.some((c) => c.as === 'time');
  return (
    <div className="stack gap8">
      <Found table={table} />
      <div className="scrollx high430 scrolls" tabIndex={0} role="region" aria-label="Columns of the file">
        <table className="sheet small" aria-label="Columns of the file">
          <thead>
            <tr>
              <th>Column</th>
              <th>Holds</th>
              <th>Written in</th>
              <th>First values</th>
            </tr>
          </thead>
          <tbody>
            {table.names.map((name, i) => {
              const use = columns.find((c) => c.column === i),
                ways = waysOf(use?.as ?? LEFT);
              return (
                <tr key={`${name} ${i}`} className={use ? '' : 'dim'}>
                  <td>{name}</td>
                  <td>
                    <NativeSelect
                      size="xs"
                      aria-label={`What ${name} holds`}
                      data={HOLDS}
                      value={use?.as ?? LEFT}
                      onChange={(e) => put(i, taken(i, e.currentTarget.value))}
                    />
                  </td>
                  <td>
                    {ways.length > 0 && use && (
                      <NativeSelect
                        size="xs"
                        aria-label={`What ${name} is written in`}
                        data={ways}
                        value={use.unit ?? use.kind ?? ''}
                        onChange={(e) =>
                          put(i, { ...use, [use.as === 'time' ? 'kind' : 'unit']: e.currentTarget.value })
                        }
                      />
                    )}
                  </td>
                  <td className="num dim oneline">
                    {table.rows
                      .slice(0, 3)
                      .map((r) => r[i] ?? '')
                      .join('  ·  ')}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {!timed && <div className="stoptext">No column tells the time: choose one.</div>}
      <div className="line gap8">
        <Button disabled={!timed} onClick={() => onTake([...columns])}>
          Take it so
        </Button>
        <Button variant="default" onClick={onLeave}>
          Leave the file
        </Button>
      </div>
    </div>
  );
}
