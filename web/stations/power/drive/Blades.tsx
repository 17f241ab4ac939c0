'use client';
/** Blades in detail: pitch by radius, coefficients of a table. */
import { Button, FileButton } from '@mantine/core';
import { MAX_DAT_BYTES, parseCoefficientCsv } from '@skiametra/formats';
import { useState } from 'react';
import { DocTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useDrive } from '../useDrive';

/** Pitch that is not the same everywhere: carved, or twisted by hand. */
export function PitchByRadius() {
  const { power, at: drive } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const { propeller } = power,
    at = `${drive?.drive}.propeller.pitchAt`;
  if (!propeller.pitchAt)
    return (
      <Button
        size="compact-xs"
        variant="subtle"
        mt={6}
        onClick={() =>
          edit({
            type: 'set',
            path: at,
            value: [0.25, 0.5, 0.75, 1].map((r) => ({ r, pitch: propeller.pitch })),
          })
        }
      >
        Pitch by radius
      </Button>
    );
  return (
    <div className="mt8">
      <h2 className="head">
        Pitch by radius{' '}
        <Button
          size="compact-xs"
          variant="subtle"
          className="atend"
          onClick={() => edit({ type: 'set', path: at, value: undefined })}
        >
          One pitch
        </Button>
      </h2>
      <DocTable
        path={at}
        caption="Pitch by radius"
        least={2}
        addLabel="Add a radius"
        newRow={() => ({ r: 0.6, pitch: propeller.pitch })}
        columns={[
          { key: 'r', label: 'r / R', cell: { type: 'quantity' } },
          { key: 'pitch', label: 'Pitch', cell: { type: 'quantity' } },
        ]}
      />
    </div>
  );
}

/** Measured or published coefficients in place of the blade computation. */
export function TableOfBlades() {
  const { power, at } = useDrive(),
    { table, correction } = power.propeller,
    propeller = `${at?.drive}.propeller`;
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_DAT_BYTES) {
      setError(`${f.name} is larger than ${MAX_DAT_BYTES / 1000} kB; nothing was taken.`);
      return;
    }
    void f.text().then((t) => {
      const r = parseCoefficientCsv(t);
      setError(
        r.status === 'error'
          ? `${f.name} was not taken. ${r.message}`
          : (edit({
              type: 'set',
              path: `${propeller}.table`,
              value: { name: f.name.slice(0, 100), rows: r.rows },
            }) ??
              r.remarks[0] ??
              null),
      );
    });
  };
  return (
    <div className="note mt8">
      {table ? (
        <div>
          Coefficients from {table.name}, {table.rows.length} rows.{' '}
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: `${propeller}.table`, value: undefined })}
          >
            Back to blade elements
          </Button>
        </div>
      ) : (
        <FileButton onChange={open} accept=".csv,text/csv" inputProps={{ 'aria-label': 'Coefficient file' }}>
          {(p) => (
            <Button size="compact-xs" variant="subtle" {...p}>
              CT, CP by J from a CSV
            </Button>
          )}
        </FileButton>
      )}
      {correction && (
        <div>
          Bench over computed: thrust {correction.thrust.toFixed(2)}, torque {correction.torque.toFixed(2)}.{' '}
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: `${propeller}.correction`, value: undefined })}
          >
            Forget
          </Button>
        </div>
      )}
      {error && (
        <div role="alert" className="stoptext">
          {error}
        </div>
      )}
    </div>
  );
}
