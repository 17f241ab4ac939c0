'use client';
/** What is done in the air: something dropped, a line let out and taken in. */
import { Cautions } from '../../../parts/Cautions';
import { Drop } from './Drop';
import { WinchPart } from './WinchPart';

export function AirTab() {
  return (
    <div className="stack">
      <Cautions at="air" />
      <Drop beside={<WinchPart />} />
    </div>
  );
}
