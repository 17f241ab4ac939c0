/** A tilting twin of one's own. */
import type { DesignDocument } from '../design';
import { LAYOUT_TEMPLATES } from '../layout';
import { bareDesign, ownDocument } from './own';

const WATCH = [
  'mass@cruise',
  'staticMargin@cruise',
  'stallSpeed@cruise',
  'climbRate@cruise',
  'hoverMargin@hover',
  'hoverPower@hover',
  'hoverTime@hover',
  'rotorLoad@hover',
];

export function tiltingDocument(): DesignDocument {
  const base = bareDesign(),
    states = [
      { id: 'hover', name: 'Hover', count: 0, hover: true },
      { id: 'cruise', name: 'Cruise', count: 0 },
    ];
  const design = LAYOUT_TEMPLATES.find((t) => t.id === 'tilting-twin')!.make({ ...base, states });
  const doc = ownDocument(design, []);
  return { ...doc, brief: { ...doc.brief, watch: WATCH } };
}
