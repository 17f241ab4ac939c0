'use client';
/** How it stands and rolls. */
import type { LayoutReport } from '@skiametra/core/views';
import { Sentence } from '../../../parts/Sentence';
import { deg, pct } from '../saidAs';
import { useMillimetres } from './useMillimetres';

export function GroundCheck({ report }: { report: LayoutReport }) {
  const { ground, inGround, groundRemarks } = report;
  return (
    <section className="block">
      <h2>On the ground</h2>
      {!ground && <p className="dim flush">Enter wheels or skids under Shape, Body.</p>}
      {ground && <Stance ground={ground} />}
      {ground && inGround && (
        <div className="dim note">
          Rolling, the wing stands {pct(inGround.height, 0)} of its span above the ground: lift slope ×
          {inGround.slope.toFixed(2)}, induced drag ×{inGround.induced.toFixed(2)}. The ground run is computed
          without it.
        </div>
      )}
      {ground &&
        groundRemarks.map((r) => (
          <div key={r.said.code} className={r.severity === 'stop' ? 'stoptext' : 'looktext'}>
            ▲ <Sentence of={r.said} />
          </div>
        ))}
    </section>
  );
}

function Stance({ ground: g }: { ground: NonNullable<LayoutReport['ground']> }) {
  const mm = useMillimetres();
  const stands = g.kind === 'skid' ? 'Stands on its main wheels only' : `Stands on a ${g.kind}`;
  return (
    <div>
      {stands}: track {mm(g.track)}
      {g.propellerClearance !== null && (
        <>
          , propeller clears the ground by <b className="num">{mm(g.propellerClearance)}</b>
        </>
      )}
      ; overturn angle {deg(g.overturn, 0)}; CG {deg(Math.abs(g.tipBack), 0)}{' '}
      {g.kind === 'tail wheel' ? 'behind' : 'ahead of'} the main wheels; rotates {deg(g.tailStrike, 0)} until{' '}
      {g.strikes} touches
      {g.kind === 'skid' ? '' : `; ${pct(g.endLoad, 0)} of the weight on the ${g.kind}`}.
    </div>
  );
}
