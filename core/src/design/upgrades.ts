/**
 * Named steps from one schema version to the next. Step n turns version n into n + 1.
 * A new step comes with a fixture of the old form beside the tests.
 */
type Raw = Record<string, unknown>;
const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);

/** 1 to 2: an eleventh calibration factor, the torque of the propeller, at its usual spread. Anything that is not of the expected form is left to the schema to refuse. */
export function withTorqueFactor(document: unknown): unknown {
  if (!isRaw(document) || !isRaw(document.calibration)) return document;
  const { mean, covariance } = document.calibration;
  if (
    !Array.isArray(mean) ||
    !Array.isArray(covariance) ||
    mean.length !== 10 ||
    covariance.some((row) => !Array.isArray(row))
  )
    return { ...document, schemaVersion: 2 };
  const rows = (covariance as unknown[][]).map((row) => [...row, 0]);
  return {
    ...document,
    schemaVersion: 2,
    calibration: {
      ...document.calibration,
      mean: [...(mean as unknown[]), 1],
      covariance: [...rows, [...Array.from({ length: 10 }, () => 0), 0.08 * 0.08]],
    },
  };
}

const STEPS: Record<number, (file: Raw) => Raw> = {
  1: (file) => ({
    ...file,
    schemaVersion: 2,
    versions: Array.isArray(file.versions)
      ? (file.versions as unknown[]).map((v) =>
          isRaw(v) ? { ...v, document: withTorqueFactor(v.document) } : v,
        )
      : file.versions,
  }),
};

/** Runs the steps from `version` up to the present one. Does not change its input. */
export function upgradeProjectFile(data: object, version: number): Raw {
  let file: Raw = { ...data };
  for (let v = version; STEPS[v]; v++) file = STEPS[v](file);
  return file;
}

/** The same for one document on its own. */
export function upgradeDocument(data: unknown): unknown {
  return isRaw(data) && data.schemaVersion === 1 ? withTorqueFactor(data) : data;
}
