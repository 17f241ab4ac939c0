/** The ledger's curves: same run, same numbers, each on an axis of its own. */
import { CURVES, sections, type ReadCurve } from '../steps';
import type { LedgerCurve } from './ledger';
import type { Run } from './run';

/** A curve less the points outside its range (speeds below the stall). */
function withoutGaps(c: LedgerCurve): LedgerCurve {
  if (c.y.every(Number.isFinite)) return c;
  const keep = c.y.flatMap((y, i) => (Number.isFinite(y) ? [i] : []));
  return {
    ...c,
    x: keep.map((i) => c.x[i]),
    y: keep.map((i) => c.y[i]),
    sigma: c.sigma && keep.map((i) => c.sigma![i]),
  };
}

/** Lift, drag and moment of every section at the Reynolds numbers of its polars. */
function sectionCurves(run: Run): LedgerCurve[] {
  const { polars } = run.of(sections);
  return run.source.design.sections.flatMap((s) =>
    polars.get(s.id)!.polars.flatMap((p) =>
      (['cl', 'cd', 'cm'] as const).map((of): LedgerCurve => ({
        id: `${of}-${Math.round(p.reynolds / 1000)}k`,
        state: s.id,
        xKind: 'angle',
        yKind: 'ratio',
        x: p.points.map((q) => q.alpha),
        y: p.points.map((q) => q[of]),
        sigma: null,
      })),
    ),
  );
}

/** Standard uncertainty along a curve, before its gaps are taken out; null where none is known. */
export type CurveSpread = (curve: ReadCurve, state: string, y: readonly number[]) => readonly number[] | null;

export function drawnCurves(run: Run, sigmaOf: CurveSpread = () => null): LedgerCurve[] {
  const states = run.source.design.states.map((l) => l.id);
  const drawn = CURVES.flatMap((curve) =>
    (curve.step.scope === 'all' ? ['all'] : states).flatMap((state) => {
      const points = curve.read(run.read(curve.step, state));
      if (!points) return [];
      const { id, xKind, yKind } = curve,
        sigma = sigmaOf(curve, state, points.y);
      return [withoutGaps({ id, state, xKind, yKind, ...points, sigma })];
    }),
  );
  return [...drawn, ...sectionCurves(run)];
}
