'use client';
import { sentence } from '@skiametra/core/words';
import { ActionIcon, Button } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { checkRequirements, quantityDef } from '@skiametra/core/assess';
import { lapMission, siteSpread, type Mission } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { DocField, IntField, QuantityField, TextCell } from '../parts/QuantityField';
import { StationFindings } from '../parts/Findings';
import { quantityOptions } from '../parts/quantityList';
import { SheetTable, freshId } from '../parts/SheetTable';
import { useWorkspace } from '../parts/workspace/useWorkspace';
import { FormulaEditor } from './FormulaEditor';

const B = 'document.brief';
const SURFACES: { value: string; label: string; mu: number }[] = [
  { value: 'tarmac', label: 'tarmac', mu: 0.03 },
  { value: 'boards', label: 'boards', mu: 0.06 },
  { value: 'short grass', label: 'short grass', mu: 0.08 },
  { value: 'long grass', label: 'long grass', mu: 0.15 },
];

export function Brief() {
  return (
    <div className="station two">
      <div className="stack">
        <section className="block">
          <h2>What is asked</h2>
          <TextCell
            label="Purpose"
            path={`${B}.purpose`}
            area
            rows={4}
            placeholder="What must this aircraft do, and for whom?"
          />
        </section>
        <Site />
        <section className="block">
          <h2>Course</h2>
          <Course />
        </section>
        <StationFindings of="brief" />
      </div>
      <div className="stack">
        <Requirements />
        <Tasks />
        <section className="block">
          <h2>
            Best of the field{' '}
            <span className="right dim">
              figures a formula may name; likely is used, the range shows in Score
            </span>
          </h2>
          <SheetTable
            path={`${B}.rivals`}
            caption="Best of the field"
            addLabel="Add a figure"
            newRow={() => ({ name: `best${Date.now() % 10000}`, low: 1, likely: 1, high: 1, note: '' })}
            columns={[
              { key: 'name', label: 'Name', cell: { type: 'text' }, width: 120 },
              { key: 'low', label: 'Low', cell: { type: 'quantity' }, width: 70 },
              { key: 'likely', label: 'Likely', cell: { type: 'quantity' }, width: 70 },
              { key: 'high', label: 'High', cell: { type: 'quantity' }, width: 70 },
              { key: 'note', label: 'Where from', cell: { type: 'text' } },
            ]}
          />
        </section>
      </div>
    </div>
  );
}

/** How well the day is known before it comes; the usual figures until they are typed. */
function SiteSpread() {
  const site = useWorkspace((w) => w.content.document.brief.site);
  const edit = useWorkspace((w) => w.edit);
  const usual = siteSpread(site);
  const field = (key: 'wind' | 'temperature' | 'friction', label: string, kind: 'speed' | 'ratio') => (
    <QuantityField
      label={label}
      value={usual[key]}
      kind={kind}
      onCommit={(si) =>
        si >= 0
          ? edit({ type: 'set', path: `${B}.site.spread`, value: { ...site.spread, [key]: si } })
          : 'must not be below zero'
      }
    />
  );
  return (
    <details>
      <summary className="dim clickable">How well the day is known</summary>
      <div className="fields">
        {field('wind', 'Wind, to within', 'speed')}
        {field('temperature', 'Temperature, to within [K]', 'ratio')}
        {field('friction', 'Rolling friction, to within', 'ratio')}
      </div>
    </details>
  );
}

