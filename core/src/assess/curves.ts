/** The ledger's curves: same run, same numbers, each on an axis of its own. */
import { sections } from '../steps';
import type { LedgerCurve } from './ledger';
import type { Run } from './run';
import { curveCellsOf } from './values';

/** A curve less the points outside its range (speeds below the stall). */
function withoutGaps(c: LedgerCurve): LedgerCurve {
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

/** @param sigmaOf standard uncertainty along a curve, before its gaps are taken out; null where none is known */
export function drawnCurves(
  run: Run,
  sigmaOf: (c: LedgerCurve, key: string) => readonly number[] | null = () => null,
): LedgerCurve[] {
  const drawn = curveCellsOf(run).flatMap(({ key, curve, state }) => {
    const points = curve.read(run.of(curve.step, state));
    if (!points) return [];
    const { id, xKind, yKind } = curve,
      bare: LedgerCurve = { id, state, xKind, yKind, ...points, sigma: null };
    return [withoutGaps({ ...bare, sigma: sigmaOf(bare, key) })];
  });
  return [...drawn, ...sectionCurves(run)];
}
