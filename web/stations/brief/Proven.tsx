'use client';
/** Whether a requirement is met, by what, by how much, and which edit broke it. */
import { quantityDef, type RequirementCheck } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { sentence } from '@skiametra/core/words';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const STATUS = {
  met: ['✓', 'met', 'finetext'],
  unproven: ['~', 'not yet proven: within the uncertainty', 'looktext'],
  missed: ['✕', 'missed', 'stoptext'],
  unknown: ['?', 'not computed', 'dim'],
} as const;

export function Proven({ check: c }: { check: RequirementCheck }) {
  const units = useWorkspace((w) => w.units),
    broken = useWorkspace((w) => w.broken[c.requirement.id]),
    [sign, word, tone] = STATUS[c.status],
    kind = quantityDef(c.requirement.quantity)?.kind ?? 'ratio';
  const margin = Number.isFinite(c.margin)
    ? `${c.margin < 0 ? 'over by' : 'to spare'} ${formatQuantity(Math.abs(c.margin), kind, units)}`
    : '';
  return (
    <span title={sentence(c.said, units)} className="proven">
      <span className="oneliner">
        <b className={tone} aria-label={word}>
          {sign}
        </b>{' '}
        <span className="num">{Number.isFinite(c.value) ? formatQuantity(c.value, kind, units) : '–'}</span>
      </span>
      {c.proof === 'measured' && <span className="measuredtext small">measured</span>}
      {margin && <span className={`small ${c.margin < 0 ? 'stoptext' : 'dim'}`}>{margin}</span>}
      {c.status === 'missed' && broken && <span className="small looktext">since {broken}</span>}
    </span>
  );
}
