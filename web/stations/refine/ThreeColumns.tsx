'use client';
/** Asked, predicted, measured: the gap of every number. */
import { Button } from '@mantine/core';
import {
  formatMeasured,
  formatQuantity,
  formatValue,
  type KindName,
  type UnitSystem,
} from '@skiametra/core/units';
import { useState } from 'react';
import { MarkLegend, ThreeMark } from '../../parts/marks/ThreeMark';
import { saysSomething, type Marks, type Measured } from '../../parts/marks/marks';
import { comparableTests, useWorkspace } from '../../parts/workspace/useWorkspace';
import { rowsOf } from './rows';

/** Limits in words: at least, at most, or a range. */
function askedText(asked: Marks['asked'], kind: KindName, units: UnitSystem): string {
  if (!asked) return '';
  const { min, max } = asked;
  if (min !== null && max !== null)
    return `${formatValue(min, kind, units)} to ${formatQuantity(max, kind, units)}`;
  return min !== null
    ? `≥ ${formatQuantity(min, kind, units)}`
    : max !== null
      ? `≤ ${formatQuantity(max, kind, units)}`
      : '';
}

const measuredText = (m: Measured | null, kind: KindName, units: UnitSystem) =>
  m ? formatMeasured(m.value, m.sigma, kind, units) : '';

/** Every quantity that is asked or measured, with all three marks. */
export function ThreeColumns() {
  const ledger = useWorkspace((w) => w.ledger);
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const content = useWorkspace((w) => w.content);
  const versionId = useWorkspace((w) => w.versionId);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const [every, setEvery] = useState(false);
  if (!ledger) return null;
  const measured = comparableTests({ content, versionId, ledger }).flatMap((t) =>
    t.body.measurements.filter((m) => !m.setAside),
  );
  const rows = rowsOf({ brief, design, ledger, measured }, every);
  return (
    <section className="block">
      <h2>
        Asked, predicted, measured{' '}
        <span className="right">
          <MarkLegend />
        </span>
      </h2>
      <div
        className="scrollx high430 scrolls"
        // scrolled by keys too
        tabIndex={0}
        role="region"
        aria-label="Asked, predicted, measured: all rows"
      >
        <table
          className="sheet fixed small"

          aria-label="Asked, predicted, measured"
        >
          <thead>
            <tr>
              <th>Quantity</th>
              <th className="num w112">Asked</th>
              <th className="num w122">Predicted</th>
              <th className="num w130">Measured</th>
              <th className="w90">On one scale</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, id, state, def, place, marks }) => (
              <tr
                key={key}
                // why is told of numbers of a state, not of one leg
                {...(place ? {} : { className: 'clickable', onClick: () => setWhy({ id, state }) })}
              >
                <td>
                  {def.name}{' '}
                  <span className="dim tiny">
                    {[design.states.find((l) => l.id === state)?.name, place].filter(Boolean).join(', ')}
                  </span>
                </td>
                <td className="num">{askedText(marks.asked, def.kind, units)}</td>
                <td className="num">{measuredText(marks.predicted, def.kind, units)}</td>
                <td className="num measuredtext">{measuredText(marks.measured, def.kind, units)}</td>
                <td>
                  {saysSomething(marks) && (
                    <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button variant="subtle" onClick={() => setEvery(!every)}>
        {every ? 'Only what is asked or measured' : 'Every quantity'}
      </Button>
    </section>
  );
}
