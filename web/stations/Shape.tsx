'use client';
import { Button, SegmentedControl } from '@mantine/core';
import { useState, type CSSProperties } from 'react';
import { curveOf } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { planformOf, tailVolume } from '@skiametra/core/surface';
import { ChartFrame } from '../parts/ChartFrame';
import { StationFindings } from '../parts/Findings';
import { DocField } from '../parts/QuantityField';
import { Readings } from '../parts/Reading';
import { SheetTable, freshId } from '../parts/SheetTable';
import { FrontView, PlanView, SideView } from '../parts/ThreeViews';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const D = 'document.design';

export function Shape() {
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const againstId = useWorkspace((w) => w.againstId);
  const versions = useWorkspace((w) => w.versions);
  const [part, setPart] = useState('wing');
  const ghost = versions.find((v) => v.id === againstId)?.document.design ?? null;
  const parts = [...design.surfaces.map((s) => ({ value: s.id, label: s.name })), { value: 'body', label: 'Body' }];
  const stall = ledger && curveOf(ledger, 'stallRatio', loading);
  return (
    <>
      <div className="station" style={{ '--cols': 'minmax(300px, 400px) minmax(0, 1fr) 220px' } as CSSProperties}>
        <div className="stack">
          <SegmentedControl value={part} onChange={setPart} data={parts} aria-label="Part" fullWidth />
          {part === 'body' ? <BodyEditor /> : <SurfaceEditor id={part} />}
          <StationFindings of={['shape']} />
        </div>
        <div className="stack" style={{ gap: 6 }}>
          <PlanView design={design} ledger={ledger} loading={loading} ghost={ghost} />
          <div className="cols" style={{ '--cols': '1.3fr 1fr' } as CSSProperties}><SideView design={design} /><FrontView design={design} /></div>
          {stall && <ChartFrame title="Where the wing stalls first" height={170} xName="Half span" xKind="chordPercent" yName="Local lift / section limit" yKind="percent" series={[{ name: 'at the stall', x: stall.x, y: stall.y, sigma: stall.sigma, look: 'predicted' }]} />}
        </div>
        <div className="stack">
          <Readings title="Shape" ids={['wingArea', 'wingSpan', 'aspectRatio', 'meanChord', 'liftSlope', 'spanEfficiency']} />
          <TailVolumes />
        </div>
      </div>
    </>
  );
}

function TailVolumes() {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  return (
    <>
      <Readings title="Tail" ids={['tailVolume', 'finVolume']} />
      {design.surfaces.filter((s) => s.role !== 'wing').map((s) => {
        const v = tailVolume(wing, planformOf(s), s.role === 'fin');
        return <div key={s.id} className="dim" style={{ fontSize: '0.75rem' }}>{s.name}: arm {formatQuantity(v.arm, 'length', units)} between quarter chords; by leading edges {formatQuantity(v.armByLeadingEdge, 'length', units)}, volume {v.volumeByLeadingEdge.toFixed(3)}.</div>;
      })}
    </>
  );
}

