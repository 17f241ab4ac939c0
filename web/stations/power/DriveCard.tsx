'use client';
/** The drive at a glance. */
import type { Place } from '@skiametra/core/trial';
import { formatNumber, formatQuantity, type KindName } from '@skiametra/core/units';
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

/** What the propeller does and what the pack gives, in sentences: figures that have no uncertainty of their own. */
export function Card({ report }: { report: PowerReport }) {
  return (
    <>
      <PropellerWords report={report} />
      <PackWords report={report} />
    </>
  );
}

function useSaid() {
  const units = useWorkspace((w) => w.units);
  return (value: number, kind: KindName) => formatQuantity(value, kind, units);
}

function PropellerWords({ report }: { report: PowerReport }) {
  const said = useSaid();
  const { cards, idle, largestPropeller, stalledBlade, from } = report;
  if (!cards) return null;
  const { still, flight } = cards;
  return (
    <section className="block" aria-label="What the propeller does">
      <h2>What the propeller does</h2>
      <p className="below4">
        Its pitch runs out at {said(still.pitchSpeed, 'speed')}; at full throttle in flight it still pulls{' '}
        {said(flight.thrust, 'force')} for {said(flight.current, 'current')}.
      </p>
      <p className="below4">
        Standing it lifts {formatNumber(still.gramsPerWatt, 3)} g for each watt
        {stalledBlade === null ? '' : `, with ${said(stalledBlade, 'percent')} of the blade stalled`}.
      </p>
      {idle && (
        <p className="below4">
          Switched off it drags like {said(idle.stopped, 'dragArea')} stopped,{' '}
          {said(idle.windmilling, 'dragArea')} turning free
          {idle.folded == null ? '' : `, ${said(idle.folded, 'dragArea')} folded`}.
        </p>
      )}
      {largestPropeller !== null && (
        <p className="below4">
          The largest that clears the ground by 25 mm: {said(largestPropeller, 'length')}.
        </p>
      )}
      {from && <p className="dim below4">Coefficients from {from}.</p>}
    </section>
  );
}

function PackWords({ report: { volts, discharge } }: { report: PowerReport }) {
  const said = useSaid();
  if (!volts) return null;
  return (
    <section className="block" aria-label="What the pack gives">
      <h2>What the pack gives</h2>
      <p className="below4">
        {said(volts.full, 'voltage')} full, {said(volts.loaded, 'voltage')} under this load; its label says{' '}
        {said(volts.printed, 'voltage')}.
      </p>
      {discharge && (
        <p className="below4">
          Full throttle, standing: {said(discharge.full.time, 'duration')}, {discharge.full.end}.
        </p>
      )}
    </section>
  );
}
