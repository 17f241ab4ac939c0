'use client';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useLayout, type StallKind } from '../../parts/layout/useLayout';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Drawings } from './Drawings';
import { LayoutChooser } from './LayoutChooser';
import { LiftShares } from './LiftShares';
import { Pieces } from './Pieces';
import { RotorShape } from './RotorShape';
import { useWinged } from '../../parts/rotors/useRotors';
import { References } from './References';
import { ShapeViews } from './ShapeViews';
import { StallRemedies } from './StallRemedies';
import { StallWords } from './StallPanel';
import { BodyEditor } from './BodyEditor';
import { SurfaceEditor } from './SurfaceEditor';
import { TailVolumes } from './TailVolumes';

/** What is not a surface and has its inputs here. */
const OTHERS = [
  { value: 'body', label: 'Body' },
  { value: 'models', label: 'Models' },
  { value: 'limits', label: 'Limits' },
];
const READINGS = [
  'wingArea',
  'wingSpan',
  'aspectRatio',
  'meanChord',
  'liftSlope',
  'spanEfficiency',
  'clMax',
] as const;

export function Shape() {
  return useWinged() ? <WingedShape /> : <RotorShape />;
}

function WingedShape() {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const [asked, setPart] = useState(surfaces[0]?.id ?? 'body');
  const [stall, setStall] = useState<StallKind>('level');
  const { report, trouble } = useLayout(stall);
  const parts = [...surfaces.map((s) => ({ value: s.id, label: s.name })), ...OTHERS];
  const part = parts.some((p) => p.value === asked) ? asked : 'body';
  return (
    <div className="station cols-shape">
      <div className="stack">
        <div className="line gap8">
          <NativeSelect
            aria-label="Part"
            value={part}
            onChange={(e) => setPart(e.currentTarget.value)}
            data={parts}
            className="grow"
          />
          <LayoutChooser />
        </div>
        {part === 'body' && <BodyEditor />}
        {part === 'models' && <References />}
        {part === 'limits' && <Pieces pieces={report?.pieces ?? null} />}
        <SurfaceEditor id={part} />
      </div>
      <ShapeViews {...{ report, trouble, part, stall, setStall }} />
      <div className="stack">
        {report && <StallWords report={report} />}
        <StallRemedies />
        <Readings title="Shape" ids={READINGS} />
        {report && <LiftShares shares={report.shares} />}
        <TailVolumes />
        <Drawings />
      </div>
    </div>
  );
}
