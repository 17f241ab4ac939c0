'use client';
/** What was measured in a flight: each value under its source, beside what was predicted, with a tick whether it may teach. */
import { Checkbox } from '@mantine/core';
import { quantityDef } from '@skiametra/core/assess';
import type { Measurement, Source, TestBody } from '@skiametra/core/design';
import {
  chosenAside,
  entryMeasured,
  logQuantity,
  measuredKey,
  measurementsOf,
  recordQuestions,
} from '@skiametra/core/trial';
import { formatQuantity, formatReading } from '@skiametra/core/units';
import { askedOf } from '../../parts/marks/useMarks';
import { placeName } from '../../parts/numberName';
import { MarkLegend, ThreeMark } from '../../parts/marks/ThreeMark';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const SOURCES: Readonly<Record<Source, string>> = {
  typed: 'typed',
  timed: 'timed',
  logged: 'logged',
  bench: 'bench',
  footage: 'footage',
  simulated: 'simulated',
};

/** Values of one quantity together, in the order in which the first of each came. */
function together(list: readonly Measurement[]): { key: string; of: { m: Measurement; i: number }[] }[] {
  const groups = new Map<string, { m: Measurement; i: number }[]>();
  list.forEach((m, i) => {
    const key = measuredKey(m);
    groups.set(key, [...(groups.get(key) ?? []), { m, i }]);
  });
  return [...groups].map(([key, of]) => ({ key, of }));
}

/** What this flight measured beside what was predicted for it. */
export function Measured({ id, body }: { id: string; body: TestBody }) {
  const ledger = useWorkspace((w) => w.ledger);
  if (!body.record.flown) return null;
  const groups = together(body.measurements),
    teach = groups.filter((g) => g.of.some(({ m }) => quantityDef(m.quantity))),
    others = groups.filter((g) => !teach.includes(g));
  return (
    <section className="block" aria-label="What it measured">
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
      <div className="measuredgrid">
        {teach.map((g) => (
          <Group key={g.key} id={id} of={g.of} />
        ))}
      </div>
      {others.length > 0 && (
        <>
          <h3>Kept, but of no number that it could teach</h3>
          <div className="measuredgrid">
            {others.map((g) => (
              <Group key={g.key} id={id} of={g.of} />
            ))}
          </div>
        </>
      )}
    </section>
  );
}

function Group({ id, of }: { id: string; of: readonly { m: Measurement; i: number }[] }) {
  const ledger = useWorkspace((w) => w.ledger),
    brief = useWorkspace((w) => w.content.document.brief),
    units = useWorkspace((w) => w.units),
    one = of[0]!.m,
    { quantity, state } = one,
    def = quantityDef(quantity) ?? logQuantity(quantity);
  if (!def) return null;
  const e = ledger && entryMeasured(ledger, one),
    place = placeName(one, brief);
  return (
    <div className="measuredgroup">
      <b className="strong">{def.name}</b> {place && <span className="dim tiny">{place}</span>}
      {of.map(({ m, i }) => (
        <div key={i} className={m.setAside ? 'measuredrow aside' : 'measuredrow'}>
          <span className="num measuredtext oneline">{formatReading(m.value, m.sigma, def.kind, units)}</span>
          {e && (
            <ThreeMark
              name={def.name}
              marks={{
                asked: askedOf(brief, quantity, state, one),
                predicted: { value: e.value, sigma: e.sigma },
                measured: { value: m.value, sigma: m.sigma },
              }}
              kind={def.kind}
              units={units}
            />
          )}
          <div className="dim tiny">
            <b>{SOURCES[m.source]}</b> {m.from}
            {m.segment && m.segment.count > 1 ? `, ${m.segment.count} rows` : ''}
            {m.conditions?.throttle !== undefined &&
              `, at ${formatQuantity(m.conditions.throttle, 'percent', units)} throttle`}
            {m.reason && `. Teaches nothing: ${m.reason}`}
          </div>
          {e && <MayTeach id={id} m={m} i={i} />}
        </div>
      ))}
    </div>
  );
}

function MayTeach({ id, m, i }: { id: string; m: Measurement; i: number }) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <Checkbox
      size="xs"
      label="may teach"
      checked={!m.setAside}
      onChange={(e) =>
        edit({
          type: 'set',
          path: `tests.${id}.body.measurements.${i}`,
          value: chosenAside(m, !e.currentTarget.checked),
        })
      }
    />
  );
}
