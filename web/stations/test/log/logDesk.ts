/** Logs of a test: a file is read, mapped, kept, reduced, and reduced again as faults and stretches are set right. */
import { entryNamed } from '@skiametra/core/assess';
import { missionInView, type LogColumn, type LogEntry, type TestBody } from '@skiametra/core/design';
import type { Segment } from '@skiametra/core/log';
import {
  conditionsOf,
  courseFlown,
  flownOf,
  legMeasurements,
  logMeasurements,
  withLog,
} from '@skiametra/core/trial';
import { keepOriginal, originalsOf } from '../../../parts/originals';
import type { WorkspaceStore } from '../../../parts/workspace/store';
import { Stopped } from '../../../workers/lanes';
import { LogLane } from '../../../workers/logClient';
import type { Opened, Reduced, TraceId } from '../../../workers/logJobs';
import type { SetBody } from '../card';
import { rememberColumns, rememberedColumns } from './loggers';

interface Draft {
  readonly file: File;
  readonly origin: LogEntry['origin'];
}

export interface LogsState {
  /** what goes on, in words */ readonly busy: string | null;
  readonly bytes: number;
  readonly total: number;
  readonly error: string | null;
  /** a file whose columns a person is to look at */ readonly draft: Draft | null;
  readonly opened: Opened | null;
  /** sum of the log in view */ readonly shown: string | null;
  readonly reduced: Reduced | null;
}

export const NOTHING: LogsState = {
  busy: null,
  bytes: 0,
  total: 0,
  error: null,
  draft: null,
  opened: null,
  shown: null,
  reduced: null,
};

const settingOf = ({ kept, segments }: { kept: readonly string[]; segments: readonly Segment[] | null }) =>
  JSON.stringify([kept, segments]);

export class LogDesk {
  private readonly lane = new LogLane();
  private set: SetBody = () => null;
  private state = NOTHING;
  /** faults taken back and stretches set, as they were last reduced with */ private applied = '';

  constructor(
    private readonly id: string,
    private readonly store: WorkspaceStore,
    private readonly shows: (state: LogsState) => void,
  ) {}

  /** How the test is written, as the page has it now. */
  writing(set: SetBody): this {
    this.set = set;
    return this;
  }

  private put(patch: Partial<LogsState>): void {
    this.state = { ...this.state, ...patch };
    this.shows(this.state);
  }

  private body(): TestBody {
    return this.store.getState().content.tests.find((t) => t.id === this.id)!.body;
  }

  /** Ends the worker with what it holds. */
  close(): void {
    this.lane.stop();
  }

  stop(): void {
    this.close();
    this.put(NOTHING);
  }

  /** Whatever goes wrong is a sentence; what a person stopped is none. */
  private async guarded(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (e) {
      const why = e instanceof Error ? e.message : String(e);
      this.put({ busy: null, error: e instanceof Stopped ? null : `It was not taken: ${why}.` });
    }
  }

  private async open(file: Blob, columns: readonly LogColumn[] | null): Promise<Opened | null> {
    this.put({ busy: 'Reading', bytes: 0, total: file.size, error: null });
    const answer = await this.lane.ask<'open'>({ task: 'open', file, columns }, (bytes) =>
      this.put({ bytes }),
    );
    if (answer.status === 'ok') return answer.opened;
    this.put({ busy: null, error: `The file was not taken. ${answer.message}` });
    return null;
  }

  private reduce(kept: readonly string[], segments: readonly Segment[] | null): Promise<Reduced> {
    this.put({ busy: 'Reducing' });
    this.applied = settingOf({ kept, segments });
    const { content, ledger, missionId } = this.store.getState(),
      body = this.body(),
      flown = flownOf(body, content.document.brief, ledger),
      mission = missionInView(content.document.brief, missionId),
      course = mission ? courseFlown(mission, content.document.design, ledger, body.card.state) : null;
    return this.lane.ask<'reduce'>({ task: 'reduce', flown, kept, segments, course });
  }

