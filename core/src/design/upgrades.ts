/**
 * Named steps from one schema version to the next. Step n turns version n into n + 1.
 * A new step comes with a fixture of the old form beside the tests.
 */
import { FACTORS } from './factors';
import { withPresentFactors } from './presentFactors';
import { withFlownLegs } from './upgradeLegs';
import { isRaw, upgradeTest, withDrivesAndMissions, type Raw } from './upgradeShapes';

/**
 * 1 to 2: an eleventh calibration factor, the torque of the propeller, at its usual spread. Anything that is not
 * of the expected form is left to the schema to refuse.
 */
function withTorqueFactor(document: unknown): unknown {
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

/**
 * 2 to 3: factors of section drag and section largest lift, at their priors, not
 * correlated with the rest.
 * What tests had taught was taught to a model without them: it is marked to be fitted again.
 */
function withSectionFactors(document: unknown): unknown {
  if (!isRaw(document) || !isRaw(document.calibration)) return document;
  const { mean, covariance, from } = document.calibration;
  if (
    !Array.isArray(mean) ||
    !Array.isArray(covariance) ||
    mean.length !== 11 ||
    covariance.some((row) => !Array.isArray(row))
  )
    return { ...document, schemaVersion: 3 };
  const rows = (covariance as unknown[][]).map((row) => [...row, 0, 0]),
    zeros = Array.from({ length: 11 }, () => 0),
    [drag, lift] = ['sectionDrag', 'sectionLift'].map((id) => FACTORS.find((f) => f.id === id)!);
  return {
    ...document,
    schemaVersion: 3,
    calibration: {
      ...document.calibration,
      mean: [...(mean as unknown[]), drag.mean, lift.mean],
      covariance: [...rows, [...zeros, drag.sd * drag.sd, 0], [...zeros, 0, lift.sd * lift.sd]],
      ...(Array.isArray(from) && from.length > 0 ? { refit: true } : {}),
    },
  };
}

/** What items were taken for by their names before they said it. Applied once, in this order; each part is one item's. */
const BY_NAME: readonly { kind: string; group: RegExp; name: RegExp }[] = [
  { kind: 'rubber', group: /./, name: /rubber/i },
  { kind: 'lift motor', group: /^propulsion$/, name: /lift.*motor/i },
  { kind: 'lift rotor', group: /^propulsion$/, name: /lift.*(rotor|propeller)/i },
  { kind: 'propeller', group: /^propulsion$/, name: /propeller/i },
  { kind: 'controller', group: /^propulsion$/, name: /controller|esc\b/i },
  { kind: 'motor', group: /^propulsion$/, name: /motor/i },
  { kind: 'solar cells', group: /./, name: /solar cells/i },
  { kind: 'pack', group: /^battery$/, name: /./ },
];

/** Kinds of which a design has as many lines as it has rotors. */
const SEVERAL = /^lift /;

function partByName(item: Raw, taken: Set<string>, asleep: boolean, rubber: boolean): Raw {
  if (typeof item.name !== 'string' || typeof item.group !== 'string' || item.part !== undefined) return item;
  const { name, group } = item;
  const found = BY_NAME.find((b) => b.group.test(group) && b.name.test(name));
  // the electric part sleeps in a glider or on rubber: what is aboard there is none of its parts
  const sleeps = asleep && found && /^(motor|controller|pack)$/.test(found.kind);
  const lift = /lift/i.test(name) && found?.kind === 'controller';
  if (!found || sleeps || lift || taken.has(found.kind)) return item;
  if (!SEVERAL.test(found.kind)) taken.add(found.kind);
  const of = found.kind === 'propeller' && rubber ? { of: 'rubber' } : {};
  return { ...item, part: { kind: found.kind, ...of } };
}

/** 3 to 4: items say which part they are, by the patterns that stood in the computation. Their masses stay as typed. */
function withParts(document: unknown): unknown {
  if (!isRaw(document) || !isRaw(document.design)) return document;
  const { items, power, dragItems } = document.design;
  const taken = new Set<string>(),
    asleep = isRaw(power) && power.unpowered === true,
    rubber = asleep && isRaw(power.rubber);
  return {
    ...document,
    schemaVersion: 4,
    design: {
      ...document.design,
      items: Array.isArray(items)
        ? (items as unknown[]).map((i) => (isRaw(i) ? partByName(i, taken, asleep, rubber) : i))
        : items,
      dragItems: Array.isArray(dragItems) ? (dragItems as unknown[]).map(rotorsByName) : dragItems,
    },
  };
}

/** Drag of rotors that stand still was found by its name. */
function rotorsByName(row: unknown): unknown {
  const named = isRaw(row) && typeof row.name === 'string' && /rotor/i.test(row.name);
  return named && row.part === undefined ? { ...row, part: { kind: 'lift rotor' } } : row;
}

/** 6 to 7: tables, studies, statements, odds and rules that may come otherwise may be there; nothing that was changes. */
function withStudies(document: unknown): unknown {
  return isRaw(document) ? { ...document, schemaVersion: 7 } : document;
}

/** 7 to 8: measurements of tests say where they are from (`upgradeTest`); documents are as they were. */
function withMeasured(document: unknown): unknown {
  return isRaw(document) ? { ...document, schemaVersion: 8 } : document;
}

/** The same step on every version of a project file. */
const onVersions =
  (to: number, step: (document: unknown) => unknown) =>
  (file: Raw): Raw => ({
    ...file,
    schemaVersion: to,
    versions: Array.isArray(file.versions)
      ? (file.versions as unknown[]).map((v) => (isRaw(v) ? { ...v, document: step(v.document) } : v))
      : file.versions,
    tests: Array.isArray(file.tests)
      ? (file.tests as unknown[]).map((t) => (isRaw(t) ? { ...t, body: upgradeTest(t.body) } : t))
      : file.tests,
  });

const DOCUMENT_STEPS: Record<number, (document: unknown) => unknown> = {
  1: withTorqueFactor,
  2: withSectionFactors,
  3: withParts,
  4: withDrivesAndMissions,
  5: withFlownLegs,
  6: withStudies,
  7: withMeasured,
};

const STEPS: Record<number, (file: Raw) => Raw> = Object.fromEntries(
  Object.entries(DOCUMENT_STEPS).map(([from, step]) => [from, onVersions(Number(from) + 1, step)]),
);

/** Runs the steps from `version` up to the present one. Does not change its input. */
export function upgradeProjectFile(data: object, version: number): Raw {
  let file: Raw = { ...data };
  for (let v = version; STEPS[v]; v++) file = STEPS[v](file);
  return onVersions(Math.max(version, Number(file.schemaVersion)), presentCalibration)(file);
}

function presentCalibration(document: unknown): unknown {
  if (!isRaw(document)) return document;
  const calibration = withPresentFactors(document.calibration);
  return calibration === document.calibration ? document : { ...document, calibration };
}

/** The same for one document on its own. What is not of the form of its age comes back as far as it could be brought. */
export function upgradeDocument(data: unknown): unknown {
  let document = data;
  while (isRaw(document)) {
    const step = DOCUMENT_STEPS[document.schemaVersion as number];
    const next = step?.(document);
    // a step that finds nothing to work on leaves the version as it was: going on would never end
    if (!isRaw(next) || next.schemaVersion === document.schemaVersion) return presentCalibration(document);
    document = next;
  }
  return document;
}
