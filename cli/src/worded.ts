/** What the computation says, as words: the command line prints the sentences that the screens have. */
import { sentence, type AnySaid } from '@skiametra/core/words';

function isSaid(value: object): value is AnySaid {
  return 'code' in value && 'fields' in value && Object.keys(value).length === 2;
}

/** A copy in which whatever is said is a sentence, under `sentence` where it stood under `said`. Numbers in arrays pass. */
export function worded(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value;
  if (Array.isArray(value)) return value.map(worded);
  if (isSaid(value)) return sentence(value);
  return Object.fromEntries(
    Object.entries(value).map(([k, v]) => [k === 'said' ? 'sentence' : k, worded(v)]),
  );
}
