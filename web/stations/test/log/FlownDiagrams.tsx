'use client';
/** What was flown on the diagrams of the prediction: loads over speed, sink over speed. */
import type { TestBody } from '@skiametra/core/design';
import { predictedSink } from '@skiametra/core/trial';
import { useEffect, useState } from 'react';
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { reportStructure } from '../../../workers/coreClient';
import type { Answers } from '../../../workers/jobs';
import type { Reduced } from '../../../workers/logJobs';

type Envelope = NonNullable<Answers['structure']['wing']>['envelope'];

/** What the air gives and the wing bears, of the state that was flown; null until it is known. */
function useEnvelope(state: string, wanted: boolean): Envelope | null {
  const document = useWorkspace((w) => w.content.document),
    [found, setFound] = useState<Envelope | null>(null);
  useEffect(() => {
    if (!wanted) return;
    let here = true;
    reportStructure({ document, loading: state }).then(
      ({ wing }) => {
        if (here) setFound(wing?.envelope ?? null);
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [document, state, wanted]);
  return found;
}

function loadSeries(e: Envelope, loads: Reduced['loads']): Series[] {
  const top = Math.max(e.fastest, ...loads.map((l) => l.speed)),
    flat = (name: string, n: number, look: Series['look']): Series => ({
      name,
      x: [0, top],
      y: [n, n],
      look,
    });
  const keep = e.up.y.flatMap((n, i) => (n <= 1.15 * e.fails[0] ? [i] : []));
  return [
    { name: 'stall', x: keep.map((i) => e.up.x[i]!), y: keep.map((i) => e.up.y[i]!), look: 'predicted' },
    flat('allowed', e.allowed[0], 'ink'),
    flat('breaks', e.fails[0], 'ghost'),
    {
      name: 'flown',
      x: loads.map((l) => l.speed),
      y: loads.map((l) => l.load),
      look: 'measured',
      marks: true,
    },
  ];
}

/** Sink over speed, as the glides of the log are split. */
function usePolar(body: TestBody): ((speed: number) => number) | null {
  const ledger = useWorkspace((w) => w.ledger),
    brief = useWorkspace((w) => w.content.document.brief);
  return ledger && predictedSink(body, brief, ledger);
}

export function FlownDiagrams({ body, reduced }: { body: TestBody; reduced: Reduced }) {
  const { loads, glides } = reduced,
    envelope = useEnvelope(body.card.state, loads.length > 0),
    polar = usePolar(body);
  const speeds = glides.map((g) => g.speed),
    axis = Array.from(
      { length: 40 },
      (_, i) =>
        0.85 * Math.min(...speeds) + (i / 39) * 1.3 * (Math.max(...speeds) - 0.8 * Math.min(...speeds)),
    );
  const over = envelope ? loads.filter((l) => l.load > envelope.allowed[0]) : [];
  return (
    <>
      {envelope && loads.length > 0 && (
        <ChartFrame
          title="Loads that were flown"
          height={230}
          xName="Airspeed"
          xKind="speed"
          yName="Load factor"
          yKind="loadFactor"
          series={loadSeries(envelope, loads)}
        />
      )}
      {over.length > 0 && (
        <p className="stoptext flush">
          It was loaded beyond what is allowed, at {over[0]!.t.toFixed(1)} s: look the wing over before it
          flies again.
        </p>
      )}
      {glides.length > 0 && polar && (
        <ChartFrame
          title="Sink over airspeed"
          height={210}
          xName="Airspeed"
          xKind="speed"
          yName="Sink"
          yKind="climbRate"
          yFromZero
          series={[
            { name: 'predicted', x: axis, y: axis.map(polar), look: 'predicted' },
            { name: 'steady glides', x: speeds, y: glides.map((g) => g.sink), look: 'measured', marks: true },
          ]}
        />
      )}
    </>
  );
}
