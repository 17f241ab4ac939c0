'use client';
/** Readings of every run, typed and mended in their tables. */
import { Button } from '@mantine/core';
import type { BenchBody } from '@skiametra/core/design';
import { writeBenchCsv } from '@skiametra/formats';
import { give } from '../../../parts/give';
import { DocTable } from '../../../parts/table';
import type { Take } from './useTake';

export function Runs({ bench, take, path }: { bench: BenchBody; take: Take; path: string }) {
  const tables = bench.runs.flatMap((r, i) => (r.kind === 'table' ? [{ r, i }] : []));
  return (
    <section className="block" aria-label="Runs">
      <h2>Runs</h2>
      {bench.runs.map((r, i) => (
        <div key={`${r.name}-${i}`} className="line gap8 note base">
          <span>{r.name}</span>
          <span className="dim">
            {r.kind === 'log'
              ? `${r.rows.length} rows, averaged in steady windows`
              : `${r.rows.length} readings by hand`}
          </span>
          <Button
            size="compact-xs"
            variant="subtle"
            ml="auto"
            onClick={() => give(`${r.name.replace(/\W+/g, '-')}.csv`, 'text/csv', writeBenchCsv(r.rows))}
          >
            CSV
          </Button>
          <Button
            size="compact-xs"
            variant="subtle"
            color="red"
            aria-label={`Take out ${r.name}`}
            onClick={() => void take((b) => ({ ...b, runs: b.runs.filter((x) => x !== r) }))}
          >
            Take out
          </Button>
        </div>
      ))}
      {tables.map(({ r, i }) => (
        <details key={i} className="mt8">
          <summary className="clickable note">Readings of {r.name}</summary>
          <DocTable
            path={`${path}.${i}.rows`}
            caption={`Readings of ${r.name}`}
            least={1}
            addLabel="Add a reading"
            newRow={() => [10 * r.rows.length, 1, 16, 10, 8, 700, null]}
            columns={[
              { key: '1', label: 'Throttle', cell: { type: 'quantity', kind: 'percent' } },
              { key: '2', label: 'Volts', cell: { type: 'quantity', kind: 'voltage' } },
              { key: '3', label: 'Amps', cell: { type: 'quantity', kind: 'current' } },
              { key: '4', label: 'Thrust', cell: { type: 'quantity', kind: 'force' } },
              { key: '5', label: 'Rotation', cell: { type: 'quantity', kind: 'rotation' } },
            ]}
          />
          <Button size="compact-xs" variant="light" onClick={() => void take((b) => ({ ...b }))}>
            Take these readings into the measured numbers
          </Button>
        </details>
      ))}
    </section>
  );
}
