'use client';
/** The three marks on one scale: bracket asked, hollow diamond with its soft band predicted, disc with whisker measured. */
import { formatQuantity, type KindName, type UnitSystem } from '@skiametra/core/units';
import { describeMarks, placeOn, scaleOf, type Marks, type Measured, type Scale } from './marks';

const H = 20,
  Y = 10;

const pct = (x: number) => `${x.toFixed(2)}%`;

/** A shape at a value, or an arrow at the end beyond which the value lies. Shapes are in pixels, so that none is stretched. */
function Mark({ scale, value, shape, className }: MarkProps) {
  const { at, beyond } = placeOn(scale, value);
  return (
    <svg x={pct(at)} y={0} width={1} height={H} overflow="visible" className={className}>
      {beyond === 0 ? (
        <path d={shape} />
      ) : (
        <path className="beyond" d={beyond > 0 ? 'M -6 5 l 6 5 l -6 5' : 'M 6 5 l -6 5 l 6 5'} />
      )}
    </svg>
  );
}
interface MarkProps {
  scale: Scale;
  value: number;
  shape: string;
  className: string;
}

function Band({ scale, of }: { scale: Scale; of: Measured }) {
  const from = placeOn(scale, of.value - of.sigma).at,
    to = placeOn(scale, of.value + of.sigma).at;
  return <rect className="predictedband" x={pct(from)} width={pct(to - from)} y={Y - 4} height={8} />;
}

function Whisker({ scale, of }: { scale: Scale; of: Measured }) {
  const from = placeOn(scale, of.value - of.sigma).at,
    to = placeOn(scale, of.value + of.sigma).at;
  return <line className="whisker" x1={pct(from)} x2={pct(to)} y1={Y} y2={Y} />;
}

const DIAMOND = `M 0 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`,
  DISC = `M -3.6 ${Y} a 3.6 3.6 0 1 0 7.2 0 a 3.6 3.6 0 1 0 -7.2 0`;

export interface ThreeMarkProps {
  name: string;
  marks: Marks;
  kind: KindName;
  units: UnitSystem;
  /** shared with the bars beside it; its own where left out */ scale?: Scale;
}

/** A scale with its marks; its ends are named on hover and to screen readers. */
export function ThreeMark({ name, marks, kind, units, scale = scaleOf([marks]) }: ThreeMarkProps) {
  const { asked, predicted, measured, ghost, states = [] } = marks,
    [low, high] = scale;
  return (
    <span className="threemark">
      <svg width="100%" height={H} role="img" aria-label={describeMarks(name, marks, kind, units, scale)}>
        <line className="axis" x1="0%" x2="100%" y1={Y} y2={Y} />
        {states.map((v, i) => (
          <Mark key={i} scale={scale} value={v} shape={`M 0 ${Y} v 6`} className="statetick" />
        ))}
        {asked?.min != null && (
          <Mark scale={scale} value={asked.min} shape="M 4 3 H 0 V 17 H 4" className="askedmark" />
        )}
        {asked?.max != null && (
          <Mark scale={scale} value={asked.max} shape="M -4 3 H 0 V 17 H -4" className="askedmark" />
        )}
        {ghost != null && <Mark scale={scale} value={ghost} shape="M 0 3 V 17" className="ghostmark" />}
        {predicted && <Band scale={scale} of={predicted} />}
        {predicted && (
          <Mark scale={scale} value={predicted.value} shape={DIAMOND} className="predictedmark" />
        )}
        {measured && <Whisker scale={scale} of={measured} />}
        {measured && <Mark scale={scale} value={measured.value} shape={DISC} className="measuredmark" />}
      </svg>
      <span className="ends" aria-hidden="true">
        <span>{formatQuantity(low, kind, units)}</span>
        <span>{formatQuantity(high, kind, units)}</span>
      </span>
    </span>
  );
}

/** What the three marks mean, once per screen. */
export function MarkLegend() {
  return (
    <div className="legend" aria-hidden="true">
      <span>
        <svg width={12} height={H} className="askedmark">
          <path d="M 8 3 H 4 V 17 H 8" />
        </svg>
        asked
      </span>
      <span>
        <svg width={20} height={H} className="predictedmark">
          <rect className="predictedband" x={1} y={Y - 4} width={18} height={8} />
          <path d={`M 10 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`} />
        </svg>
        predicted
      </span>
      <span>
        <svg width={18} height={H} className="measuredmark">
          <line className="whisker" x1={1} x2={17} y1={Y} y2={Y} />
          <circle cx={9} cy={Y} r={3.6} />
        </svg>
        measured
      </span>
    </div>
  );
}
