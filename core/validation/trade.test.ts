/**
 * Scores, tables and sweeps against what can be worked out beside them.
 * Weighted tables and the field: worked by hand below. Odds: binomial arithmetic; the check values of the trade (facts of the
 * trade, from the exact interval of Clopper and Pearson 1934). Sweeps: closed forms of mass and of a rule's line.
 */
import { describe, expect, it } from 'vitest';
import { assess, entryOf, fieldScores, StepCache } from '../src/assess';
import { bitternDocument } from '../src/demo';
import { setPath, type Brief, type DecisionTable, type DesignDocument } from '../src/design';
import { bestOf, chanceInterval } from '../src/score';
import { axisOf, decide, leverOf, sweepCells, sweepOrder, worthOf } from '../src/trade';
import { normalFrom } from '../../devices/src/random';

const doc = bitternDocument();

describe('weighted table, by hand', () => {
  // weights 5, 3, 2; A 8 6 4, B 6 9 5: A = (40 + 18 + 8)/10 = 6.6, B = (30 + 27 + 10)/10 = 6.7
  const mark = (criterion: string, value: number) => ({ criterion, mark: value, why: '', by: '' });
  const table: DecisionTable = {
    id: 't',
    name: 'Layouts',
    note: '',
    criteria: [
      { id: 'build', name: 'Build', weight: 5, must: null },
      { id: 'drag', name: 'Drag', weight: 3, must: null },
      { id: 'carry', name: 'Carry', weight: 2, must: null },
    ],
    options: [
      {
        id: 'a',
        name: 'A',
        version: '',
        rejected: '',
        marks: [mark('build', 8), mark('drag', 6), mark('carry', 4)],
      },
      {
        id: 'b',
        name: 'B',
        version: '',
        rejected: '',
        marks: [mark('build', 6), mark('drag', 9), mark('carry', 5)],
      },
    ],
  };
  const v = decide(table);
  it('totals and lead', () => {
    expect(v.winner?.id).toBe('b');
    expect(v.ranked.map((r) => r.total)).toEqual([6.7, 6.6]);
    expect(v.lead).toBeCloseTo(0.1, 12);
  });
  it('the weights that turn it, each by itself', () => {
    // B leads by 1 in 10: drag 3 x 3 + carry 1 x 2 - build 2 x 5 = 1
    const at = (id: string) => v.turns.find((t) => t.criterion === id)!.at;
    expect(at('build')).toBeCloseTo(5.5, 12);
    expect(at('drag')).toBeCloseTo(8 / 3, 12);
    expect(at('carry')).toBeCloseTo(1, 12);
    expect(v.turns[0].criterion).toBe('drag');
  });
});

describe('odds', () => {
  it.each([
    [11, 15, 0.45, 0.92],
    [18, 20, 0.68, 0.99],
    [10, 14, 0.42, 0.92],
    [0, 30, 0, 0.116],
  ])('%i of %i', (won, tried, low, high) => {
    const c = chanceInterval(won, tried);
    expect(c.low).toBeCloseTo(low, 2);
    expect(c.high).toBeCloseTo(high, won === 0 ? 3 : 2);
  });
  it('best of several: two dice throws of six, three tosses', () => {
    expect(bestOf(1 / 6, 2)).toBeCloseTo(11 / 36, 12);
    expect(bestOf(1 / 2, 3)).toBeCloseTo(7 / 8, 12);
  });
});

/** A brief with one formula and one figure of the field. */
function briefOf(formula: string, of: string): Brief {
  const [task] = doc.brief.tasks;
  return {
    ...doc.brief,
    tasks: [{ ...task, id: 'only', state: 'each', formula }],
    rivals: [{ name: 'best', low: 1, likely: 2, high: 3, note: '', of, better: 'more' }],
  };
}

describe('normalising against a field, by hand', () => {
  it('each is scored against the best of all, and the best has full marks', () => {
    const brief = briefOf('100 * payloadCount / best', 'payloadCount'),
      of = (name: string, counts: number[]) => ({
        name,
        calibration: doc.calibration,
        design: {
          ...doc.design,
          states: counts.map((count, i) => ({ ...doc.design.states[0], id: `s${i}`, name: `S${i}`, count })),
        },
      });
    const field = fieldScores(brief, [of('A', [2, 4]), of('B', [5, 3]), of('C', [1])], new StepCache());
    expect(field.figures).toEqual({ best: 5 });
    expect(field.rows.map((r) => [r.name, Math.round(r.score)])).toEqual([
      ['B', 100],
      ['A', 80],
      ['C', 20],
    ]);
    expect(field.status).toBe('settled');
  });
});

describe('sweeps against closed forms', () => {
  const task = {
    doc,
    axes: [
      axisOf(leverOf(doc, 'design.payload.unitMass')!, 0.02, 0.2, 10),
      axisOf(leverOf(doc, 'design.states.tubes-8.count')!, 1, 12, 12),
    ],
    state: 'tubes-8',
    show: ['mass'],
  };
  const cells = sweepCells(task, sweepOrder(task), new StepCache()),
    count = (c: (typeof cells)[number]) => c.at['design.states.tubes-8.count'],
    unit = (c: (typeof cells)[number]) => c.at['design.payload.unitMass'];
  const empty = assess(doc.brief, setPath(doc.design, 'states.tubes-8.count', 0), doc.calibration),
    bare = entryOf(empty, 'mass', 'tubes-8')!.value;
  it('mass is the empty one and the units', () => {
    for (const c of cells) expect(c.show.mass).toBeCloseTo(bare + count(c) * unit(c), 9);
  });
  it('the line of the mass rule is where count times unit is what the rule leaves', () => {
    const most = doc.brief.requirements.find((r) => r.id === 'mass')!.max!;
    for (const c of cells) {
      const left = most - bare - count(c) * unit(c);
      expect(c.margins['asked:mass']).toBeCloseTo(left / most, 9);
      expect(c.blocked.includes('asked:mass')).toBe(left < 0);
    }
    expect(cells.some((c) => c.blocked.includes('asked:mass'))).toBe(true);
    expect(cells.some((c) => !c.blocked.includes('asked:mass'))).toBe(true);
  });
});

describe('worth against differences of the whole assessment', () => {
  // a long strip, and points that a lap more or less does not jump: nothing is a step
  const plain: DesignDocument = {
    ...setPath(doc, 'brief.site.stripLength', 500),
    brief: {
      ...doc.brief,
      site: { ...doc.brief.site, stripLength: 500 },
      requirements: [],
      tasks: [{ ...doc.brief.tasks[0], id: 'time', formula: '6000 / lapTime', state: 'each' }],
      rivals: [],
    },
  };
  const worth = worthOf(plain, 'tubes-8', new StepCache(), { normal: normalFrom(3), most: 40 }),
    score = (d: DesignDocument) =>
      entryOf(assess(d.brief, d.design, d.calibration), 'score', 'tubes-8')!.value;
  it.each(worth.rows.filter((r) => Math.abs(r.points) > 0.02).map((r) => [r.name, r] as const))(
    '%s',
    (_, r) => {
      const by = score(leverOf(plain, r.lever)!.set(plain, r.to)) - score(plain);
      // the mean over the samples and the step at the mean: what is bent between them is within a tenth of the spread
      expect(Math.abs(r.points - by)).toBeLessThan(0.05 * Math.abs(by) + 0.1 * r.sigma);
    },
  );
});
