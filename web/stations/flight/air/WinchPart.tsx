'use client';
/** A winch: speed of its line, seconds, and the way that the aircraft needs meanwhile. */
import { Button } from '@mantine/core';
import type { Winch } from '@skiametra/core/design';
import { lineSpeed, roomFor } from '@skiametra/core/mission';
import { entryOf } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { DocField } from '../../../parts/fields/DocField';
import { Sentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const PATH = 'document.design.winch';
const FIELDS = ['drum', 'rotation', 'gear', 'line', 'mostPull', 'stated'] as const;
const OPTIONAL: readonly string[] = ['gear', 'mostPull', 'stated'];
const FIRST: Winch = { drum: 0.03, rotation: (300 * 2 * Math.PI) / 60, line: 10 };

export function WinchPart() {
  const winch = useWorkspace((w) => w.content.document.design.winch),
    edit = useWorkspace((w) => w.edit);
  if (!winch)
    return (
      <section className="block">
        <h2>On a line</h2>
        <p className="dim">A winch lets something out in flight and takes it in again.</p>
        <Button variant="light" onClick={() => edit({ type: 'set', path: PATH, value: FIRST })}>
          Fit a winch
        </Button>
      </section>
    );
  return (
    <section className="block" aria-label="Winch">
      <h2>On a line</h2>
      <div className="fields">
        {FIELDS.map((f) => (
          <DocField key={f} path={`${PATH}.${f}`} optional={OPTIONAL.includes(f)} />
        ))}
      </div>
      <LineSpeed winch={winch} />
      <Button variant="subtle" onClick={() => edit({ type: 'set', path: PATH, value: undefined })}>
        No winch
      </Button>
    </section>
  );
}

/** What the drum gives, questions about it, and the room that it asks. */
function LineSpeed({ winch }: { winch: Winch }) {
  const units = useWorkspace((w) => w.units),
    ledger = useWorkspace((w) => w.ledger),
    loading = useWorkspace((w) => w.loading);
  const speed = lineSpeed(winch),
    seconds = winch.line / speed,
    flown = ledger && entryOf(ledger, 'lapSpeed', loading)?.value;
  const asked = ledger?.findings.filter((f) => f.code === 'winch-slip' || f.code === 'line-unusual') ?? [];
  return (
    <>
      <p>
        The line runs at <b className="num">{formatQuantity(speed, 'speed', units)}</b>:{' '}
        {formatQuantity(winch.line, 'distance', units)} in{' '}
        <b className="num">{formatQuantity(seconds, 'time', units)}</b>.
        {flown !== undefined && flown !== null && flown > 0 && (
          <>
            {' '}
            At {formatQuantity(flown, 'speed', units)} the aircraft goes{' '}
            <b className="num">{formatQuantity(roomFor(seconds, flown), 'distance', units)}</b> meanwhile.
          </>
        )}
      </p>
      {asked.map((f) => (
        <p key={f.code} className="looktext note">
          <Sentence of={f} />
        </p>
      ))}
    </>
  );
}
