'use client';
/** Where the built shape rolls, what it may come from, and the flight that tells. */
import type { LayoutReport } from '@skiametra/core/views';
import { deg } from '../saidAs';

export function WarpWords({ warp }: { warp: NonNullable<LayoutReport['warp']> }) {
  const rolls = warp.drifts !== 'straight';
  const none = (warp.causes[0]?.weight ?? 0) === 0;
  return (
    <div className="mt8">
      <b>{rolls ? `Hands off it rolls ${warp.drifts}.` : 'No roll worth naming from the shape.'}</b>{' '}
      {rolls && warp.aileron !== null && `${deg(Math.abs(warp.aileron))} of aileron holds it. `}
      {warp.drops && `At the stall it drops the ${warp.drops} wing.`}
      <div className="dim mt4">Candidate causes, and the flight that tells them apart:</div>
      {warp.causes.map((c) => (
        <div key={c.cause} className={c.weight > 0 || none ? 'note' : 'note dim'}>
          {c.cause}. <span className="dim">{c.test}</span>
        </div>
      ))}
    </div>
  );
}
