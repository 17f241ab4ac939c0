'use client';
/** Legs side by side: chosen with a click, or with the arrow keys once one of them has the focus. */
import { formatQuantity } from '@skiametra/core/units';
import type { LegView, MissionReport } from '@skiametra/core/views';
import { useRef, type KeyboardEvent } from 'react';
import type { LegKind } from '@skiametra/core/design';
import { familyOf } from '../../../parts/mission/legKinds';
import { SIGNS } from '../../../parts/mission/legSigns';
import { bandTop, type StripFrame } from '../../../parts/mission/stripFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const HEIGHT = 26,
  EDGE = 9;
/** Margins below these are near, or passed. */
const NEAR = 1.15;

/** What an edge says: passed, near, or nothing. */
export const edgeOf = (l: LegView): 'stop' | 'look' | null =>
  !l.margin ? null : l.margin.ratio < 1 ? 'stop' : l.margin.ratio < NEAR ? 'look' : null;

interface Props {
  f: StripFrame;
  report: MissionReport;
  chosen: number;
  onChoose: (at: number) => void;
}

export function StripBand({ f, report, chosen, onChoose }: Props) {
  const here = useRef<SVGGElement>(null);
  const keys = (e: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1, Home: -Infinity, End: Infinity }[e.key];
    if (step === undefined) return;
    e.preventDefault();
    onChoose(Math.min(report.legs.length - 1, Math.max(0, chosen + step)));
    here.current?.focus();
  };
  return (
    <g role="listbox" aria-label="Legs" tabIndex={0} ref={here} onKeyDown={keys} className="stripband">
      <defs>
        <pattern
          id="legunflown"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink-2)" strokeWidth="1.2" opacity="0.55" />
        </pattern>
      </defs>
      {f.legs.map((b) => (
        <Leg key={b.at} box={b} leg={report.legs[b.at]!} chosen={b.at === chosen} onChoose={onChoose} />
      ))}
    </g>
  );
}

/** Its name where there is room for it, else the sign of its kind. */
function Inside({ box, leg }: { box: StripFrame['legs'][number]; leg: LegView }) {
  const Sign = SIGNS[leg.kind as LegKind];
  if (box.width > 6.4 * leg.name.length + 8)
    return (
      <text x={box.x + 5} y={bandTop + 17}>
        {leg.name}
      </text>
    );
  if (box.width < SIGN + 2) return null;
  return <Sign x={box.x + (box.width - SIGN) / 2} y={bandTop + 6} size={SIGN} stroke={1.5} />;
}

/** [px] */
const SIGN = 14;

interface LegProps {
  box: StripFrame['legs'][number];
  leg: LegView;
  chosen: boolean;
  onChoose: (at: number) => void;
}

function Leg({ box, leg, chosen, onChoose }: LegProps) {
  const units = useWorkspace((w) => w.units),
    edge = edgeOf(leg),
    wide = Math.max(0.5, box.width - 1);
  const title = `${leg.name}: ${formatQuantity(leg.time, 'time', units)}`;
  return (
    <g
      role="option"
      aria-selected={chosen}
      aria-label={title}
      className={leg.reached ? 'stripleg' : 'stripleg unreached'}
      onClick={() => onChoose(box.at)}
    >
      <title>{title}</title>
      <rect x={box.x} y={bandTop} width={wide} height={HEIGHT} className={`leg-${familyOf(leg.kind)}`} />
      {!leg.flown && leg.energy > 0 && (
        <rect x={box.x} y={bandTop} width={wide} height={HEIGHT} fill="url(#legunflown)" />
      )}
      {leg.margin && (
        <rect
          x={box.x}
          y={bandTop + HEIGHT + 1}
          width={wide}
          height={Math.max(1, EDGE * Math.min(1, 1 / leg.margin.ratio))}
          className={`edge-${edge ?? 'fine'}`}
        />
      )}
      {chosen && (
        <rect x={box.x - 1} y={bandTop - 2} width={wide + 2} height={HEIGHT + 4} className="stripchosen" />
      )}
      <Inside box={box} leg={leg} />
    </g>
  );
}
