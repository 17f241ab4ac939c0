/** `skia mission` and `skia drop`: a mission leg by leg, and what falls, as JSON in SI. */
import { standardDensity } from '@skiametra/core/air';
import { assess, StepCache } from '@skiametra/core/assess';
import { isFree, type DesignDocument, type Mission } from '@skiametra/core/design';
import { fallOf, type EndBy } from '@skiametra/core/mission';
import { missionReport, type LegView, type MissionReport } from '@skiametra/core/views';
import { sentence } from '@skiametra/core/words';
import { UsageError } from './usage';

export const MISSION_OPTIONS = {
  mission: { type: 'string' },
  mass: { type: 'string' },
  'drag-area': { type: 'string' },
  wind: { type: 'string' },
} as const;

const round = (v: number | null | undefined): number | null =>
  v != null && Number.isFinite(v) ? Number(v.toPrecision(6)) : null;

/** What ends a mission, in few words; what is not here is called as it is. */
const ENDS: Partial<Record<EndBy, string>> = {
  charge: 'pack',
  strip: 'runway',
  landing: 'runway',
  height: 'rule',
  mass: 'rule',
  ground: 'height',
  spot: 'height',
  flight: 'height',
  throttle: 'power',
};
const endWord = (by: EndBy): string => ENDS[by] ?? by;

function chosen(doc: DesignDocument, asked: string | undefined): Mission {
  const { missions } = doc.brief,
    names = missions.map((m) => m.name).join(', ');
  if (missions.length === 0)
    throw new UsageError('This design has no mission: write one under Flight, Mission.');
  if (asked === undefined) return missions.find((m) => !isFree(m)) ?? missions[0]!;
  const found = missions.find((m) => m.id === asked || m.name.toLowerCase() === asked.toLowerCase());
  if (!found) throw new UsageError(`There is no mission “${asked}”; there are ${names}.`);
  return found;
}

function legJson(l: LegView): object {
  return {
    leg: l.id,
    name: l.name,
    kind: l.kind,
    state: l.state,
    pass: l.pass,
    reached: l.reached,
    time: round(l.time),
    distance: round(l.distance),
    energy: round(l.energy),
    charge: round(l.charge),
    volts: round(l.volts),
    height: round(l.height),
    mass: round(l.massFrom),
    massAfter: round(l.mass),
    cgX: round(l.cgFrom),
    cgXAfter: round(l.cg),
    margin: round(l.margin?.ratio),
    marginOf: l.margin?.of ?? null,
    said: l.said.map((s) => sentence(s)),
  };
}

/** What is told of the whole: word in the output, and its number. */
const TOTALS = {
  time: 'missionTime',
  distance: 'missionDistance',
  energy: 'missionEnergy',
  left: 'missionLeft',
  rounds: 'missionRounds',
  deliveries: 'missionGiven',
  peak: 'missionPeak',
  margin: 'missionMargin',
  unproven: 'missionUnproven',
} as const satisfies Record<string, keyof MissionReport['numbers']>;

/** Values, or their standard uncertainties, by those words. */
function totals({ numbers }: MissionReport, of: 'value' | 'sigma'): Record<string, number | null> {
  const rows = Object.entries(TOTALS).map(([word, id]) => [word, round(numbers[id]?.[of])] as const);
  return Object.fromEntries(rows);
}

/** @param state that flies a mission which names none; the first where null @throws UsageError one sentence */
export function missionCommand(doc: DesignDocument, state: string | null, asked: string | undefined): object {
  const mission = chosen(doc, asked),
    cache = new StepCache(),
    ledger = assess(doc.brief, doc.design, doc.calibration, cache);
  if (ledger.stopped && ledger.entries.length === 0) throw new UsageError(sentence(ledger.stopped));
  const flies = { mission: mission.id, state: state ?? doc.design.states[0]!.id },
    report = missionReport(doc, ledger, flies, cache);
  if (!report) throw new UsageError(`“${mission.name}” has no leg that can be flown yet.`);
  return {
    mission: mission.name,
    legs: report.legs.map(legJson),
    total: totals(report, 'value'),
    spread: totals(report, 'sigma'),
    endedBy: endWord(report.ending.by),
    said: report.said.map((s) => sentence(s)),
  };
}

interface DropValues {
  readonly height?: string | undefined;
  readonly speed?: string | undefined;
  readonly mass?: string | undefined;
  readonly 'drag-area'?: string | undefined;
  readonly wind?: string | undefined;
}

const LIMITS = {
  height: [0.01, 5000],
  speed: [0, 150],
  mass: [0.001, 500],
  'drag-area': [0, 50],
  wind: [-60, 60],
} as const;

function figure(values: DropValues, name: keyof typeof LIMITS, fallback: number | null): number {
  const text = values[name],
    [lo, hi] = LIMITS[name];
  if (text === undefined && fallback !== null) return fallback;
  const v = text === undefined || text.trim() === '' ? NaN : Number(text);
  if (!(v >= lo && v <= hi)) throw new UsageError(`--${name} takes a number from ${lo} to ${hi}.`);
  return v;
}

export function dropCommand(values: DropValues): object {
  const dragArea = figure(values, 'drag-area', 0);
  if (dragArea > 0 && values.mass === undefined)
    throw new UsageError('With --drag-area say how heavy it is: --mass KG.');
  const fall = fallOf({
    height: figure(values, 'height', null),
    airspeed: figure(values, 'speed', null),
    mass: figure(values, 'mass', 1),
    dragArea,
    density: standardDensity(),
    tailWind: figure(values, 'wind', 0),
  });
  return {
    time: round(fall.time),
    distance: round(fall.ahead),
    impactSpeed: round(fall.impact),
    terminalSpeed: round(fall.terminal),
    letGoBefore: round(fall.ahead),
    caution: 'Nothing is dropped over people; ask what the rules of the place say.',
  };
}
