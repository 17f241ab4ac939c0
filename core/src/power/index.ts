export { BLADE_FAMILIES, BLADES, bladeAngle, bladeShape, chordAt } from './blades';
export type { BladeFamily, BladeShape } from './blades';
export { bladeLoad } from './bladeElement';
export type { BladeLoad, BladeSet } from './bladeElement';
export {
  bladeSetOf,
  idleDragArea,
  propellerCurve,
  propellerLoad,
  thrustCoefficient,
  pitchSpeed,
  sameBlades,
  powerCoefficient,
  PITCH_RATIO_RANGE,
} from './propeller';
export type { CoefficientTable, PropellerCurve, PropellerSize } from './propeller';
export {
  CHEMISTRIES,
  CHEMISTRY,
  estimateCellResistance,
  joinPacks,
  openCircuit,
  packOf,
  packWear,
} from './battery';
export type { Chemistry, ChemistryFacts, Joined, Pack, PackData } from './battery';
export {
  coolingAt,
  gaugeArea,
  heatStep,
  motorMass,
  sameMotor,
  wireMass,
  settledHeat,
  thermalOf,
  USUAL_LIMIT,
  wireCurrent,
  wireResistance,
} from './motor';
export type { HeatState, MotorData, ThermalMass } from './motor';
export {
  buildDrive,
  motorLoss,
  operate,
  operateForThrust,
  packInUse,
  packVolts,
  streamSpeed,
  thrusterOf,
  MEAN_SOC,
} from './electric';
export type { Drive, DriveParts, OperatingPoint } from './electric';
export { atCharge, CHARGE_NODES, givingPower, overCharge } from './atCharge';
export type { Drawn } from './atCharge';
export { driveMap, powerFor } from './driveMap';
export type { DriveMap } from './driveMap';
export { liftDrive } from './liftDrive';
export type { LiftParts } from './liftDrive';
export { driveChain, settledWinding, staticCard, TIP_LIMIT } from './driveChain';
export type { ChainLimits, DriveChain, Link, Margin, StaticCard } from './driveChain';
export { simulateDischarge, timeToLimit } from './discharge';
export type { Discharge, DischargeRow, Segment } from './discharge';
export { fanCurve, fanExitArea, fanThrust, jetSpeed } from './ductedFan';
export type { FanData } from './ductedFan';
export { controllerMass, genericParts, propellerMass } from './catalogue';
export type { EscPart, MotorPart, PackPart, PartsList, PropellerPart } from './catalogue';
export {
  combinationCount,
  indexOfCombination,
  matchOne,
  matchSlice,
  matchSummary,
  outSaid,
  paretoRows,
  prepareMatch,
} from './match';
export type { MatchBench, MatchRow, MatchSlice, MatchTask, OutReason } from './match';
export { balancedThrust, discArea, hoverPoint, idealHoverPower, rotorCruisePower, weakRotor } from './hover';
export type { HoverPoint, WeakRotor } from './hover';
export { inducedFlow } from './inducedFlow';
export {
  INDUCED_FACTOR,
  leaningDragArea,
  rotorFlight,
  rotorPoint,
  tiltedPower,
  standingTable,
} from './rotorFlight';
export type { FrameDrag, RotorCraft, RotorFlight, RotorPoint, StandingTable } from './rotorFlight';
export { changeAlong, corridorPoint, wayTo } from './corridor';
export type { Change, Changing, CorridorPoint, Way } from './corridor';
export { supplyReport } from './supply';
export type { SupplyLine, SupplyPart, SupplyReport, VoltsLine } from './supply';
export { torqueRoll } from './torqueRoll';
export type { TorqueRoll } from './torqueRoll';
export { dethermalizerTime, effectivePitch, meanRotation, rubberMotor } from './rubber';
export type { RubberData, RubberMotor } from './rubber';
export { flaringCurves, rubberFlight, rubberTrials, thinned } from './rubberFlight';
export type { FlaringCurves, RubberFlight, RubberFlightInput, RubberRow, RubberTrial } from './rubberFlight';
export { clearSky, solarArray, solarDay, solarPower, sunHeight } from './solar';
export type { SolarArray, SolarData, SolarDay, SolarRow } from './solar';
