/** What a first study asks: the number carried against the span, or what else there is to vary. */
import type { DesignDocument, Study, SweepAxis } from '@skiametra/core/design';
import { candidatesOf, usualRange } from '@skiametra/core/trade';

/** What is varied first, where it is there. */
const FIRST = [/\.count$/, /^span:/, /^pack:series$/, /lapThrottle$/, /strands$/, /unitMass$/];
const CELLS = 16;

function axisFor(doc: DesignDocument, state: string, id: string, count = CELLS): SweepAxis | null {
  const lever = candidatesOf(doc, state).find((c) => c.lever.id === id)?.lever;
  if (!lever) return null;
  const { from, to } = usualRange(doc, lever, state);
  return { lever: id, from, to, count: lever.whole ? Math.max(2, Math.round(to - from) + 1) : count };
}

export function firstStudy(doc: DesignDocument, state: string, id: string): Study {
  const all = candidatesOf(doc, state).map((c) => c.lever.id),
    inOrder = [...FIRST.flatMap((f) => all.filter((l) => f.test(l))), ...all],
    axes = [...new Set(inOrder)].slice(0, 2).flatMap((l) => axisFor(doc, state, l) ?? []);
  return {
    id,
    name: 'Study',
    note: '',
    state,
    axes,
    show: doc.brief.tasks.length > 0 ? 'score' : 'mass',
  };
}
