/**
 * The layout report end to end: every template assesses, the tail-heavy Bittern is mended by one fix, states and
 * modes make sense.
 */
import { sentence } from '../words';
import { describe, expect, it } from 'vitest';
import {
  bitternCanardDocument,
  bitternDocument,
  craneDocument,
  starterDocument,
  waferDocument,
} from '../demo';
import { documentSchema, FACTOR_IDS, referenceProblems, setPath, type DesignDocument } from '../design';
import { LAYOUT_TEMPLATES } from '../layout';
import { planformOf } from '../surface';
import { assess, entryOf, StepCache, type QuantityId } from '../assess';
import { growthReport, layoutAdvice, layoutReport } from './index';

function report(
  doc: DesignDocument,
  loading = doc.design.states[doc.design.states.length - 1].id,
  stall?: 'level' | 'turn' | 'sideslip' | 'rolling',
) {
  const cache: StepCache = new StepCache(),
    ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  return {
    ledger,
    r: layoutReport(doc, ledger, loading, cache, { stall }),
    cache,
  };
}

describe('every layout', () => {
  it.each(LAYOUT_TEMPLATES.filter((t) => !t.wingless).map((t) => [t.id, t] as const))(
    '%s assesses end to end: valid document, stable, trimmed, with a stall and modes',
    (id, t) => {
      const base = starterDocument(),
        doc = { ...base, design: t.make(base.design) };
      expect(documentSchema.safeParse(doc).success).toBe(true);
      expect(referenceProblems(doc)).toEqual([]);
      const { ledger, r } = report(doc);
      expect(ledger.stopped).toBeNull();
      expect(entryOf(ledger, 'staticMargin', 'loaded')!.value).toBeGreaterThan(0.02);
      expect(r.trim.status).toBe('trimmed');
      expect(Math.abs(r.trim.elevator)).toBeLessThan(0.3);
      expect(r.modes.filter((m) => m.name === 'pitch divergence')).toEqual([]);
      expect(r.stall.clMax).toBeGreaterThan(0.5);
      expect(r.stall.first.length).toBeGreaterThan(0);
      expect(r.derivatives.Cnbeta).toBeGreaterThan(0);
      if (id === 'canard' || id === 'tandem' || id === 'closed')
        expect(r.stall.first[0].surface).toBe(id === 'canard' ? 'foreplane' : 'wing');
      if (id === 'polyhedral') expect(r.stall.aileronReserve).toBeNull();
    },
    90_000,
  );
});

describe('one neutral point and what was learnt', () => {
  it.each([bitternDocument, bitternCanardDocument, craneDocument, waferDocument].map((make) => ({ make })))(
    'the stiffness in pitch is the ledger’s margin times the lift slope: $make.name',
    ({ make }) => {
      const doc = make(),
        loading = doc.design.states[0].id,
        { ledger, r } = report(doc, loading);
      const margin = entryOf(ledger, 'staticMargin', loading)!.value;
      expect(-r.derivatives.Cmalpha / r.derivatives.CLalpha).toBeCloseTo(margin, 9);
    },
  );
  it('modes feel the drag that tests have taught: twice the drag area damps the phugoid more', () => {
    const doc = craneDocument(),
      learnt = {
        ...doc,
        calibration: {
          ...doc.calibration,
          mean: doc.calibration.mean.map((v, i) => (FACTOR_IDS[i] === 'dragArea' ? 2 * v : v)),
        },
      };
    const damping = (d: DesignDocument) => {
      const cache: StepCache = new StepCache(),
        ledger = assess(d.brief, d.design, d.calibration, cache);
      return layoutReport(d, ledger, 'cruise-full', cache, {
        speed: 16,
      }).modes.find((m) => m.name === 'phugoid')!.damping!;
    };
    expect(damping(learnt)).toBeGreaterThan(1.2 * damping(doc));
  });
});

describe('the demos', () => {
  it('the Bittern is tail-heavy, says which state is worst, and one fix puts every state inside', () => {
    const doc = bitternDocument(),
      { ledger, r } = report(doc);
    const finding = ledger.findings.find((f) => f.station === 'balance')!;
    expect(sentence(finding)).toMatch(/tail-heavy/);
    expect(sentence(r.worst!.said)).toMatch(/12 tubes/);
    const mended = finding.fix!.changes.reduce((d, c) => setPath(d, `design.${c.path}`, c.value), doc);
    const after = report(mended);
    expect(after.ledger.findings.some((f) => f.station === 'balance')).toBe(false);
    expect(after.r.states.every((s) => s.inside)).toBe(true);
  });
  it('its wing stalls root first with washout and its ailerons still answer (trade)', () => {
    const { r } = report(bitternDocument());
    expect(r.stall.first[0].surface).toBe('wing');
    expect(r.stall.first[0].eta).toBeLessThan(0.4);
    expect(r.stall.aileronReserve!).toBeGreaterThan(0.04);
  });
  it('in the lap turn the right, inner wing goes first', () => {
    const turn = report(bitternDocument(), 'tubes-12', 'turn').r;
    expect(turn.stall.first[0].side).toBe('right');
  });
  it('the Wafer flies as a glider: no power numbers, a warp that drifts, states that differ by the clay', () => {
    const { ledger, r } = report(waferDocument());
    expect(entryOf(ledger, 'staticThrust', 'all')).toBeUndefined();
    expect(entryOf(ledger, 'glideRatio', 'clay-front')!.value).toBeGreaterThan(4);
    expect(r.warp!.drifts).not.toBe('straight');
    expect(r.states[0].margin).toBeGreaterThan(r.states[1].margin + 0.005);
  });
  it('the Crane hovers about its rotors, and towing shows as drag and as a state of its own', () => {
    const towed = { mass: 0.5, dragArea: 0.006, line: 6, lineDiameter: 0.0015, x: 0.42, z: -0.06 };
    const doc = setPath(craneDocument(), 'design.states.cruise-empty.towed', towed);
    const { ledger, r } = report(doc, 'cruise-empty');
    expect(r.hover!.thrustToWeight).toBeGreaterThan(2);
    // the slanting line is dragged upward: it pulls back more than the body alone and down less than its weight
    expect(r.tow!.weight).toBeLessThan(0.52 * 9.81);
    expect(r.tow!.drag).toBeGreaterThan(0.5 * 1.22 * r.speed ** 2 * 0.006);
    expect(entryOf(ledger, 'topSpeed', 'cruise-empty')!.value).toBeLessThan(
      entryOf(ledger, 'topSpeed', 'cruise-full')!.value,
    );
  }, 60_000);
  it('the canard branch keeps its foreplane ahead of the stall', () => {
    const { r } = report(bitternCanardDocument());
    expect(r.stall.first[0].surface).toBe('foreplane');
    expect(r.schools.map((s) => s.id)).toContain('foreplane');
  }, 60_000);
});

