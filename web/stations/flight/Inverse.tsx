'use client';
/** Asked the other way round: how heavy for such a strip or throw, how long a run or hard a throw for such a mass. */
import { Slider } from '@mantine/core';
import { useState } from 'react';
import { USUAL_THROW } from '@skiametra/core/design';
import { massFor, type ByMass } from '@skiametra/core/views';
import { interpolateLinear } from '@skiametra/core/numeric';
import { formatQuantity } from '@skiametra/core/units';
import { useLiveReport } from '../../parts/useLiveReport';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { reportByMass } from '../../workers/coreClient';

export function Inverse() {
  const { report } = useLiveReport('by mass', ({ document, loading }) => reportByMass({ document, loading }));
  return report && <Asked report={report} />;
}

function Asked({ report }: { report: ByMass }) {
  const strip = useWorkspace((w) => w.content.document.brief.site.stripLength),
    thrown = useWorkspace((w) => w.content.document.design.launch?.throwSpeed ?? USUAL_THROW.speed);
  const usual = report.what === 'run' ? strip : thrown,
    [given, setGiven] = useState<number | null>(null),
    [mass, setMass] = useState<number | null>(null);
  return (
    <section className="block" aria-label="The other way round">
      <h2>
        The other way round <span className="right dim">slide and read</span>
      </h2>
      <GivenStrip report={report} at={given ?? usual} most={2.5 * usual} onChange={setGiven} />
      <GivenMass report={report} at={mass ?? report.mass} onChange={setMass} />
      {report.what === 'run' && <Strips report={report} strip={strip} />}
    </section>
  );
}

/** A short strip and a long one beside the site's: mass, and units of the load, that each allows. */
function Strips({ report, strip }: { report: ByMass; strip: number }) {
  const units = useWorkspace((w) => w.units),
    unit = useWorkspace((w) => w.content.document.design.payload.unitMass),
    count = useWorkspace(
      ({ content, loading }) => content.document.design.states.find((s) => s.id === loading)?.count ?? 0,
    );
  const bare = report.mass - count * unit,
    top = report.masses.at(-1)!;
  const aboard = (m: number) => (unit > 0 ? Math.max(0, Math.floor((m - bare) / unit + 1e-6)) : null);
  return (
    <table className="sheet mt8" aria-label="Strips compared">
      <thead>
        <tr>
          <th>Strip</th>
          <th className="num">Mass</th>
          {unit > 0 && <th className="num">Units</th>}
        </tr>
      </thead>
      <tbody>
        {[0.5, 1, 2].map((k) => {
          const m = massFor(report, k * strip),
            beyond = m !== null && m >= top;
          return (
            <tr key={k} className={k === 1 ? 'chosen' : ''}>
              <td>{formatQuantity(k * strip, 'distance', units)}</td>
              <td className="num">
                {m === null ? 'none' : `${beyond ? 'over ' : ''}${formatQuantity(m, 'allUpMass', units)}`}
              </td>
              {unit > 0 && (
                <td className="num">{m === null ? '–' : `${beyond ? 'over ' : ''}${aboard(m)}`}</td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface SlideProps {
  report: ByMass;
  at: number;
  onChange: (v: number) => void;
}

function GivenStrip({ report, at, most, onChange }: SlideProps & { most: number }) {
  const units = useWorkspace((w) => w.units),
    runs = report.what === 'run',
    found = massFor(report, at),
    top = report.masses.at(-1)!;
  const given = formatQuantity(at, runs ? 'distance' : 'speed', units),
    answer =
      found === null
        ? `allows less than ${formatQuantity(report.masses[0]!, 'allUpMass', units)}`
        : found >= top
          ? `allows more than ${formatQuantity(top, 'allUpMass', units)}`
          : `allows ${formatQuantity(found, 'allUpMass', units)}`;
  return (
    <>
      <p className="flush" aria-live="polite">
        {runs ? `A strip of ${given} ${answer}.` : `A throw of ${given} ${answer}.`}
      </p>
      <Slider
        aria-label={runs ? 'Strip' : 'Throw'}
        thumbLabel={runs ? 'Strip' : 'Throw'}
        min={0}
        max={most}
        step={most / 200}
        value={at}
        onChange={onChange}
        label={null}
        mb="sm"
      />
    </>
  );
}

function GivenMass({ report, at, onChange }: SlideProps) {
  const units = useWorkspace((w) => w.units),
    runs = report.what === 'run',
    asked = interpolateLinear(report.masses, report.asked, at),
    mass = formatQuantity(at, 'allUpMass', units);
  const answer = !Number.isFinite(asked)
    ? `${mass} does not get away.`
    : runs
      ? `${mass} runs ${formatQuantity(asked, 'distance', units)}.`
      : `${mass} wants a throw of ${formatQuantity(asked, 'speed', units)}.`;
  return (
    <>
      <p className="flush" aria-live="polite">
        {answer}
      </p>
      <Slider
        aria-label="All-up mass"
        thumbLabel="All-up mass"
        min={report.masses[0]!}
        max={report.masses.at(-1)!}
        step={report.mass / 200}
        value={at}
        onChange={onChange}
        label={null}
      />
    </>
  );
}
