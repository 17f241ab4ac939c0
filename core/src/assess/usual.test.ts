/** What is usual depends on what it is: an indoor model, a carrier and a fan are not asked the same. */
import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import { bitternDocument, craneDocument, gnatDocument, starterDocument, waferDocument } from '../demo';
import { setPath, type DesignDocument, powertrainOf, withPowertrain } from '../design';
import { assess, type Ledger, StepCache } from './index';
import { CLASSES, CLASS_WORDS, classOf, usualRanges } from './usual';

const cache: StepCache = new StepCache();
const run = (d: DesignDocument): Ledger => assess(d.brief, d.design, d.calibration, cache);
const asked = (d: DesignDocument) =>
  run(d)
    .findings.filter((f) => f.severity === 'ask')
    .map((f) => sentence(f))
    .join('\n');
const kind = (d: DesignDocument) => classOf(d.design, run(d));

describe('classes', () => {
  it('are told from drive, roof and load', () => {
    expect(kind(bitternDocument())).toBe('carrier');
    expect(kind(craneDocument())).toBe('lift-and-cruise');
    expect(kind(waferDocument())).toBe('glider');
    const light = structuredClone(starterDocument());
    light.design.states = [light.design.states[0]];
    light.brief.watch = [];
    expect(kind(light)).toBe('sport');
    expect(kind(setPath(gnatDocument(), 'design.power.rubber.ceiling', 9))).toBe('indoor');
    const hover = structuredClone(craneDocument());
    hover.design.states = hover.design.states.map((l) => ({ ...l, hover: true }));
    expect(kind(hover)).toBe('multirotor');
  });
  it('law: every class has words and ranges that are the right way round and not nil', () => {
    const { design } = bitternDocument();
    for (const c of CLASSES) {
      expect(CLASS_WORDS[c].length).toBeGreaterThan(5);
      for (const [id, [lo, hi]] of Object.entries(usualRanges(design, c, 0.8))) {
        expect(lo, `${c} ${id}`).toBeLessThan(hi);
        expect(Number.isFinite(hi), `${c} ${id}`).toBe(true);
      }
    }
  });
});

describe('questions', () => {
  it.each([
    ['Bittern', bitternDocument],
    ['Crane', craneDocument],
    ['Gnat', gnatDocument],
    ['Wafer', waferDocument],
  ] as const)('%s as drawn is asked nothing of its ranges', (_name, make) =>
    expect(asked(make())).not.toMatch(/usual for/),
  );
  it('a small fan at 50 000 rpm is no slip of ten (it was asked)', () => {
    const doc = bitternDocument();
    const fan = { diameter: 0.064, hub: 0.4, exitRatio: 0.9, efficiency: 0.7, exitSpeedRatio: 0.45 };
    const [lo, hi] = usualRanges(
      withPowertrain(doc.design, { ...powertrainOf(doc.design), fan }),
      'sport',
      0.5,
    ).staticRpm;
    const rpm = (50_000 * 2 * Math.PI) / 60;
    expect(rpm).toBeGreaterThan(lo);
    expect(rpm).toBeLessThan(hi);
    expect(usualRanges(doc.design, 'sport', 0.5).staticRpm[1]).toBeLessThan(rpm);
  });
  it('a wing of film may bend half its half span; a carrier’s may not', () => {
    const { design } = bitternDocument();
    expect(usualRanges(design, 'indoor', 0.3).tipDeflection[1]).toBeCloseTo(0.18, 9);
    expect(usualRanges(design, 'carrier', 0.3).tipDeflection[1]).toBeCloseTo(0.06, 9);
    const soft = setPath(bitternDocument(), 'design.structure.members.spar.shape', {
      kind: 'tube',
      outer: 0.003,
      wall: 0.0005,
      material: 'glass-tube',
    });
    expect(asked(soft)).toMatch(/usual for a load carrier is/);
  });
  it('a slip of ten is named as one', () => {
    const wide = setPath(bitternDocument(), 'design.items.battery.planned', { kind: 'mass', mass: 40 });
    expect(asked(wide)).toMatch(
      /usual for .* is .* to .*\.( A slip of ten, or a wrong unit\?| Is that what was meant\?)/,
    );
  });
});

describe('two values for one thing', () => {
  it('rotors drawn in one size and driven in another are shown as a conflict, with the mend', () => {
    const doc = craneDocument();
    const clash = {
      ...doc,
      design: {
        ...doc.design,
        thrusters: doc.design.thrusters.map((t) => (t.drive === 'lift' ? { ...t, diameter: 0.3 } : t)),
      },
    };
    const f = run(clash).findings.find((x) => /is drawn 300 mm across/.test(sentence(x)))!;
    expect(f.severity).toBe('ask');
    const mended = f.fix!.changes.reduce((d, c) => setPath(d, c.path, c.value), clash.design);
    expect(powertrainOf(mended).rotors![0].diameter).toBe(
      powertrainOf(clash.design).lift!.propeller.diameter,
    );
  });
  it('parts typed as masses are asked about once, with the mend', () => {
    const doc = bitternDocument();
    const typed = setPath(doc, 'design.items.motor.planned', { kind: 'mass', mass: 0.128 });
    const f = run(typed).findings.find((x) => /typed as a mass/.test(sentence(x)))!;
    expect(sentence(f)).toMatch(/^Motor: typed as a mass/);
    const mended = f.fix!.changes.reduce((d, c) => setPath(d, c.path, c.value), typed.design);
    expect(mended.items.find((i) => i.id === 'motor')!.planned.kind).toBe('part');
    expect(asked(doc)).not.toMatch(/typed as/);
  });
});
