'use client';
/** How the state in view leaves and comes back: the inputs of its own way, and what comes of them. */
import {
  hovers,
  leavingOf,
  LEAVING_WORDS,
  returningOf,
  RETURNING_WORDS,
  type Leaving as Way,
  type Returning,
} from '@skiametra/core/design';
import { DocField } from '../../parts/fields/DocField';
import { Readings } from '../../parts/marks/Reading';
import { BRIEF, DESIGN, FLIGHT } from '../../parts/paths';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

interface Input {
  label: string;
  path: string;
  hint?: string;
}
const L = `${DESIGN}.launch`,
  B = `${DESIGN}.comingBack`,
  RUN: Input[] = [
    { label: 'Lift-off over stall speed', path: `${FLIGHT}.liftOffFactor` },
    { label: 'CL while rolling', path: `${FLIGHT}.groundCl` },
    { label: 'Slope, uphill', path: `${BRIEF}.site.slope`, hint: 'Of the strip, on the way out' },
  ];

/** What each way is told with. */
const LEAVES: Readonly<Record<Way, readonly Input[]>> = {
  run: RUN,
  dolly: [...RUN, { label: 'Mass of the dolly', path: `${L}.dollyMass` }],
  hand: [
    { label: 'Throw, over the ground', path: `${L}.throwSpeed`, hint: '8 m/s where empty: as most throw' },
    { label: 'Height of the hand', path: `${L}.throwHeight`, hint: '1.8 m where empty' },
    { label: 'Throw, upward', path: `${L}.throwAngle`, hint: '5° where empty' },
  ],
  bungee: [
    { label: 'Pull at full stretch', path: `${L}.linePull` },
    { label: 'Stretch of the line', path: `${L}.lineStretch` },
  ],
  winch: [
    { label: 'Speed of the line', path: `${L}.winchSpeed` },
    { label: 'Pull of the winch', path: `${L}.winchPull` },
  ],
  rail: [
    { label: 'Length of the rail', path: `${L}.railLength` },
    { label: 'Push along it', path: `${L}.railForce` },
    { label: 'Rail, upward', path: `${L}.railAngle`, hint: '10° where empty' },
  ],
  towed: [{ label: 'Speed of the tow', path: `${L}.towSpeed` }],
  dropped: [
    { label: 'Speed of the carrier', path: `${L}.dropSpeed` },
    { label: 'Height of the drop', path: `${L}.dropHeight` },
  ],
  hover: [],
};
const OVER: Input[] = [
  { label: 'Obstacle before it', path: `${B}.obstacle` },
  { label: 'Approach, downward', path: `${B}.approachAngle`, hint: '7° where empty' },
];
const STOPPED: Input[] = [{ label: 'Stopped within', path: `${B}.stopDistance` }];
const RETURNS: Readonly<Record<Returning, readonly Input[]>> = {
  run: OVER,
  belly: [
    { label: 'Friction of the belly', path: `${B}.bellyFriction`, hint: '0.5 where empty: grass' },
    ...OVER,
  ],
  catch: STOPPED,
  net: STOPPED,
  spot: [],
  hover: [],
};

/** Paths that are always there. */
const WHOLE = new Set(RUN.slice(0, 2).map((i) => i.path));

function Inputs({ of }: { of: readonly Input[] }) {
  if (of.length === 0) return null;
  return (
    <div className="fields">
      {of.map(({ label, path, hint }) => (
        <DocField key={path} label={label} path={path} optional={!WHOLE.has(path)} hint={hint} />
      ))}
    </div>
  );
}

export function Leaving() {
  const design = useWorkspace((w) => w.content.document.design),
    state = useWorkspace((w) => w.content.document.design.states.find((l) => l.id === w.loading));
  if (!state || hovers(design, state)) return null;
  const out = leavingOf(design, state),
    back = returningOf(design, state);
  return (
    <>
      <section className="block" aria-label="Leaving">
        <h2>
          Leaving: {LEAVING_WORDS[out]} <span className="right dim">chosen under Balance, States</span>
        </h2>
        <Inputs of={LEAVES[out]} />
      </section>
      <Readings
        title="How it gets away"
        ids={[
          'liftOffSpeed',
          'groundRun',
          'launchSpeed',
          'launchOverStall',
          'launchLost',
          'launchLowest',
          'launchLoad',
          'throwNeeded',
        ]}
      />
      <section className="block" aria-label="Coming back">
        <h2>Coming back: {RETURNING_WORDS[back]}</h2>
        <Inputs of={RETURNS[back]} />
      </section>
      <Readings
        title="How it comes down"
        ids={['approachSpeed', 'landingRun', 'bellySlide', 'overObstacle', 'arrestLoad']}
      />
    </>
  );
}
