export { DocTable } from './DocTable';
export { ShownTable } from './ShownTable';
export { freshId } from './freshId';
export type { DocColumn, DocRow, ShownColumn } from './columns';
