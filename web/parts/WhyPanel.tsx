'use client';
/** Any number opens it: formula with its values, inputs as links, method, uncertainty and what contributes, what it drives. */
import { Glossed } from './glossary/Glossed';
import { Sentence } from './Sentence';
import { Drawer, UnstyledButton } from '@mantine/core';
import { INPUTS, QUANTITIES, entryNamed, inputsOf, quantityDef } from '@skiametra/core/assess';
import { FACTORS } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { MarkedNumber } from './marks/MarkedNumber';
import { saysSomething } from './marks/marks';
import { MarkLegend, ThreeMark } from './marks/ThreeMark';
import { useMarks } from './marks/useMarks';
import { useWorkspace } from './workspace/useWorkspace';

export function WhyPanel() {
  const why = useWorkspace((w) => w.why);
  const setWhy = useWorkspace((w) => w.setWhy);
  return (
    <Drawer
      opened={why !== null}
      onClose={() => setWhy(null)}
      position="right"
      size={400}
      title={<b>Why this number</b>}
      overlayProps={{ backgroundOpacity: 0.15 }}
    >
      {why && <WhyBody id={why.id} state={why.state} />}
    </Drawer>
  );
}

const UNTAUGHT = 'not a factor of the model: no test teaches it';

function WhyBody({ id, state }: { id: string; state: string }) {
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const design = useWorkspace((w) => w.content.document.design);
  const tasks = useWorkspace((w) => w.content.document.brief.tasks);
  const marked = useMarks(id, state);
  const entry = ledger ? entryNamed(ledger, id, state) : undefined;
  if (!marked || !ledger) return <p>This number is not computed for this design.</p>;
  const { def, marks } = marked;
  const stateName =
    entry?.state === 'all' || !entry
      ? 'whole design'
      : (design.states.find((l) => l.id === entry.state)?.name ?? entry.state);
  const show = (q: string) => {
    const e = entryNamed(ledger, q, state);
    return e ? formatQuantity(e.value, e.kind, units) : '–';
  };
  const task = entry?.part === undefined ? undefined : tasks.find((m) => m.id === entry.part);
  const template = task ? task.formula : def.formula;
  const withNames = template.replace(/\{(\w+)\}/g, (_, q: string) => quantityDef(q)?.name.toLowerCase() ?? q);
  const withValues = template.replace(/\{(\w+)\}/g, (_, q: string) => show(q));
  const drives = Object.values(QUANTITIES).filter((q) => inputsOf(q).some((i) => i === id));
  const link = (q: string) => (
    <UnstyledButton key={q} onClick={() => setWhy({ id: q, state })} className="textbutton predictedtext">
      {quantityDef(q)?.name ?? q}
    </UnstyledButton>
  );
  const shares = entry
    ? [
        ...entry.shares.map((s, i) => ({ s, f: FACTORS[i]! })),
        ...entry.inputShares.map((s, i) => ({ s, f: { ...INPUTS[i]!, meaning: UNTAUGHT } })),
      ]
        .filter((x) => x.s > 0.02)
        .sort((a, b) => b.s - a.s)
        .slice(0, 4)
    : [];
  return (
    <div className="stack">
      <div>
        <h2 className="heading flush">
          <Glossed text={task?.name ?? def.name} />
        </h2>
        <div className="dim">{stateName}</div>
        <div className="large">
          <MarkedNumber of={entry ?? null} kind={def.kind} units={units} />
        </div>
        {saysSomething(marks) && (
          <>
            <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />
            <MarkLegend />
          </>
        )}
      </div>
      {entry?.warnings.map((w) => (
        <div key={w.code} className="caution">
          <Sentence of={w} />
        </div>
      ))}
      <section className="block">
        <h2>Formula</h2>
        <div>{withNames}</div>
        {withValues !== withNames && <div className="num dim mt4">= {withValues}</div>}
      </section>
      {inputsOf(def).length > 0 && (
        <section className="block">
          <h2>From</h2>
          {inputsOf(def).map((q) => (
            <div key={q} className="line gap8">
              {link(q)}
              <span className="num atend">{show(q)}</span>
            </div>
          ))}
        </section>
      )}
      <section className="block">
        <h2>Method</h2>
        <div>{def.method}.</div>
      </section>
      <section className="block">
        <h2>Uncertainty</h2>
        {shares.length === 0 ? (
          <div className="dim">Exact by definition: it follows from the drawing alone.</div>
        ) : (
          <>
            <div className="dim mb4">One standard deviation. What it comes from:</div>
            {shares.map(({ s, f }) => (
              <div key={f.id} className="sharebars" title={f.meaning}>
                <span>{f.name}</span>
                <span
                  style={{
                    height: 6,
                    background: 'var(--predicted-soft)',
                    width: `${Math.round(90 * Math.min(1, s))}px`,
                  }}
                />
                <span className="num">{Math.round(100 * s)} %</span>
              </div>
            ))}
          </>
        )}
      </section>
      {drives.length > 0 && (
        <section className="block">
          <h2>Drives</h2>
          <div className="line wraps links">{drives.map((d) => link(d.id))}</div>
        </section>
      )}
    </div>
  );
}
