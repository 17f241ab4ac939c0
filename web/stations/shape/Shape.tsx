'use client';
import { DESIGN } from '../../parts/paths';
import { NativeSelect, SegmentedControl, Slider } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { sizedToVolume } from '@skiametra/core/layout';
import { planformOf, tailVolume } from '@skiametra/core/surface';
import { formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StationFindings } from '../../parts/Findings';
import { PlanStall } from '../../parts/layout/PlanStall';
import { useLayout, type StallKind } from '../../parts/layout/useLayout';
import { StatePicker } from '../../parts/StatePicker';
import { QuantityField } from '../../parts/fields/QuantityField';
import { Readings } from '../../parts/marks/Reading';
import { ViewDrawing } from '../../parts/ThreeViews';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Drawings } from './Drawings';
import { LayoutChooser } from './LayoutChooser';
import { Pieces } from './Pieces';
import { References } from './References';
import { StallRemedies } from './StallRemedies';
import { StallWords } from './StallPanel';
import { BodyEditor, SurfaceEditor } from './SurfaceEditor';

const Aircraft3D = dynamic(() => import('../../parts/layout/Aircraft3D').then((m) => m.Aircraft3D), {
  ssr: false,
});
const CASES: { value: StallKind; label: string }[] = [
  { value: 'level', label: 'Level' },
  { value: 'turn', label: 'In the lap turn, to the right' },
  { value: 'sideslip', label: 'In a 10° sideslip' },
  { value: 'rolling', label: 'Rolling right' },
];

