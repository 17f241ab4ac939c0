'use client';
/** The propeller: size, pitch, blades. */
import { DocField, IntField } from '../../../parts/fields/DocField';
import { useDrive } from '../useDrive';
import { PitchByRadius, TableOfBlades } from './Blades';
import { Choice, FAMILIES } from './Choice';
import { Fan } from './Fan';

export function BladeFields({ at, tracked }: { at: string; tracked?: boolean | undefined }) {
  return (
    <div className="fields">
      <DocField label="Diameter" path={`${at}.diameter`} tracked={tracked} />
      <DocField label="Pitch" path={`${at}.pitch`} tracked={tracked} />
      <IntField label="Blades" path={`${at}.blades`} />
      <Choice label="Kind of blade" path={`${at}.family`} data={FAMILIES} fallback="thin-electric" />
    </div>
  );
}

export function Propeller({ drive }: { drive: string }) {
  const { at } = useDrive();
  return (
    <>
      <BladeFields at={`${drive}.propeller`} tracked />
      {at?.thruster && (
        <div className="fields after">
          <DocField label="Stands at x" path={`${at.thruster}.x`} />
          <DocField label="Height, z" path={`${at.thruster}.z`} />
          <DocField label="Down thrust" optional path={`${at.thruster}.down`} />
          <DocField label="Right thrust" optional path={`${at.thruster}.right`} />
        </div>
      )}
      <PitchByRadius />
      <TableOfBlades />
      <Fan />
    </>
  );
}
