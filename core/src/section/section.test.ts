import { beforeAll, describe, expect, it } from 'vitest';
import { LuDecomposition, Matrix } from 'ml-matrix';
import { luInPlace, luSolveInPlace, solveDense } from '../numeric';
import {
  analyseAngles,
  analyseModel,
  blendOf,
  camberAt,
  contourFacts,
  contourFromPoints,
  dragAtLift,
  faces,
  flatGap,
  flowPicture,
  foldLine,
  FREE,
  gapBetween,
  inviscidAt,
  limitSentence,
  meritsOf,
  flowKey,
  flowPolar,
  modelPolar,
  modelPolars,
  naca4,
  naca4Modified,
  naca5,
  platePolar,
  polarKey,
  polarOf,
  polarOfPrepared,
  polarSchema,
  prepareContour,
  profileDrag,
  rankSections,
  recallPolar,
  rememberPolar,
  ribPlaces,
  scaled,
  sectionModel,
  solveInviscid,
  thicknessAt,
  warped,
  warpedModel,
  weightTurns,
  type Polar,
  type SectionMerits,
  type ShapeSpec,
} from '.';
import { sourcePsi, sourceVelocity, vortexPsi, vortexVelocity } from './influence';
import { beyondStall } from './stall';

const DEG = Math.PI / 180;
const quick = { ...FREE, step: 2 * DEG };

describe('panel influence against quadrature', () => {
  const A = [0.1, 0.05] as const,
    B = [0.34, -0.02] as const,
    P = [0.5, 0.31] as const,
    N = 4000;
  const L = Math.hypot(B[0] - A[0], B[1] - A[1]);
  const sum = (f: (x: number, y: number, w: number) => number) => {
    let s = 0;
    for (let i = 0; i < N; i++) {
      const t = (i + 0.5) / N;
      s += (f(P[0] - A[0] - t * (B[0] - A[0]), P[1] - A[1] - t * (B[1] - A[1]), t) * L) / N;
    }
    return s;
  };
  const out = new Float64Array(4);
  it('vortex streamfunction, linear strength', () => {
    vortexPsi(...P, ...A, ...B, out);
    expect(out[0]).toBeCloseTo(
      sum((x, y, t) => (1 - t) * 0.5 * Math.log(x * x + y * y)),
      7,
    );
    expect(out[1]).toBeCloseTo(
      sum((x, y, t) => t * 0.5 * Math.log(x * x + y * y)),
      7,
    );
  });
  it('vortex velocity, linear strength, clockwise positive', () => {
    vortexVelocity(...P, ...A, ...B, out);
    const ref = [0, 1].flatMap((end) => [
      sum((x, y, t) => ((end ? t : 1 - t) * y) / (x * x + y * y)),
      sum((x, y, t) => (-(end ? t : 1 - t) * x) / (x * x + y * y)),
    ]);
    ref.forEach((v, i) => expect(out[i]).toBeCloseTo(v, 6));
  });
  it('source velocity and the change of its streamfunction', () => {
    sourceVelocity(...P, ...A, ...B, 0, out);
    expect(out[0]).toBeCloseTo(
      sum((x, y) => x / (x * x + y * y)),
      6,
    );
    expect(out[1]).toBeCloseTo(
      sum((x, y) => y / (x * x + y * y)),
      6,
    );
    const h = 1e-5,
      psi = (dx: number, dy: number) => sourcePsi(P[0] + dx, P[1] + dy, ...A, ...B, false);
    expect((psi(0, h) - psi(0, -h)) / (2 * h)).toBeCloseTo(out[0], 5); // u = d psi / dy
    expect(-(psi(h, 0) - psi(-h, 0)) / (2 * h)).toBeCloseTo(out[1], 5);
  });
});

