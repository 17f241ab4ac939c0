export {
  BASES,
  FACTOR_IDS,
  PART_KINDS,
  SCHEMA_VERSION,
  briefSchema,
  calibrationSchema,
  designSchema,
  documentSchema,
  itemSchema,
  measuredPolarSchema,
  sectionChoiceSchema,
  sectionSchema,
  shapeSchema,
  surfaceSchema,
} from './schema';
export type {
  Basis,
  Brief,
  Calibration,
  Design,
  DesignDocument,
  FactorId,
  Item,
  State,
  PartKind,
  PartLink,
  MeasuredPolar,
  Section,
  SectionChoice,
  SectionShape,
  Station,
  Surface,
} from './schema';
export {
  HANDLING,
  MOST_READINGS,
  MOST_RUNS,
  benchRowSchema,
  benchSchema,
  emptyRecord,
  testBodySchema,
} from './testSchema';
export { emptyFootage } from './testSchema';
export { READ_BY, SOURCES, conditionsSchema, measurementSchema } from './measurementSchema';
export type { Conditions, Measurement, Reading, Source } from './measurementSchema';
export { MOST_LOGS, SEGMENT_KINDS, logEntrySchema, segmentSchema } from './logSchema';
export type { LogColumn, LogEntry, SegmentKind } from './logSchema';
export type { BenchBody, BenchRow, Handling, LogRow, TestBody, LoadPlan, LoadTest } from './testSchema';
export { FILE_FORMAT, projectFileSchema, projectJsonSchema } from './project';
export type { ProjectFile } from './project';
export { problemOf, readDocument, readProjectFile, sentenceOf, withoutMarks } from './read';
export { referenceProblems } from './references';
export type { ReadResult } from './read';
export { mergeThreeWay, listChanges } from './merge';
export type { Change, MergeResult } from './merge';
export { documentField, numberFault, testField } from './documentFields';
export { FIELDS, numbersOf, storedUnit } from './fields';
export type { Field } from './fields';
export { FACTORS, priorCalibration, factorsOf } from './factors';
export type { Factor, Factors } from './factors';
export { getPath, setPath } from './paths';
export { referenceSchema } from './layoutSchema';
export type { DragSource, ReferenceModel, Towed } from './layoutSchema';
export { coefficientsSchema, drivePartsSchema } from './powerSchema';
export type { Swap } from './powerSchema';
export type { DriveSpec, Thruster } from './driveSchema';
export { requirementSchema, rivalSchema, variantSchema } from './askedSchema';
export type { Requirement, Rival, Statement, Variant } from './askedSchema';
export { MARKS, decisionTableSchema, studySchema } from './tradeSchema';
export type { Criterion, DecisionOption, DecisionTable, Odds, Study, SweepAxis, Trade } from './tradeSchema';
export { LEG_KINDS } from './missionSchema';
export type { Leg, LegKind, Mission, Task } from './missionSchema';
export type { Dropping, Stated, StatedKind, Winch } from './airTaskSchema';
export { ARM_KINDS, ownMaterialSchema } from './memberSchema';
export type { Arm, Member, MemberKind, MemberShape, OwnMaterial, Repair, TipSizes } from './memberSchema';
export { DEFAULT_CHORD_PLACE, membersOf, sparOf } from './members';
export {
  boundMissions,
  courseOf,
  freeMissions,
  isFree,
  lapMission,
  legIds,
  missionInView,
  straightWay,
} from './course';
export type { LapCourse } from './course';
export { missionsAsked, wordOf } from './formulaNames';
export { UP, drivesOf, layOut, powertrainOf, thrustersOf, unknownParts, withPowertrain } from './powertrain';
export type { Arrangement, Driven, Lift, PlainPowertrain, Powertrain, Rotor } from './powertrain';
export { upgradeDocument } from './upgrades';
export { movedPath, upgradeTest } from './upgradeShapes';
export { siteSpread, windGrowth } from './site';
export { LEAVING, RETURNING } from './wayKinds';
export type { Leaving, Returning } from './wayKinds';
export { usualDrive } from './usualDrive';
export * from './lifting';
export * from './launchSchema';
export * from './ways';
export { NAMED_LISTS, standIn, usesOf, withoutEntry } from './uses';
export type { NamedList } from './uses';
export {
  arranged,
  driveFitted,
  forwardAt,
  withLift,
  withSecondPack,
  withoutLift,
  withoutSecondPack,
} from './driveEdits';
export type { PathChange } from './driveEdits';