function Site() {
  const site = useWorkspace((w) => w.content.document.brief.site);
  const edit = useWorkspace((w) => w.edit);
  return (
    <section className="block">
      <h2>Site</h2>
      <div className="fields">
        <DocField label="Elevation" path={`${B}.site.elevation`} />
        <DocField label="Temperature" path={`${B}.site.temperature`} />
        <DocField label="Wind along the course" path={`${B}.site.wind`} />
        <DocField label="Strip length" path={`${B}.site.stripLength`} />
        <div className="qf">
          <label htmlFor="surface">Surface</label>
          <select
            id="surface"
            className="cell plaininput"

            value={site.surface}
            onChange={(e) => {
              const s = SURFACES.find((x) => x.value === e.target.value)!;
              edit({
                type: 'apply',
                changes: [
                  { path: `${B}.site.surface`, value: s.value },
                  { path: `${B}.site.rollingFriction`, value: s.mu },
                ],
              });
            }}
          >
            {SURFACES.map((s) => (
              <option key={s.value} value={s.value}>
                {s.label}
              </option>
            ))}
          </select>
        </div>
        <DocField
          label="Rolling friction"
          path={`${B}.site.rollingFriction`}
          hint="0.02 to 0.05 hard, 0.08 to 0.15 grass; common practice. Wet boards with small wheels lie near 0.1."
        />
        <DocField
          label="Braking friction"
          path={`${B}.site.brakingFriction`}
          optional
          hint="With brakes or on a skid; as rolling where empty. 0.3 to 0.5 braked, dry and hard; common practice."
        />
      </div>
      <SiteSpread />
    </section>
  );
}

const STATUS = {
  met: ['✓', 'met', 'var(--fine)'],
  unproven: ['~', 'within the uncertainty', 'var(--look)'],
  missed: ['✕', 'missed', 'var(--stop)'],
  unknown: ['?', 'not computed', 'var(--ink-2)'],
} as const;

function Requirements() {
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const checks = ledger && !ledger.stopped ? checkRequirements(brief, design, ledger) : [];
  const states = [
    { value: 'all', label: 'every state' },
    ...design.states.map((l) => ({ value: l.id, label: l.name })),
  ];
  const limit = (i: number, which: 'min' | 'max') => {
    const r = brief.requirements[i];
    const kind = quantityDef(r.quantity)?.kind ?? 'ratio';
    const used = which === 'min' ? r.op !== 'atMost' : r.op !== 'atLeast';
    if (!used) return <span className="dim">–</span>;
    return (
      <QuantityField
        label={`${which === 'min' ? 'At least' : 'At most'}, row ${i + 1}`}
        hideLabel
        value={r[which]}
        kind={kind}
        onCommit={(si) => edit({ type: 'set', path: `${B}.requirements.${i}.${which}`, value: si })}
      />
    );
  };
  const setOp = (i: number, op: 'atLeast' | 'atMost' | 'between') => {
    const r = brief.requirements[i];
    const some = r.min ?? r.max ?? 0;
    edit({
      type: 'set',
      path: `${B}.requirements.${i}`,
      value: {
        ...r,
        op,
        min: op === 'atMost' ? null : (r.min ?? some),
        max: op === 'atLeast' ? null : (r.max ?? some),
      },
    });
  };
  return (
    <section className="block">
      <h2>Requirements</h2>
      <SheetTable
        path={`${B}.requirements`}
        caption="Requirements"
        addLabel="Add a requirement"
        newRow={() => ({
          id: freshId('req', brief.requirements),
          quantity: 'stallSpeed',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 10,
          rule: '',
          wish: false,
        })}
        columns={[
          {
            key: 'quantity',
            label: 'Quantity',
            cell: { type: 'choice', options: quantityOptions },
            width: 148,
          },
          { key: 'state', label: 'In', cell: { type: 'choice', options: states }, width: 88 },
          {
            key: 'op',
            label: 'Must be',
            width: 62,
            cell: {
              type: 'shown',
              render: (_, i) => (
                <select
                  className="cell"
                  aria-label={`Must be, row ${i + 1}`}
                  value={brief.requirements[i]?.op}
                  onChange={(e) => setOp(i, e.target.value as 'atLeast')}
                >
                  <option value="atLeast">at least</option>
                  <option value="atMost">at most</option>
                  <option value="between">between</option>
                </select>
              ),
            },
          },
          {
            key: 'min',
            label: 'Low',
            numeric: true,
            width: 80,
            cell: { type: 'shown', render: (_, i) => limit(i, 'min') },
          },
          {
            key: 'max',
            label: 'High',
            numeric: true,
            width: 80,
            cell: { type: 'shown', render: (_, i) => limit(i, 'max') },
          },
          { key: 'rule', label: 'Rule it comes from', cell: { type: 'text' } },
          {
            key: 'id',
            label: 'Predicted',
            width: 100,
            cell: {
              type: 'shown',
              render: (_, i) => {
                const c = checks[i];
                if (!c) return <span className="dim">…</span>;
                const [sign, word, colour] = STATUS[c.status];
                const kind = quantityDef(c.requirement.quantity)?.kind ?? 'ratio';
                return (
                  <span title={sentence(c.said, units)} className="oneliner">
                    <b style={{ color: colour }} aria-label={word}>
                      {sign}
                    </b>{' '}
                    <span className="num">
                      {Number.isFinite(c.value) ? formatQuantity(c.value, kind, units) : '–'}
                    </span>
                  </span>
                );
              },
            },
          },
        ]}
      />
    </section>
  );
}

