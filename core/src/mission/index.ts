export { flyLap, lapsInWindow } from './lap';
export type { Course, Lap, LapInput } from './lap';
export { flyMission } from './flyMission';
export type { Held } from './flyMission';
export type { Crew, Flight, FlownLeg, Limits } from './flight';
export { makeCraft } from './makeCraft';
export type { Parts } from './makeCraft';
export type { Away, Climbing, Craft, Draw, FreeFlight, Store, StoreId } from './craft';
export type { EndBy, Ending, Limit } from './ending';
export { HARD } from './margins';
export { endingSaid, saidOfLeg, tightestSaid, unflownSaid } from './said';
export { lineClearance } from './clearance';
export { trackOf } from './track';
export type { Line, Point, Track } from './track';
export type { Margin, MarginOf } from './margins';
export { ON_GROUND } from './legs';
export type { Done, Place, Room, Stretch } from './stretch';
export { overGround, rowTurn, turnAt } from './wind';
export type { Turn, Wind } from './wind';
export { lineSpeed, roomFor, slipOf } from './winch';
export type { Drum, Slip } from './winch';
export { fallOf } from './fall';
export type { Fall, Falling } from './fall';
export { dropPlaces, footprintOf } from './scatter';
export type { DropSpread, Footprint } from './scatter';
export {
  climbWatts,
  dragRatio,
  GOOD_LIFT,
  heldAgainst,
  loadingFor,
  speedRatios,
  USUAL_LIFT,
} from './implied';
export type { Verdict } from './implied';
