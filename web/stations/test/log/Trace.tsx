'use client';
/** Channels of a log over time, one under the other, with stretches and faults over them; linked to the way from above. */
import { Button, MultiSelect, NativeSelect, RangeSlider } from '@mantine/core';
import type { LogEntry, SegmentKind } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';
import { useEffect, useState, type CSSProperties } from 'react';
import type { Line, Reduced, TraceId } from '../../../workers/logJobs';
import { Bands, bandsHeight, type Window } from './Bands';
import { KINDS } from './segmentKinds';
import { AXIS, TracePanel } from './TracePanel';
import { firstTraces, traceLook } from './traces';
import type { Logs } from './useLogs';

interface TraceProps {
  logs: Logs;
  entry: LogEntry;
  reduced: Reduced;
  window: Window;
  setWindow: (w: Window) => void;
  cursor: number | null;
  setCursor: (t: number | null) => void;
  chosen: Segment | null;
  setChosen: (s: Segment | null) => void;
}

/** Lines of the chosen channels within the window, fetched as they change. */
function useLines(logs: Logs, reduced: Reduced, ids: readonly TraceId[], { from, to }: Window) {
  const [lines, setLines] = useState<Partial<Record<TraceId, Line>>>({});
  const asked = ids.join(' ');
  useEffect(() => {
    let here = true;
    logs.trace(asked.split(' ').filter(Boolean) as TraceId[], from, to).then(
      (l) => {
        if (here) setLines(l);
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
    // `logs` is the same worker all along; what it holds changes with what was reduced
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked, from, to, reduced]);
  return lines;
}

export function Trace(props: TraceProps) {
  const { logs, entry, reduced, window, setWindow, cursor, setCursor, chosen, setChosen } = props,
    [ids, setIds] = useState<TraceId[]>(() => firstTraces(reduced.traces)),
    lines = useLines(logs, reduced, ids, window),
    end = Math.max(1, entry.length);
  const setSegments = (segments: Segment[] | null) => void logs.change(entry, { segments });
  const moved = (s: Segment, to: Window) => {
    const next = { ...s, ...to };
    setChosen(null);
    setSegments(reduced.segments.map((x) => (x === s ? next : x)));
  };
  return (
    <div className="stack gap8">
      <MultiSelect
        size="xs"
        aria-label="Channels shown"
        placeholder="Channels"
        data={reduced.traces.map((id) => ({ value: id, label: traceLook(id).name }))}
        value={ids}
        onChange={(v) => setIds(v as TraceId[])}
        maxValues={6}
      />
      <div
        className="tracestack"
        style={{ '--bands': `${bandsHeight(reduced.legs)}px` } as CSSProperties}
        onPointerMove={(e) => setCursor(timeUnder(e, window))}
        onPointerLeave={() => setCursor(null)}
      >
        <Bands
          segments={reduced.segments}
          legs={reduced.legs}
          {...{ chosen, window }}
          onChoose={setChosen}
          onMove={moved}
        />
        {ids.map((id) => (
          <TracePanel key={id} id={id} line={lines[id]} from={window.from} to={window.to} cursor={cursor} />
        ))}
        <Over {...{ window, chosen, cursor }} faults={reduced.faults} />
      </div>
      <div style={{ marginLeft: AXIS }}>
        <RangeSlider
          size="xs"
          min={0}
          max={end}
          step={end / 1000}
          minRange={Math.min(2, end / 10)}
          value={[window.from, window.to]}
          label={(t) => `${t.toFixed(1)} s`}
          thumbFromLabel="Shown from"
          thumbToLabel="Shown to"
          onChange={([from, to]) => setWindow({ from, to })}
        />
      </div>
      <SegmentTools {...{ entry, reduced, window, chosen, setChosen, setSegments }} />
    </div>
  );
}

function timeUnder(e: React.PointerEvent<HTMLElement>, { from, to }: Window): number | null {
  const box = e.currentTarget.getBoundingClientRect(),
    x = (e.clientX - box.left - AXIS) / (box.width - AXIS);
  return x >= 0 && x <= 1 ? from + x * (to - from) : null;
}

/** Faults that are marked: more are counted beside it. */
const MOST_MARKED = 60;

/** The chosen stretch, places of faults and the time under the pointer, over all panels. */
function Over({
  window,
  chosen,
  cursor,
  faults,
}: Pick<TraceProps, 'window' | 'chosen' | 'cursor'> & { faults: Reduced['faults'] }) {
  const at = (t: number) => (t - window.from) / (window.to - window.from),
    percent = (x: number) =>
      `calc(${AXIS}px + (100% - ${AXIS}px) * ${Math.min(1, Math.max(0, x)).toFixed(5)})`;
  return (
    <>
      {chosen && (
        <div
          className="overband"
          style={{ left: percent(at(chosen.from)), right: `calc(100% - ${percent(at(chosen.to))})` }}
        />
      )}
      {faults
        .filter((f) => f.kind !== 'empty' && f.to >= window.from && f.from <= window.to)
        .slice(0, MOST_MARKED)
        .map((f) => (
          <div
            key={`${f.kind} ${f.channel} ${f.from}`}
            className={`overfault fault-${f.kind}`}
            title={f.kind}
            style={{
              left: percent(at(f.from)),
              width: `max(3px, calc((100% - ${AXIS}px) * ${(at(f.to) - at(f.from)).toFixed(5)}))`,
            }}
          />
        ))}
      {cursor !== null && <div className="overcursor" style={{ left: percent(at(cursor)) }} />}
    </>
  );
}

interface ToolsProps {
  entry: LogEntry;
  reduced: Reduced;
  window: Window;
  chosen: Segment | null;
  setChosen: (s: Segment | null) => void;
  setSegments: (s: Segment[] | null) => void;
}

function SegmentTools({ entry, reduced, window, chosen, setChosen, setSegments }: ToolsProps) {
  const [kind, setKind] = useState<SegmentKind>('glide');
  const add = () => {
    const of = reduced.segments.filter((s) => s.kind === kind).length + 1,
      third = (window.to - window.from) / 3;
    setSegments([
      ...reduced.segments,
      { kind, name: `${kind} by hand ${of}`, from: window.from + third, to: window.to - third },
    ]);
  };
  return (
    <div className="line gap8 low wraps">
      <NativeSelect
        size="xs"
        aria-label="Kind of stretch to add"
        value={kind}
        data={Object.entries(KINDS).map(([value, k]) => ({ value, label: k.name }))}
        onChange={(e) => setKind(e.currentTarget.value as SegmentKind)}
      />
      <Button size="xs" variant="default" onClick={add}>
        Add a stretch in view
      </Button>
      {chosen && (
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            setChosen(null);
            setSegments(reduced.segments.filter((s) => s !== chosen));
          }}
        >
          Take {chosen.name} out
        </Button>
      )}
      {entry.segments && (
        <Button size="xs" variant="subtle" onClick={() => setSegments(null)}>
          All as they are found
        </Button>
      )}
      <span className="dim tiny">
        {entry.segments
          ? 'Stretches were set by hand.'
          : 'Choose a stretch and draw its ends to set it by hand.'}
      </span>
    </div>
  );
}
