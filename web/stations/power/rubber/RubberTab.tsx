'use client';
/** The rubber motor: turns, torque, seconds. */
import { RUBBER } from '../../../parts/paths';
import { Button, Switch } from '@mantine/core';
import { driveFitted } from '@skiametra/core/design';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { StationFindings } from '../../../parts/Findings';
import { DocField, IntField } from '../../../parts/fields/DocField';
import { useSentence } from '../../../parts/Sentence';
import { StatePicker } from '../../../parts/StatePicker';
import { Readings } from '../../../parts/marks/Reading';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { BladeFields } from '../drive/PropellerFields';
import { Flight } from './RubberFlight';
import { Season } from './Season';
import { Trials } from './Trials';

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
  const units = useWorkspace((w) => w.units);
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
                  { path: RUBBER, value: USUAL_RUBBER },
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
            <DocField label="Strip, width" path={`${RUBBER}.width`} />
            <DocField label="Strip, thickness" path={`${RUBBER}.thickness`} />
            <IntField label="Strands" path={`${RUBBER}.strands`} />
            <DocField label="Length, made up" path={`${RUBBER}.length`} />
            <DocField
              label="Wound to"
              path={`${RUBBER}.wound`}
              hint="of the breaking turns; 85 % for practice, 95 % for a contest"
            />
            <DocField label="Turns let off" path={`${RUBBER}.backedOff`} />
            <DocField label="Winder ratio" path={`${RUBBER}.winder`} />
            <DocField
              label="Broke at"
              path={`${RUBBER}.breakTurns`}
              optional
              hint="turns at which such a motor broke; computed where left empty"
            />
            <Switch
              size="xs"
              label="Lubricated"
              checked={rubber.lubricated}
              onChange={(e) =>
                edit({ type: 'set', path: `${RUBBER}.lubricated`, value: e.currentTarget.checked })
              }
            />
          </div>
        </section>
        <section className="block">
          <h2>Propeller</h2>
          <BladeFields at={`${RUBBER}.propeller`} />
          <div className="fields mt8">
            <DocField
              label="Flare: pitch by torque"
              path={`${RUBBER}.flare`}
              hint="how far soft blades turn to more pitch under torque"
            />
            <DocField label="Trimmed to CL" path={`${RUBBER}.trimCl`} />
          </div>
        </section>
        <section className="block">
          <h2>Where</h2>
          <div className="fields">
            <DocField label="Ceiling" path={`${RUBBER}.ceiling`} optional="null" />
            <DocField label="Field, down wind" path={`${RUBBER}.field`} optional="null" />
          </div>
          {r.dethermalizer !== null && (
            <p className="over8">
              Dethermalizer at {formatQuantity(r.dethermalizer, 'time', units)}, or it drifts off the field.
              Set it for the field, not for the stopwatch.
            </p>
          )}
        </section>
        <div>
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: RUBBER, value: undefined })}
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
