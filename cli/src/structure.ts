/** `skia structure`: load cases of a state, margins along the wing, what fails first, what the members weigh, as JSON. */
import { StepCache } from '@skiametra/core/assess';
import { hovers, type DesignDocument } from '@skiametra/core/design';
import { CASES, unknownMaterials } from '@skiametra/core/structure';
import { structureReport, type CaseView, type StructureReport } from '@skiametra/core/views';
import { say, sentence } from '@skiametra/core/words';
import { UsageError } from './usage';

const round = (v: number): number | null => (Number.isFinite(v) ? Number(v.toPrecision(6)) : null);

function caseJson(c: CaseView, report: StructureReport, doc: DesignDocument): object {
  const { weak } = c,
    member = doc.design.structure.members.find((m) => m.id === weak?.member)?.name ?? '';
  return {
    case: c.id,
    loadFactor: round(c.n),
    speed: round(c.speed),
    borne: round(c.factor),
    failsAt: round(c.n * c.factor),
    first: weak && sentence(say('fails-first', { ...weak, member, y: c.place, of: c.id })),
    way: weak?.way ?? null,
    place: round(c.place),
    rootMoment: round(c.moment[0]!),
    tipDeflection: round(c.deflection[c.deflection.length - 1]!),
    tipTwist: round(c.twist[c.twist.length - 1]!),
    stations: report.y.map((y, p) => ({
      y: round(y),
      moment: round(c.moment[p]!),
      shear: round(c.shear[p]!),
      torque: round(c.torque[p]!),
      EI: round(report.EI[p]!),
      deflection: round(c.deflection[p]!),
      twist: round(c.twist[p]!),
      margin: round(c.factors[p]!),
      way: c.ways[p]?.way ?? null,
    })),
  };
}

function heaviestFlying(doc: DesignDocument): string {
  const { states } = doc.design;
  return (states.filter((s) => !hovers(doc.design, s)).sort((a, b) => b.count - a.count)[0] ?? states[0]!).id;
}

/** @param state the one that carries most where null @throws UsageError one sentence */
export function structureCommand(
  doc: DesignDocument,
  state: string | null,
  only: string | undefined,
): object {
  const { brief, design, calibration } = doc;
  if (only !== undefined && !(CASES as readonly string[]).includes(only))
    throw new UsageError(`There is no case “${only}”; there are ${CASES.join(', ')}.`);
  const unknown = unknownMaterials(design);
  if (unknown.length > 0) throw new UsageError(sentence(say('no-material', { material: unknown[0]! })));
  const report = structureReport(brief, design, calibration, state ?? heaviestFlying(doc), new StepCache());
  if (!report) throw new UsageError('No member is drawn in the wing: what it bears is not known.');
  const { envelope: e } = report;
  return {
    state: report.state,
    surface: report.surface,
    mass: round(report.mass),
    members: report.members.map(({ id, name, mass }) => ({ id, name, mass: round(mass) })),
    stallSpeed: round(e.stall),
    fastest: round(e.fastest),
    safePullSpeed: round(e.safeSpeed),
    fullPullAtFastest: e.pull === null ? null : round(e.pull),
    failLoadFactor: round(e.fails[0]),
    failLoadFactorDown: round(-e.fails[1]),
    cases: report.cases
      .filter((c) => only === undefined || c.id === only)
      .map((c) => caseJson(c, report, doc)),
  };
}
