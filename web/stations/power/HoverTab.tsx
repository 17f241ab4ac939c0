'use client';
/** Lift motors: hover, what one weak motor leaves, the change to the wing, and what the rotors cost in cruise. */
import { Sentence } from '../../parts/Sentence';
import { drivesOf, hovers, withLift, withoutLift } from '@skiametra/core/design';
import { Button, NativeSelect } from '@mantine/core';
import type { PowerReport } from '@skiametra/core/views';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StationFindings } from '../../parts/Findings';
import { StatePicker } from '../../parts/StatePicker';
import { DocField } from '../../parts/fields/DocField';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { BladeFields } from './drive/PropellerFields';
import { MotorFields } from './drive/MotorFields';
import { useDrive } from './useDrive';

export function HoverTab({ report }: { report: PowerReport }) {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const loading = useWorkspace((w) => w.loading);
  const edit = useWorkspace((w) => w.edit);
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
    hovering = state && hovers(state) ? state : design.states.find(hovers);
  return (
    <div className="station cols-hovertab">
      <div className="stack">
        {lift ? (
          <>
            <section className="block">
              <h2>Lift motor, {h.rotors} of them</h2>
              <MotorFields at={`${L}.motor`} />
            </section>
            <section className="block">
              <h2>Lift rotor</h2>
              <BladeFields at={`${L}.propeller`} />
            </section>
            <section className="block">
              <h2>Controller</h2>
              <div className="fields">
                <DocField label="Resistance" path={`${L}.controller.resistance`} />
                <DocField label="Largest current" path={`${L}.controller.maxCurrent`} />
              </div>
              <NativeSelect
                mt={8}
                label="The stick commands"
                value={lift.law}
                onChange={(e) => edit({ type: 'set', path: `${L}.law`, value: e.currentTarget.value })}
                data={[
                  { value: 'duty', label: 'duty of the controller' },
                  { value: 'thrust', label: 'thrust, square law taken out' },
                ]}
              />
            </section>
            <div>
              <Button
                size="compact-xs"
                variant="subtle"
                onClick={() => apply(withoutLift(design), 'Lift motors taken out')}
              >
                Take the lift motors out
              </Button>
            </div>
          </>
        ) : (
          <p>The shafts of the drive tilt up: it hovers on its own motors.</p>
        )}
      </div>
      <div className="stack">
        <section className="block" aria-label="Hover in words">
          <h2>Hover in {state?.name ?? loading}</h2>
          <StationFindings of="power" />
          {h.sentences.map((s) => (
            <p key={s.code} className="below4">
              <Sentence of={s} />
            </p>
          ))}
          <table className="sheet" aria-label="Hover">
            <tbody>
              <tr>
                <td>Power by momentum alone</td>
                <td className="num">{formatQuantity(p.ideal, 'power', units)}</td>
                <td className="dim">{formatNumber(p.discLoading, 3)} N/m² on the discs</td>
              </tr>
              <tr>
                <td>On the shafts</td>
                <td className="num">{formatQuantity(p.shaft, 'power', units)}</td>
                <td className="dim">figure of merit {p.figureOfMerit.toFixed(2)}</td>
              </tr>
              <tr>
                <td>From the pack</td>
                <td className="num">{formatQuantity(p.electric, 'power', units)}</td>
                <td className="dim">
                  {(100 * p.overall).toFixed(0)} % overall, {formatNumber(p.gramsPerWatt, 3)} g/W
                </td>
              </tr>
              <tr>
                <td>Stick in hover</td>
                <td className="num">{(100 * p.throttle).toFixed(0)} %</td>
                <td className="dim">{(100 * p.thrustShare).toFixed(0)} % of the thrust there is</td>
              </tr>
              <tr>
                <td>Each motor</td>
                <td className="num">{formatQuantity(p.point.motorCurrent, 'current', units)}</td>
                <td className="dim">{formatQuantity(p.point.omega, 'rotation', units)}</td>
              </tr>
            </tbody>
          </table>
        </section>
        {h.transition && h.transition.rows.length > 1 && (
          <ChartFrame
            title={`From rotors to wing: change over above ${formatQuantity(h.changeSpeed, 'speed', units)}`}
            height={230}
            xName="Airspeed"
            xKind="speed"
            yName="Power from the pack"
            yKind="power"
            yFromZero
            series={[
              {
                name: 'changing over, full cruise throttle',
                x: h.transition.rows.map((r) => r.speed),
                y: h.transition.rows.map((r) => r.power),
                look: 'predicted',
              },
              { name: 'hover', x: [0, h.changeSpeed], y: [p.electric, p.electric], look: 'ghost' },
            ]}
          />
        )}
        {h.compare && (
          <section className="block" aria-label="Wing or rotors">
            <h2>
              The same {formatQuantity(h.compare.distance, 'distance', units)} at{' '}
              {formatQuantity(h.compare.speed, 'speed', units)}
            </h2>
            {(
              [
                ['On the wing, both changes in', h.compare.wing],
                ['On the rotors all the way', h.compare.rotors],
                ['of the wing’s: carrying what does not turn', h.compare.unused],
              ] as const
            ).map(([n, e]) => (
              <div key={n} className="note">
                <div className="line">
                  <span>{n}</span>
                  <span className="num atend">{formatQuantity(e, 'energy', units)}</span>
                </div>
                <div
                  style={{
                    height: 5,
                    width: `${(100 * e) / Math.max(h.compare!.wing, h.compare!.rotors)}%`,
                    background: 'var(--predicted-soft)',
                    borderRight: '2px solid var(--predicted)',
                  }}
                />
              </div>
            ))}
          </section>
        )}
      </div>
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        {hovering ? (
          <Readings
            title={`In ${hovering.name}`}
            state={hovering.id}
            ids={['hoverPower', 'hoverThrottle', 'hoverMargin', 'hoverTime', 'mass']}
          />
        ) : (
          <p className="dim">
            Mark a state as hover under Balance: its figures then stand here with their uncertainty.
          </p>
        )}
        <Readings title="On the wing" ids={['stallSpeed', 'lapSpeed', 'lapCurrent', 'endurance']} />
      </div>
    </div>
  );
}
