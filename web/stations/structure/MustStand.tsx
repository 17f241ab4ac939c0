'use client';
/** What the wing must stand, and how fast it is flown. */
import { BRIEF, STRUCTURE } from '../../parts/paths';
import { useWinged } from '../../parts/rotors/useRotors';
import { DocField } from '../../parts/fields/DocField';

export function MustStand() {
  const winged = useWinged();
  return (
    <section className="block">
      <h2>What it must stand</h2>
      <div className="fields">
        <DocField label="Upward" path={`${STRUCTURE}.requiredLoadFactor`} />
        {winged && <DocField label="Downward" path={`${STRUCTURE}.requiredNegative`} />}
        <DocField
          label="Factor to failure"
          path={`${STRUCTURE}.safetyFactor`}
          hint="Load at failure over the load it must stand; 1.5 is common practice."
        />
        {winged && (
          <DocField
            label="Fastest flown"
            path={`${STRUCTURE}.fastest`}
            optional
            hint="Empty: the level top speed, or twice the stall without a motor"
          />
        )}
        <DocField
          label="Gust"
          path={`${BRIEF}.site.gust`}
          optional
          hint="Vertical; empty: 0.6 of the wind and at least 3 m/s, common practice"
        />
      </div>
    </section>
  );
}
