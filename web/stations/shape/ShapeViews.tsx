'use client';
/** The aircraft from above with its stall, in three views, in three dimensions. */
import { NativeSelect, SegmentedControl } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { LayoutReport } from '@skiametra/core/views';
import { StationFindings } from '../../parts/Findings';
import { useTab } from '../../parts/frame/useAddress';
import { movedThrusters, tiltedThrusters } from '../../parts/layout/plan/movedThrusters';
import { PlanStall } from '../../parts/layout/plan/PlanStall';
import type { StallKind } from '../../parts/layout/useLayout';
import { DESIGN } from '../../parts/paths';
import { StatePicker } from '../../parts/StatePicker';
import { ViewDrawing } from '../../parts/ThreeViews';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { LiftAlong } from './LiftAlong';

const Aircraft3D = dynamic(() => import('../../parts/layout/three/Aircraft3D').then((m) => m.Aircraft3D), {
  ssr: false,
});
const CASES: { value: StallKind; label: string }[] = [
  { value: 'level', label: 'Level' },
  { value: 'turn', label: 'In the lap turn, to the right' },
  { value: 'sideslip', label: 'In a 10° sideslip' },
  { value: 'rolling', label: 'Rolling right' },
];
const VIEWS = [
  { value: 'plan', label: 'Plan and stall' },
  { value: 'views', label: 'Three views' },
  { value: 'three', label: '3D' },
];

interface Props {
  report: LayoutReport | null;
  trouble: string | null;
  /** what is edited beside it */ part: string;
  stall: StallKind;
  setStall: (stall: StallKind) => void;
}

export function ShapeViews({ report, trouble, part, stall, setStall }: Props) {
  const design = useWorkspace((w) => w.content.document.design);
  const [view, setView] = useTab(['plan', 'views', 'three']);
  return (
    <div className="stack gap8">
      <StationFindings of="shape" />
      <div className="line gap8 mid wraps">
        <SegmentedControl value={view} onChange={setView} data={VIEWS} aria-label="View" />
        {view === 'plan' && (
          <NativeSelect
            aria-label="Stalled how"
            value={stall}
            onChange={(e) => setStall(e.currentTarget.value as StallKind)}
            data={CASES}
            w={112}
          />
        )}
        <StatePicker />
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {view === 'plan' && <PlanView report={report} part={part} />}
      {view === 'views' && <ThreeViews report={report} />}
      {view === 'three' && (
        <Aircraft3D design={design} cg={report?.cg ?? null} neutralX={report?.neutralX ?? null} />
      )}
    </div>
  );
}

/** The version that this one is compared with. */
function useGhostDesign() {
  const againstId = useWorkspace((w) => w.againstId);
  const versions = useWorkspace((w) => w.versions);
  return versions.find((v) => v.id === againstId)?.document?.design ?? null;
}

/** Angle of attack that is looked at first: past the first stall of most wings [rad]. */
const FIRST_ANGLE = (12 * Math.PI) / 180;

function PlanView({ report, part }: Pick<Props, 'report' | 'part'>) {
  const design = useWorkspace((w) => w.content.document.design);
  const loading = useWorkspace((w) => w.loading);
  const edit = useWorkspace((w) => w.edit);
  const ghost = useGhostDesign();
  const [alpha, setAlpha] = useState(FIRST_ANGLE);
  const surface = design.surfaces.find((s) => s.id === part) ?? null;
  const path = `${DESIGN}.surfaces.${part}`;
  return (
    <>
      <PlanStall
        {...{ design, ghost, report, surface, loading, alpha }}
        onTilt={(id, to) =>
          edit({
            type: 'set',
            path: `${DESIGN}.thrusters`,
            value: tiltedThrusters(design.thrusters, id, to),
          })
        }
        onThruster={(id, x, y) =>
          edit({
            type: 'set',
            path: `${DESIGN}.thrusters`,
            value: movedThrusters(design.thrusters, id, x, y),
          })
        }
        onStations={(stations, rootX) =>
          rootX === undefined
            ? edit({ type: 'set', path: `${path}.stations`, value: stations })
            : edit({ type: 'set', path: `${path}.x`, value: rootX })
        }
      />
      {report && <LiftAlong {...{ report, surface, alpha, setAlpha }} />}
    </>
  );
}

function ThreeViews({ report }: Pick<Props, 'report'>) {
  const design = useWorkspace((w) => w.content.document.design);
  const ghost = useGhostDesign();
  const marks = { cg: report?.cg, neutralX: report?.neutralX };
  return (
    <>
      <ViewDrawing view="plan" design={design} ghost={ghost} {...marks} height={330} />
      <div className="cols cols-shape2">
        <ViewDrawing view="side" design={design} ghost={ghost} {...marks} height={190} />
        <ViewDrawing view="front" design={design} ghost={ghost} height={190} />
      </div>
    </>
  );
}
