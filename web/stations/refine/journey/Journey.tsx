'use client';
/** Each number's way on one scale, version by version: predicted before its tests, measured by each, predicted after. */
import { quantityDef, readRef } from '@skiametra/core/assess';
import type { Measurement } from '@skiametra/core/design';
import { formatMeasured, formatQuantity, formatReading, type KindName } from '@skiametra/core/units';
import { numberName } from '../../../parts/numberName';
import { scaleOf } from '../../../parts/marks/marks';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { LaneMarks } from './LaneMarks';
import { useWay } from './useWay';
import { waysOf, type Lane } from './way';

export function Journey() {
  const stops = useWay(),
    known = useWorkspace((w) => w.ledger !== null);
  if (!known) return null;
  const ways = waysOf(stops);
  return (
    <section className="block" aria-label="Journey of each number">
      <h2>From the drawing to the tests</h2>
      <p className="dim small flush">
        ◇ predicted before its tests · ● measured, one for each reading (faint where it may not teach) · ◆
        predicted now
        {stops.length > 1 && ' · a line for each version on the way to this one'}
      </p>
      {ways.length === 0 && (
        <p className="dim">Nothing measured yet: fly a card in Test, or run the bench in Power.</p>
      )}
      {ways.map((w) => (
        <Way key={w.key} number={w.key} lanes={w.lanes} named={stops.length > 1} />
      ))}
    </section>
  );
}

/** What stands at the head of a number: where it began and where it has come to. */
function Ends({ lanes, kind }: { lanes: readonly Lane[]; kind: KindName }) {
  const units = useWorkspace((w) => w.units),
    first = lanes.flatMap((l) => l.before ?? l.now ?? [])[0],
    last = lanes.flatMap((l) => l.now ?? []).at(-1);
  const text = (e: { value: number; sigma: number }) => formatMeasured(e.value, e.sigma, kind, units);
  return (
    <span className="atend num tiny">
      {first && last && first !== last && <span className="dim">{text(first)} → </span>}
      {last && text(last)}
    </span>
  );
}

interface WayProps {
  /** written reference */ number: string;
  lanes: readonly Lane[];
  /** there are several versions */ named: boolean;
}

function Way({ number, lanes, named }: WayProps) {
  const brief = useWorkspace((w) => w.content.document.brief),
    states = useWorkspace((w) => w.content.document.design.states),
    ref = readRef(number)!,
    { kind } = quantityDef(ref.id)!,
    scale = scaleOf(
      lanes.flatMap(({ before, now, readings }) =>
        [before, now, ...readings.map((r) => r.m)].flatMap((predicted) =>
          predicted ? [{ asked: null, predicted, measured: null }] : [],
        ),
      ),
    );
  return (
    <div className="journey">
      <div className="line gap8 wraps">
        <b className="strong">{numberName(ref.id, ref, brief)}</b>{' '}
        <span className="dim tiny">{states.find((s) => s.id === ref.state)?.name ?? ''}</span>
        <Ends lanes={lanes} kind={kind} />
      </div>
      {lanes.map((lane) => (
        <div key={lane.id} className={named ? 'lane named' : 'lane'}>
          {named && <span className="dim tiny clipped">{lane.name}</span>}
          <LaneMarks {...{ lane, scale, kind }} />
          <Readings lane={lane} kind={kind} />
        </div>
      ))}
    </div>
  );
}

/** A wind of the day that differs from the brief's by less is the same [m/s]. */
const SAME_WIND = 0.5;

/** What of the day makes a reading another one than the prediction for the brief's own day. */
function useDay(): (m: Measurement) => string {
  const units = useWorkspace((w) => w.units),
    { wind } = useWorkspace((w) => w.content.document.brief.site);
  return ({ conditions }) =>
    conditions?.wind === undefined || Math.abs(conditions.wind - wind) < SAME_WIND
      ? ''
      : ` in a wind of ${formatQuantity(conditions.wind, 'speed', units)}`;
}

function Readings({ lane, kind }: { lane: Lane; kind: KindName }) {
  const units = useWorkspace((w) => w.units),
    day = useDay();
  if (lane.readings.length === 0) return null;
  return (
    <div className="dim tiny readings">
      {lane.readings.map(({ m, title }, i) => (
        <span key={i} title={m.from}>
          {i > 0 && ' · '}
          <span className={m.setAside ? '' : 'measuredtext'}>
            {formatReading(m.value, m.sigma, kind, units)}
          </span>{' '}
          {m.source}, {title}
          {day(m)}
        </span>
      ))}
    </div>
  );
}
