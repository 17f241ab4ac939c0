'use client';
/** The stall in words, and what would change its order. */
import { AILERON_RESERVE } from '@skiametra/core/surface';
import type { LayoutReport } from '@skiametra/core/views';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export const deg = (r: number, n = 1) => `${((r * 180) / Math.PI).toFixed(n)}°`;

export function StallWords({ report }: { report: LayoutReport }) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const wanted = useWorkspace((w) => w.content.document.design.flight.aileronReserve) ?? AILERON_RESERVE;
  const { first, aileronReserve, aileronsLost } = report.stall;
  const name = (id: string) => surfaces.find((s) => s.id === id)?.name ?? id;
  const wing = first.find((f) => surfaces.find((s) => s.id === f.surface)?.role === 'wing');
  const fore = first.find((f) => surfaces.find((s) => s.id === f.surface)?.role === 'canard');
  const asym = report.stallCase.kind !== 'level';
  const place = (eta: number) =>
    eta < 0.25 ? 'at the root' : eta < 0.6 ? 'in the middle of the half span' : 'at the tip';
  return (
    <section className="block" aria-label="The stall">
      <h2>The stall</h2>
      {wing ? (
        <div>
          <b>{name(wing.surface)}</b> lets go first <b>{place(wing.eta)}</b>
          {asym ? ` on the ${wing.side}` : ''}, at {deg(wing.alpha)} angle of attack (
          {(100 * wing.eta).toFixed(0)} % of the half span).
        </div>
      ) : (
        <div>The wing does not stall up to {deg(report.stall.flows.at(-1)!.alpha, 0)}.</div>
      )}
      {fore && wing && (
        <div className={fore.alpha < wing.alpha ? '' : 'stoptext'}>
          {fore.alpha < wing.alpha
            ? `The foreplane goes ${deg(wing.alpha - fore.alpha)} earlier: the nose drops before the wing can stall.`
            : `The wing goes ${deg(fore.alpha - wing.alpha)} before the foreplane: the nose pitches up into the stall. Do not fly it.`}
        </div>
      )}
      {aileronReserve !== null && wing && (
        <div className={`mt4 ${aileronReserve < wanted ? 'looktext' : ''}`}>
          {aileronsLost === null
            ? 'The ailerons still answer at the end of the map'
            : `Half of the aileron span is gone at ${deg(aileronsLost)}: ${deg(aileronReserve)} after the first stall`}
          {aileronReserve < wanted ? `; ${deg(wanted)} is wanted.` : '.'}
        </div>
      )}
      {first.length > 1 && (
        <div className="dim small mt4">
          Order: {first.map((f) => `${name(f.surface)} ${deg(f.alpha)}`).join(', ')}.
        </div>
      )}
      {report.stall.rough && (
        <div className="dim small">
          Some angles past the stall did not settle: read the order, not the figures there.
        </div>
      )}
      <div className="dim small">
        A prediction to test by tufts, high up. Vortex tabs and turbulators would delay it, at a drag that
        must be flown.
      </div>
    </section>
  );
}
