'use client';
/** The rubber motor: size it, fly it on paper, hold the season against it. */
import { useSentence } from '../../parts/Sentence';
import { powertrainOf, driveFitted } from '@skiametra/core/design';
import { Button, Switch } from '@mantine/core';
import { useState } from 'react';
import type { PowerReport } from '@skiametra/core/views';
import type { RubberTrial } from '@skiametra/core/power';
import { rubberSeason } from '@skiametra/core/trial';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StationFindings } from '../../parts/Findings';
import { StatePicker } from '../../parts/StatePicker';
import { DocField, IntField } from '../../parts/QuantityField';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';
import { BladeFields } from './DriveInputs';

const R = 'document.design.power.rubber';

/** A usual motor to begin from: two strands for a hall. */
export const USUAL_RUBBER = {
  width: 0.0024,
  thickness: 0.00105,
  strands: 2,
  length: 0.4,
  density: 930,
  lubricated: true,
  wound: 0.85,
  backedOff: 0,
  winder: 15,
  propeller: { diameter: 0.35, pitch: 0.5, blades: 2, family: 'indoor' as const },
  flare: 0,
  trimCl: 0.8,
  ceiling: null,
  field: null,
};

export function RubberTab({ report }: { report: PowerReport }) {
  const words = useSentence();
  const design = useWorkspace((w) => w.content.document.design),
    { rubber } = design.power;
  const edit = useWorkspace((w) => w.edit);
  if (rubber && !report.rubber)
    return (
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        <p className="atmost560">In this state the rubber is not aboard: choose another to see the flight.</p>
      </div>
    );
  if (!rubber || !report.rubber)
    return (
      <div className="stack">
        <p className="atmost560">
          No rubber motor is fitted. Strip, strands and length give turns, torque and the flight; a hall’s
          ceiling limits the launch torque.
        </p>
        <div>
          <Button
            variant="light"
            onClick={() =>
              edit({
                type: 'apply',
                changes: [
                  { path: R, value: USUAL_RUBBER },
                  ...driveFitted(design, false).map((c) => ({ ...c, path: `document.design.${c.path}` })),
                ],
              })
            }
          >
            Fit a rubber motor in place of the electric one
          </Button>
        </div>
      </div>
    );
  const r = report.rubber;
  return (
    <div className="station cols-rubbertab">
      <div className="stack">
        <section className="block">
          <h2>Motor</h2>
          <div className="fields">
            <DocField label="Strip, width" path={`${R}.width`} />
            <DocField label="Strip, thickness" path={`${R}.thickness`} />
            <IntField label="Strands" path={`${R}.strands`} />
            <DocField label="Length, made up" path={`${R}.length`} />
            <DocField
              label="Wound to"
              path={`${R}.wound`}
              hint="of the breaking turns; 85 % for practice, 95 % for a contest"
            />
            <DocField label="Turns let off" path={`${R}.backedOff`} />
            <DocField label="Winder ratio" path={`${R}.winder`} />
            <DocField
              label="Broke at"
              path={`${R}.breakTurns`}
              optional
              hint="turns at which such a motor broke; computed where left empty"
            />
            <Switch
              size="xs"
              label="Lubricated"
              checked={rubber.lubricated}
              onChange={(e) => edit({ type: 'set', path: `${R}.lubricated`, value: e.currentTarget.checked })}
            />
          </div>
        </section>
        <section className="block">
          <h2>Propeller</h2>
          <BladeFields at={`${R}.propeller`} />
          <div className="fields mt8">
            <DocField
              label="Flare: pitch by torque"
              path={`${R}.flare`}
              hint="how far soft blades turn to more pitch under torque"
            />
            <DocField label="Trimmed to CL" path={`${R}.trimCl`} />
          </div>
        </section>
        <section className="block">
          <h2>Where</h2>
          <div className="fields">
            <DocField label="Ceiling" path={`${R}.ceiling`} optional="null" />
            <DocField label="Field, down wind" path={`${R}.field`} optional="null" />
          </div>
          {r.dethermalizer !== null && (
            <p className="over8">
              Dethermalizer at {formatQuantity(r.dethermalizer, 'time', 'metric')}, or it drifts off the
              field. Set it for the field, not for the stopwatch.
            </p>
          )}
        </section>
        <div>
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: R, value: undefined })}
          >
            Take the rubber motor out
          </Button>
        </div>
      </div>
      <div className="stack">
        <StationFindings of="power" />
        <Flight report={report} />
        <Season />
      </div>
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        <Readings
          title="This flight"
          ids={[
            'flightTime',
            'peakHeight',
            'propellerRpm',
            'turnsLeft',
            'launchTurns',
            'launchTorque',
            'rubberMass',
            'breakTurns',
          ]}
        />
        <div className="note">
          {formatNumber(r.motor.crankTurns, 3)} turns of the crank. {r.remarks.map(words).join(' ')}
        </div>
        <Trials />
      </div>
    </div>
  );
}

