'use client';
import { AdviceList } from './AdviceList';
import { Calibration } from './Calibration';
import { Comparison } from './Comparison';
import { Journey } from './journey/Journey';
import { ThreeColumns } from './ThreeColumns';
import { VersionTree } from './VersionTree';

export function Refine() {
  return (
    <div className="station cols-refine">
      <div className="stack">
        <Journey />
        <ThreeColumns />
        <Comparison />
      </div>
      <div className="stack">
        <Calibration />
        <AdviceList />
        <VersionTree />
      </div>
    </div>
  );
}
