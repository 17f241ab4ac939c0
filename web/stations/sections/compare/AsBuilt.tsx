'use client';
/** How far a section as built may be off the one that is drawn. */
import type { SectionChoice } from '@skiametra/core/design';
import type { KindName } from '@skiametra/core/units';
import { QuantityField } from '../../../parts/fields/QuantityField';

type Errors = SectionChoice['errors'];

const FIELDS: readonly { key: keyof Errors; label: string; kind: KindName; hint?: string }[] = [
  { key: 'thickness', label: 'Thickness off by', kind: 'percent' },
  { key: 'camber', label: 'Camber short by', kind: 'chordPercent', hint: 'share of the chord' },
  { key: 'nose', label: 'Nose sharper by', kind: 'percent', hint: 'of its radius' },
  { key: 'edge', label: 'Edge thicker by', kind: 'chordPercent', hint: 'share of the chord' },
];

interface Props {
  choice: SectionChoice;
  onChoice: (c: SectionChoice) => string | null;
}

export function AsBuilt({ choice, onChoice }: Props) {
  return (
    <section className="block">
      <h2>As it may be built</h2>
      <div className="fields">
        {FIELDS.map(({ key, ...field }) => (
          <QuantityField
            key={key}
            {...field}
            value={choice.errors[key]}
            onCommit={(v) => onChoice({ ...choice, errors: { ...choice.errors, [key]: v } })}
          />
        ))}
      </div>
    </section>
  );
}
