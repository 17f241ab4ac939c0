import { describe, expect, it } from 'vitest';
import { assess } from '@skiametra/core/assess';
import { bitternDocument } from '@skiametra/core/demo';
import { barsOf } from './scoreFrame';

const { brief, design, calibration } = bitternDocument(),
  ledger = assess(brief, design, calibration),
  { bars, zero } = barsOf(ledger, brief.tasks, design.states, ledger);

describe('stacked bars of points', () => {
  it('parts follow each other from nought, and what takes points away stands to its left', () => {
    for (const b of bars) {
      const up = b.parts.filter((p) => p.points > 0),
        down = b.parts.filter((p) => p.points < 0);
      expect(up[0]?.from ?? zero).toBeCloseTo(zero, 9);
      up.slice(1).forEach((p, i) => expect(p.from).toBeCloseTo(up[i]!.to, 9));
      for (const p of down) expect(p.to).toBeLessThanOrEqual(zero + 1e-9);
      for (const p of b.parts) expect(p.from >= -1e-9 && p.to <= 100 + 1e-9).toBe(true);
    }
  });
  it('widths are in the measure of their points', () => {
    const widest = bars.find((b) => b.state === 'tubes-11')!,
      [a, b] = widest.parts.filter((p) => p.points > 0);
    expect((b!.to - b!.from) / (a!.to - a!.from)).toBeCloseTo(b!.points / a!.points, 6);
  });
  it('a state that does not count says why', () => {
    expect(bars.find((b) => b.state === 'tubes-12')!.blocked?.code).toBe('no-points');
    expect(bars.find((b) => b.state === 'tubes-8')!.blocked).toBeUndefined();
  });
});
