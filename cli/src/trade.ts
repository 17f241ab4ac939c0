/** `skia sweep` and `skia worth`: one or two inputs over ranges, and what one step of everything brings. JSON lines in SI. */
import { QUANTITIES, readRef, StepCache } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import {
  axisOf,
  cellCount,
  leverOf,
  limitNames,
  limitingChain,
  sweepCell,
  worthOf,
  wrongAt,
  type Axis,
  type Cell,
  type SweepTask,
} from '@skiametra/core/trade';
import { sentence } from '@skiametra/core/words';
import { normalFrom } from '@skiametra/devices';
import { UsageError } from './usage';

export const TRADE_OPTIONS = {
  vary: { type: 'string', multiple: true },
  show: { type: 'string' },
} as const;

/** Cells of one command. */
const MOST_CELLS = 20_000;
const SEED = 1;

const round = (v: number | null | undefined): number | null =>
  v != null && Number.isFinite(v) ? Number(v.toPrecision(7)) : null;

/** The state that is looked at first: that of the first number of the strip. */
function usualState(doc: DesignDocument): string {
  const watched = doc.brief.watch[0]?.split('@')[1]?.split(';')[0],
    { states } = doc.design;
  return states.find((s) => s.id === watched)?.id ?? states[0]!.id;
}

/** `design.flight.lapThrottle=0.5:0.9:9`; a choice may stand alone. */
function axisFrom(doc: DesignDocument, text: string): Axis {
  const [path, range] = text.split(/=(.*)/s) as [string, string | undefined],
    lever = leverOf(doc, path);
  if (!lever)
    throw new UsageError(
      `“${path}” is no number of this design that can be varied; try design.flight.lapThrottle, span:wing or part:propeller.`,
    );
  if (range === undefined && lever.choices)
    return axisOf(lever, 0, lever.choices.length - 1, lever.choices.length);
  const [lo, hi, n, ...rest] = (range ?? '').split(':').map((s) => (s.trim() === '' ? NaN : Number(s)));
  if (rest.length > 0 || ![lo, hi, n].every(Number.isFinite) || !Number.isInteger(n) || n! < 2 || n! > 500)
    throw new UsageError(
      `--vary ${path} takes lo:hi:n with n a whole number from 2 to 500, as ${path}=1:2:5.`,
    );
  for (const end of [lo!, hi!]) {
    const wrong = wrongAt(doc, lever, end);
    if (wrong !== null) throw new UsageError(wrong);
  }
  return axisOf(lever, lo!, hi!, n!);
}

function shownIn(doc: DesignDocument, text: string | undefined): string[] {
  const names = (text ?? 'score').split(',').map((s) => s.trim());
  for (const name of names) {
    const ref = readRef(name);
    if (!ref) throw new UsageError(`“${name}” is no quantity; skia assess lists them by id.`);
    if (ref.state !== undefined && !doc.design.states.some((s) => s.id === ref.state))
      throw new UsageError(`There is no state “${ref.state}” for ${QUANTITIES[ref.id].name}.`);
  }
  return names;
}

function cellJson(cell: Cell, names: Readonly<Record<string, string>>): object {
  return {
    at: cell.at,
    state: cell.state,
    show: Object.fromEntries(Object.entries(cell.show).map(([k, v]) => [k, round(v)])),
    feasible: cell.feasible,
    limits: cell.stopped === null ? cell.blocked.map((id) => names[id] ?? id) : [cell.stopped],
  };
}

/** @param line takes one JSON value a cell as it is found */
export function sweepCommand(
  doc: DesignDocument,
  state: string | null,
  values: { vary?: string[] | undefined; show?: string | undefined },
  line: (value: object) => void,
): void {
  const { vary = [] } = values;
  if (vary.length < 1 || vary.length > 2)
    throw new UsageError('Name one or two inputs with --vary: --vary design.flight.lapThrottle=0.5:0.9:9.');
  const axes = vary.map((v) => axisFrom(doc, v));
  if (axes[0]!.lever.id === axes[1]?.lever.id) throw new UsageError('Both --vary name the same input.');
  const task: SweepTask = {
      doc,
      axes,
      state: state ?? usualState(doc),
      show: shownIn(doc, values.show),
    },
    total = cellCount(task);
  if (total > MOST_CELLS)
    throw new UsageError(`${total} cells are more than the ${MOST_CELLS} of one sweep.`);
  const cache = new StepCache(),
    names = limitNames(task);
  for (let i = 0; i < total; i++) line(cellJson(sweepCell(task, i, cache), names));
}

export function worthCommand(doc: DesignDocument, asked: string | null): object {
  const cache = new StepCache(),
    state = asked ?? usualState(doc),
    worth = worthOf(doc, state, cache, { normal: normalFrom(SEED) });
  const limits = limitingChain(
    doc,
    worth,
    (id) => QUANTITIES[id as keyof typeof QUANTITIES].name.toLowerCase(),
    cache,
  );
  return {
    state,
    score: round(worth.score),
    expected: round(worth.expected),
    spread: round(worth.sigma),
    chance: round(worth.chance),
    limits: sentence(limits),
    blocked: worth.blocked.map((b) => b.name),
    worth: worth.rows.map((r) => ({
      input: r.lever,
      name: r.name,
      from: round(r.from),
      to: r.choice ?? round(r.to),
      points: round(r.points),
      spread: round(r.sigma),
      chance: round(r.chance),
      breaks: r.breaks,
      limit: r.ending && { name: r.ending.name, steps: r.ending.steps },
      stepsToTen: r.toTen,
      ...(r.also.length > 0 ? { also: r.also } : {}),
    })),
  };
}
