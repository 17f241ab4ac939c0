'use client';
/** The drive at a glance. */
import type { Place } from '@skiametra/core/trial';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import type { Tab } from './Power';

/** The place of work that a tab is. */
export const PLACE_OF: Partial<Record<Tab, Place>> = {
  drive: 'drive',
  choose: 'drive',
  energy: 'drive',
  supply: 'drive',
  bench: 'bench',
  rubber: 'rubber',
  hover: 'hover',
};

/** The small figures of the drive that have no uncertainty of their own. */
export function Card({ report }: { report: PowerReport }) {
  const units = useWorkspace((w) => w.units);
  const c = report.cards!,
    v = report.volts!,
    line = (n: string, t: string) => (
      <div key={n} className="line apart gap8 note">
        <span className="dim">{n}</span>
        <span className="num">{t}</span>
      </div>
    );
  return (
    <section className="block" aria-label="More of the drive">
      <h2>More of the drive</h2>
      {line('Pitch speed', formatQuantity(c.still.pitchSpeed, 'speed', units))}
      {line('Grams per watt, standing', formatNumber(c.still.gramsPerWatt, 3))}
      {line(
        'Flying, full throttle',
        `${formatQuantity(c.flight.thrust, 'force', units)}, ${formatQuantity(c.flight.current, 'current', units)}`,
      )}
      {line(
        'Volts: label, full, loaded',
        `${v.printed.toFixed(1)}, ${v.full.toFixed(1)}, ${v.loaded.toFixed(1)}`,
      )}
      {report.largestPropeller !== null &&
        line('Largest that clears by 25 mm', formatQuantity(report.largestPropeller, 'length', units))}
      {report.idle &&
        line(
          'Drag, stopped; turning free',
          `${formatQuantity(report.idle.stopped, 'dragArea', units)}; ${formatQuantity(report.idle.windmilling, 'dragArea', units)}`,
        )}
      {report.idle?.folded != null &&
        line('Drag, folded', formatQuantity(report.idle.folded, 'dragArea', units))}
      {report.stalledBlade !== null &&
        line('Blade stalled, standing', `${(100 * report.stalledBlade).toFixed(0)} %`)}
      {report.from && line('Coefficients from', report.from)}
      {report.discharge &&
        line(
          'Full throttle, standing',
          `${formatQuantity(report.discharge.full.time, 'duration', units)}, ${report.discharge.full.end}`,
        )}
    </section>
  );
}
