/** A small electric drive at the nose of what never had one: every figure a guess, every part a line of the mass list. */
import type { DriveSpec, Thruster } from './driveSchema';
import { unused, type PathChange } from './driveEdits';
import type { Design, Item } from './schema';

const RPM_PER_VOLT = (2 * Math.PI) / 60,
  INCH = 0.0254;

const PACK = { series: 3, parallel: 1, capacity: 2200 * 3.6, cellResistance: 0.009, maxC: 25, usable: 0.8 };
const PARTS = {
  controller: { resistance: 0.008, maxCurrent: 30 },
  motor: { kv: 900 * RPM_PER_VOLT, resistance: 0.09, noLoadCurrent: 0.9, noLoadVolts: 10, maxCurrent: 25 },
  propeller: { diameter: 10 * INCH, pitch: 6 * INCH, blades: 2, family: 'folding' as const, folds: true },
};

/** What stands where afterwards, under the design. */
export function usualDrive(d: Design): PathChange[] {
  const pack = unused('main', d.power.packs),
    drive = unused('main', d.drives),
    nose = Math.min(...d.body.map((b) => b.x)),
    length = Math.max(...d.body.map((b) => b.x)) - nose;
  const spec: DriveSpec = { id: drive, name: 'Drive', packs: [pack], ...PARTS },
    shaft: Thruster = { id: unused('shaft', d.thrusters), name: 'Propeller', drive, x: nose, y: 0, z: 0 };
  const line = (kind: 'motor' | 'propeller' | 'controller' | 'pack', name: string, at: number): Item => ({
    id: unused(kind, d.items),
    name,
    part: { kind },
    group: kind === 'pack' ? 'battery' : 'propulsion',
    planned: { kind: 'part', factor: 1 },
    basis: 'guess',
    spread: 0.2,
    weighed: null,
    x: nose + at * length,
    y: 0,
    z: 0,
    inWing: false,
    movable: kind === 'pack' ? { from: nose + 0.05 * length, to: nose + 0.3 * length } : null,
  });
  return [
    { path: 'power.packs', value: [...d.power.packs, { id: pack, name: 'Flight pack', ...PACK }] },
    { path: 'drives', value: [...d.drives, spec] },
    { path: 'thrusters', value: [...d.thrusters, shaft] },
    {
      path: 'items',
      value: [
        ...d.items,
        line('motor', 'Motor', 0.02),
        line('propeller', 'Propeller', 0),
        line('controller', 'Controller', 0.08),
        line('pack', 'Battery', 0.14),
      ],
    },
  ];
}
