'use client';
/** What the drive is made of, part by part. */
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useDrive } from '../useDrive';
import { Motor } from './MotorFields';
import { Packs } from './PackFields';
import { Propeller } from './PropellerFields';
import { Rest } from './Rest';

const PARTS = [
  ['pack', 'Pack'],
  ['motor', 'Motor'],
  ['propeller', 'Propeller'],
  ['rest', 'Controller, wire, more'],
] as const;

export function DriveInputs() {
  const { at } = useDrive();
  const [part, setPart] = useState<(typeof PARTS)[number][0]>('pack');
  if (!at) return null;
  return (
    <section className="block" aria-label="Parts of the drive">
      <NativeSelect
        aria-label="Part of the drive"
        value={part}
        onChange={(e) => setPart(e.currentTarget.value as typeof part)}
        data={PARTS.map(([value, label]) => ({ value, label }))}
        mb={8}
      />
      {part === 'pack' && <Packs at={at} />}
      {part === 'motor' && <Motor drive={at.drive} />}
      {part === 'propeller' && <Propeller drive={at.drive} />}
      {part === 'rest' && <Rest drive={at.drive} />}
    </section>
  );
}
