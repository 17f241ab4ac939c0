'use client';
/** What is asked that no number says: a test that is named proves it. */
import { ActionIcon, Button } from '@mantine/core';
import type { Statement } from '@skiametra/core/design';
import { IconTrash } from '@tabler/icons-react';
import { CellSelect } from '../../parts/fields/CellSelect';
import { TextCell } from '../../parts/fields/TextCell';
import { BRIEF } from '../../parts/paths';
import { freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const PATH = `${BRIEF}.statements`;
const SAID = [
  { value: 'open', label: '~ not proven' },
  { value: 'met', label: '✓ met' },
  { value: 'missed', label: '✕ missed' },
] as const;

export function Statements() {
  const statements = useWorkspace((w) => w.content.document.brief.statements),
    edit = useWorkspace((w) => w.edit),
    list = statements ?? [];
  const add = () => {
    const made: Statement = {
      id: freshId('asked', list),
      text: '',
      rule: '',
      wish: false,
      test: '',
      outcome: 'open',
    };
    edit(
      statements ? { type: 'insert', path: PATH, value: made } : { type: 'set', path: PATH, value: [made] },
    );
  };
  return (
    <section className="block">
      <h2>
        In words <span className="right dim">what no number says, and the test that proves it</span>
      </h2>
      {list.map((s, i) => (
        <StatementRow key={s.id} statement={s} index={i} last={list.length === 1} />
      ))}
      <Button variant="subtle" mt={6} onClick={add}>
        Ask in words
      </Button>
    </section>
  );
}

function StatementRow({ statement: s, index, last }: { statement: Statement; index: number; last: boolean }) {
  const tests = useWorkspace((w) => w.content.tests),
    edit = useWorkspace((w) => w.edit),
    n = index + 1;
  const titles = [...new Set(tests.map((t) => t.body.card.title).filter((t) => t !== '' && t.length <= 120))],
    flown = tests.find((t) => t.body.card.title === s.test)?.body.record.flown;
  const options = [
    { value: '', label: 'no test named' },
    ...[...new Set([...titles, ...(s.test ? [s.test] : [])])].map((t) => ({ value: t, label: t })),
  ];
  return (
    <div className="statementrow">
      <TextCell
        label={`Statement ${n}`}
        path={`${PATH}.${s.id}.text`}
        area
        rows={3}
        placeholder="What must it do?"
      />
      <TextCell label={`Rule of statement ${n}`} path={`${PATH}.${s.id}.rule`} placeholder="rule" />
      <span>
        <CellSelect
          label={`Test that proves statement ${n}`}
          value={s.test}
          options={options}
          onChange={(test) => edit({ type: 'set', path: `${PATH}.${s.id}.test`, value: test })}
        />
        {s.test !== '' && flown !== true && (
          <span className="looktext small">{flown === false ? 'not done yet' : 'no such test here'}</span>
        )}
      </span>
      <CellSelect
        label={`What the test of statement ${n} said`}
        value={s.outcome}
        options={SAID}
        onChange={(outcome) => edit({ type: 'set', path: `${PATH}.${s.id}.outcome`, value: outcome })}
      />
      <ActionIcon
        size="sm"
        aria-label={`Remove statement ${n}`}
        onClick={() =>
          edit(last ? { type: 'set', path: PATH, value: undefined } : { type: 'remove', path: PATH, index })
        }
      >
        <IconTrash size={14} />
      </ActionIcon>
    </div>
  );
}
