'use client';
/** The motor. */
import { DocField } from '../../../parts/fields/DocField';
import { Choice } from './Choice';
import { Shafts } from './Shafts';

export function MotorFields({ at, tracked }: { at: string; tracked?: boolean | undefined }) {
  return (
    <div className="fields">
      <DocField label="Kv" path={`${at}.kv`} tracked={tracked} />
      <DocField label="Resistance" path={`${at}.resistance`} tracked={tracked} />
      <DocField label="No load" path={`${at}.noLoadCurrent`} tracked={tracked} />
      <DocField label="no load read at" optional path={`${at}.noLoadVolts`} />
      <DocField label="At most" path={`${at}.maxCurrent`} tracked={tracked} />
      <DocField label="Mass" optional path={`${at}.mass`} />
      <DocField label="Gear, to one" optional path={`${at}.gear`} />
      <DocField label="of which it passes on" optional path={`${at}.gearEfficiency`} />
      <DocField label="Winding limit" optional path={`${at}.maxTemperature`} hint="120 °C where left empty" />
    </div>
  );
}

export function Motor({ drive }: { drive: string }) {
  return (
    <>
      <MotorFields at={`${drive}.motor`} tracked />
      <div className="fields after">
        <Choice label="Built as" path={`${drive}.motor.kind`} fallback="outrunner" data={BUILDS} />
        <DocField label="Cooling, 0 shut in, 1 in the stream" optional path={`${drive}.motor.cooling`} />
      </div>
      <Shafts />
    </>
  );
}
const BUILDS = [
  { value: 'outrunner', label: 'outrunner' },
  { value: 'inrunner', label: 'inrunner' },
];
