'use client';
/** A section thicker, more cambered, or with a flap down. */
import { QuantityField } from '../../../parts/fields/QuantityField';
import type { SectionShape } from './useSectionShape';

/** Where flaps are usually hinged, share of the chord. */
const USUAL_HINGE = 0.75;

export function ChangeFields({ own }: { own: SectionShape }) {
  const { change, setChange, section } = own;
  const { hinge = USUAL_HINGE, angle = 0 } = change.flap ?? {};
  return (
    <details>
      <summary className="note clickable">Scaled, or with a flap{section.change ? ' · changed' : ''}</summary>
      <div className="fields mt8">
        <QuantityField
          label="Thickness times"
          kind="ratio"
          value={change.thickness}
          onCommit={(thickness) => setChange({ ...change, thickness })}
        />
        <QuantityField
          label="Camber times"
          kind="ratio"
          value={change.camber}
          onCommit={(camber) => setChange({ ...change, camber })}
        />
        <QuantityField
          label="Flap hinge"
          kind="chordPercent"
          value={hinge}
          onCommit={(to) => setChange({ ...change, flap: { hinge: to, angle } })}
        />
        <QuantityField
          label="Flap down by"
          kind="angle"
          value={angle}
          onCommit={(to) => setChange({ ...change, flap: to === 0 ? null : { hinge, angle: to } })}
        />
      </div>
    </details>
  );
}
