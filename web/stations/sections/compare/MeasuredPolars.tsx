'use client';
/** Measured polars that lie with a section: opened from files, taken away again. */
import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { MAX_DAT_BYTES, parsePolarCsv } from '@skiametra/formats';
import { DESIGN } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

interface Props {
  section: Section;
  /** where a file does not say its own */ reynolds: number;
}

export function MeasuredPolars({ section, reynolds }: Props) {
  const edit = useWorkspace((w) => w.edit);
  const [said, setSaid] = useState<string | null>(null);
  const measured = section.measured ?? [];
  const put = (list: typeof measured) =>
    edit({
      type: 'set',
      path: `${DESIGN}.sections.${section.id}`,
      value: { ...section, measured: list },
    });
  const take = (name: string, text: string) => {
    const read = parsePolarCsv(text);
    if (read.status === 'error') {
      setSaid(`${read.message} Nothing was taken.`);
      return;
    }
    const entry = { name, reynolds: read.reynolds ?? reynolds, points: read.points };
    const left = `${read.skipped} lines held no lift with an angle or drag and were left out.`;
    setSaid(put([...measured, entry]) ?? (read.skipped > 0 ? left : null));
  };
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_DAT_BYTES)
      setSaid(`${f.name} is larger than ${MAX_DAT_BYTES / 1000} kB; nothing was taken.`);
    else void f.text().then((t) => take(f.name.replace(/\.[^.]*$/, '').slice(0, 60) || 'Measured', t));
  };
  return (
    <div className="line gap12 base wraps">
      <FileButton onChange={open} accept=".csv,.txt" inputProps={{ 'aria-label': 'Measured polar file' }}>
        {(p) => (
          <Button variant="default" {...p}>
            Open a measured polar (CSV)
          </Button>
        )}
      </FileButton>
      {measured.map((m, i) => (
        <span key={`${m.name}-${i}`} className="note">
          ● {m.name}, {m.points.length} points{' '}
          <Button
            size="compact-xs"
            variant="subtle"
            color="red"
            aria-label={`Remove ${m.name}`}
            onClick={() => setSaid(put(measured.filter((_, k) => k !== i)))}
          >
            Remove
          </Button>
        </span>
      ))}
      <span className="dim note">Columns alpha, cl, cd; shown as discs with {section.name}.</span>
      {said && (
        <span role="alert" className="stoptext note">
          {said}
        </span>
      )}
    </div>
  );
}
