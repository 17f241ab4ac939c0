'use client';
/** What lifts: motor, rotor, controller, and the pack that feeds them. */
import { Button, NativeSelect } from '@mantine/core';
import { drivesOf, withoutLift, type Powertrain } from '@skiametra/core/design';
import type { HoverReport } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { DESIGN } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { MotorFields } from '../drive/MotorFields';
import { PackFields } from '../drive/PackFields';
import { BladeFields } from '../drive/PropellerFields';
import type { useDrive } from '../useDrive';

interface LiftInputsProps {
  h: HoverReport;
  L: string;
  lift: NonNullable<Powertrain['lift']>;
  apply: ReturnType<typeof useDrive>['apply'];
}
export function LiftInputs({ h, L, lift, apply }: LiftInputsProps) {
  const edit = useWorkspace((w) => w.edit);
  const design = useWorkspace((w) => w.content.document.design);
  return (
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
      <LiftPack />
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
  );
}

/** The pack of the lift drive; where it is that of the forward drive it is typed there. */
function LiftPack() {
  const design = useWorkspace((w) => w.content.document.design);
  const { lift, forward } = drivesOf(design),
    id = lift?.packs[0],
    pack = design.power.packs.find((k) => k.id === id);
  if (!pack) return <p className="dim">No pack feeds the lift motors.</p>;
  const shared = forward && forward.fitted !== false && forward.packs.includes(pack.id);
  return (
    <section className="block">
      <h2>{pack.name}</h2>
      {shared ? (
        <p className="dim flush">They share the pack of the drive: it is typed under Drive.</p>
      ) : (
        <>
          <PackFields at={`${DESIGN}.power.packs.${pack.id}`} tracked />
          <div className="fields after">
            <DocField label="The rest draws" path={`${DESIGN}.power.avionicsCurrent`} />
          </div>
        </>
      )}
    </section>
  );
}
