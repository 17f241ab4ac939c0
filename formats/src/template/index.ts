export { ribOptionsSchema, ribTemplate } from './rib';
export type { RibOptions, Template } from './rib';
export { nest, sheetDxf, sheetsPdf, sheetSvg } from './sheets';
export type { Sheet } from './sheets';