describe('dense LU on typed arrays', () => {
  it.each([1, 3, 4, 7, 30, 61])('agrees with the library (ml-matrix) at size %d', (n) => {
    const rows = Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (_, j) => Math.sin(1 + 3 * i + 7 * j * j) + (i === j ? 0.3 : 0)),
    );
    const b = Array.from({ length: n }, (_, i) => Math.cos(i));
    const a = Float64Array.from(rows.flat()),
      x = Float64Array.from(b);
    luSolveInPlace(a, luInPlace(a, n), x);
    const library = new LuDecomposition(new Matrix(rows)).solve(Matrix.columnVector(b)).to1DArray();
    for (const answer of [x, solveDense(rows, b)])
      library.forEach((v, i) => expect(Math.abs(answer[i] - v)).toBeLessThan(1e-8 * (1 + Math.abs(v))));
  });
  it('refuses a singular matrix and one with NaN', () => {
    expect(() => luInPlace(new Float64Array([1, 2, 2, 4]), 2)).toThrow(/singular/);
    expect(() => luInPlace(new Float64Array([Number.NaN, 1, 1, 1]), 2)).toThrow();
  });
});

describe('shapes', () => {
  it.each([
    [{ kind: 'naca4', digits: '44' }, /four digits/],
    [{ kind: 'naca4', digits: '4012' }, /place of camber/],
    [{ kind: 'naca4m', digits: '0012', nose: 12, at: 4 }, /nose index/],
    [{ kind: 'naca5', digits: '26012' }, /5-digit/],
    [{ kind: 'naca5', digits: '21112' }, /5-digit/],
    [{ kind: 'classShape', upper: [0.2], lower: [-0.1, -0.1] }, /2 to 10/],
    [{ kind: 'classShape', upper: [-0.2, -0.2], lower: [0.1, 0.1] }, /below the lower/],
    [
      {
        kind: 'folded',
        corners: [
          [0, 0],
          [0.5, 0.1],
        ],
        thickness: 0.004,
      },
      /fold line/,
    ],
    [
      {
        kind: 'folded',
        corners: [
          [0, 0],
          [0.5, 0.1],
          [0.4, 0],
          [1, 0],
        ],
        thickness: 0.004,
      },
      /ascending/,
    ],
    [{ kind: 'stepped', digits: '0006', steps: [{ face: 'upper', at: 0.4, depth: 0.1 }] }, /cut through/],
    [{ kind: 'plate', thickness: 0.5, camber: 0, at: 0.5 }, /thickness/],
  ] as [ShapeSpec, RegExp][])('%j is refused with a reason', (shape, why) =>
    expect(() => sectionModel(shape)).toThrow(why),
  );
  it('blend: half way between 0012 and 4412 has half the camber and the same thickness', () => {
    const f = contourFacts(blendOf(naca4('0012'), naca4('4412'), 0.5));
    expect(f.camber).toBeCloseTo(0.02, 2);
    expect(f.thickness).toBeCloseTo(0.12, 2);
  });
  it('scaling changes what it says', () => {
    const f = contourFacts(scaled(naca4('2412'), 1.25, 2));
    expect(f.thickness).toBeCloseTo(0.15, 3);
    expect(f.camber).toBeCloseTo(0.04, 3);
  });
  it('building errors: thinner, less cambered, sharper, thicker at the edge', () => {
    const f = contourFacts(
        warped(naca4('2412', 240), { thickness: -0.1, camber: -0.005, nose: -0.3, edge: 0.01 }),
      ),
      g = contourFacts(naca4('2412', 240));
    expect(f.camber).toBeCloseTo(0.015, 3);
    expect(f.noseRadius).toBeLessThan(0.85 * g.noseRadius);
    expect(
      thicknessAt(warped(naca4('2412'), { thickness: 0, camber: 0, nose: 0, edge: 0.01 }), 0.95) -
        thicknessAt(naca4('2412'), 0.95),
    ).toBeCloseTo(0.0095, 3);
  });
  it('second moments: an ellipse-like thick section is stiffer fore and aft; area of 12 % is 0.082', () => {
    const f = contourFacts(naca4('0012'));
    expect(f.momentEdge).toBeGreaterThan(20 * f.momentFlat);
    expect(f.area).toBeCloseTo(0.0817, 3);
  });
  it('second moments of a square against b^4 / 12', () => {
    const side: [number, number][] = [];
    for (let i = 0; i <= 10; i++) side.push([1 - i / 10, 0.5]);
    for (let i = 0; i <= 10; i++) side.push([0, 0.5 - i / 10]);
    for (let i = 0; i <= 10; i++) side.push([i / 10, -0.5]);
    const f = contourFacts({ xy: Float64Array.from(side.flat()) });
    expect(f.area).toBeCloseTo(1, 9);
    expect(f.momentFlat).toBeCloseTo(1 / 12, 9);
    expect(f.momentEdge).toBeCloseTo(1 / 12, 9);
  });
  it('a folded line is straight between its corners', () => {
    const line = foldLine([
      [0, 0],
      [0.25, 0.05],
      [1, 0],
    ]);
    expect(line(0.125)).toEqual({ y: 0.025, slope: 0.2 });
    expect(line(1).y).toBeCloseTo(0, 12);
  });
  it('modified and 5-digit names reach the same thickness', () => {
    expect(contourFacts(naca4Modified('0010', 4, 5)).thicknessAt).toBeCloseTo(0.5, 1);
    expect(contourFacts(naca5('24015')).thickness).toBeCloseTo(0.15, 2);
  });
  it('panels grow gently and are short at the nose and the edge', () => {
    const { xy } = naca4('0006', 160),
      d = Array.from({ length: 159 }, (_, i) =>
        Math.hypot(xy[2 * i + 2] - xy[2 * i], xy[2 * i + 3] - xy[2 * i + 1]),
      );
    for (let i = 1; i < d.length; i++) expect(Math.max(d[i] / d[i - 1], d[i - 1] / d[i])).toBeLessThan(1.6);
    expect(d[80]).toBeLessThan(0.3 * d[40]);
    expect(d[0]).toBeLessThan(0.5 * d[40]);
  });
  it('ribs: chord and section go from root to tip', () => {
    const places = ribPlaces(
      [
        { y: 0, chord: 0.3, contour: naca4('4412') },
        { y: 0.8, chord: 0.2, contour: naca4('0012') },
      ],
      5,
    );
    expect(places.map((p) => Number(p.chord.toFixed(3)))).toEqual([0.3, 0.275, 0.25, 0.225, 0.2]);
    expect(contourFacts(places[2].contour).camber).toBeCloseTo(0.02, 2);
  });
});

