/** Every handling note that is offered leads somewhere: a first cause, a test that tells it, and a change where one is due. */
import { sentence } from '../words';
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, type Ledger } from '../assess';
import { bitternDocument, waferDocument } from '../demo';
import { HANDLING, getPath, setPath, type Handling } from '../design';
import { adviseNext, applyFix } from './index';
import { SYMPTOMS } from './symptoms';

const doc = bitternDocument();
let ledger: Ledger;
beforeAll(() => {
  ledger = assess(doc.brief, doc.design, doc.calibration);
});
const noted = (...handling: Handling[]) =>
  adviseNext(doc, ledger, [{ loading: 'tubes-8', handling, test: 'First hop' }]).filter((a) =>
    sentence(a.because).includes('First hop'),
  );

describe('notes', () => {
  it.each(HANDLING.filter((h) => h !== 'as expected'))(
    '“%s” gets its first cause and a test that tells it',
    (h) => {
      const said = noted(h).find((a) => sentence(a.said).includes('To tell: '))!;
      expect(sentence(said.because)).toMatch(new RegExp(`^“${h}” in First hop`));
      expect(sentence(said.said)).toContain(SYMPTOMS[h as keyof typeof SYMPTOMS].test);
      // one note, one piece of advice
      expect(noted(h)).toHaveLength(1);
      expect(sentence(said.said).length).toBeGreaterThan(80);
    },
  );
  it('“as expected” asks for nothing', () => expect(noted('as expected')).toEqual([]));
  it('several notes of one flight are all answered, each under its own id', () => {
    const all = noted('needs down trim', 'climbs under power', 'long ground run');
    expect(all.map((a) => a.because)).toHaveLength(3);
    expect(new Set(all.map((a) => a.id)).size).toBe(3);
  });
  it('a note of a state that is gone still gets its cause, without a figure', () => {
    const gone = adviseNext(doc, ledger, [
      { loading: 'gone', handling: ['long ground run', 'nose-heavy'], test: 'X' },
    ]);
    expect(gone.filter((a) => sentence(a.because).includes('in X'))).toHaveLength(2);
  });
});

describe('changes', () => {
  const incidence = (d = doc.design) => d.surfaces.find((s) => s.role === 'tail')!.incidence;
  it('up trim turns the stabiliser leading edge down, down trim up, a degree at a time', () => {
    const fix = (h: Handling) => noted(h).find((a) => a.fix)!.fix!;
    expect(
      applyFix(doc.design, fix('needs up trim')).surfaces.find((s) => s.role === 'tail')!.incidence,
    ).toBeCloseTo(incidence() - Math.PI / 180, 12);
    expect(incidence(applyFix(doc.design, fix('needs down trim')))).toBeCloseTo(
      incidence() + Math.PI / 180,
      12,
    );
  });
  it('a climb under power asks for down thrust, more where there is some already', () => {
    const fixed = applyFix(doc.design, noted('climbs under power')[0].fix!);
    expect(getPath(fixed, 'thrusters.main.down')).toBeCloseTo((1.5 * Math.PI) / 180, 12);
    const tilted = setPath(doc.design, 'thrusters.main.down', 0.05);
    expect(SYMPTOMS['climbs under power'].fix(tilted)!.changes[0].value).toBeCloseTo(0.05 + 0.02618, 4);
  });
  it('a glider is offered no motor, a tailless one no stabiliser', () => {
    const wafer = waferDocument().design;
    expect(SYMPTOMS['climbs under power'].fix(wafer)).toBeNull();
    expect(SYMPTOMS['needs up trim'].fix(wafer)).toBeNull();
  });
  it('a test is held against the number it tests', () => {
    expect(sentence(noted('spar bends visibly')[0].said)).toMatch(
      /Predicted at 1 g: \d+ ± \d+ mm at the tip/,
    );
    expect(sentence(noted('long ground run')[0].said)).toMatch(/Predicted: \d+\.\d ± \d+\.\d m on \d+\.\d N/);
  });
  it('the thicker spar of the advice says what it weighs, and who adds it', () => {
    const spar = adviseNext(doc, ledger, []).find((a) => a.id === 'spar')!;
    expect(sentence(spar.said)).toMatch(/It weighs \d+ g more; the mass list follows/);
    const loose = {
      ...doc,
      design: { ...doc.design, items: doc.design.items.filter((i) => i.part?.kind !== 'spar') },
    };
    expect(sentence(adviseNext(loose, ledger, []).find((a) => a.id === 'spar')!.said)).toMatch(
      /Add the \d+ g to the mass list/,
    );
  });
});
