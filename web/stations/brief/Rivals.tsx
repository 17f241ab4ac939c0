'use client';
import { BRIEF } from '../../parts/paths';
import { DocTable } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const BETTER = [
  { value: 'more', label: 'more is better' },
  { value: 'less', label: 'less is better' },
] as const;

/** `best`, or with the first number that is free. */
function newName(names: readonly string[]): string {
  for (let i = 1; ; i++) {
    const name = i === 1 ? 'best' : `best${i}`;
    if (!names.includes(name)) return name;
  }
}

/** Figures of the field that a formula may name, with what of ours each is the best of. */
export function Rivals() {
  const names = useWorkspace((w) => w.content.document.brief.rivals);
  return (
    <section className="block">
      <h2>
        Best of the field{' '}
        <span className="right dim">likely is used; what the range does to the score shows in Score</span>
      </h2>
      <DocTable
        path={`${BRIEF}.rivals`}
        caption="Best of the field"
        addLabel="Add a figure"
        newRow={() => ({ name: newName(names.map((r) => r.name)), low: 1, likely: 1, high: 1, note: '' })}
        columns={[
          { key: 'name', label: 'Name', cell: { type: 'text' }, width: 104 },
          { key: 'low', label: 'Low', cell: { type: 'quantity' }, width: 60 },
          { key: 'likely', label: 'Likely', cell: { type: 'quantity' }, width: 60 },
          { key: 'high', label: 'High', cell: { type: 'quantity' }, width: 60 },
          {
            key: 'of',
            label: 'Best of our',
            hint: 'a formula, as payloadCount * laps',
            cell: { type: 'text' },
          },
          { key: 'better', label: 'Where', cell: { type: 'choice', options: BETTER }, width: 104 },
          { key: 'note', label: 'Where from', cell: { type: 'text' } },
        ]}
      />
    </section>
  );
}
