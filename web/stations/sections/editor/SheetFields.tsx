'use client';
/** Sheets: bare, filmed over ribs, folded. */
import { QuantityField } from '../../../parts/fields/QuantityField';
import type { Shape } from './shapes';
import type { SectionShape } from './useSectionShape';

interface Props<K extends Shape['kind']> {
  own: SectionShape;
  shape: Extract<Shape, { kind: K }>;
}

export function SheetFields({ own, shape }: Props<'plate' | 'film'>) {
  return (
    <div className="fields">
      <QuantityField
        label="Camber"
        kind="chordPercent"
        value={shape.camber}
        onCommit={(camber) => own.setShape({ ...shape, camber })}
      />
      <QuantityField
        label="Its place"
        kind="chordPercent"
        value={shape.at}
        onCommit={(at) => own.setShape({ ...shape, at })}
      />
      <QuantityField
        label="Thickness"
        kind="chordPercent"
        value={shape.thickness}
        onCommit={(thickness) => own.setShape({ ...shape, thickness })}
      />
    </div>
  );
}

export function FoldedFields({ own, shape }: Props<'folded'>) {
  return (
    <QuantityField
      label="Thickness of the sheet"
      kind="chordPercent"
      value={shape.thickness}
      onCommit={(thickness) => own.setShape({ ...shape, thickness })}
    />
  );
}
