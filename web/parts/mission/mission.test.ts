/** Geometry of a mission strip and of its course. */
import { beforeAll, describe, expect, it } from 'vitest';
import { assess, StepCache } from '@skiametra/core/assess';
import { bitternDocument, craneDocument, dunlinDocument, waferDocument } from '@skiametra/core/demo';
import { LEG_KINDS, type DesignDocument } from '@skiametra/core/design';
import { missionReport, type MissionReport } from '@skiametra/core/views';
import { courseFrame } from './courseFrame';
import { EMPTY, familyOf, FIGURES, kindsFor, LEG_WORDS, MARGIN_WORDS, usualLeg } from './legKinds';
import { SIGNS } from './legSigns';
import { ghostOf, stripFrame, ticksTo } from './stripFrame';

const cache = new StepCache();
function reportOf(doc: DesignDocument, mission: string) {
  const ledger = assess(doc.brief, doc.design, doc.calibration, cache),
    state = doc.design.states[0]!.id;
  return { ledger, report: missionReport(doc, ledger, { mission, state }, cache)! };
}

describe('a mission strip', () => {
  const doc = bitternDocument(),
    mission = doc.brief.missions.find((m) => m.id === 'relay')!,
    names = new Map(mission.rounds.map((r) => [r.id, r.name]));
  let at: { ledger: ReturnType<typeof assess>; report: MissionReport };
  beforeAll(() => {
    at = reportOf(doc, 'relay');
  });

  it('legs lie side by side, in order, inside the picture', () => {
    const f = stripFrame(at.report, names, 1000, []);
    expect(f.legs).toHaveLength(at.report.legs.length);
    f.legs.forEach((b, i) => {
      expect(b.x).toBeGreaterThanOrEqual(f.left);
      expect(b.x + b.width).toBeLessThanOrEqual(f.right + 1);
      const next = f.legs[i + 1];
      if (next) expect(next.x).toBeCloseTo(f.x(at.report.legs[i + 1]!.from), 9);
    });
    expect(f.window).toBeCloseTo(f.x(480), 9);
    expect(f.rounds[0]!.name).toBe('Ready');
    expect(f.rounds.at(-1)!.name).toMatch(/^Crossing \d$/);
  });

  it('a version is its own ghost: over the first round to the same heights, and the clock in round numbers', () => {
    const ghost = ghostOf(mission, at.ledger, 'ferry');
    expect(ghost.length).toBe(at.report.legs.length + 1);
    const [t, h] = ghost[3]!;
    expect(t).toBeCloseTo(at.report.legs[3]!.from, 6);
    expect(h).toBeCloseTo(at.report.legs[2]!.height, 6);
    expect(ghostOf(mission, null, 'ferry')).toEqual([]);
    expect(ticksTo(480)).toEqual([0, 60, 120, 180, 240, 300, 360, 420, 480]);
    expect(ticksTo(3)).toEqual([0, 1, 2, 3]);
  });

  it('its course is drawn to scale: as far as it flies, with the turns that it really flies', () => {
    const { track } = at.report,
      f = courseFrame(at.report, 1.5, null)!;
    expect(f.box[2] / f.box[3]).toBeCloseTo(1.5, 6);
    // over the marsh: run, climb and 200 m out, then round
    expect(track.farthest).toBeGreaterThan(240);
    expect(track.farthest).toBeLessThan(320);
    expect(f.lines.length).toBe(track.lines.length);
  });
});

describe('courses of others', () => {
  it('there and back on rotors ends where it began', () => {
    const { track, legs } = reportOf(dunlinDocument(), 'row').report;
    expect(legs.filter((l) => l.kind === 'drop')).toHaveLength(16);
    // each round is drawn once: the row goes on by a metre each time
    expect(Math.hypot(...track.end)).toBeLessThan(20);
  });
  it('a full turn comes back to the feet of its thrower', () => {
    const { track } = reportOf(waferDocument(), 'turn').report;
    expect(Math.hypot(...track.end)).toBeLessThan(1e-6);
    expect(track.farthest).toBeGreaterThan(1);
  });
});

describe('kinds of leg', () => {
  it.each(LEG_KINDS)('%s has a word, a sign, figures and a beginning', (kind) => {
    expect(LEG_WORDS[kind]).toMatch(/\w/);
    expect(SIGNS[kind]).toBeDefined();
    expect(FIGURES[kind].length).toBeGreaterThan(0);
    expect(familyOf(kind)).toMatch(/ground|up|along|rotors|doing/);
    expect(usualLeg('x', kind, null)).toMatchObject({ id: 'x', kind, state: null });
  });
  it('nothing hovers without rotors, nothing glides without a wing, and what has both changes over', () => {
    const of = (d: DesignDocument) => kindsFor(d.design);
    expect(of(bitternDocument())).not.toContain('hover');
    expect(of(dunlinDocument())).not.toContain('glide');
    expect(of(craneDocument())).toEqual([...LEG_KINDS]);
  });
  it('what is told of empty figures, and of margins, is of those that there are', () => {
    const figures = new Set(Object.values(FIGURES).flat());
    for (const f of Object.keys(EMPTY)) expect(figures.has(f as never)).toBe(true);
    expect(Object.keys(MARGIN_WORDS).length).toBeGreaterThan(15);
  });
});