describe('polars', () => {
  const contour = naca4('2412', 100);
  let p: Polar;
  beforeAll(() => {
    p = polarOfPrepared(prepareContour(contour), 2e5, quick);
  });
  it('a symmetric section has mirrored lift and equal drag', () => {
    const r = analyseAngles(prepareContour(naca4('0010', 100)), 3e5, [-3 * DEG, 3 * DEG]);
    expect(r[0].point!.cl + r[1].point!.cl).toBeCloseTo(0, 3);
    expect(r[0].point!.cd / r[1].point!.cd).toBeCloseTo(1, 2);
    expect(r[0].point!.transitionUpper).toBeCloseTo(r[1].point!.transitionLower, 2);
  });
  it('an upside-down section is the mirror of itself', () => {
    const flipped = contourFromPoints(
      Array.from({ length: 100 }, (_, i) => [contour.xy[2 * i], -contour.xy[2 * i + 1]] as [number, number]),
      100,
    );
    const [a] = analyseAngles(prepareContour(contour), 3e5, [4 * DEG]),
      [b] = analyseAngles(prepareContour(flipped), 3e5, [-4 * DEG]);
    expect(a.point!.cl + b.point!.cl).toBeCloseTo(0, 1);
  });
  it('layers take lift away: below the flow without them', () => {
    const [a] = analyseAngles(prepareContour(naca4('0012', 100)), 1e6, [6 * DEG]);
    expect(a.point!.cl).toBeLessThan(inviscidAt(solveInviscid(naca4('0012', 100)), 6 * DEG).cl);
  });
  it('a trip holds transition, more waves delay it', () => {
    const prep = prepareContour(naca4('0012', 100));
    const at = (o: Partial<typeof FREE>) =>
      analyseAngles(prep, 1e6, [2 * DEG], { ...FREE, ...o })[0].point!.transitionUpper;
    expect(at({ tripUpper: 0.2 })).toBeCloseTo(0.2, 2);
    expect(at({ nCrit: 4 })).toBeLessThan(at({ nCrit: 9 }));
  });
  it('is ordered, marks what lies beyond the stall and what is extended, and is kept by content', () => {
    for (let i = 1; i < p.points.length; i++)
      expect(p.points[i].alpha).toBeGreaterThan(p.points[i - 1].alpha);
    expect(p.points[p.points.length - 1]).toMatchObject({ how: 'extended', stalled: true });
    expect(p.attachedCl).toEqual([...p.attachedCl].sort((a, b) => a - b));
    const key = polarKey(contour, 123456, quick);
    expect(recallPolar(key)).toBeUndefined();
    rememberPolar(key, p);
    expect(polarOf(contour, 123456, quick)).toBe(p);
    expect(polarKey(contour, 123456, { ...quick, nCrit: 5 })).not.toBe(key);
  });
  it('comes back unchanged through its schema; a damaged one is refused', () => {
    expect(polarSchema.parse(JSON.parse(JSON.stringify(p)))).toEqual(p);
    expect(polarSchema.safeParse({ ...p, clMax: 'high' }).success).toBe(false);
    expect(polarSchema.safeParse({ ...p, points: [{ ...p.points[0], cd: -1 }] }).success).toBe(false);
  });
  it('can be stopped after any point', () => {
    let seen = 0;
    analyseAngles(
      prepareContour(contour),
      2e5,
      Array.from({ length: 12 }, (_, i) => i * DEG),
      FREE,
      { onPoint: () => ++seen < 4 },
    );
    expect(seen).toBe(4);
  });
  it('a flow picture covers both faces and the wake, with a state everywhere', () => {
    const [r] = analyseAngles(prepareContour(naca4('4412', 120)), 2e5, [4 * DEG]);
    const pic = flowPicture(r.settled!.prep, r.settled!.state, 2e5);
    expect(pic.upper.length + pic.lower.length).toBe(120);
    expect(new Set(pic.upper.map((q) => q.state))).toEqual(new Set(['laminar', 'bubble', 'turbulent']));
    expect(Math.max(...pic.upper.map((q) => q.cp))).toBeLessThanOrEqual(1.001);
    expect(pic.wake[pic.wake.length - 1].x).toBeGreaterThan(1.8);
    expect(pic.wake[pic.wake.length - 1].shape).toBeLessThan(pic.wake[0].shape);
  });
  it('a Reynolds number outside 1e4 to 2e7 is refused', () =>
    expect(() => analyseAngles(prepareContour(contour), 10, [0])).toThrow(/outside/));
  it('no angles asked, none given', () =>
    expect(analyseAngles(prepareContour(contour), 1e5, [])).toEqual([]));
  it('beyond the stall lift and drag begin where they were and end as a plate', () => {
    const from = { alpha: 14 * DEG, cl: 1.2, cd: 0.05 };
    expect(beyondStall(14 * DEG, from).cl).toBeCloseTo(1.2, 6);
    expect(beyondStall(14 * DEG, from).cd).toBeCloseTo(0.05, 6);
    expect(beyondStall(90 * DEG, from)).toMatchObject({ cd: 2.01 });
    expect(beyondStall(90 * DEG, from).cl).toBeCloseTo(0, 6);
  });
});

