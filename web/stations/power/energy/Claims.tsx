'use client';
/** What the maker says, held against what is computed. */
import { UnstyledButton } from '@mantine/core';
import { DESIGN } from '../../../parts/paths';
import type { PowerReport } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { Sentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const C = `${DESIGN}.claims`;

export function Claims({ report }: { report: PowerReport }) {
  const claims = useWorkspace((w) => w.content.document.design.claims);
  const edit = useWorkspace((w) => w.edit);
  if (!claims)
    return (
      <section className="block">
        <h2>Claims</h2>
        <p className="dim below8">
          Write down what makers and plans claim; what cannot be true together is pointed at.
        </p>
        <UnstyledButton
          className="sorter predictedtext"

          onClick={() =>
            edit({
              type: 'set',
              path: C,
              value: {
                payload: null,
                hoverPower: null,
                topSpeed: null,
                flightTime: null,
                thrust: null,
                current: null,
              },
            })
          }
        >
          Write claims down
        </UnstyledButton>
      </section>
    );
  return (
    <section className="block" aria-label="Claims">
      <h2>Claims, held against each other</h2>
      <div className="fields">
        <DocField label="Payload" path={`${C}.payload`} optional="null" />
        <DocField label="Hover power" path={`${C}.hoverPower`} optional="null" />
        <DocField label="Top speed" path={`${C}.topSpeed`} optional="null" />
        <DocField label="Flight time" path={`${C}.flightTime`} optional="null" />
        <DocField label="Static thrust" path={`${C}.thrust`} optional="null" />
        <DocField label="Static current" path={`${C}.current`} optional="null" />
      </div>
      {report.claims.length === 0 ? (
        <p className="dim over8">Nothing contradicts.</p>
      ) : (
        report.claims.map((s) => (
          <div key={s.code} className="finding ask unruled pad4">
            <span className="sev" aria-hidden="true">
              ?
            </span>
            <div>
              <Sentence of={s} />
            </div>
          </div>
        ))
      )}
    </section>
  );
}
