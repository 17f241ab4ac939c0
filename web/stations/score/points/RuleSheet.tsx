'use client';
/** The tasks as a rule sheet: what each counts in the state in view, and where it is flown. */
import { entryOf, type Ledger } from '@skiametra/core/assess';
import type { Task } from '@skiametra/core/design';
import { formatNumber } from '@skiametra/core/units';
import Link from 'next/link';
import { useWayTo, useWayToTab } from '../../../parts/frame/useAddress';
import { useSentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { rulesOf } from '../../brief/taskWords';

export function RuleSheet({ ledger }: { ledger: Ledger }) {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks),
    state = useWorkspace((w) => w.loading),
    wayTo = useWayTo(),
    missions = useWayToTab('flight', 'mission'),
    total = entryOf(ledger, 'score', state);
  return (
    <section className="block" aria-label="Tasks">
      <h2>
        Tasks <span className="right dim">points of the state in view</span>
      </h2>
      <ol className="rulesheet">
        {tasks.map((t) => (
          <TaskLine key={t.id} task={t} ledger={ledger} state={state} />
        ))}
      </ol>
      <p className="line apart flush">
        <b>Sum</b>
        <b className="num">
          {formatNumber(total?.value ?? 0, 4)}{' '}
          <span className="dim">± {formatNumber(total?.sigma ?? 0, 2)}</span>
        </b>
      </p>
      <p className="dim note">
        <Link href={wayTo('brief')} className="textbutton dotted">
          Rules in the Brief
        </Link>
        {' · '}
        <Link href={missions} className="textbutton dotted">
          Course and legs
        </Link>
      </p>
    </section>
  );
}

function TaskLine({ task, ledger, state }: { task: Task; ledger: Ledger; state: string }) {
  const states = useWorkspace((w) => w.content.document.design.states),
    setWhy = useWorkspace((w) => w.setWhy),
    words = useSentence(),
    entry = entryOf(ledger, 'points', state, task.id);
  const flown = states.find((s) => s.id === task.state)?.name;
  return (
    <li>
      <button type="button" className="line apart plainbutton" onClick={() => setWhy({ id: 'score', state })}>
        <span>{task.name}</span>
        <span className="num">{formatNumber(entry?.value ?? 0, 4)}</span>
      </button>
      <code className="formula">{task.formula}</code>
      <span className="dim small">
        {[flown ? `flown as ${flown}` : 'free choice', ...rulesOf(task)].join(' · ')}
      </span>
      {entry?.warnings.map((w) => (
        <span key={w.code} className="looktext small">
          {words(w)}
        </span>
      ))}
    </li>
  );
}
