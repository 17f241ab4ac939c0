'use client';
/** What the score rewards: points of every state, what limits them, what a step of everything is worth, and other rules. */
import { SegmentedControl } from '@mantine/core';
import { StationFindings } from '../../parts/Findings';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FieldTab } from './field/FieldTab';
import { NoTask } from './NoTask';
import { PointsTab } from './points/PointsTab';
import { RulesTab } from './rules/RulesTab';

const TABS = { points: 'Points', rules: 'Other rules', field: 'The field' } as const;
type Tab = keyof typeof TABS;

export function Score() {
  const [tab, setTab] = useTab<Tab>(['points', 'rules', 'field']),
    ledger = useWorkspace((w) => w.ledger),
    tasks = useWorkspace((w) => w.content.document.brief.tasks.length);
  if (!ledger || ledger.stopped) return <StationFindings of="shape" />;
  if (tasks === 0) return <NoTask />;
  return (
    <div className="stack gap12">
      <div className="scrollx">
        <SegmentedControl
          size="xs"
          aria-label="Part of the Score station"
          value={tab}
          onChange={setTab}
          data={Object.entries(TABS).map(([value, label]) => ({ value, label }))}
        />
      </div>
      {tab === 'points' ? (
        <PointsTab ledger={ledger} />
      ) : tab === 'rules' ? (
        <RulesTab />
      ) : (
        <FieldTab ledger={ledger} />
      )}
    </div>
  );
}