function Flight({ report }: { report: PowerReport }) {
  const r = report.rubber!,
    rows = r.rows,
    [chart, setChart] = useState<'height' | 'torque'>('height');
  const ceiling = useWorkspace((w) => powertrainOf(w.content.document.design).rubber!.ceiling);
  const season = useSeason();
  return (
    <div className="stack gap4">
      <div className="line gap8">
        <Button
          size="compact-xs"
          variant={chart === 'height' ? 'filled' : 'default'}
          onClick={() => setChart('height')}
        >
          Height
        </Button>
        <Button
          size="compact-xs"
          variant={chart === 'torque' ? 'filled' : 'default'}
          onClick={() => setChart('torque')}
        >
          Torque
        </Button>
      </div>
      {chart === 'height' ? (
        <ChartFrame
          title={
            r.touched !== null
              ? `It meets the ceiling after ${formatQuantity(r.touched, 'time', 'metric')}`
              : `Up for ${formatQuantity(r.time, 'time', 'metric')}, highest ${formatQuantity(r.peak, 'distance', 'metric')}`
          }
          height={250}
          xName="Time"
          xKind="time"
          yName="Height"
          yKind="distance"
          yFromZero
          series={[
            {
              name: 'predicted',
              x: rows.map((p) => p.time),
              y: rows.map((p) => p.height),
              look: 'predicted',
            },
            ...(ceiling !== null
              ? [{ name: 'ceiling', x: [0, r.time], y: [ceiling, ceiling], look: 'asked' as const }]
              : []),
            ...(season.some((s) => s.height !== null)
              ? [
                  {
                    name: 'flown: seconds and greatest height',
                    x: season.filter((s) => s.height !== null).map((s) => s.seconds),
                    y: season.filter((s) => s.height !== null).map((s) => s.height!),
                    look: 'measured' as const,
                    marks: true,
                  },
                ]
              : []),
          ]}
        />
      ) : (
        <ChartFrame
          title="Torque by turns in the motor: burst, plateau, knee"
          height={250}
          xName="Turns"
          xKind="count"
          yName="Torque"
          yKind="smallMoment"
          yFromZero
          at={{ x: r.motor.launchTurns, y: r.motor.launchTorque, name: 'launch' }}
          series={[
            {
              name: 'motor',
              x: r.curve.map((c) => c.turns),
              y: r.curve.map((c) => c.torque),
              look: 'predicted',
            },
            ...(season.some((s) => s.torque !== null)
              ? [
                  {
                    name: 'read at launches',
                    x: season.filter((s) => s.torque !== null).map((s) => s.launchTurns),
                    y: season.filter((s) => s.torque !== null).map((s) => s.torque!),
                    look: 'measured' as const,
                    marks: true,
                  },
                ]
              : []),
          ]}
        />
      )}
    </div>
  );
}

