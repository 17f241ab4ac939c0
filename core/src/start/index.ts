/** What a project of one's own may begin from: sound starts, every figure of them a guess until somebody knows better. */
import { bitternDocument, starterDocument } from '../demo';
import type { DesignDocument } from '../design';
import { gliderDocument, rubberDocument } from './gliders';
import { tiltingDocument } from './tilting';
import { multirotorDocument } from './multirotors';

export interface Beginning {
  readonly id: string;
  readonly name: string;
  readonly make: () => DesignDocument;
}

export const BEGINNINGS: readonly Beginning[] = [
  { id: 'plain', name: 'A plain electric aircraft, rectangular wing', make: starterDocument },
  {
    id: 'hand-glider',
    name: 'A hand-launched glider, 1.5 m',
    make: () => gliderDocument('hand-glider', 1.5, 0.15, 4),
  },
  {
    id: 'slope-glider',
    name: 'A slope glider, 2 m',
    make: () => gliderDocument('slope-glider', 2, 0.19, 8),
  },
  { id: 'rubber', name: 'A rubber model, 0.9 m, outdoors', make: rubberDocument },
  {
    id: 'multirotor-4',
    name: 'A multirotor with four rotors, 2 kg',
    make: () => multirotorDocument(4, 2, 4),
  },
  {
    id: 'multirotor-6',
    name: 'A multirotor with six rotors, 4 kg',
    make: () => multirotorDocument(6, 4, 6),
  },
  { id: 'tilting-twin', name: 'A tilting twin, 1.5 m', make: tiltingDocument },
  { id: 'bittern', name: 'A copy of the Bittern with its brief', make: bitternDocument },
];
