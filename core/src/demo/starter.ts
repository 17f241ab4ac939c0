/** A plain rectangular-wing aircraft to begin a project of one's own from. */
import { powertrainOf, withPowertrain, type DesignDocument } from '../design';
import { wingSpar } from './laps';
import { bitternDocument } from './bittern';
import { withoutStudies } from './fresh';

/** The proportions of the demo without its contest: no payload, no missions, one rule. */
export function starterDocument(): DesignDocument {
  const doc = withoutStudies(bitternDocument());
  const wing = doc.design.surfaces.find((s) => s.id === 'wing')!;
  wing.stations = [
    { y: 0, x: 0, z: 0, chord: 0.24, twist: 0, section: 'wing-section' },
    { y: 0.75, x: 0, z: 0.04, chord: 0.24, twist: 0, section: 'wing-section' },
  ];
  const battery = doc.design.items.find((i) => i.id === 'battery')!;
  battery.x = 0.17;
  doc.design.structure.members = wingSpar({
    kind: 'tube',
    outer: 0.012,
    wall: 0.001,
    material: 'carbon-tube',
  });
  // the Bittern's own parts, plan and claims stay with it
  delete doc.design.swaps;
  delete doc.design.claims;
  const { supply: _s, wire: _w, ...powertrain } = powertrainOf(doc.design);
  doc.design.states = [
    { id: 'empty', name: 'Empty', count: 0 },
    { id: 'loaded', name: 'Loaded', count: 4 },
  ];
  doc.design.payload = { ...doc.design.payload, name: 'Payload', basis: 'guess' };
  return {
    ...doc,
    design: withPowertrain(doc.design, powertrain),
    brief: {
      ...doc.brief,
      missions: doc.brief.missions.filter((m) => m.id === 'laps'),
      purpose: '',
      requirements: [],
      tasks: [{ id: 'laps', name: 'Laps in the window', mission: 'laps', formula: 'laps', state: 'each' }],
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