function useSeason() {
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const pitch = useWorkspace((w) => powertrainOf(w.content.document.design).rubber!.propeller.pitch);
  return rubberSeason(
    tests.filter((t) => t.versionId === versionId),
    pitch,
  );
}

function Season() {
  const season = useSeason();
  const units = useWorkspace((w) => w.units);
  if (season.length === 0)
    return (
      <p className="dim">No flight is logged yet: record launch turns, turns left and seconds under Test.</p>
    );
  const best = Math.max(...season.filter((s) => s.clean).map((s) => s.seconds));
  return (
    <section className="block" aria-label="Season">
      <h2>Flights of this version</h2>
      <div className="scrollx">
        <table className="sheet shelf" aria-label="Logged flights">
          <thead>
            <tr>
              <th>Date</th>
              <th>What was changed</th>
              <th className="num">Turns</th>
              <th className="num">Left</th>
              <th className="num">Torque</th>
              <th className="num">rpm</th>
              <th className="num">Pitch flown</th>
              <th className="num">Height</th>
              <th className="num">Time</th>
            </tr>
          </thead>
          <tbody>
            {season.map((s) => (
              <tr key={s.id} className={s.clean ? undefined : 'faded'}>
                <td className="num">{s.date.slice(5)}</td>
                <td>
                  {s.change}
                  {s.clean ? '' : ' (not clean)'}
                </td>
                <td className="num">{formatQuantity(s.launchTurns, 'count', units)}</td>
                <td className="num">
                  {s.turnsLeft === null ? '–' : formatQuantity(s.turnsLeft, 'count', units)}
                </td>
                <td className="num">
                  {s.torque === null ? '–' : formatQuantity(s.torque, 'smallMoment', units)}
                </td>
                <td className="num">
                  {s.omega === null ? '–' : formatQuantity(s.omega, 'rotation', units).replace(' rpm', '')}
                </td>
                <td className="num">{s.pitch === null ? '–' : formatQuantity(s.pitch, 'length', units)}</td>
                <td className="num">
                  {s.height === null ? '–' : formatQuantity(s.height, 'distance', units)}
                </td>
                <td className="num" style={{ fontWeight: s.clean && s.seconds === best ? 700 : 400 }}>
                  {formatQuantity(s.seconds, 'time', units)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="dim small over4">
        Pitch flown: what the blade would need for the advance of the first clean flight at this rpm. A flight
        that is not clean is set aside in the fit. The marks beside the readings are of flights on nearly
        these turns.
      </p>
    </section>
  );
}

/** What a builder would try next, each flown on paper. */
function Trials() {
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const [found, setFound] = useState<{ of: unknown; list: RubberTrial[] } | null>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const ask = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      setFound({
        of: document,
        list: await askCore<'rubberAdvice'>({ task: 'rubberAdvice', document, loading }),
      });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
    setBusy(false);
  };
  return (
    <section className="block" aria-label="What to try next">
      <h2>What to try next</h2>
      <Button variant="light" size="xs" loading={busy} onClick={() => void ask()}>
        {found ? 'Fly them again' : 'Fly the usual changes on paper'}
      </Button>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {found && found.of !== document && (
        <div className="dim small">For the motor before your last change.</div>
      )}
      {found?.list.map((t) => (
        <div key={t.id} className="pad4 ruled note">
          <div>
            {t.label}: <b className="num">{formatQuantity(t.time, 'time', units)}</b>,{' '}
            {t.touched ? 'meets the ceiling' : `up to ${formatQuantity(t.peak, 'distance', units)}`}.
          </div>
          <Button
            size="compact-xs"
            variant="default"
            onClick={() =>
              edit({
                type: 'apply',
                changes: t.change.map((c) => ({ path: `${R}.${c.path}`, value: c.value })),
              })
            }
          >
            Do it
          </Button>
        </div>
      ))}
    </section>
  );
}
