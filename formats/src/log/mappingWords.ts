/** What a page needs to ask what a column holds, without any reader. */
export { TIME_KINDS } from './timeCells';
export { unitsOf } from './units';
