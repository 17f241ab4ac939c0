/** Arms under load at their end: closed forms of Gere, Mechanics of Materials. */
import { describe, expect, it } from 'vitest';
import { G0 } from '../src/air';
import type { Arm } from '../src/design';
import { armVerdict, materialNamed, type ArmsAsked } from '../src/structure';

const arm = (more: Partial<Arm>): Arm => ({
  id: 'a',
  name: 'A',
  kind: 'arm',
  length: 0.3,
  count: 4,
  shape: { kind: 'rod', outer: 0.01, material: 'alu-6061' },
  ...more,
});
const asked: ArmsAsked = { mass: 4, thrust: 20, q: 300, up: 4, areas: { tail: 0.1 } };
const one = { strength: 1, stiffness: 1 };
const judged = (more: Partial<Arm>, f = one) => armVerdict(arm(more), asked, materialNamed, f)!;
const EI = (68.9e9 * Math.PI * 0.01 ** 4) / 64;

describe('arms', () => {
  it('a rotor’s thrust at the end: P L3 / 3 E I, and 32 P L / pi d3 against the design stress', () => {
    const v = judged({});
    expect(v.droop / ((20 * 0.3 ** 3) / (3 * EI))).toBeCloseTo(1, 6);
    const stress = (32 * 20 * 0.3) / (Math.PI * 0.01 ** 3);
    expect(v.factor / ((0.95 * 276e6) / stress)).toBeCloseTo(1, 6);
  });
  it('a leg let go at no height bears twice its share, from h: 1 + sqrt(1 + 2 h / d) times (Gere, 2.8)', () => {
    const share = (4 * G0) / 2,
      d = (share * 0.3 ** 3) / (3 * EI);
    expect(judged({ kind: 'leg', count: 2, drop: 0 }).load / share).toBeCloseTo(2, 9);
    expect(judged({ kind: 'leg', count: 2, drop: 0.2 }).load / share).toBeCloseTo(
      1 + Math.sqrt(1 + 0.4 / d),
      6,
    );
  });
  it('a leg takes the fall: work done by gravity is what it stores, m g (h + d) = P d / 2', () => {
    const v = judged({ kind: 'leg', count: 1, drop: 0.1 });
    expect((4 * G0 * (0.1 + v.droop)) / ((v.load * v.droop) / 2)).toBeCloseTo(1, 6);
  });
  it('a softer leg is hit less hard, a stronger one bears more, a stiffer one bends less', () => {
    const leg = { kind: 'leg' as const, drop: 0.2 };
    expect(judged(leg, { strength: 1, stiffness: 0.8 }).load).toBeLessThan(judged(leg).load);
    expect(judged({}, { strength: 1.2, stiffness: 1 }).factor / judged({}).factor).toBeCloseTo(1.2, 9);
    expect(judged({}, { strength: 1, stiffness: 2 }).droop / judged({}).droop).toBeCloseTo(0.5, 9);
  });
  it('a boom without a tail, or an arm where nothing lifts, has nothing to bear', () => {
    expect(armVerdict(arm({ kind: 'boom' }), asked, materialNamed, one)).toBeNull();
    expect(armVerdict(arm({}), { ...asked, thrust: null }, materialNamed, one)).toBeNull();
    expect(judged({ kind: 'boom', surface: 'tail', count: 2 }).load).toBeCloseTo((300 * 0.1 * 0.6) / 2, 9);
    expect(judged({ kind: 'mount', hangs: 0.3, count: 1 }).load).toBeCloseTo(0.3 * G0 * 4, 9);
  });
});
