'use client';
/** Readings of numbers that the form does not ask for: any number of the aircraft, of a leg or of a load case. */
import { Button } from '@mantine/core';
import { quantityDef } from '@skiametra/core/assess';
import { MOST_READINGS, type Reading } from '@skiametra/core/design';
import { formatQuantity, formatReading } from '@skiametra/core/units';
import { useState } from 'react';
import { numberName } from '../../../parts/numberName';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { ReadingDraft } from './ReadingDraft';

interface Props {
  readings: readonly Reading[];
  state: string;
  put: (readings: Reading[]) => string | null;
}

export function Readings({ readings, state, put }: Props) {
  const [adds, setAdds] = useState(false);
  return (
    <details className="behind" open={readings.length > 0}>
      <summary>Other numbers that were read</summary>
      {readings.map((r, i) => (
        <ReadingLine
          // in the order in which they were added: one goes, the others stay as they are
          key={i}
          reading={r}
          onRemove={() => put(readings.filter((_, k) => k !== i))}
        />
      ))}
      {adds && (
        <ReadingDraft
          state={state}
          onAdd={(r) => {
            const refused = put([...readings, r]);
            if (!refused) setAdds(false);
            return refused;
          }}
          onLeave={() => setAdds(false)}
        />
      )}
      {!adds && readings.length < MOST_READINGS && (
        <Button size="xs" variant="light" mt={6} onClick={() => setAdds(true)}>
          Add a reading
        </Button>
      )}
    </details>
  );
}

function ReadingLine({ reading: r, onRemove }: { reading: Reading; onRemove: () => void }) {
  const brief = useWorkspace((w) => w.content.document.brief),
    units = useWorkspace((w) => w.units),
    name = numberName(r.quantity, r, brief);
  return (
    <div className="line gap8 low wraps">
      <span>{name}</span>
      <span className="num measuredtext oneline">
        {formatReading(r.value, r.sigma, quantityDef(r.quantity)?.kind ?? 'ratio', units)}
      </span>
      <span className="dim tiny">
        {[
          r.source,
          r.from,
          r.throttle === undefined ? '' : `at ${formatQuantity(r.throttle, 'percent', units)} throttle`,
        ]
          .filter(Boolean)
          .join(', ')}
      </span>
      <Button size="xs" variant="subtle" color="red" aria-label={`Remove ${name}`} onClick={onRemove}>
        Remove
      </Button>
    </div>
  );
}
