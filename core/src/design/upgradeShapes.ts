/**
 * 4 to 5: drives and thrusters in place of one power system and its rotors, missions of legs in place of course and phases,
 * tasks for what was called missions, members in place of the spar, states for loadings, calibration by the names of its
 * factors. What is not of the form of its age is carried along for the schema to refuse by its place.
 */
import { layOut, type Powertrain } from './powertrain';

export type Raw = Record<string, unknown>;
export const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);
const raw = (v: unknown): Raw => (isRaw(v) ? v : {});
const rows = (v: unknown, of: (row: Raw) => Raw): unknown =>
  Array.isArray(v) ? v.map((r) => (isRaw(r) ? of(r) : (r as unknown))) : v;
const list = (v: unknown): unknown[] => (Array.isArray(v) ? (v as unknown[]) : []);

/** The factors of schema 4, in its order. */
const FACTORS_OF_4 = [
  'dragArea',
  'induced',
  'thrust',
  'electricalLoss',
  'capacity',
  'clMax',
  'neutralPoint',
  'stiffness',
  'strength',
  'massGrowth',
  'torque',
  'sectionDrag',
  'sectionLift',
];

/** The key `loading` of a row becomes `state`, in its place. */
function sayingState(row: Raw): Raw {
  return Object.fromEntries(Object.entries(row).map(([k, v]) => [k === 'loading' ? 'state' : k, v]));
}

/** The old course as a mission: one round, as often as fits the window. */
function lapMission(course: Raw): Raw {
  const { straight, straightsPerLap, turnsPerLap, window, timedLaps } = course;
  const leg = (kind: string, name: string, more: Raw) => ({ id: kind, name, kind, state: null, ...more });
  return {
    id: 'laps',
    name: 'Laps',
    window,
    rounds: [
      {
        id: 'lap',
        name: 'Lap',
        times: null,
        timed: timedLaps,
        legs: [
          leg('straight', 'Straights', { length: straight, count: straightsPerLap }),
          leg('turn', 'Half turns', { count: turnsPerLap }),
        ],
      },
    ],
  };
}

function timedMission(phases: unknown): Raw[] {
  if (!Array.isArray(phases)) return [];
  const legs = rows(phases, sayingState);
  return [
    { id: 'flight', name: 'Flight', window: null, rounds: [{ id: 'once', name: 'Once', times: 1, legs }] },
  ];
}

function newBrief(brief: Raw, phases: unknown): Raw {
  const { course, missions, ...rest } = brief;
  return {
    ...rest,
    missions: [lapMission(raw(course)), ...timedMission(phases)],
    tasks: rows(missions, (m) => {
      const { id, name, formula, loading, ...more } = m;
      return { id, name, mission: 'laps', formula, state: loading, ...more };
    }),
  };
}

/** Where the parts that a basis names lie now; the first that fits. */
const MOVED: readonly [RegExp, string][] = [
  [/^power\.battery\b/, 'power.packs.main'],
  [/^power\.second\.battery\b/, 'power.packs.second'],
  [/^power\.second\.joined$/, 'drives.main.joined'],
  [/^power\.esc\b/, 'drives.main.controller'],
  [/^power\.propeller\.downThrust$/, 'thrusters.main.down'],
  [/^power\.propeller\.sideThrust$/, 'thrusters.main.right'],
  [/^power\.propeller\.(?=[xz]$)/, 'thrusters.main.'],
  [/^power\.lift\.esc\b/, 'drives.lift.controller'],
  [/^power\.lift\b/, 'drives.lift'],
  [/^power\.(?=(motor|propeller|wire|fan)\b)/, 'drives.main.'],
  [/^rotors\b/, 'thrusters'],
  [/^structure\.spar\b/, 'structure.members.spar.shape'],
  [/^structure\.chordPlace$/, 'structure.members.spar.chordPlace'],
  [/^loadings\b/, 'states'],
];

/** Path of schema 4, under `design`, as it is now. */
export function movedPath(path: string): string {
  const found = MOVED.find(([from]) => from.test(path));
  return found ? path.replace(found[0], found[1]) : path;
}

function newStructure(structure: Raw, surfaces: unknown): Raw {
  const { spar, chordPlace, ...rest } = structure;
  const wing = list(surfaces).find((s) => isRaw(s) && s.role === 'wing');
  const surface = isRaw(wing) ? wing.id : 'wing';
  return { members: [{ id: 'spar', name: 'Wing spar', surface, chordPlace, shape: spar }], ...rest };
}

/** A drive with what a damaged document lacks left empty, for the schema to name. */
function newDrives(power: Raw, rotors: unknown): Raw {
  const whole = {
    ...power,
    battery: raw(power.battery),
    propeller: raw(power.propeller),
    esc: raw(power.esc),
    motor: raw(power.motor),
    ...(isRaw(power.second) ? { second: power.second } : {}),
    ...(Array.isArray(rotors) ? { rotors: rotors.filter(isRaw) } : {}),
  };
  return layOut(whole as unknown as Powertrain) as unknown as Raw;
}

function newDesign(design: Raw): Raw {
  const { power, rotors, loadings, phases: _phases, structure, scale, basis, ...rest } = design;
  return {
    ...rest,
    states: loadings,
    scale: rows(scale, sayingState),
    ...newDrives(raw(power), rotors),
    structure: newStructure(raw(structure), design.surfaces),
    basis: isRaw(basis)
      ? Object.fromEntries(Object.entries(basis).map(([k, v]) => [movedPath(k), v]))
      : basis,
  };
}

export function withDrivesAndMissions(document: unknown): unknown {
  if (!isRaw(document)) return document;
  const { brief, design, calibration } = document;
  const phases = isRaw(design) ? design.phases : undefined;
  return {
    ...document,
    schemaVersion: 5,
    ...(isRaw(brief) ? { brief: newBrief(brief, phases) } : {}),
    ...(isRaw(design) ? { design: newDesign(design) } : {}),
    ...(isRaw(calibration) ? { calibration: { factors: FACTORS_OF_4, ...calibration } } : {}),
  };
}

/** The card of a test says `state`; one that does already stays as it is. */
export function upgradeTest(body: unknown): unknown {
  if (!isRaw(body)) return body;
  const said = isRaw(body.card) && 'loading' in body.card ? { ...body, card: sayingState(body.card) } : body;
  return withSources(said);
}

/** Where a measured value is from stood in its words alone up to schema 7. */
function sourceBy(from: unknown, ground: boolean): string {
  if (ground) return 'bench';
  const words = typeof from === 'string' ? from : '';
  if (words.startsWith('simulated logger')) return 'simulated';
  if (words.startsWith('log:')) return 'logged';
  return /timed|seconds|over motor time|over the time/.test(words) ? 'timed' : 'typed';
}

/** 7 to 8: each measurement says its source. */
function withSources(body: Raw): Raw {
  const { measurements } = body;
  if (!Array.isArray(measurements) || !measurements.some((m) => isRaw(m) && m.source === undefined))
    return body;
  const ground = body.bench !== undefined || body.load !== undefined;
  return {
    ...body,
    measurements: (measurements as unknown[]).map((m) =>
      isRaw(m) && m.source === undefined ? { ...m, source: sourceBy(m.from, ground) } : m,
    ),
  };
}
