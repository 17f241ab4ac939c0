'use client';
/** The three marks on one scale: bracket asked, hollow diamond with its soft band predicted, disc with whisker measured. */
import {
  formatQuantity,
  formatSpread,
  formatValue,
  shownUnit,
  unitLabel,
  type KindName,
  type UnitSystem,
} from '@skiametra/core/units';

export interface Marks {
  asked: { min: number | null; max: number | null } | null;
  predicted: { value: number; sigma: number } | null;
  measured: { value: number; sigma: number } | null;
  ghost?: number | null;
}

/** Scale that holds every mark with a little room. */
export function markScale(m: Marks): [number, number] {
  const xs: number[] = [];
  if (m.asked?.min != null) xs.push(m.asked.min);
  if (m.asked?.max != null) xs.push(m.asked.max);
  if (m.predicted)
    xs.push(m.predicted.value - 1.4 * m.predicted.sigma, m.predicted.value + 1.4 * m.predicted.sigma);
  if (m.measured) xs.push(m.measured.value - m.measured.sigma, m.measured.value + m.measured.sigma);
  if (m.ghost != null) xs.push(m.ghost);
  if (xs.length === 0) return [0, 1];
  let lo = Math.min(...xs),
    hi = Math.max(...xs);
  const floor = 0.08 * Math.max(Math.abs(lo), Math.abs(hi), 1e-9);
  if (hi - lo < floor) {
    const mid = 0.5 * (lo + hi);
    lo = mid - floor / 2;
    hi = mid + floor / 2;
  }
  const pad = 0.1 * (hi - lo);
  return [lo - pad, hi + pad];
}

export function describeMarks(name: string, m: Marks, kind: KindName, system: UnitSystem): string {
  const parts = [name];
  const withSpread = ({ value, sigma }: { value: number; sigma: number }) =>
    `${formatQuantity(value, kind, system)} plus or minus ${formatSpread(sigma, kind, system, value)}`;
  if (m.asked?.min != null) parts.push(`asked at least ${formatQuantity(m.asked.min, kind, system)}`);
  if (m.asked?.max != null) parts.push(`asked at most ${formatQuantity(m.asked.max, kind, system)}`);
  if (m.predicted) parts.push(`predicted ${withSpread(m.predicted)}`);
  if (m.measured) parts.push(`measured ${withSpread(m.measured)}`);
  return parts.join(', ');
}

const H = 20,
  Y = 10;

/** Positions are in per cent of the width and shapes in pixels, so that no mark is stretched. */
export function ThreeMark({ marks, label }: { marks: Marks; label: string }) {
  const [lo, hi] = markScale(marks);
  const x = (v: number) => Math.max(0, Math.min(100, ((v - lo) / (hi - lo)) * 100));
  const pct = (v: number) => `${x(v).toFixed(2)}%`;
  const at = (v: number, d: string, props: object) => (
    <svg x={pct(v)} y={0} width={1} height={H} overflow="visible">
      <path d={d} {...props} />
    </svg>
  );
  const { asked, predicted, measured, ghost } = marks;
  const bracket = { fill: 'none', stroke: 'var(--asked)', strokeWidth: 1.6 };
  return (
    <svg
      width="100%"
      height={H}
      role="img"
      aria-label={label}
      style={{ display: 'block', overflow: 'visible' }}
    >
      <line x1="0%" x2="100%" y1={Y} y2={Y} stroke="var(--hair)" />
      {asked?.min != null && at(asked.min, 'M 4 3 H 0 V 17 H 4', bracket)}
      {asked?.max != null && at(asked.max, 'M -4 3 H 0 V 17 H -4', bracket)}
      {ghost != null && (
        <line x1={pct(ghost)} x2={pct(ghost)} y1={4} y2={16} stroke="var(--ghost)" strokeDasharray="2 2" />
      )}
      {predicted && (
        <>
          <rect
            x={pct(predicted.value - predicted.sigma)}
            width={`${(x(predicted.value + predicted.sigma) - x(predicted.value - predicted.sigma)).toFixed(2)}%`}
            y={Y - 4}
            height={8}
            fill="var(--predicted-soft)"
          />
          {at(predicted.value, `M 0 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`, {
            fill: 'var(--paper)',
            stroke: 'var(--predicted)',
            strokeWidth: 1.6,
          })}
        </>
      )}
      {measured && (
        <>
          <line
            x1={pct(measured.value - measured.sigma)}
            x2={pct(measured.value + measured.sigma)}
            y1={Y}
            y2={Y}
            stroke="var(--measured)"
            strokeWidth={1.6}
          />
          <circle cx={pct(measured.value)} cy={Y} r={3.6} fill="var(--measured)" />
        </>
      )}
    </svg>
  );
}

/** What the three marks mean, once per screen. */
export function MarkLegend() {
  return (
    <div className="legend" aria-hidden="true">
      <span>
        <svg width={10} height={16}>
          <path d="M 7 2 H 3 V 14 H 7" fill="none" stroke="var(--asked)" strokeWidth={1.6} />
        </svg>{' '}
        asked
      </span>
      <span>
        <svg width={20} height={16}>
          <rect x={1} y={4} width={18} height={8} fill="var(--predicted-soft)" />
          <path
            d="M 10 3 l 4 5 l -4 5 l -4 -5 z"
            fill="var(--paper)"
            stroke="var(--predicted)"
            strokeWidth={1.6}
          />
        </svg>{' '}
        predicted
      </span>
      <span>
        <svg width={18} height={16}>
          <line x1={1} x2={17} y1={8} y2={8} stroke="var(--measured)" strokeWidth={1.6} />
          <circle cx={9} cy={8} r={3.6} fill="var(--measured)" />
        </svg>{' '}
        measured
      </span>
    </div>
  );
}

export function valueText(si: number, kind: KindName, system: UnitSystem): { value: string; unit: string } {
  return { value: formatValue(si, kind, system), unit: unitLabel(shownUnit(kind, system)) };
}
