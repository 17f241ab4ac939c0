'use client';
/** Why combinations were passed over. */
import type { OutReason } from '@skiametra/core/power';
import type { Found } from './useMatch';

const REASON: Record<OutReason, string> = {
  diameter: 'propeller too large for the ground',
  cells: 'too many cells',
  current: 'over the motor’s current',
  'pack current': 'over the pack’s current',
  fuse: 'over the rule’s current',
  controller: 'no controller',
  'tip speed': 'tips too fast',
  mass: 'too heavy',
  'no level flight': 'no level flight',
  climb: 'climbs too little',
  strip: 'strip too short',
  time: 'flies too short',
};

export function Reasons({ found }: { found: Found }) {
  const list = Object.entries(found.out).sort((a, b) => b[1] - a[1]),
    most = Math.max(1, ...list.map((l) => l[1]));
  return (
    <section className="block" aria-label="Why the others are out">
      <h2>Why the others are out</h2>
      {list.map(([k, n]) => (
        <div key={k} className="small">
          <div className="line">
            <span>{REASON[k as OutReason]}</span>
            <span className="num atend">{n}</span>
          </div>
          <div className="tally" style={{ width: `${(100 * n) / most}%` }} />
        </div>
      ))}
    </section>
  );
}