describe('advice and growth', () => {
  it('an untwisted, tapered wing asks for washout; with it the ailerons answer as long as wanted', () => {
    const doc = bitternDocument(),
      wing = doc.design.surfaces[0];
    wing.stations = [
      { ...wing.stations[0], chord: 0.3 },
      { ...wing.stations[2], twist: 0.01, chord: 0.18 },
    ];
    doc.design.flight.aileronReserve = 0.08;
    const { ledger, cache, r } = report(doc, 'tubes-8');
    expect(r.stall.aileronReserve!).toBeLessThan(0.08);
    const a = layoutAdvice(doc.brief, doc.design, doc.calibration, ledger, 'tubes-8', cache);
    expect(a.washout!.twist).toBeLessThan(0);
    const mended = a.washoutFix!.changes.reduce((d, c) => setPath(d, `design.${c.path}`, c.value), doc);
    expect(report(mended, 'tubes-8').r.stall.aileronReserve!).toBeGreaterThan(r.stall.aileronReserve! + 0.01);
    expect(a.tail!.factor).toBeGreaterThan(0.2);
    expect(sentence(a.decalage!.said)).toMatch(/controls in line/);
  }, 90_000);
  it('growth names the requirement that goes first, at a mass above today’s', () => {
    const doc = bitternDocument(),
      g = growthReport(doc.brief, doc.design, doc.calibration, new StepCache());
    expect(g.breaks.length).toBeGreaterThan(0);
    expect(g.breaks[0].emptyMass).toBeGreaterThan(g.now);
    expect(g.breaks.map((b) => b.factor)).toEqual([...g.breaks.map((b) => b.factor)].sort((a, b) => a - b));
  }, 60_000);
  it('an unknown state is refused with its name', () => {
    const doc = bitternDocument(),
      cache: StepCache = new StepCache(),
      ledger = assess(doc.brief, doc.design, doc.calibration, cache);
    expect(() => layoutReport(doc, ledger, 'nowhere', cache)).toThrow(/nowhere/);
  });
});

describe('words for the pilot', () => {
  it('a CG behind the neutral point diverges and is told not to be flown', () => {
    const doc = setPath(bitternDocument(), 'design.items.battery.x', 0.9);
    const { r } = report(doc, 'ferry');
    expect(r.handling.find((h) => h.id === 'margin')!.judgement).toBe('stop');
    expect(r.handling.some((h) => h.id === 'pitch divergence')).toBe(true);
  });
  it('a tiny fin wags or does not weathercock at all', () => {
    const doc = bitternDocument();
    doc.design.surfaces[2].stations = doc.design.surfaces[2].stations.map((s) => ({
      ...s,
      y: s.y * 0.25,
      chord: s.chord * 0.4,
    }));
    const { ledger, r } = report(doc, 'ferry');
    expect(r.handling.find((h) => h.id === 'yaw')!.judgement).toBe('stop');
    expect(ledger.findings.some((f) => /weathercocks/.test(sentence(f)))).toBe(true);
  });
});

describe('closed and tandem pairs: both wings are the reference and each carries its own lift', () => {
  it.each(['tandem', 'closed'])(
    '%s: wing loading by both areas, named; the spar of the front wing bears its share',
    (id) => {
      const base = starterDocument(),
        doc = { ...base, design: LAYOUT_TEMPLATES.find((t) => t.id === id)!.make(base.design) },
        loading = doc.design.states[0].id;
      const { ledger, r } = report(doc, loading);
      const areas = doc.design.surfaces.filter((s) => s.role !== 'fin').map((s) => planformOf(s).area);
      const value = (q: QuantityId) => entryOf(ledger, q, loading)!.value;
      expect(value('wingArea')).toBeCloseTo(areas[0] + areas[1], 9);
      expect(value('wingLoading')).toBeCloseTo(value('mass') / (areas[0] + areas[1]), 6);
      expect(
        entryOf(ledger, 'wingArea', 'all')!
          .warnings.map((w) => sentence(w))
          .join(' '),
      ).toMatch(/Front wing and Rear wing together/);
      expect(r.shares.wing + r.shares.rear).toBeCloseTo(1, 6);
      // alone, the front wing with its spar would break sooner by its share of the lift
      const alone = {
        ...doc,
        design: {
          ...doc.design,
          surfaces: doc.design.surfaces.filter((s) => s.id !== 'rear' && s.id !== 'plates'),
        },
      };
      const whole = entryOf(report(alone, loading).ledger, 'failLoadFactor', loading)!.value;
      expect(value('failLoadFactor') / whole).toBeGreaterThan(1.4);
      expect(value('failLoadFactor') / whole).toBeLessThan(2.6);
    },
  );
});
