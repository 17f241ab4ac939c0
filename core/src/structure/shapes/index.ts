export { boxSection, channelLying, channelUpright, iSection, stripSection } from './flanged';
export { roundSection } from './round';
export { noseSection, sheetSection, skinSection } from './skin';
export type { SkinPlace } from './skin';
