/** A branch of the Bittern outside the contest: a long wing with solar cells. All figures are made up. */
import { linkParts } from '../mass';
import { powertrainOf, withPowertrain, type DesignDocument } from '../design';
import { wingSpar } from './laps';
import { bitternDocument } from './bittern';

const DEG = Math.PI / 180,
  RPM_PER_VOLT = (2 * Math.PI) / 60,
  INCH = 0.0254,
  MAH = 3.6;

export function bitternSolarDocument(): DesignDocument {
  const doc = bitternDocument(),
    d = doc.design;
  const wing = d.surfaces.find((s) => s.id === 'wing')!;
  wing.x = 0.325;
  wing.stations = [
    { ...wing.stations[0], chord: 0.29 },
    { ...wing.stations[1], y: 0.8, z: 0.02, chord: 0.29 },
    { ...wing.stations[2], y: 1.5, x: 0.035, z: 0.11, chord: 0.19 },
  ];
  wing.joints = [0, 0.8];
  const tail = d.surfaces.find((s) => s.id === 'tail')!;
  tail.x = 1.35;
  tail.stations = tail.stations.map((s) => ({ ...s, y: s.y * 1.2 }));
  const fin = d.surfaces.find((s) => s.id === 'fin')!;
  fin.x = 1.34;
  fin.stations = fin.stations.map((s) => ({ ...s, y: s.y * 1.25, chord: s.chord * 1.15 }));
  d.body[d.body.length - 1].x = 1.56;
  d.items = d.items
    .filter((i) => !['bay', 'gear-legs'].includes(i.id))
    .map((i) =>
      i.id === 'wing-shell'
        ? { ...i, planned: { kind: 'areal' as const, surface: 'wing', perArea: 0.95 }, x: 0.4 }
        : i.id === 'battery'
          ? { ...i, planned: { kind: 'mass' as const, mass: 0.31 }, x: 0.15 }
          : i.id === 'body-shell'
            ? { ...i, planned: { kind: 'mass' as const, mass: 0.26 } }
            : i.id === 'motor'
              ? { ...i, planned: { kind: 'mass' as const, mass: 0.118 } }
              : i.id === 'paint'
                ? { ...i, planned: { kind: 'mass' as const, mass: 0.07 } }
                : i,
    );
  d.items.push({
    ...d.items.find((i) => i.id === 'wing-servos')!,
    id: 'cells',
    name: 'Solar cells and wiring',
    group: 'electronics',
    planned: { kind: 'mass', mass: 0.36 },
    part: { kind: 'solar cells' },
    basis: 'calculated',
    spread: 0.08,
    x: 0.45,
    z: 0.1,
    inWing: true,
  });
  d.dragItems = [
    { id: 'openings', name: 'Hinges, horns, cooling', dragArea: 0.0008, note: 'guess' },
    { id: 'edges', name: 'Edges of the cells', dragArea: 0.0006, note: 'guess' },
  ];
  d.wheels = [];
  d.states = [{ id: 'aloft', name: 'On the sun', count: 0 }];
  d.scale = [];
  delete d.swaps;
  delete d.claims;
  const { supply: _supply, ...own } = powertrainOf(d);
  const powertrain = {
    ...own,
    battery: {
      series: 3,
      parallel: 2,
      capacity: 6000 * MAH,
      cellResistance: 0.03,
      maxC: 6,
      usable: 0.85,
      chemistry: 'Li-ion' as const,
    },
    motor: { kv: 420 * RPM_PER_VOLT, resistance: 0.11, noLoadCurrent: 0.5, maxCurrent: 18, mass: 0.118 },
    esc: { resistance: 0.008, maxCurrent: 30 },
    propeller: { diameter: 14 * INCH, pitch: 8 * INCH, blades: 2, family: 'folding' as const, x: 0, z: 0 },
    avionicsCurrent: 0.3,
    solar: {
      series: 22,
      strings: 1,
      cell: {
        area: 0.0153,
        mass: 0.0075,
        efficiency: 0.22,
        openVolts: 0.68,
        workVolts: 0.58,
        temperatureCoefficient: -0.0031,
      },
      controller: { minVolts: 5, maxVolts: 20, efficiency: 0.95, kind: 'boost' as const },
      latitude: 52.6 * DEG,
      longitude: 0.4 * DEG,
      date: '2026-06-21',
      clarity: 0.85,
      warming: 18,
    },
  };
  d.flight = { ...d.flight, turnBank: 20 * DEG, lapThrottle: 0.55, marginMin: 0.06, marginMax: 0.15 };
  d.structure = {
    ...d.structure,
    members: wingSpar({ kind: 'tube', outer: 0.016, wall: 0.001, material: 'carbon-tube' }),
    requiredLoadFactor: 3,
    requiredNegative: 1.5,
  };
  return {
    ...doc,
    design: linkParts(withPowertrain(d, powertrain)),
    brief: {
      ...doc.brief,
      missions: doc.brief.missions.filter((m) => m.id === 'laps'),
      purpose:
        'An evening’s question: with cells on a three-metre wing, from when to when does the sun alone carry it, and is there a night it could last?',
      requirements: [
        {
          id: 'margin',
          quantity: 'staticMargin',
          state: 'all',
          op: 'between',
          min: 0.06,
          max: 0.2,
          rule: 'own rule',
          wish: false,
        },
        {
          id: 'stall',
          quantity: 'stallSpeed',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 8,
          rule: 'launched by hand',
          wish: false,
        },
      ],
      tasks: [
        {
          id: 'minutes',
          name: 'Minutes without sun',
          mission: 'laps',
          formula: 'endurance / 60',
          state: 'each',
        },
      ],
      rivals: [],
      references: [],
      watch: [
        'mass@aloft',
        'stallSpeed@aloft',
        'minSink@aloft',
        'glideRatio@aloft',
        'lapCurrent@aloft',
        'endurance@aloft',
        'usableEnergy@all',
        'staticMargin@aloft',
      ],
    },
  };
}
