export { ribOptionsSchema, ribTemplate } from './rib';
export type { RibOptions, Template } from './rib';
export { nest, sheetDxf, sheetsPdf, sheetSvg } from './sheets';
export type { Sheet } from './sheets';
export { layThreeViews, threeViewDxf, threeViewPdf, threeViewSvg } from './threeView';
export type { Drawing } from './threeView';
export { labelSheet } from './labels';
