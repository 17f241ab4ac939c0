export { columnsOf, mappingOf } from './columns';
export { readLog } from './readLog';
export type { LogRead } from './readLog';
export type { ColumnUse, Mapping } from './guess';
export type { Layout } from './layout';
export { TIME_KINDS } from './timeCells';
export { unitSpelled, unitsOf } from './units';
