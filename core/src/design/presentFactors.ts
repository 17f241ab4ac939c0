/** A stored calibration brought to the factors of this program, by name: a new factor needs no new schema. */
import { FACTORS } from './factors';

type Stored = { factors: string[]; mean: number[]; covariance: number[][]; from: unknown[] };

const same = (a: readonly string[]) => a.length === FACTORS.length && FACTORS.every((f, i) => f.id === a[i]);

function isStored(c: unknown): c is Stored {
  if (typeof c !== 'object' || c === null) return false;
  const { factors, mean, covariance, from } = c as Partial<Record<keyof Stored, unknown>>;
  if (!Array.isArray(factors) || !Array.isArray(mean) || !Array.isArray(covariance)) return false;
  const n = factors.length;
  return (
    factors.every((f) => typeof f === 'string') &&
    Array.isArray(from) &&
    mean.length === n &&
    covariance.length === n &&
    covariance.every((r) => Array.isArray(r) && r.length === n)
  );
}

/**
 * Factors that the document does not know stand at their priors, not correlated with the rest; those that this program
 * does not know are left out. Either way, what tests had taught was taught to another model: it is to be fitted again.
 *
 * @returns the calibration itself where nothing changes, or where it is not of the form of one
 */
export function withPresentFactors(calibration: unknown): unknown {
  if (!isStored(calibration) || same(calibration.factors)) return calibration;
  const { factors, mean, covariance, from } = calibration,
    at = FACTORS.map((f) => factors.indexOf(f.id)),
    known = (i: number) => at[i] >= 0;
  const reordered = factors.length === FACTORS.length && at.every((k) => k >= 0);
  return {
    ...calibration,
    factors: FACTORS.map((f) => f.id),
    mean: FACTORS.map((f, i) => (known(i) ? mean[at[i]] : f.mean)),
    covariance: FACTORS.map((f, i) =>
      FACTORS.map((_, j) => {
        if (known(i) && known(j)) return covariance[at[i]][at[j]];
        return i === j ? f.sd * f.sd : 0;
      }),
    ),
    ...(from.length > 0 && !reordered ? { refit: true } : {}),
  };
}
