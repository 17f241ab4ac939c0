/** Aircraft of one's own that hang on their rotors. */
import type { DesignDocument } from '../design';
import { multirotor } from '../layout';
import { bareDesign, ownDocument } from './own';

const WATCH = [
  'mass',
  'hoverPower',
  'hoverTime',
  'hoverMargin',
  'hoverThrottle',
  'rotorLoad',
  'rotorTopSpeed',
  'windMargin',
];

/** @param mass all-up, kg @param cells in series */
export function multirotorDocument(count: number, mass: number, cells: number): DesignDocument {
  return ownDocument(multirotor(bareDesign(), { count, mass, carried: 0, cells }), WATCH);
}
