'use client';
/** What may be flown at the place, as the person has it, and what this mission leaves of it. */
import { formatQuantity } from '@skiametra/core/units';
import type { PlaceLimit } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { BRIEF } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const FIELDS = ['height', 'distance', 'sight', 'mass', 'people', 'keepOff'] as const;

const TOLD: Readonly<Record<PlaceLimit['of'], string>> = {
  height: 'greatest height',
  distance: 'farthest from the start',
  sight: 'farthest, to be seen',
  mass: 'heaviest',
  people: 'nearest to people, and falling on from there',
};

export function PlaceLimits({ limits }: { limits: readonly PlaceLimit[] }) {
  const units = useWorkspace((w) => w.units);
  const kindOf = (l: PlaceLimit) => (l.of === 'mass' ? 'allUpMass' : 'distance');
  return (
    <section className="block" aria-label="Limits of the place">
      <h2>Limits of the place</h2>
      <p className="dim note">Yours to type: ask who owns the place, and what the law there says.</p>
      <div className="fields">
        {FIELDS.map((f) => (
          <DocField key={f} path={`${BRIEF}.site.limits.${f}`} optional />
        ))}
        <DocField
          path={`${BRIEF}.site.windFrom`}
          optional
          hint="From north, clockwise; empty: along the course"
        />
      </div>
      {limits.map((l) => (
        <div key={l.of} className="legline">
          <span className={l.margin < 0 ? 'stoptext' : 'dim'}>{TOLD[l.of]}</span>
          <span className={l.margin < 0 ? 'num stoptext' : 'num'}>
            {formatQuantity(l.value, kindOf(l), units)} of {formatQuantity(l.limit, kindOf(l), units)}
          </span>
        </div>
      ))}
    </section>
  );
}
