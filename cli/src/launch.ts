/** `skia launch`: how a state leaves by a way, and what happens then, as JSON in SI. */
import { assess, entryOf, runOf, StepCache, type QuantityId } from '@skiametra/core/assess';
import {
  hasWing,
  leavingOf,
  LEAVING,
  type DesignDocument,
  type Launch,
  type Leaving,
} from '@skiametra/core/design';
import { departure } from '@skiametra/core/steps';
import { sentence } from '@skiametra/core/words';
import { UsageError } from './usage';

export const LAUNCH_OPTIONS = {
  way: { type: 'string' },
  speed: { type: 'string' },
  height: { type: 'string' },
  'angle-deg': { type: 'string' },
  pull: { type: 'string' },
  stretch: { type: 'string' },
  length: { type: 'string' },
  force: { type: 'string' },
  'dolly-mass': { type: 'string' },
} as const;
export type LaunchValues = Partial<Record<keyof typeof LAUNCH_OPTIONS, string>>;

type Option = Exclude<keyof typeof LAUNCH_OPTIONS, 'way'>;
const DEG = Math.PI / 180;

/** Which figure of the design each option is, by way. */
const MEANS: Partial<Record<Leaving, Partial<Record<Option, keyof Launch>>>> = {
  hand: { speed: 'throwSpeed', height: 'throwHeight', 'angle-deg': 'throwAngle' },
  bungee: { pull: 'linePull', stretch: 'lineStretch' },
  winch: { speed: 'winchSpeed', pull: 'winchPull' },
  rail: { length: 'railLength', force: 'railForce', 'angle-deg': 'railAngle' },
  dolly: { 'dolly-mass': 'dollyMass' },
  towed: { speed: 'towSpeed' },
  dropped: { speed: 'dropSpeed', height: 'dropHeight' },
  run: {},
};

const LIMITS: Readonly<Record<Option, readonly [number, number]>> = {
  speed: [0.1, 100],
  height: [0, 5000],
  'angle-deg': [-30, 60],
  pull: [0.01, 5000],
  stretch: [0.01, 300],
  length: [0.01, 30],
  force: [0.01, 20000],
  'dolly-mass': [0, 100],
};

function launchFrom(way: Leaving, values: LaunchValues): Launch {
  const means = MEANS[way] ?? {},
    out: Launch = {};
  for (const option of Object.keys(LIMITS) as Option[]) {
    const text = values[option];
    if (text === undefined) continue;
    const name = means[option];
    if (!name) throw new UsageError(`--${option} says nothing of leaving by ${way}.`);
    const v = Number(text),
      [lo, hi] = LIMITS[option];
    if (text.trim() === '' || !(v >= lo && v <= hi))
      throw new UsageError(`--${option} takes a number from ${lo} to ${hi}.`);
    out[name] = option === 'angle-deg' ? v * DEG : v;
  }
  return out;
}

function wayOf(doc: DesignDocument, state: string, text: string | undefined): Leaving {
  if (text === undefined)
    return leavingOf(
      doc.design,
      doc.design.states.find((s) => s.id === state)!,
    );
  const way = LEAVING.find((w) => w === text);
  if (!way || way === 'hover')
    throw new UsageError(`--way takes one of ${LEAVING.filter((w) => w !== 'hover').join(', ')}.`);
  return way;
}

const round = (v: number | null | undefined) =>
  v != null && Number.isFinite(v) ? Number(v.toPrecision(6)) : null;

/** @param asked a state; the first where null @throws UsageError one sentence */
export function launchCommand(doc: DesignDocument, asked: string | null, values: LaunchValues): object {
  if (!hasWing(doc.design))
    throw new UsageError('This aircraft has no wing: it leaves on its rotors (skia hover FILE).');
  const state = asked ?? doc.design.states[0]!.id,
    way = wayOf(doc, state, values.way),
    launch = { ...doc.design.launch, ...launchFrom(way, values) };
  const states = doc.design.states.map(({ hover: _h, ...s }) =>
      s.id === state ? { ...s, leaving: way } : { ...s },
    ),
    design = { ...doc.design, states, launch },
    cache = new StepCache(),
    ledger = assess(doc.brief, design, doc.calibration, cache);
  const left = runOf({ brief: doc.brief, design }, doc.calibration, cache).maybe(departure, state),
    told = (id: QuantityId) => {
      const e = entryOf(ledger, id, state);
      return e ? { value: round(e.value), sigma: round(e.sigma) } : null;
    };
  if (way !== 'run' && way !== 'dolly' && !left)
    throw new UsageError(
      `Leaving by ${way} needs ${Object.keys(MEANS[way] ?? {})
        .map((o) => `--${o}`)
        .join(', ')}.`,
    );
  return {
    state: design.states.find((s) => s.id === state)!.name,
    way,
    mass: told('mass'),
    stallSpeed: told('stallSpeed'),
    airspeedWhenLetGo: told('launchSpeed'),
    overStall: told('launchOverStall'),
    heightLost: told('launchLost'),
    lowest: told('launchLowest'),
    loadFactor: told('launchLoad'),
    throwNeeded: told('throwNeeded'),
    flies: left?.flies ?? null,
    timeUntilItFlies: round(left?.time),
    distanceUntilItFlies: round(left?.distance),
    groundRun: told('groundRun'),
    findings: ledger.findings
      .filter((f) => f.code === 'leaves-low' && f.state === state)
      .map((f) => sentence(f)),
  };
}
