export { MAX_DAT_BYTES, parseDat, writeDat } from './datFile';
export type { DatResult } from './datFile';
export { parseProjectJson, writeProjectJson, MAX_PROJECT_BYTES } from './projectJson';
export { parsePolarCsv } from './polarCsv';
export type { PolarCsvPoint, PolarCsvResult } from './polarCsv';
export { MAX_BENCH_BYTES, parseBenchCsv, parseCoefficientCsv, writeBenchCsv } from './benchCsv';
export type { BenchCsvResult, CoefficientCsvResult } from './benchCsv';
export { MAX_PASTED_CELLS, readTabbed, writeTabbed } from './tabbed';
