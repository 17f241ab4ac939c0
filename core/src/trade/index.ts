export { decide } from './decide';
export type { Ranked, Turn, Verdict } from './decide';
export { leverOf, wrongAt } from './levers';
export type { Lever } from './levers';
export { limitingChain } from './chain';
export { inputsOf, usualRange } from './inputs';
export { candidatesOf } from './candidates';
export { limitsOf } from './limits';
export type { Limit } from './limits';
export {
  axisOf,
  BEST,
  bestCell,
  cellCount,
  documentAt,
  flyableWinner,
  limitNames,
  sweepCell,
  sweepCells,
  sweepOrder,
} from './sweep';
export type { Axis, Cell, SweepTask } from './sweep';
export { worthOf } from './worth';
export type { Ending, Worth, WorthOptions, WorthRow } from './worth';
export { studyTask } from './study';
export type { StudyRead } from './study';
export { scoresOf } from './score';
export type { Scored } from './score';
export { frontOf } from './front';
