/** A plain rectangular-wing aircraft to begin a project of one's own from. */
import type { DesignDocument } from '../design';
import { bitternDocument } from './bittern';

/** The proportions of the demo without its contest: no payload, no missions, one rule. */
export function starterDocument(): DesignDocument {
  const doc = bitternDocument();
  const wing = doc.design.surfaces.find((s) => s.id === 'wing')!;
  wing.stations = [
    { y: 0, x: 0, z: 0, chord: 0.24, twist: 0, section: 'wing-section' },
    { y: 0.75, x: 0, z: 0.04, chord: 0.24, twist: 0, section: 'wing-section' },
  ];
  const battery = doc.design.items.find((i) => i.id === 'battery')!;
  battery.x = 0.17;
  doc.design.structure.spar = { kind: 'tube', outer: 0.012, wall: 0.001, material: 'carbon-tube' };
  // the Bittern's own parts, plan and claims stay with it
  delete doc.design.swaps;
  delete doc.design.phases;
  delete doc.design.claims;
  delete doc.design.power.supply;
  delete doc.design.power.wire;
  doc.design.loadings = [
    { id: 'empty', name: 'Empty', count: 0 },
    { id: 'loaded', name: 'Loaded', count: 4 },
  ];
  doc.design.payload = { ...doc.design.payload, name: 'Payload', basis: 'guess' };
  return {
    ...doc,
    brief: {
      ...doc.brief,
      purpose: '',
      requirements: [],
      missions: [{ id: 'laps', name: 'Laps in the window', formula: 'laps', loading: 'each' }],
      rivals: [],
      // models to compare with are the builder's own
      references: [],
      watch: [
        'score@loaded',
        'mass@loaded',
        'staticMargin@loaded',
        'stallSpeed@loaded',
        'groundRun@loaded',
        'climbRate@loaded',
        'lapTime@loaded',
        'allowedLoadFactor@loaded',
      ],
    },
  };
}
