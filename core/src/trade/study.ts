/** A study as it is kept, brought to a document: its axes and ranges held against what may stand there. */
import { readRef } from '../assess';
import type { DesignDocument, Study, SweepAxis } from '../design';
import { axisOf, BEST, type Axis, type SweepTask } from './sweep';
import { leverOf, wrongAt } from './levers';

export type StudyRead = { status: 'ok'; task: SweepTask } | { status: 'error'; message: string };

function axisIn(doc: DesignDocument, a: SweepAxis): Axis | string {
  const lever = leverOf(doc, a.lever);
  if (!lever) return `This design has no “${a.lever}” to vary.`;
  if (lever.choices) return axisOf(lever, 0, lever.choices.length - 1, lever.choices.length);
  for (const end of [a.from, a.to]) {
    const wrong = wrongAt(doc, lever, end);
    if (wrong !== null) return wrong;
  }
  if (a.from === a.to) return `${lever.name}: from and to are the same.`;
  return axisOf(lever, a.from, a.to, a.count);
}

/** @param study as it is kept in a document; its names may be of another one */
export function studyTask(doc: DesignDocument, study: Omit<Study, 'id' | 'name' | 'note'>): StudyRead {
  if (study.state !== BEST && !doc.design.states.some((s) => s.id === study.state))
    return { status: 'error', message: `There is no state “${study.state}” in this design.` };
  if (!readRef(study.show)) return { status: 'error', message: `“${study.show}” is no quantity.` };
  if (study.axes.length === 2 && study.axes[0].lever === study.axes[1].lever)
    return {
      status: 'error',
      message: 'Both directions vary the same input: choose another for one of them.',
    };
  const axes: Axis[] = [];
  for (const a of study.axes) {
    const axis = axisIn(doc, a);
    if (typeof axis === 'string') return { status: 'error', message: axis };
    axes.push(axis);
  }
  return { status: 'ok', task: { doc, axes, state: study.state, show: [...new Set([study.show, 'score'])] } };
}
