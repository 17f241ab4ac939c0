/** Bench tests of the version in hand. */
import { dayOf } from '../../../parts/dates/dateFormat';
import { emptyRecord, type BenchBody, type TestBody } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export type BenchTest = { id: string; body: TestBody & { bench: BenchBody } };

/** Bench tests of this version, newest last. */
export function useBenchTests(): BenchTest[] {
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  return tests.filter(
    (t): t is typeof t & BenchTest => t.versionId === versionId && t.body.bench !== undefined,
  );
}

const today = () => dayOf(new Date());

export function emptyBench(loading: string, temperature: number, title: string, bench: BenchBody): TestBody {
  return {
    card: {
      title,
      question: 'Do the maker’s figure and the computed one hold?',
      oneChange: '',
      expected: '',
      stopWhen: '',
      state: loading,
      overrideReason: '',
    },
    checklist: [],
    signedBy: '',
    record: emptyRecord({
      flown: true,
      date: today(),
      temperature,
    }),
    log: null,
    measurements: [],
    bench,
  };
}