describe('models', () => {
  it('a thin sheet goes by theory and tests, a step and a low Reynolds number say so too', () => {
    const film = sectionModel({ kind: 'film', camber: 0.06, at: 0.4, thickness: 0.004 });
    expect(modelPolar(film, 2e4)).toMatchObject({ confidence: 'low' });
    expect(
      modelPolar(sectionModel({ kind: 'naca4', digits: '4409' }, null, 100), 1.5e4, quick),
    ).toMatchObject({
      confidence: 'low',
      warnings: expect.arrayContaining([expect.stringMatching(/30 000/)]),
    });
    const step = modelPolar(
      sectionModel(
        { kind: 'stepped', digits: '2412', steps: [{ face: 'upper', at: 0.5, depth: 0.02 }] },
        null,
        100,
      ),
      2e5,
      quick,
    );
    expect(step.confidence).toBe('low');
    expect(step.warnings.join(' ')).toMatch(/does not keep a section from stalling/);
  });
  it('a step’s drag is added once, also when its polar was made elsewhere and handed over by its key', () => {
    const section = {
      shape: {
        kind: 'stepped' as const,
        digits: '2412',
        steps: [{ face: 'upper' as const, at: 0.5, depth: 0.03 }],
      },
    };
    const model = sectionModel(section.shape, null, 100),
      here = modelPolar(model, 2e5);
    rememberPolar(flowKey(model, 2e5)!, flowPolar(model, 2e5));
    expect(Math.min(...modelPolar(model, 2e5).attachedCd)).toBeCloseTo(Math.min(...here.attachedCd), 12);
    expect(Math.min(...here.attachedCd) - Math.min(...flowPolar(model, 2e5).attachedCd)).toBeCloseTo(
      0.15 * 0.03,
      9,
    );
  });
  it('a step costs drag against the plain section', () => {
    const at = (shape: ShapeSpec) =>
      profileDrag(modelPolars(sectionModel(shape, null, 100), [2e5], quick), 0.5, 2e5);
    expect(
      at({ kind: 'stepped', digits: '2412', steps: [{ face: 'upper', at: 0.5, depth: 0.03 }] }),
    ).toBeGreaterThan(1.15 * at({ kind: 'naca4', digits: '2412' }));
  });
  it('a reflexed fold has a nose-up moment, a plain arc a nose-down one', () => {
    expect(
      modelPolars(
        sectionModel({
          kind: 'folded',
          corners: [
            [0, 0],
            [0.3, 0.05],
            [0.8, 0.0],
            [1, 0.0],
          ],
          thickness: 0.004,
        }),
        [4e4],
      ).moment,
    ).toBeGreaterThan(
      modelPolars(sectionModel({ kind: 'film', camber: 0.05, at: 0.5, thickness: 0.004 }), [4e4]).moment,
    );
  });
  it('listed angles and the largest lift beyond them', () => {
    const a = analyseModel(sectionModel({ kind: 'naca4', digits: '2412' }, null, 100), 2e5, [
      4 * DEG,
      0,
      2 * DEG,
    ]);
    expect(a.points.map((q) => Math.round(q.alpha / DEG))).toEqual([0, 2, 4]);
    expect(a.clMax!).toBeGreaterThan(1);
    expect(a.alphaClMax!).toBeGreaterThan(9 * DEG);
  });
  it('a flap down adds lift at the same angle', () => {
    const at = (deg: number) =>
      analyseModel(
        sectionModel(
          { kind: 'naca4', digits: '2412' },
          deg ? { thickness: 1, camber: 1, flap: { hinge: 0.75, angle: deg * DEG } } : null,
          100,
        ),
        4e5,
        [2 * DEG],
      ).points[0].point!.cl;
    expect(at(8)).toBeGreaterThan(at(0) + 0.25);
    expect(at(-5)).toBeLessThan(at(0) - 0.15);
  });
  it('a warped plate loses camber on its line', () => {
    const m = sectionModel({ kind: 'film', camber: 0.06, at: 0.5, thickness: 0.004 });
    expect(
      modelPolar(warpedModel(m, { thickness: 0, camber: -0.01, nose: 0, edge: 0 }), 4e4).clMax,
    ).toBeLessThan(modelPolar(m, 4e4).clMax);
  });
});

