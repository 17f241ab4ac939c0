/** Load tests of the version in hand: begun, planned, read. */
import { emptyRecord, type LoadTest, type TestBody } from '@skiametra/core/design';
import { loadMeasurements } from '@skiametra/core/trial';
import { dayOf } from '../../../parts/dates/dateFormat';
import { useWorkspace, useWorkspaceStore } from '../../../parts/workspace/useWorkspace';

export type LoadCard = { id: string; body: TestBody & { load: LoadTest } };

/** Of this version, newest last. */
export function useLoadTests(): LoadCard[] {
  const tests = useWorkspace((w) => w.content.tests),
    versionId = useWorkspace((w) => w.versionId);
  return tests.filter(
    (t): t is typeof t & LoadCard => t.versionId === versionId && t.body.load !== undefined,
  );
}

export function emptyLoad(state: string, temperature: number, title: string, to: number): TestBody {
  return {
    card: {
      title,
      question: 'Does the wing bear what is asked, and bend as expected?',
      oneChange: '',
      expected: '',
      stopWhen: '',
      state,
      overrideReason: '',
    },
    checklist: [],
    signedBy: '',
    record: emptyRecord({ temperature }),
    log: null,
    measurements: [],
    load: {
      kind: 'bags',
      direction: 'up',
      to,
      bag: 0.1,
      count: 4,
      plan: null,
      readings: [],
      held: 0,
      remains: null,
      broke: null,
    },
  };
}

/** Writes a change to a load test as it stands now; what it says follows, and with the first step held it was done. */
export function useLoadEdit(id: string) {
  const store = useWorkspaceStore();
  return (patch: Partial<LoadTest>): string | null => {
    const { content, edit } = store.getState(),
      { body } = content.tests.find((t) => t.id === id)!,
      load = { ...body.load!, ...patch },
      done = load.held > 0 || load.broke !== null;
    const record = {
      ...body.record,
      flown: done,
      date: done && body.record.date === '' ? dayOf(new Date()) : body.record.date,
    };
    const value = { ...body, record, load, measurements: loadMeasurements(load) };
    return edit({ type: 'set', path: `tests.${id}.body`, value });
  };
}