function SurfaceEditor({ id }: { id: string }) {
  const surface = useWorkspace((w) => w.content.document.design.surfaces.find((s) => s.id === id));
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const edit = useWorkspace((w) => w.edit);
  if (!surface) return null;
  const P = `${D}.surfaces.${id}`;
  const s = surface.stations;
  const addStation = () => {
    const a = s[s.length - 2], b = s[s.length - 1];
    const mid = { y: (a.y + b.y) / 2, x: (a.x + b.x) / 2, z: (a.z + b.z) / 2, chord: (a.chord + b.chord) / 2, twist: (a.twist + b.twist) / 2, section: a.section };
    edit({ type: 'insert', path: `${P}.stations`, value: mid, at: s.length - 1 });
  };
  return (
    <div className="stack">
      <div className="fields">
        <DocField label="Root leading edge, x" path={`${P}.x`} kind="length" />
        <DocField label="Height, z" path={`${P}.z`} kind="length" />
        {surface.role !== 'fin' && <DocField label="Incidence" path={`${P}.incidence`} kind="angle" />}
      </div>
      <section className="block"><h2>Span stations <span className="right dim">from the root outward</span></h2>
        <SheetTable path={`${P}.stations`} caption={`${surface.name} stations`} least={2}
          columns={[
            { key: 'y', label: surface.role === 'fin' ? 'Up' : 'Out', cell: { type: 'quantity', kind: 'length' } },
            { key: 'x', label: 'Back', cell: { type: 'quantity', kind: 'length' } },
            { key: 'z', label: 'Rise', cell: { type: 'quantity', kind: 'length' } },
            { key: 'chord', label: 'Chord', cell: { type: 'quantity', kind: 'length' } },
            { key: 'twist', label: 'Twist', cell: { type: 'quantity', kind: 'angle' } },
            { key: 'section', label: 'Section', cell: { type: 'choice', options: sections.map((x) => ({ value: x.id, label: x.name })) }, width: 92 },
            { key: 'remove', label: '', width: 20, cell: { type: 'shown', render: (_, i) => (s.length > 2 ? <button type="button" aria-label={`Remove station ${i + 1}`} onClick={() => edit({ type: 'remove', path: `${P}.stations`, index: i })} style={{ all: 'unset', cursor: 'pointer', color: 'var(--ink-2)' }}>×</button> : null) } },
          ]} />
        <Button variant="subtle" mt={4} onClick={addStation}>Add a station</Button>
      </section>
      <section className="block"><h2>Control surfaces <span className="right dim">fractions of the half span and chord</span></h2>
        <SheetTable path={`${P}.controls`} caption={`${surface.name} controls`} addLabel="Add a control"
          newRow={() => ({ id: freshId('control', surface.controls), name: 'Control', kind: surface.role === 'fin' ? 'rudder' : surface.role === 'tail' ? 'elevator' : 'aileron', from: 0.5, to: 0.95, chordFraction: 0.25, maxDeflection: 0.35 })}
          columns={[
            { key: 'kind', label: 'Kind', cell: { type: 'choice', options: ['aileron', 'elevator', 'rudder', 'flap'].map((k) => ({ value: k, label: k })) } },
            { key: 'from', label: 'From', cell: { type: 'quantity', kind: 'percent' } },
            { key: 'to', label: 'To', cell: { type: 'quantity', kind: 'percent' } },
            { key: 'chordFraction', label: 'Chord', cell: { type: 'quantity', kind: 'percent' } },
            { key: 'maxDeflection', label: 'Throw', cell: { type: 'quantity', kind: 'angle' } },
          ]} />
      </section>
    </div>
  );
}

function BodyEditor() {
  const body = useWorkspace((w) => w.content.document.design.body);
  const dragItems = useWorkspace((w) => w.content.document.design.dragItems);
  return (
    <div className="stack">
      <section className="block"><h2>Fuselage stations <span className="right dim">elliptic, nose to tail</span></h2>
        <SheetTable path={`${D}.body`} caption="Fuselage stations" least={2} addLabel="Add a station behind" newRow={() => { const l = body[body.length - 1]; return { ...l, x: l.x + 0.1 }; }}
          columns={[{ key: 'x', label: 'From datum', cell: { type: 'quantity', kind: 'length' } }, { key: 'width', label: 'Width', cell: { type: 'quantity', kind: 'length' } }, { key: 'height', label: 'Height', cell: { type: 'quantity', kind: 'length' } }, { key: 'z', label: 'Middle, z', cell: { type: 'quantity', kind: 'length' } }]} />
      </section>
      <section className="block"><h2>What sticks out <span className="right dim">as drag areas</span></h2>
        <SheetTable path={`${D}.dragItems`} caption="Drag items" addLabel="Add an item" newRow={() => ({ id: freshId('drag', dragItems), name: 'Item', dragArea: 0.0005, note: '' })}
          columns={[{ key: 'name', label: 'Item', cell: { type: 'text' } }, { key: 'dragArea', label: 'Drag area', cell: { type: 'quantity', kind: 'dragArea' }, width: 100 }, { key: 'note', label: 'How known', cell: { type: 'text' } }]} />
      </section>
    </div>
  );
}
