/** What is known of the aircraft that flew a test: weighed that day, else as it is drawn. */
import { airAt } from '../air';
import { entryNamed, type Ledger } from '../assess';
import type { Brief, TestBody } from '../design';
import { sinkOf, type Flown } from '../log';
import { efficiencyOf } from './fromLog';

type Test = Pick<TestBody, 'record' | 'card'>;

/** Mass, wing area and air of a test; null what is not known. */
export function flownOf({ record, card }: Test, { site }: Brief, ledger: Ledger | null): Flown {
  const at = (id: string) => (ledger && entryNamed(ledger, id, card.state)?.value) ?? null;
  return {
    mass: record.mass ?? at('mass'),
    area: at('wingArea'),
    density: airAt(site.elevation, record.temperature, site.humidity).density,
  };
}

/** Sink over speed as it is predicted for the day of a test; null of what has no wing. */
export function predictedSink(body: Test, brief: Brief, ledger: Ledger): ((speed: number) => number) | null {
  const at = (id: string) => entryNamed(ledger, id, body.card.state)?.value ?? NaN,
    f = at('dragArea'),
    // the factor of a span efficiency is had as the efficiency of a factor is
    k = efficiencyOf(at('spanEfficiency'), at('aspectRatio')),
    { mass, area, density } = flownOf(body, brief, ledger);
  if (!Number.isFinite(f + k) || !mass || !area || !density) return null;
  return (speed) => sinkOf([f, k], speed, { mass, area, density }).sink;
}
