'use client';
/** Stretches of the flight as bands over the traces; the chosen one is moved at its ends, by pointer or by keys. */
import { UnstyledButton } from '@mantine/core';
import type { Segment } from '@skiametra/core/log';
import { useRef } from 'react';
import type { Reduced } from '../../../workers/logJobs';
import { KINDS, ROWS } from './segmentKinds';
import { AXIS } from './TracePanel';

export interface Window {
  readonly from: number;
  readonly to: number;
}

interface BandsProps {
  segments: readonly Segment[];
  chosen: Segment | null;
  window: Window;
  legs: Reduced['legs'];
  onChoose: (s: Segment | null) => void;
  onMove: (s: Segment, to: Window) => void;
}

const ROW = 19;
const share = ({ from, to }: Window, t: number) => Math.min(1, Math.max(0, (t - from) / (to - from)));
const percent = (x: number) => `${(100 * x).toFixed(3)}%`;

/** Room that the bands take above the traces [px]. */
export const bandsHeight = (legs: Reduced['legs']) => (ROWS + (legs.length > 0 ? 1 : 0)) * ROW;

/** The rows of bands above the traces. */
export function Bands({ segments, chosen, window, legs, onChoose, onMove }: BandsProps) {
  const seen = segments.filter((s) => s.to > window.from && s.from < window.to);
  return (
    <div
      className="bands"
      style={{ marginLeft: AXIS, height: bandsHeight(legs) }}
      role="group"
      aria-label="Stretches"
    >
      {seen.map((s) => {
        const a = share(window, s.from),
          b = share(window, s.to);
        return (
          <UnstyledButton
            key={`${s.kind} ${s.name} ${s.from}`}
            className={`band band-${s.kind} ${s === chosen ? 'chosen' : ''}`}
            style={{ left: percent(a), width: percent(b - a), top: KINDS[s.kind].row * ROW }}
            aria-pressed={s === chosen}
            aria-label={s.name}
            title={`${s.name}, ${s.from.toFixed(1)} to ${s.to.toFixed(1)} s`}
            onClick={() => onChoose(s === chosen ? null : s)}
          >
            {b - a > 0.07 ? s.name : b - a > 0.022 ? (/\d+$/.exec(s.name)?.[0] ?? '') : ''}
          </UnstyledButton>
        );
      })}
      <Legs {...{ legs, window }} />
      {chosen && <Ends {...{ chosen, window, onMove }} />}
    </div>
  );
}

/** The legs of the mission, as they follow from the stretches: they are not moved themselves. */
function Legs({ legs, window }: Pick<BandsProps, 'legs' | 'window'>) {
  return legs
    .filter((l) => l.to > window.from && l.from < window.to)
    .map((l) => {
      const a = share(window, l.from),
        b = share(window, l.to);
      return (
        <span
          key={`${l.leg} ${l.from}`}
          className="band band-leg"
          style={{ left: percent(a), width: percent(b - a), top: ROWS * ROW }}
          title={`${l.name}, ${l.from.toFixed(1)} to ${l.to.toFixed(1)} s`}
        >
          {b - a > 0.06 ? l.name : ''}
        </span>
      );
    });
}

const STEP = 0.2;

/** Handles at both ends of the chosen stretch. */
function Ends({ chosen, window, onMove }: Pick<BandsProps, 'window' | 'onMove'> & { chosen: Segment }) {
  const moved = (end: 'from' | 'to', t: number) => {
    const next = { from: chosen.from, to: chosen.to, [end]: t };
    if (next.to - next.from >= STEP) onMove(chosen, next);
  };
  return (['from', 'to'] as const).map((end) => <Handle key={end} {...{ end, chosen, window, moved }} />);
}

interface HandleProps {
  end: 'from' | 'to';
  chosen: Segment;
  window: Window;
  moved: (end: 'from' | 'to', t: number) => void;
}

function Handle({ end, chosen, window, moved }: HandleProps) {
  const drag = useRef<number | null>(null),
    at = chosen[end];
  const timeAt = (e: React.PointerEvent<HTMLElement>) => {
    const box = e.currentTarget.parentElement!.getBoundingClientRect();
    return window.from + ((e.clientX - box.left) / box.width) * (window.to - window.from);
  };
  return (
    <span
      className="bandend"
      role="slider"
      tabIndex={0}
      aria-label={`${chosen.name}: ${end === 'from' ? 'begins' : 'ends'}`}
      aria-valuenow={Number(at.toFixed(1))}
      aria-valuemin={window.from}
      aria-valuemax={window.to}
      aria-valuetext={`${at.toFixed(1)} s`}
      style={{ left: percent(share(window, at)), top: KINDS[chosen.kind].row * ROW }}
      onKeyDown={(e) => {
        const by = e.key === 'ArrowLeft' ? -STEP : e.key === 'ArrowRight' ? STEP : 0;
        if (by === 0) return;
        e.preventDefault();
        moved(end, at + by);
      }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = at;
      }}
      onPointerMove={(e) => {
        if (drag.current === null) return;
        drag.current = timeAt(e);
        e.currentTarget.style.left = percent(share(window, drag.current));
      }}
      onPointerUp={() => {
        const t = drag.current;
        drag.current = null;
        if (t !== null && Math.abs(t - at) > 0.05) moved(end, t);
      }}
    />
  );
}