describe('choice', () => {
  const merits = (patch: Partial<SectionMerits>): SectionMerits => ({
    thickness: 0.12,
    camber: 0.02,
    clMax: 1.2,
    bestGlide: 70,
    dragAtLift: 0.01,
    glideAtLift: 50,
    lowDragFrom: 0,
    lowDragTo: 0.6,
    moment: -0.05,
    sparDepth: 0.12,
    flatGap: 0.01,
    tolerance: 0.9,
    confidence: 'good',
    ...patch,
  });
  const shelf = [
    { id: 'a', merits: merits({ clMax: 1.4 }) },
    { id: 'b', merits: merits({ glideAtLift: 60, sparDepth: 0.09 }) },
    { id: 'c', merits: merits({ clMax: 1.1, glideAtLift: Number.NaN }) },
  ];
  it('the best of each merit gets 1, the poorest and the missing 0', () => {
    const m = rankSections(shelf, { clMax: 1, glide: 1 });
    expect(m[0].id).toBe('b');
    const of = (id: string) => m.find((k) => k.id === id)!;
    expect(of('a').parts.clMax).toBe(1);
    expect(of('b').parts.glide).toBe(1);
    expect(of('c').parts).toMatchObject({ clMax: 0, glide: 0 });
    expect(of('b').mark).toBeCloseTo(0.5 * (1 + 1 / 3), 9);
  });
  it('the weight at which the winner changes is where marks are equal', () => {
    const weights = { clMax: 2, glide: 1 };
    const [turn] = weightTurns(rankSections(shelf, weights), weights).filter((t) => t.merit === 'glide');
    expect(turn.winner).toBe('b');
    const at = rankSections(shelf, { ...weights, glide: turn.weight });
    expect(at[0].mark).toBeCloseTo(at[1].mark, 9);
    expect(rankSections(shelf, { ...weights, glide: turn.weight + 0.1 })[0].id).toBe('b');
  });
  it('no weights, no marks; no sections, no turns', () => {
    expect(rankSections(shelf, {}).every((m) => m.mark === 0)).toBe(true);
    expect(weightTurns([], {})).toEqual([]);
  });
  it('merits of a computed section', () => {
    const c = naca4('4412', 100),
      p = polarOfPrepared(prepareContour(c), 2e5, quick);
    const m = meritsOf(c, p, p, p, 0.6, 0.3);
    expect(m.tolerance).toBe(1);
    expect(m.glideAtLift).toBeCloseTo(0.6 / dragAtLift(p, 0.6), 9);
    expect(m.lowDragTo).toBeGreaterThan(m.lowDragFrom);
    expect(dragAtLift(p, 9)).toBeNaN();
    expect(flatGap(naca4('0012'))).toBeGreaterThan(flatGap(naca4('4412')));
  });
  it('the band of a worst case is the gap at the same angle, and nothing where there is no other', () => {
    const a = platePolar(() => 0, 0.02, 1e5),
      b = platePolar(() => 0, 0.02, 1e5, [0, 0.1]);
    const higher = { ...b, points: b.points.map((q) => ({ ...q, cl: q.cl + 0.2 })) };
    const gap = gapBetween(a.points, higher, (q) => q.cl);
    expect(gap[a.points.findIndex((q) => Math.abs(q.alpha) < 1e-9)]).toBeCloseTo(0.2, 9);
    expect(gap[0]).toBe(0);
  });
  it('says in a sentence what ends the lift', () => {
    expect(limitSentence(polarOfPrepared(prepareContour(naca4('4412', 100)), 4e5, quick))).toMatch(
      /trailing edge forwards/,
    );
    expect(limitSentence(platePolar(() => 0, 0.02, 5e4))).toMatch(/leading edge/);
  });
  it('camber of a face pair is its mean', () => {
    const [u, l] = faces(naca4('4412'));
    expect(u.x[0]).toBeLessThan(0.01);
    expect(l.x[l.x.length - 1]).toBeCloseTo(1, 6);
    expect(camberAt(naca4('4412'), 0.4)).toBeCloseTo(0.04, 3);
  });
});
