'use client';
/** Lift motors: hover, what one weak motor leaves, the change to the wing, and what the rotors cost in cruise. */
import { Sentence } from '../../parts/Sentence';
import { drivesOf, hovers, withLift, type Design } from '@skiametra/core/design';
import { Button } from '@mantine/core';
import type { HoverReport, PowerReport } from '@skiametra/core/views';
import type { HoverPoint } from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import { StationFindings } from '../../parts/Findings';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { useDrive } from './useDrive';
import { LiftInputs } from './hover/LiftInputs';
import { WhereWattsGo } from './hover/WhereWattsGo';

export function HoverTab({ report }: { report: PowerReport }) {
  const design = useWorkspace((w) => w.content.document.design);

  const loading = useWorkspace((w) => w.loading);

  const { power, apply } = useDrive(),
    { lift, motor, esc } = power,
    L = `document.design.drives.${drivesOf(design).lift?.id}`;
  const fit = () => {
    const { kv, resistance, noLoadCurrent, maxCurrent } = motor;
    const parts = {
      motor: { kv, resistance, noLoadCurrent, maxCurrent },
      controller: esc,
      propeller: { diameter: 0.33, pitch: 0.11, blades: 2, family: 'multirotor' as const },
      law: 'duty' as const,
    };
    return apply(withLift(design, parts), 'Lift motors fitted');
  };
  if (!report.hover)
    return (
      <div className="stack">
        <p className="atmost560">
          Nothing lifts: no lift motors are fitted and no shaft tilts. Rotors are placed under Shape
          (lift-and-cruise layout) or Balance; their motor and propeller are chosen here.
        </p>
        <div>
          <Button variant="light" onClick={fit}>
            Fit lift motors
          </Button>
        </div>
      </div>
    );
  const h = report.hover,
    p = h.point,
    state = design.states.find((l) => l.id === loading),
    hovering = state && hovers(design, state) ? state : design.states.find((l) => hovers(design, l));
  return (
    <div className="station cols-hovertab">
      <div className="stack">
        {lift ? (
          <LiftInputs h={h} L={L} lift={lift} apply={apply} />
        ) : (
          <p>The shafts of the drive tilt up: it hovers on its own motors.</p>
        )}
      </div>
      <div className="stack">
        <HoverWords state={state} h={h} p={p} />
        {h.compare && <WingOrRotors compare={h.compare} />}
      </div>
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        {hovering ? (
          <Readings
            title={`In ${hovering.name}`}
            state={hovering.id}
            ids={['hoverPower', 'hoverThrottle', 'hoverMargin', 'hoverTime', 'rotorLoad', 'rotorOut', 'mass']}
          />
        ) : (
          <p className="dim">
            Mark a state as hover under Balance: its figures then stand here with their uncertainty.
          </p>
        )}
        {report.glide && (
          <Readings title="On the wing" ids={['stallSpeed', 'lapSpeed', 'lapCurrent', 'endurance']} />
        )}
      </div>
    </div>
  );
}

/** What hovering takes. */
interface HoverWordsProps {
  state: Design['states'][number] | undefined;
  h: HoverReport;
  p: HoverPoint;
}
function HoverWords({ state, h, p }: HoverWordsProps) {
  const loading = useWorkspace((w) => w.loading);

  return (
    <section className="block" aria-label="Hover in words">
      <h2>Hover in {state?.name ?? loading}</h2>
      <StationFindings of="power" />
      {h.sentences.map((s) => (
        <p key={s.code} className="below4">
          <Sentence of={s} />
        </p>
      ))}
      <WhereWattsGo point={p} />
    </section>
  );
}

/** The same way on the wing and on the rotors. */
interface WingOrRotorsProps {
  compare: NonNullable<HoverReport['compare']>;
}
function WingOrRotors({ compare }: WingOrRotorsProps) {
  const units = useWorkspace((w) => w.units);
  return (
    <section className="block" aria-label="Wing or rotors">
      <h2>
        The same {formatQuantity(compare.distance, 'distance', units)} at{' '}
        {formatQuantity(compare.speed, 'speed', units)}
      </h2>
      {(
        [
          ['On the wing, both changes in', compare.wing],
          ['On the rotors all the way', compare.rotors],
          ['of the wing’s: carrying what does not turn', compare.unused],
        ] as const
      ).map(([n, e]) => (
        <div key={n} className="note">
          <div className="line">
            <span>{n}</span>
            <span className="num atend">{formatQuantity(e, 'energy', units)}</span>
          </div>
          <div
            className="share"
            style={{ width: `${(100 * e) / Math.max(compare.wing, compare.rotors)}%` }}
          />
        </div>
      ))}
    </section>
  );
}