export function Shape() {
  const design = useWorkspace((w) => w.content.document.design);
  const loading = useWorkspace((w) => w.loading);
  const againstId = useWorkspace((w) => w.againstId);
  const versions = useWorkspace((w) => w.versions);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const [part, setPart] = useState(design.surfaces[0].id);
  const [view, setView] = useTab(['plan', 'views', 'three']);
  const [stall, setStall] = useState<StallKind>('level');
  const [alpha, setAlpha] = useState(12);
  const { report, trouble } = useLayout(stall);
  const ghost = versions.find((v) => v.id === againstId)?.document?.design ?? null;
  const parts = [
    ...design.surfaces.map((s) => ({ value: s.id, label: s.name })),
    { value: 'body', label: 'Body' },
    { value: 'models', label: 'Models' },
    { value: 'limits', label: 'Limits' },
  ];
  const now = parts.some((p) => p.value === part) ? part : parts[0].value;
  const surface = design.surfaces.find((s) => s.id === now) ?? null;
  const setStations = (id: string) => (stations: unknown, rootX?: number) =>
    edit({
      type: 'set',
      path: rootX === undefined ? `${DESIGN}.surfaces.${id}.stations` : `${DESIGN}.surfaces.${id}.x`,
      value: rootX ?? stations,
    });
  const flow = report?.stall.flows.reduce((a, f) =>
    Math.abs(f.alpha - radians(alpha)) < Math.abs(a.alpha - radians(alpha)) ? f : a,
  );
  const shownSurface =
    surface && flow?.strips.some((s) => s.surface === surface.id)
      ? surface
      : design.surfaces.find((s) => s.role === 'wing')!;
  const strips = flow?.strips.filter((s) => s.surface === shownSurface.id) ?? [];
  return (
    <div className="station cols-shape">
      <div className="stack">
        <div className="line gap8">
          <NativeSelect
            aria-label="Part"
            value={now}
            onChange={(e) => setPart(e.currentTarget.value)}
            data={parts}
            className="grow"
          />
          <LayoutChooser />
        </div>
        {now === 'body' ? (
          <BodyEditor />
        ) : now === 'models' ? (
          <References />
        ) : now === 'limits' ? (
          <Pieces pieces={report?.pieces ?? null} />
        ) : (
          <SurfaceEditor id={now} />
        )}
        <StationFindings of="shape" />
      </div>
      <div className="stack gap8">
        <div className="line gap8 mid wraps">
          <SegmentedControl
            value={view}
            onChange={setView}
            size="xs"
            data={[
              { value: 'plan', label: 'Plan and stall' },
              { value: 'views', label: 'Three views' },
              { value: 'three', label: '3D' },
            ]}
            aria-label="View"
          />
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
        {view === 'plan' && (
          <PlanStall
            design={design}
            ghost={ghost}
            report={report}
            surface={surface}
            units={units}
            loading={loading}
            alpha={radians(alpha)}
            onStations={surface ? setStations(surface.id) : () => undefined}
          />
        )}
        {view === 'plan' && strips.length > 0 && (
          <>
            <div className="line gap12 mid">
              <span className="dim note oneliner">Angle of attack {alpha}°</span>
              <Slider
                aria-label="Angle of attack"
                thumbLabel="Angle of attack"
                className="grow"
                size="xs"
                min={0}
                max={22}
                step={1}
                value={alpha}
                onChange={setAlpha}
                label={(v) => `${v}°`}
              />
            </div>
            <ChartFrame
              title={`Lift along ${shownSurface.name.toLowerCase()} at ${alpha}°`}
              height={150}
              xName="Half span"
              xKind="chordPercent"
              yName="Lift / limit"
              yKind="percent"
              yFromZero
              series={(['right', 'left'] as const)
                .filter((side) => strips.some((s) => s.side === side))
                .map((side, i) => {
                  const mine = strips.filter((s) => s.side === side);
                  return {
                    name: strips.some((s) => s.side === 'left') ? `${side} wing` : 'both sides',
                    x: mine.map((s) => s.eta),
                    y: mine.map((s) => s.ratio),
                    look: i === 0 ? ('predicted' as const) : ('ghost' as const),
                  };
                })}
            />
          </>
        )}
        {view === 'views' && (
          <>
            <ViewDrawing
              view="plan"
              design={design}
              ghost={ghost}
              cg={report?.cg}
              neutralX={report?.neutralX}
              height={330}
            />
            <div className="cols cols-shape2">
              <ViewDrawing
                view="side"
                design={design}
                ghost={ghost}
                cg={report?.cg}
                neutralX={report?.neutralX}
                height={190}
              />
              <ViewDrawing view="front" design={design} ghost={ghost} height={190} />
            </div>
          </>
        )}
        {view === 'three' && (
          <Aircraft3D design={design} cg={report?.cg ?? null} neutralX={report?.neutralX ?? null} />
        )}
      </div>
      <div className="stack">
        {report && <StallWords report={report} />}
        <StallRemedies />
        <Readings
          title="Shape"
          ids={['wingArea', 'wingSpan', 'aspectRatio', 'meanChord', 'liftSlope', 'spanEfficiency', 'clMax']}
        />
        {report && sharesOf(report.shares)}
        {tailVolumes()}
        <Drawings />
      </div>
    </div>
  );

  function radians(deg: number): number {
    return (deg * Math.PI) / 180;
  }

  function sharesOf(shares: Record<string, number>) {
    const rows = design.surfaces.filter((s) => Math.abs(shares[s.id] ?? 0) > 0.001);
    return rows.length < 2 ? null : (
      <section className="block">
        <h2>Who carries the lift</h2>
        {rows.map((s) => (
          <div key={s.id} className="line apart">
            <span className="dim">{s.name}</span>
            <span className="num">{(100 * shares[s.id]).toFixed(0)} %</span>
          </div>
        ))}
      </section>
    );
  }

  function tailVolumes() {
    const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
    const rest = design.surfaces.filter((s) => s.role !== 'wing');
    if (rest.length === 0) return null;
    return (
      <>
        <Readings title="Tail" ids={['tailVolume', 'finVolume']} />
        {rest.map((s) => {
          const v = tailVolume(wing, planformOf(s), s.role === 'fin');
          const size = (volume: number): string | null => {
            const sized = sizedToVolume(wing, s, volume);
            if (!sized) return 'No size of it, where it stands, has that volume.';
            return edit({ type: 'set', path: `${DESIGN}.surfaces.${s.id}`, value: sized });
          };
          return (
            <div key={s.id} className="small">
              <QuantityField
                label={`Size the ${s.name.toLowerCase()} to a volume of`}
                kind="ratio"
                value={Number(v.volume.toFixed(v.volume < 0.1 ? 4 : 3))}
                onCommit={size}
              />
              <div className="dim">
                Arm {formatQuantity(v.arm, 'length', units)} between quarter chords; by leading edges{' '}
                {formatQuantity(v.armByLeadingEdge, 'length', units)}, volume{' '}
                {v.volumeByLeadingEdge.toFixed(3)}.
              </div>
            </div>
          );
        })}
      </>
    );
  }
}