  /** Writes what a log said into the test, as one undo step. */
  private write(entry: LogEntry, reduced: Reduced): string | null {
    const body = this.body(),
      { ledger, content, missionId } = this.store.getState(),
      mission = missionInView(content.document.brief, missionId),
      aspectRatio = (ledger && entryNamed(ledger, 'aspectRatio', body.card.state)?.value) ?? null;
    const told = {
      file: entry.file,
      source: entry.origin,
      state: body.card.state,
      conditions: conditionsOf(body),
    };
    const measured = [
      ...logMeasurements(reduced.results, { ...told, aspectRatio }),
      ...(mission && ledger ? legMeasurements(reduced.legReadings, mission.id, told, ledger) : []),
    ];
    return this.set(withLog(body, { ...entry, faults: { ...reduced.counts } }, measured));
  }

  private async keep({ file, origin }: Draft, opened: Opened, columns: LogColumn[] | null): Promise<void> {
    const reduced = await this.reduce([], null);
    this.put({ busy: 'Keeping the file' });
    const kept = await keepOriginal(this.id, file);
    if (kept.status === 'error') return this.put({ busy: null, error: kept.message });
    const { rows, length, begun } = opened,
      found = { file: kept.sum, name: file.name.slice(0, 200), origin, rows, length, begun, columns };
    const refused = this.write({ ...found, kept: [], segments: null, faults: {} }, reduced);
    if (refused) this.put({ ...NOTHING, error: refused });
    else this.put({ ...NOTHING, opened, shown: kept.sum, reduced });
  }

  /** A new file: of a logger that is known it is taken at once, else its columns are shown. */
  takeIn(file: File, origin: LogEntry['origin']): Promise<void> {
    return this.guarded(async () => {
      const draft = { file, origin },
        opened = await this.open(file, null);
      if (!opened) return;
      const known = opened.table && rememberedColumns(opened.table);
      if (opened.table && !known && origin === 'logged') return this.put({ busy: null, draft, opened });
      const again = known ? await this.open(file, known) : opened;
      if (again) await this.keep(draft, again, known);
    });
  }

  /** The columns of the draft as a person set them. */
  accept(columns: LogColumn[]): Promise<void> {
    return this.guarded(async () => {
      const { draft, opened } = this.state;
      if (!draft || !opened?.table) return;
      const again = await this.open(draft.file, columns);
      if (!again) return;
      rememberColumns(opened.table, columns);
      await this.keep(draft, again, columns);
    });
  }

  /** Fetches a log that is kept and reduces it as it was set. */
  show(entry: LogEntry): Promise<void> {
    return this.guarded(async () => {
      this.put({ ...NOTHING, busy: 'Fetching', shown: entry.file });
      const found = (await originalsOf(this.id)).find((f) => f.sum === entry.file);
      if (!found) return this.put({ ...NOTHING, error: `The file of ${entry.name} is not there any more.` });
      const file = await (await fetch(`/api/files/${found.id}`)).blob(),
        opened = await this.open(file, entry.columns);
      if (!opened) return;
      const reduced = await this.reduce(entry.kept, entry.segments);
      this.put({ ...NOTHING, opened, reduced, shown: entry.file });
    });
  }

  /** Faults taken back, stretches set: reduced again and written. */
  change(entry: LogEntry, patch: Partial<Pick<LogEntry, 'kept' | 'segments'>>): Promise<void> {
    return this.guarded(async () => {
      const next = { ...entry, ...patch },
        reduced = await this.reduce(next.kept, next.segments),
        refused = this.write(next, reduced);
      this.put({ busy: null, error: refused, ...(refused ? {} : { reduced }) });
    });
  }

  /** Reduced again where undo or another window set the entry otherwise; nothing is written. */
  follow(entry: LogEntry): void {
    if (this.state.busy || settingOf(entry) === this.applied) return;
    void this.guarded(async () => {
      const reduced = await this.reduce(entry.kept, entry.segments);
      this.put({ busy: null, reduced });
    });
  }

  takeOut(entry: LogEntry): void {
    this.put(NOTHING);
    const { logs = [] } = this.body();
    this.set({ logs: logs.filter((l) => l.file !== entry.file) });
  }

  trace(ids: readonly TraceId[], from: number, to: number) {
    return this.lane.ask<'trace'>({ task: 'trace', ids, from, to });
  }
}
