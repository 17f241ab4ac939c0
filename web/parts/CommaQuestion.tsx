'use client';
/** `1,234`: which of two numbers is meant is asked once and remembered for the person, in this browser. */
import { UnstyledButton } from '@mantine/core';
import { formatForEditing, shownUnit, unitLabel, type Comma, type KindName } from '@skiametra/core/units';
import { useWorkspace } from './workspace/useWorkspace';

const keyOf = (person: number) => `skiametra.comma.${person}`;

/** What a person answered before; null where nobody asked yet. */
export function knownComma(person: number): Comma | null {
  const kept = window.localStorage.getItem(keyOf(person));
  return kept === 'decimal' || kept === 'thousands' ? kept : null;
}

export function rememberComma(person: number, comma: Comma): void {
  try {
    window.localStorage.setItem(keyOf(person), comma);
  } catch {
    // a full store: it is asked again next time
  }
}

export function CommaQuestion({
  open,
  kind,
  onAnswer,
}: {
  open: { decimal: number; thousands: number };
  kind: KindName;
  onAnswer: (comma: Comma) => void;
}) {
  const units = useWorkspace((w) => w.units);
  return (
    <div className="comma">
      {(['decimal', 'thousands'] as const).map((c) => (
        <UnstyledButton
          key={c}
          // the field loses its focus to the button and must not read the text once more
          onMouseDown={(e) => e.preventDefault()}
          onClick={() => onAnswer(c)}
        >
          {formatForEditing(open[c], kind, units)} {unitLabel(shownUnit(kind, units))}
        </UnstyledButton>
      ))}
    </div>
  );
}
