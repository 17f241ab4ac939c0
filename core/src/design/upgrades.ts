/**
 * Named steps from one schema version to the next. Step n turns version n into n + 1.
 * A new step comes with a fixture of the old form beside the tests.
 */
type Raw = Record<string, unknown>;
const STEPS: Record<number, (file: Raw) => Raw> = {};

/** Runs the steps from `version` up to the present one. Does not change its input. */
export function upgradeProjectFile(data: object, version: number): Raw {
  let file: Raw = { ...data };
  for (let v = version; STEPS[v]; v++) file = STEPS[v](file);
  return file;
}
