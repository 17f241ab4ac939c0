'use client';
/** Shape of what has no wing: body, rotors from above, what the air holds against the frame. */
import { Button, NativeSelect, SegmentedControl } from '@mantine/core';
import dynamic from 'next/dynamic';
import { StationFindings } from '../../parts/Findings';
import { DocField } from '../../parts/fields/DocField';
import { useTab } from '../../parts/frame/useAddress';
import { Readings } from '../../parts/marks/Reading';
import { DESIGN } from '../../parts/paths';
import { RotorPlan } from '../../parts/rotors/RotorPlan';
import { useRotors } from '../../parts/rotors/useRotors';
import { StatePicker } from '../../parts/StatePicker';
import { ViewDrawing } from '../../parts/ThreeViews';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { BodyEditor } from './BodyEditor';
import { LayoutChooser } from './LayoutChooser';
import { useState } from 'react';
import { Pieces } from './Pieces';

const Aircraft3D = dynamic(() => import('../../parts/layout/three/Aircraft3D').then((m) => m.Aircraft3D), {
  ssr: false,
});
const VIEWS = [
  { value: 'plan', label: 'From above' },
  { value: 'views', label: 'Three views' },
  { value: 'three', label: '3D' },
];
const PARTS = [
  { value: 'body', label: 'Body and rotors' },
  { value: 'limits', label: 'Limits' },
];

export function RotorShape() {
  const [part, setPart] = useState('body');
  return (
    <div className="station cols-shape">
      <div className="stack">
        <div className="line gap8">
          <NativeSelect
            aria-label="Part"
            value={part}
            onChange={(e) => setPart(e.currentTarget.value)}
            data={PARTS}
            className="grow"
          />
          <LayoutChooser />
        </div>
        {part === 'body' ? <BodyEditor /> : <Pieces pieces={null} />}
      </div>
      <Views />
      <div className="stack">
        <FrameDrag />
        <Readings title="Among the rotors" ids={['rotorLoad', 'rotorOut', 'mass', 'cgX']} />
      </div>
    </div>
  );
}

function Views() {
  const design = useWorkspace((w) => w.content.document.design),
    units = useWorkspace((w) => w.units),
    { report, trouble } = useRotors(),
    [view, setView] = useTab(['plan', 'views', 'three']);
  const cg = report?.cg ?? null;
  return (
    <div className="stack gap8">
      <StationFindings of="shape" />
      <div className="line gap8 mid wraps">
        <SegmentedControl value={view} onChange={setView} data={VIEWS} aria-label="View" />
        <StatePicker />
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {view === 'plan' && report && <RotorPlan {...{ design, report, units }} />}
      {view === 'views' && (
        <>
          <ViewDrawing view="plan" design={design} cg={cg} height={330} />
          <div className="cols cols-shape2">
            <ViewDrawing view="side" design={design} cg={cg} height={190} />
            <ViewDrawing view="front" design={design} height={190} />
          </div>
        </>
      )}
      {view === 'three' && <Aircraft3D design={design} cg={cg} neutralX={null} />}
    </div>
  );
}

/** Drag areas along each axis; a box of the body's size until they are typed. */
function FrameDrag() {
  const typed = useWorkspace((w) => w.content.document.design.frameDrag !== undefined);
  return (
    <section className="block">
      <h2>What the air holds against it</h2>
      {typed ? (
        <div className="fields">
          <DocField label="From ahead" path={`${DESIGN}.frameDrag.front`} tracked />
          <DocField label="From the side" path={`${DESIGN}.frameDrag.side`} tracked />
          <DocField label="From above" path={`${DESIGN}.frameDrag.top`} tracked />
        </div>
      ) : (
        <TypeFrameDrag />
      )}
      <p className="dim note">
        Drag coefficient times area, arms and legs in. A steady lean in a known wind tells it: drag is weight
        times the tangent of the lean.
      </p>
    </section>
  );
}

function TypeFrameDrag() {
  const { report } = useRotors(),
    edit = useWorkspace((w) => w.edit),
    frame = report?.frame;
  if (!frame) return null;
  const { front, side, top } = frame;
  return (
    <Button
      size="xs"
      variant="light"
      onClick={() => edit({ type: 'set', path: `${DESIGN}.frameDrag`, value: { front, side, top } })}
    >
      Type the drag areas
    </Button>
  );
}