/** The mission of laps; legs of other missions stand under Power, Energy. */
function Course() {
  const missions = useWorkspace((w) => w.content.document.brief.missions);
  const edit = useWorkspace((w) => w.edit);
  const found = lapMission({ missions });
  if (!found)
    return (
      <Button
        variant="light"
        onClick={() => edit({ type: 'insert', path: `${B}.missions`, value: USUAL_LAPS, at: 0 })}
      >
        Fly laps
      </Button>
    );
  const lap = `document.${found.path}`,
    leg = (kind: string) => `${lap}.legs.${found.round.legs.find((l) => l.kind === kind)?.id}`;
  return (
    <div className="fields">
      <DocField label="Straight" path={`${leg('straight')}.length`} />
      <IntField label="Straights per lap" path={`${leg('straight')}.count`} />
      <IntField label="Half turns per lap" path={`${leg('turn')}.count`} />
      <DocField label="Time window" path={`${B}.missions.${found.mission.id}.window`} />
      <IntField label="Timed laps" path={`${lap}.timed`} />
    </div>
  );
}
const USUAL_LAPS: Mission = {
  id: 'laps',
  name: 'Laps',
  window: 300,
  rounds: [
    {
      id: 'lap',
      name: 'Lap',
      times: null,
      timed: 1,
      legs: [
        { id: 'straight', name: 'Straights', kind: 'straight', state: null, length: 100, count: 2 },
        { id: 'turn', name: 'Half turns', kind: 'turn', state: null, count: 2 },
      ],
    },
  ],
};

function Tasks() {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks);
  const mission = useWorkspace((w) => lapMission(w.content.document.brief)?.mission);
  const states = useWorkspace((w) => w.content.document.design.states);
  const edit = useWorkspace((w) => w.edit);
  return (
    <section className="block">
      <h2>
        Score <span className="right dim">one formula per task; the score is their sum</span>
      </h2>
      {tasks.map((m, i) => (
        <div key={m.id} className="missionrow">
          <TextCell label={`Task ${i + 1} name`} path={`${B}.tasks.${i}.name`} />
          <FormulaEditor index={i} />
          <select
            className="cell"
            aria-label={`Task ${i + 1} is flown in`}
            value={m.state}
            style={{ background: 'transparent', border: 0, color: 'var(--ink)', padding: '4px 0' }}
            onChange={(e) => edit({ type: 'set', path: `${B}.tasks.${i}.state`, value: e.target.value })}
          >
            <option value="each">free choice</option>
            {states.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </select>
          <ActionIcon
            size="sm"
            onClick={() => edit({ type: 'remove', path: `${B}.tasks`, index: i })}
            aria-label={`Remove task ${i + 1}`}
          >
            <IconTrash size={14} />
          </ActionIcon>
        </div>
      ))}
      <Button
        variant="subtle"
        mt={6}
        onClick={() =>
          edit({
            type: 'insert',
            path: `${B}.tasks`,
            value: {
              id: freshId('task', tasks),
              name: 'New task',
              mission: mission?.id ?? null,
              formula: 'laps',
              state: 'each',
            },
          })
        }
      >
        Add a task
      </Button>
    </section>
  );
}
