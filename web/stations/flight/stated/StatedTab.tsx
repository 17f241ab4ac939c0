'use client';
/** Figures that somebody stated, held against each other: what cannot be is pointed at. */
import { Button, CloseButton, Menu, NativeSelect } from '@mantine/core';
import type { Stated, StatedKind } from '@skiametra/core/design';
import { heldAgainst } from '@skiametra/core/mission';
import { CHEMISTRIES } from '@skiametra/core/power';
import { standardDensity } from '@skiametra/core/air';
import { entryOf } from '@skiametra/core/assess';
import { DocField, IntField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { BRIEF } from '../../../parts/paths';
import { Sentence } from '../../../parts/Sentence';
import { freshId } from '../../../parts/table';
import { useWinged } from '../../../parts/rotors/useRotors';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { STATED } from './statedKinds';

const PATH = `${BRIEF}.stated`;
const NONE: readonly Stated[] = [];

export function StatedTab() {
  const list = useWorkspace((w) => w.content.document.brief.stated) ?? NONE,
    edit = useWorkspace((w) => w.edit),
    winged = useWinged(),
    kinds = (Object.keys(STATED) as StatedKind[]).filter((k) => winged || !STATED[k].winged);
  const add = (kind: StatedKind) => {
    const row = { id: freshId('stated', list), note: '', ...STATED[kind].first } as Stated;
    edit({ type: 'set', path: PATH, value: [...list, row] });
  };
  return (
    <div className="station two">
      <section className="block">
        <h2>Figures that were stated</h2>
        <p className="dim">
          From a report, a shop, a forum, last year’s paper: some figures are tied to each other by a law.
          Write them down as they were said; what cannot be true together is told.
        </p>
        <Menu>
          <Menu.Target>
            <Button variant="light">Hold figures against each other</Button>
          </Menu.Target>
          <Menu.Dropdown>
            {kinds.map((k) => (
              <Menu.Item key={k} onClick={() => add(k)}>
                {STATED[k].name}
              </Menu.Item>
            ))}
          </Menu.Dropdown>
        </Menu>
      </section>
      <div className="stack">
        {list.length === 0 && <p className="dim">Nothing written down yet.</p>}
        {list.map((s) => (
          <Row
            key={s.id}
            stated={s}
            onRemove={() => edit({ type: 'set', path: PATH, value: list.filter((o) => o !== s) })}
          />
        ))}
      </div>
    </div>
  );
}

function Row({ stated, onRemove }: { stated: Stated; onRemove: () => void }) {
  const ledger = useWorkspace((w) => w.ledger),
    edit = useWorkspace((w) => w.edit);
  const density = (ledger && entryOf(ledger, 'airDensity', 'all')?.value) ?? standardDensity(),
    { agrees, said } = heldAgainst(stated, density),
    { name, fields } = STATED[stated.kind],
    path = `${PATH}.${stated.id}`;
  return (
    <section className="block" aria-label={name}>
      <h2>
        {name}
        <span className="right">
          <CloseButton aria-label={`Take “${name}” away`} onClick={onRemove} />
        </span>
      </h2>
      <div className="fields three">
        {fields.map((f) =>
          f === 'cells' ? (
            <IntField key={f} label="Cells in series" path={`${path}.cells`} />
          ) : f === 'chemistry' ? (
            <NativeSelect
              key={f}
              label="Chemistry"
              value={stated.kind === 'volts' ? stated.chemistry : ''}
              data={[...CHEMISTRIES]}
              onChange={(e) => edit({ type: 'set', path: `${path}.chemistry`, value: e.currentTarget.value })}
            />
          ) : (
            <DocField key={f} path={`${path}.${f}`} />
          ),
        )}
        <TextCell label="Where it was said" path={`${path}.note`} placeholder="Where it was said" />
      </div>
      <p className={agrees ? 'note' : 'note looktext'} role="status">
        <Sentence of={said} />
      </p>
    </section>
  );
}
