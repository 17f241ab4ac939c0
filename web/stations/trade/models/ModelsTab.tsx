'use client';
/** Models that flew: those of this project beside the design, and the person's own library across projects. */
import { Button } from '@mantine/core';
import type { ReferenceModel } from '@skiametra/core/design';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Library } from './Library';
import { Proportions } from './Proportions';
import { BASES } from './bases';

const PATH = 'document.brief.references';

const nothingKnown = (id: string): ReferenceModel => ({
  id,
  name: 'Model',
  note: '',
  span: null,
  area: null,
  mass: null,
  tailArea: null,
  tailArm: null,
  finArea: null,
  bodyLength: null,
  cgChord: null,
});

export function ModelsTab() {
  const models = useWorkspace((w) => w.content.document.brief.references),
    edit = useWorkspace((w) => w.edit),
    list = models ?? [];
  const fresh = () => nothingKnown(freshId('model', list));
  const take = (m: ReferenceModel) => {
    const made = { ...m, id: freshId('model', list) };
    return edit(
      models ? { type: 'insert', path: PATH, value: made } : { type: 'set', path: PATH, value: [made] },
    );
  };
  return (
    <div className="stack">
      <section className="block">
        <h2>
          Models of this project <span className="right dim">what is not known stays empty</span>
        </h2>
        <DocTable
          path={PATH}
          caption="Reference models"
          {...(models ? { addLabel: 'Add a model', newRow: fresh } : {})}
          columns={COLUMNS}
        />
        {!models && (
          <Button variant="light" onClick={() => edit({ type: 'set', path: PATH, value: [fresh()] })}>
            Enter a model
          </Button>
        )}
      </section>
      <div className="station cols-models">
        {list.length > 0 ? (
          <Proportions models={list} />
        ) : (
          <p className="dim flush">Enter a model, or take one in.</p>
        )}
        <Library models={list} onTake={take} />
      </div>
    </div>
  );
}

const number = (key: string, label: string) =>
  ({ key, label, cell: { type: 'quantity', optional: 'null' } }) as const;
const maybe = (key: string, label: string) =>
  ({ key, label, cell: { type: 'quantity', optional: true } }) as const;

const COLUMNS = [
  { key: 'name', label: 'Model', width: 150, cell: { type: 'text' } },
  number('span', 'Span'),
  number('area', 'Wing'),
  number('mass', 'Mass'),
  maybe('payload', 'Payload'),
  number('tailArea', 'Tail'),
  number('tailArm', 'Arm'),
  number('finArea', 'Fin'),
  maybe('discArea', 'Discs'),
  maybe('fastest', 'Flown to'),
  { key: 'basis', label: 'Known by', width: 96, cell: { type: 'choice', options: BASES } },
  { key: 'donor', label: 'Donor', width: 56, cell: { type: 'check' } },
  { key: 'note', label: 'Note', cell: { type: 'text' } },
] as const;
