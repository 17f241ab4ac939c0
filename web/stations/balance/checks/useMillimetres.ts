'use client';
/** Lengths as these checks say them: to the millimetre, what a rule reads. */
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export function useMillimetres(): (length: number) => string {
  const units = useWorkspace((w) => w.units);
  return (length) => formatQuantity(Math.round(length * 1000) / 1000, 'length', units);
}
