'use client';
/** What was measured in a flight. */
import { Checkbox } from '@mantine/core';
import { entryNamed, quantityDef } from '@skiametra/core/assess';
import type { TestBody } from '@skiametra/core/design';
import { measurementsOf, recordQuestions } from '@skiametra/core/trial';
import { formatMeasured } from '@skiametra/core/units';
import { MarkLegend, ThreeMark } from '../../parts/marks/ThreeMark';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** What this flight measured beside what was predicted for it. */
export function Measured({ id, body }: { id: string; body: TestBody }) {
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  if (!body.record.flown) return null;
  return (
    <section className="block">
      <h2>
        What it measured{' '}
        <span className="right">
          <MarkLegend />
        </span>
      </h2>
      {body.measurements.length === 0 && (
        <p className="dim">Nothing yet: enter a ground run, lap times or charge, or open a log.</p>
      )}
      {[...measurementsOf(body).remarks, ...(ledger ? recordQuestions(body, ledger) : [])].map((s) => (
        <div key={s} className="finding ask">
          <span className="sev" aria-hidden="true">
            ?
          </span>
          <div>{s}</div>
        </div>
      ))}
      {body.measurements.map((m, i) => {
        const def = quantityDef(m.quantity);
        const e = ledger && entryNamed(ledger, m.quantity, m.state);
        if (!def) return null;
        const marks = {
          asked: null,
          predicted: e ? { value: e.value, sigma: e.sigma } : null,
          measured: { value: m.value, sigma: m.sigma },
        };
        return (
          <div
            key={`${m.quantity} ${m.from}`}
            style={{
              padding: '7px 0',
              borderBottom: '1px solid var(--hair)',
              opacity: m.setAside ? 0.55 : 1,
            }}
          >
            <div className="line gap8">
              <b className="strong">{def.name}</b>
              <span className="num atend measuredtext">
                {formatMeasured(m.value, m.sigma, def.kind, units)}
              </span>
            </div>
            <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />
            <div className="dim tiny line">
              <span>{m.from}</span>
              <Checkbox
                className="atend"
                label="set aside"
                checked={m.setAside}
                onChange={(e) =>
                  edit({
                    type: 'set',
                    path: `tests.${id}.body.measurements.${i}.setAside`,
                    value: e.currentTarget.checked,
                  })
                }
              />
            </div>
          </div>
        );
      })}
    </section>
  );
}
