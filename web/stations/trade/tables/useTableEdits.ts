'use client';
/** Everything that may be done to a table; who judges is written with each mark. */
import type { Criterion, DecisionOption, DecisionTable } from '@skiametra/core/design';
import { freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export type TableEdits = ReturnType<typeof useTableEdits>;
type Mark = DecisionOption['marks'][number];

export function useTableEdits(table: DecisionTable, onChange: (t: DecisionTable) => void) {
  const by = useWorkspace((w) => w.person.name),
    { criteria, options } = table;
  const putOption = (id: string, of: (o: DecisionOption) => DecisionOption) =>
    onChange({ ...table, options: options.map((o) => (o.id === id ? of(o) : o)) });
  return {
    setCriterion: (id: string, more: Partial<Criterion>) =>
      onChange({ ...table, criteria: criteria.map((c) => (c.id === id ? { ...c, ...more } : c)) }),
    addCriterion: () =>
      onChange({
        ...table,
        criteria: [...criteria, { id: freshId('c', criteria), name: 'Criterion', weight: 1, must: null }],
      }),
    removeCriterion: (id: string) =>
      onChange({
        ...table,
        criteria: criteria.filter((c) => c.id !== id),
        options: options.map((o) => ({ ...o, marks: o.marks.filter((m) => m.criterion !== id) })),
      }),
    setOption: (id: string, more: Partial<DecisionOption>) => putOption(id, (o) => ({ ...o, ...more })),
    addOption: () =>
      onChange({
        ...table,
        options: [
          ...options,
          { id: freshId('o', options), name: 'Option', version: '', rejected: '', marks: [] },
        ],
      }),
    removeOption: (id: string) => onChange({ ...table, options: options.filter((o) => o.id !== id) }),
    setMark: (option: string, criterion: string, more: Partial<Mark>) =>
      putOption(option, (o) => {
        const was = o.marks.find((m) => m.criterion === criterion) ?? {
            criterion,
            mark: null,
            why: '',
            by: '',
          },
          next = { ...was, ...more, ...('mark' in more ? { by } : {}) };
        return { ...o, marks: [...o.marks.filter((m) => m.criterion !== criterion), next] };
      }),
  };
}
