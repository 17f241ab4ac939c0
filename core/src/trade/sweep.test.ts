import { describe, expect, it } from 'vitest';
import { evaluate, StepCache } from '../assess';
import { bitternDocument, craneDocument } from '../demo';
import { DomainError } from '../numeric';
import {
  axisOf,
  BEST,
  bestCell,
  cellCount,
  documentAt,
  leverOf,
  limitNames,
  sweepCell,
  sweepCells,
  sweepOrder,
  wrongAt,
  type SweepTask,
} from './index';

const doc = bitternDocument(),
  cache = new StepCache(),
  lever = (id: string) => leverOf(doc, id)!;
const task: SweepTask = {
  doc,
  axes: [
    axisOf(lever('design.flight.lapThrottle'), 0.5, 0.9, 3),
    axisOf(lever('design.states.tubes-8.count'), 6, 9, 2),
  ],
  state: 'tubes-8',
  show: ['score', 'groundRun', 'wingSpan', 'mass@ferry'],
};

describe('sweeps', () => {
  it('a cell is what the document with its inputs comes to', () => {
    expect(cellCount(task)).toBe(6);
    const c = sweepCell(task, 4, cache);
    expect(c.at).toEqual({ 'design.flight.lapThrottle': 0.7, 'design.states.tubes-8.count': 9 });
    const wanted = [
      { id: 'score', state: 'tubes-8' },
      { id: 'groundRun', state: 'tubes-8' },
      { id: 'wingSpan' },
      { id: 'mass', state: 'ferry' },
    ] as const;
    const values = evaluate(documentAt(task, 4), wanted, new StepCache());
    expect(c.show).toEqual({
      score: values['score@tubes-8'],
      groundRun: values['groundRun@tubes-8'],
      wingSpan: values['wingSpan@all'],
      'mass@ferry': values['mass@ferry'],
    });
  });
  it('a cell says which limits block it, by names that are listed, and is only free where none does', () => {
    const names = limitNames(task);
    for (const c of sweepCells(task, [0, 1, 2, 3, 4, 5], cache)) {
      expect(c.feasible).toBe(c.blocked.length === 0);
      for (const id of c.blocked) {
        expect(names[id]).toBeDefined();
        expect(c.margins[id]).toBeLessThan(0);
      }
    }
  });
  it('all of one shape come before the next, each cell once', () => {
    const shaped = {
      ...task,
      axes: [axisOf(lever('design.surfaces.wing.stations.0.chord'), 0.2, 0.3, 3), task.axes[1]],
    };
    expect(sweepOrder(shaped)).toEqual([0, 3, 1, 4, 2, 5]);
    expect(sweepOrder(task)).toEqual([0, 1, 2, 3, 4, 5]);
  });
  it('nothing wins that cannot be flown', () => {
    const cells = [
      { ...sweepCell(task, 0, cache), feasible: false, show: { score: 900 } },
      { ...sweepCell(task, 0, cache), feasible: true, show: { score: 300 } },
      { ...sweepCell(task, 0, cache), feasible: true, show: { score: 200 } },
    ];
    expect(bestCell(cells, 'score')).toBe(1);
    expect(bestCell(cells.slice(0, 1), 'score')).toBeNull();
  });
  it('less is better where it is', () => {
    const of = (groundRun: number) => ({ ...sweepCell(task, 0, cache), feasible: true, show: { groundRun } });
    expect(bestCell([of(12), of(9), of(15)], 'groundRun')).toBe(1);
  });
  it('of all states it flies the one that scores most of those that may fly', () => {
    const c = sweepCell({ ...task, state: BEST }, 1, cache),
      of = doc.design.states.map((s) => sweepCell({ ...task, state: s.id }, 1, cache)),
      free = of.filter((x) => x.feasible),
      among = free.length > 0 ? free : of;
    expect(c.show.score).toBe(Math.max(...among.map((x) => x.show.score!)));
  });
  it('what cannot be computed is said, and stops nothing', () => {
    const bad = {
      ...lever('design.flight.lapThrottle'),
      set: () => {
        throw new DomainError('bad-shape', 'there is no such shape');
      },
    };
    const c = sweepCell({ ...task, axes: [{ lever: bad, values: [1] }] }, 0, cache);
    expect(c.feasible).toBe(false);
    expect(c.stopped).toBe('there is no such shape');
    expect(c.show.score).toBeNull();
  });
});

describe('levers', () => {
  it('span and chord move a surface as a whole', () => {
    const wide = lever('span:wing').set(doc, 1.8);
    expect(lever('span:wing').value(wide)).toBeCloseTo(1.8, 12);
    expect(lever('chord:wing').value(wide)).toBeCloseTo(lever('chord:wing').value(doc)!, 12);
    const deep = lever('chord:wing').set(doc, 0.3);
    expect(lever('chord:wing').value(deep)).toBeCloseTo(0.3, 12);
    expect(lever('span:wing').value(deep)).toBeCloseTo(lever('span:wing').value(doc)!, 12);
  });
  it('a cell more weighs more', () => {
    const mass = (d: typeof doc) => evaluate(d, [{ id: 'mass', state: 'ferry' }], cache)['mass@ferry'];
    expect(mass(lever('pack:series').set(doc, 5))).toBeGreaterThan(mass(doc) + 0.03);
    const weighed = {
      ...doc,
      design: {
        ...doc.design,
        items: doc.design.items.map((i) => (i.id === 'battery' ? { ...i, weighed: 0.3 } : i)),
      },
    };
    expect(mass(leverOf(weighed, 'pack:series')!.set(weighed, 5)) - mass(weighed)).toBeCloseTo(0.075, 6);
  });
  it('choices are the parts and sections that are there', () => {
    expect(lever('part:propeller').choices!.length).toBeGreaterThan(1);
    expect(lever('section:wing').set(doc, 1).design.surfaces[0].stations[0].section).toBe('tail-section');
    expect(() => lever('section:wing').set(doc, 7)).toThrow(/section/);
  });
  it('what is not there is no lever, and what may not be is said', () => {
    for (const id of ['design.nothing', 'span:boat', 'part:sail', 'design.name', 'mass:ghost'])
      expect(leverOf(doc, id)).toBeNull();
    expect(wrongAt(doc, lever('design.flight.lapThrottle'), 1.4)).toMatch(
      /^Lap throttle must be at most 1\.$/,
    );
    expect(wrongAt(doc, lever('design.flight.lapThrottle'), 0.7)).toBeNull();
  });
  it('an aircraft on rotors has limits of its own', () => {
    const crane = craneDocument(),
      hover = crane.design.states.find((s) => s.id === 'hover-full')!;
    const c = sweepCell(
      {
        doc: crane,
        axes: [axisOf(leverOf(crane, 'design.payload.unitMass')!, 0.1, 0.2, 2)],
        state: hover.id,
        show: ['hoverMargin'],
      },
      0,
      cache,
    );
    expect(Object.keys(c.margins)).toContain('asked:lift');
    expect(Object.keys(c.margins)).not.toContain('groundRun');
  });
});
