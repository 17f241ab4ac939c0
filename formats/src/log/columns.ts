/** What the columns of a table were taken for, in the form that a test keeps. */
import { CHANNELS, type ChannelId } from '@skiametra/core/log';
import type { LogColumn } from '@skiametra/core/design';
import type { ColumnUse, Mapping } from './guess';
import type { Layout } from './layout';
import { TIME_KINDS } from './timeCells';
import { unitsOf } from './units';

/** Every column that is used, in its order. */
export function columnsOf({ names }: Pick<Layout, 'names'>, mapping: Mapping): LogColumn[] {
  const out: LogColumn[] = [];
  names.forEach((_, column) => {
    const use = mapping[column];
    if (!use) return;
    if (use.as === 'event') out.push({ column, as: use.as });
    else if (use.as === 'time') out.push({ column, as: use.as, kind: use.kind });
    else out.push({ column, as: use.as, unit: use.unit });
  });
  return out;
}

function useOf({ as, unit, kind }: LogColumn): ColumnUse | null {
  if (as === 'event') return { as };
  if (as === 'time') return { as, kind: TIME_KINDS.find((k) => k === kind) ?? 's' };
  if (!Object.hasOwn(CHANNELS, as)) return null;
  const id = as as ChannelId,
    known = unitsOf(CHANNELS[id].dim);
  return { as: id, unit: (known.find((u) => u.name === unit) ?? known[0]!).name };
}

/** What is not known any more is left out. */
export function mappingOf(columns: readonly LogColumn[]): Mapping {
  return Object.fromEntries(
    columns.flatMap((c) => {
      const use = useOf(c);
      return use ? [[c.column, use]] : [];
    }),
  );
}
