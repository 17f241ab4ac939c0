/** Glides: each steady one a point of the polar; least sink, best glide, and what the drag is made of. */
import { G0 } from '../air';
import { weightedMean } from '../numeric';
import { rowsIn, slopeIn } from './lines';
import { smoothed, type Segment } from './phases';
import { glidePolar, type GlidePoint } from './polar';
import type { LogResult } from './result';
import { densityOf, type ReduceTask } from './task';

/** A steady glide: the height's slope with what the speed gains put back. */
function glidePoint(
  { motion: m, air }: ReduceTask,
  s: Segment,
): (GlidePoint & { count: number; name: string }) | null {
  const v = smoothed(m.t, air.airspeed, 0.5),
    total = m.height.map((h, i) => h + (v[i] * v[i]) / (2 * G0)),
    fit = slopeIn(m.t, total, s),
    rows = rowsIn(m.t, v, s);
  if (!fit || rows.length === 0) return null;
  const speed = rows.reduce((sum, i) => sum + v[i], 0) / rows.length,
    missed = air.wind?.sigma.airspeed ?? 0.03 * speed;
  if (!(fit.slope < 0)) return null;
  // drag over weight is sink over speed: a speed that is missed counts too
  const sigma = Math.hypot(fit.sigma, (-fit.slope * missed) / speed);
  return { speed, sink: -fit.slope, sigma, count: fit.count, name: s.name };
}

export function glideResults(task: ReduceTask): LogResult[] {
  const glides = task.segments.filter((s) => s.kind === 'glide'),
    points = glides.flatMap((s) => glidePoint(task, s) ?? []);
  if (points.length === 0) return [];
  const count = points.reduce((s, p) => s + p.count, 0),
    segment = points.length === 1 ? points[0].name : `${points.length} glides`;
  const { mass, area } = task.flown,
    polar = mass && area ? glidePolar({ points, mass, area, density: densityOf(task) }) : null;
  const common = { segment, count };
  if (polar) {
    const method = 'drag split in two over the speeds of the glides',
      sd = (i: number) => Math.sqrt(polar.covariance[i][i]);
    return [
      { id: 'sinkRate', ...polar.sink, kind: 'climbRate', ...common, method: `least by polar: ${method}` },
      { id: 'glideRatio', ...polar.ratio, kind: 'ratio', ...common, method: `best by polar: ${method}` },
      { id: 'dragArea', value: polar.dragArea, sigma: sd(0), kind: 'dragArea', ...common, method },
      {
        id: 'inducedFactor',
        value: polar.k,
        sigma: sd(1),
        kind: 'ratio',
        ...common,
        method: `${method}: drag coefficient per square of lift coefficient`,
      },
    ];
  }
  const sink = weightedMean(points.map((p) => ({ value: p.sink, sigma: p.sigma })));
  const ratio = weightedMean(
    points.map((p) => {
      const value = Math.sqrt(Math.max(0, p.speed ** 2 - p.sink ** 2)) / p.sink;
      return { value, sigma: (value * p.sigma) / p.sink };
    }),
  );
  const method = 'energy height over time in steady glides, robust';
  return [
    { id: 'sinkRate', ...sink, kind: 'climbRate', ...common, method },
    ...(Number.isFinite(ratio.value)
      ? [{ id: 'glideRatio' as const, ...ratio, kind: 'ratio' as const, ...common, method }]
      : []),
  ];
}
