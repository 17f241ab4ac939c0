/** Rules of construction and of handling that a brief may ask for. */
import { describe, expect, it } from 'vitest';
import { assess, entryOf, type QuantityId } from '../assess';
import { bitternCanardDocument, bitternDocument, craneDocument, gnatDocument } from '../demo';
import { setPath, type DesignDocument } from '../design';
import { boxOf } from './rules';

const value = (d: DesignDocument, id: QuantityId, state: string) =>
  entryOf(assess(d.brief, d.design, d.calibration), id, state)?.value;

describe('the box of the parted aircraft', () => {
  it('is as long as the longest piece, as wide as the widest, as high as all laid flat', () =>
    expect(
      boxOf([
        { length: 0.8, width: 0.25, height: 0.03, count: 2 },
        { length: 0.12, width: 1.1, height: 0.1, count: 1 },
      ]),
    ).toEqual({ length: 1.1, width: 0.25, height: 0.16 }));
  it('a joint in the middle halves its length', () => {
    const whole = setPath(bitternDocument(), 'design.surfaces.wing.joints', []),
      parted = setPath(whole, 'design.surfaces.wing.joints', [0]);
    const [a, b] = [whole, parted].map((d) => value(d, 'boxLength', 'all')!);
    expect(b).toBeLessThan(a);
  });
});

describe('what is fitted', () => {
  it('cells, full volts and the largest propeller', () => {
    const bittern = bitternDocument();
    expect(value(bittern, 'cells', 'all')).toBe(4);
    expect(value(bittern, 'fullVoltage', 'all')).toBeCloseTo(16.8, 9);
    expect(value(bittern, 'propellerSize', 'all')).toBeCloseTo(0.254, 9);
    expect(value(craneDocument(), 'propellerSize', 'all')).toBeGreaterThan(0.2);
  });
  it('rubber has a propeller and no volts', () => {
    expect(value(gnatDocument(), 'propellerSize', 'all')).toBeGreaterThan(0.1);
    expect(value(gnatDocument(), 'fullVoltage', 'all')).toBeUndefined();
  });
});

describe('handling', () => {
  it('a foreplane set flatter stalls later: its lead is less', () => {
    const canard = bitternCanardDocument(),
      fore = canard.design.surfaces.find((s) => s.role === 'canard')!,
      flat = setPath(canard, `design.surfaces.${fore.id}.incidence`, fore.incidence - 0.05),
      state = canard.design.states[0].id;
    expect(value(flat, 'foreplaneLead', state)!).toBeLessThan(value(canard, 'foreplaneLead', state)!);
  });
  it('half the throw is used up twice as far', () => {
    const doc = bitternDocument(),
      tail = doc.design.surfaces.find((s) => s.controls.some((c) => c.kind === 'elevator'))!,
      control = tail.controls.find((c) => c.kind === 'elevator')!,
      half = setPath(
        doc,
        `design.surfaces.${tail.id}.controls.${control.id}.maxDeflection`,
        control.maxDeflection / 2,
      );
    expect(value(half, 'pitchThrow', 'tubes-8')!).toBeCloseTo(2 * value(doc, 'pitchThrow', 'tubes-8')!, 6);
  });
});
