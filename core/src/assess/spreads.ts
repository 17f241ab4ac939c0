/**
 * Spreads of a document's numbers, scores and curves. A score moves through the numbers that its formulas name, unrounded
 * laps among them, with what is a step held: which states can be flown and which is best.
 */
import type { Calibration } from '../design';
import type { CauseId, ReadCurve, Step } from '../steps';
import type { Run } from './run';
import { heldSteps, namesIn, scoreStates, type CompiledTask, type HeldSteps } from './scoring';
import { Slopes, type Sides, type Slope, type Spread } from './uncertainty';
import { readCell, READINGS, type Cell, type Values } from './values';

interface Task {
  run: Run;
  cells: readonly Cell[];
  values: Values;
  tasks: readonly CompiledTask[];
}

/** What bears on a number when it is differentiated. */
const differenced = (key: string): string => key.replace(/^laps@/, 'lapsExact@');

export class Spreads {
  readonly slopes: Slopes;
  private readonly cellAt: ReadonlyMap<string, Cell>;
  /** cells that scores are made of */ private readonly named: readonly Cell[];
  private scored: { keys: readonly string[]; sides: readonly Sides[] } | null = null;

  constructor(
    private readonly task: Task,
    cal: Calibration,
  ) {
    this.slopes = new Slopes(task.run, cal);
    this.cellAt = new Map(task.cells.map((c) => [c.key, c]));
    const { brief, design } = task.run.source,
      names = namesIn(brief, design, task.tasks);
    this.named = task.cells.filter((c) => names.has(c.id));
  }

  /** Slope of a number by its written reference. @param state id of its state, or 'all' */
  slope(key: string, state: string): Slope {
    const cell = this.cellAt.get(differenced(key));
    if (cell) return this.slopes.slopeOf(this.slopes.of(cell.step, cell.state), cell.at, state);
    const { keys, sides } = this.scores();
    return this.slopes.slopeOf(sides, keys.indexOf(key), state);
  }

  of(key: string, state: string): Spread {
    const cell = this.cellAt.get(differenced(key));
    // its own units alone bear on the mass of the payload
    if (key.startsWith('payloadMass@')) return this.slopes.spreadOf(this.slope(key, state), state, true);
    if (cell) return this.slopes.spreadsOf(cell.step, cell.state)[cell.at];
    return this.slopes.spreadOf(this.slope(key, state), state);
  }

  /**
   * Standard uncertainty of every point; null where nothing reaches it. A spread that cannot be found is as large as
   * the value.
   */
  along(curve: ReadCurve, state: string, y: readonly number[]): number[] | null {
    if (curve.bare || curve.step.reach.size === 0) return null;
    const { rows, curves } = READINGS.find((r) => r.step === curve.step)!;
    const before = curves.slice(0, curves.indexOf(curve)),
      result = this.task.run.read(curve.step, state),
      first = before.reduce((n, c) => n + (c.read(result)?.y.length ?? 0), rows.length);
    const sigmas = this.slopes.sigmasOf(curve.step, state, first, y.length);
    return y.map((v, i) => (Number.isFinite(sigmas[i]) ? sigmas[i] : Math.abs(v)));
  }

  /** Scores on both sides of every cause that reaches what the formulas name. */
  private scores(): { keys: readonly string[]; sides: readonly Sides[] } {
    if (this.scored) return this.scored;
    const { run, values, tasks } = this.task,
      { brief, design } = run.source,
      held = heldSteps(brief, design, values, tasks);
    const keys = Object.keys(scoreStates(brief, design, values, { held, tasks }).values);
    const steps = new Set(this.named.map((c): Step => c.step)),
      reached = [...this.slopes.causes].filter((c) => [...steps].some((s) => s.reach.has(c)));
    const still = new Map(
      this.named.flatMap((c): [Cell, number][] => (c.key in values ? [[c, values[c.key]]] : [])),
    );
    const sides = run.cache.kept('scores on both sides', this.scoresKey(held), 60, () =>
      reached.map((cause): Sides => {
        const { up, down } = this.slopes.sidesOf(cause);
        const at = (side: Run) => {
          const v = this.scoreOn(side, cause, held, still);
          return keys.map((k) => v[k]);
        };
        return { cause, up: at(up), down: at(down) };
      }),
    );
    return (this.scored = { keys, sides });
  }

  /** Everything that scores are made of. */
  private scoresKey(held: HeldSteps): string {
    const { run } = this.task,
      { tasks, missions, rivals } = run.source.brief;
    const asked = run.cache.contentOf([tasks, missions, rivals, held]);
    const steps = this.named.map((c) => run.keyOf(c.step, c.state));
    return [asked, this.slopes.stepsKey, ...new Set(steps)].join(' ');
  }

  /** Scores with one cause moved. @param still the numbers that scores are made of, at rest */
  private scoreOn(side: Run, cause: CauseId, held: HeldSteps, still: ReadonlyMap<Cell, number>): Values {
    const { tasks, run } = this.task,
      moved: Values = {};
    for (const [c, value] of still)
      moved[c.key] = c.step.reach.has(cause) ? (readCell(side, c) ?? value) : value;
    return scoreStates(run.source.brief, run.source.design, moved, { held, tasks }).values;
  }
}
