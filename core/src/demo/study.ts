/** How the Bittern came about: what was weighed and walked before anything was drawn. Made up. SI. */
import type { Brief, Trade } from '../design';

const mark = (criterion: string, value: number, why: string) => ({
  criterion,
  mark: value,
  why,
  by: 'Demo team',
});

export const RELAY_TRADE: Trade = {
  tables: [
    {
      id: 'layouts',
      name: 'Layout for the relay',
      note: 'Before the first drawing: which way to bring tubes over the marsh.',
      criteria: [
        { id: 'boards', name: 'Short run off wet boards', weight: 5, must: 4 },
        { id: 'hand-over', name: 'Tubes quickly in and out', weight: 4, must: null },
        { id: 'build', name: 'Built in six weeks', weight: 3, must: 5 },
        { id: 'water', name: 'Comes back from the water', weight: 2, must: null },
      ],
      options: [
        {
          id: 'tail',
          name: 'Wing and tail',
          version: 'Bittern 1',
          rejected: '',
          marks: [
            mark('boards', 7, 'elevator lifts the nose early'),
            mark('hand-over', 7, 'hatch before the wing'),
            mark('build', 8, 'built twice before'),
            mark('water', 5, 'floats level, motor wet'),
          ],
        },
        {
          id: 'canard',
          name: 'Foreplane',
          version: 'Bittern canard',
          rejected: '',
          marks: [
            mark('boards', 4, 'the wing never reaches its best lift'),
            mark('hand-over', 8, 'nothing in the way behind'),
            mark('build', 6, 'balance is new to us'),
            mark('water', 7, 'motor stays dry behind'),
          ],
        },
        {
          id: 'wing',
          name: 'Flying wing',
          version: '',
          rejected: 'tubes shift its balance by more than its whole range',
          marks: [
            mark('boards', 5, 'no tail to lift the nose'),
            mark('hand-over', 6, 'bays left and right'),
            mark('build', 7, 'hot wire alone'),
            mark('water', 6, 'flat on the water'),
          ],
        },
      ],
    },
  ],
  studies: [
    {
      id: 'tubes-cells',
      name: 'Tubes a flight against cells',
      note: 'More tubes score more, until the boardwalk ends; cells shorten the run.',
      state: 'tubes-8',
      axes: [
        { lever: 'design.states.tubes-8.count', from: 4, to: 14, count: 11 },
        { lever: 'pack:series', from: 3, to: 6, count: 4 },
      ],
      show: 'score',
    },
    {
      id: 'strip-span',
      name: 'Strip against span',
      note: 'What a longer boardwalk would let us carry, and what span does for it.',
      state: 'tubes-12',
      axes: [
        { lever: 'brief.site.stripLength', from: 12, to: 32, count: 11 },
        { lever: 'span:wing', from: 1.3, to: 1.9, count: 7 },
      ],
      show: 'score',
    },
  ],
};

/** The landing stage at the far end, for a price; and the heats as they were last year. */
export const RELAY_VARIANTS: NonNullable<Brief['variants']> = [
  {
    id: 'long-stage',
    name: 'Long stage',
    note: 'Rule 4.3: off the landing stage of 32 m for a deduction.',
    changes: [
      { path: 'site.stripLength', value: 32 },
      { path: 'requirements.strip.max', value: 32 },
    ],
    factor: 1,
    added: '-35',
  },
  {
    id: 'last-year',
    name: 'Last year’s heats',
    note: 'Six minutes, and no bonus by rank.',
    changes: [
      { path: 'missions.laps.window', value: 360 },
      { path: 'tasks.rank.formula', value: '0' },
    ],
    factor: 1,
    added: '',
  },
];
