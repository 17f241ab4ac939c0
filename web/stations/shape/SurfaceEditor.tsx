'use client';
/** Tables of one surface, of the body and what sticks out of it, and of what some layouts have besides. */
import type { Surface } from '@skiametra/core/design';
import { DocField } from '../../parts/fields/DocField';
import { DESIGN } from '../../parts/paths';
import { DocTable, freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Servos } from './Servos';
import { SurfaceRole } from './SurfaceRole';

const KINDS = ['aileron', 'elevator', 'rudder', 'flap', 'elevon', 'flaperon', 'ruddervator'];

export function SurfaceEditor({ id }: { id: string }) {
  const surface = useWorkspace((w) => w.content.document.design.surfaces.find((s) => s.id === id));
  const index = useWorkspace((w) => w.content.document.design.surfaces.findIndex((s) => s.id === id));
  const sections = useWorkspace((w) => w.content.document.design.sections);
  if (!surface) return null;
  const P = `${DESIGN}.surfaces.${id}`;
  const s = surface.stations;
  return (
    <div className="stack">
      <div className="fields three">
        <DocField label="Root, x" path={`${P}.x`} />
        <DocField label="Height, z" path={`${P}.z`} />
        {surface.role !== 'fin' && <DocField label="Incidence" path={`${P}.incidence`} />}
      </div>
      <section className="block">
        <h2>
          Span stations <span className="right dim">root outward; or drag the handles</span>
        </h2>
        <DocTable
          path={`${P}.stations`}
          caption={`${surface.name} stations`}
          least={2}
          addLabel="Add a station"
          insertAt={s.length - 1}
          newRow={() => betweenLast(s)}
          columns={[
            {
              key: 'y',
              label: surface.role === 'fin' ? 'Up' : 'Out',
              width: 52,
              cell: { type: 'quantity' },
            },
            { key: 'x', label: 'Back', width: 52, cell: { type: 'quantity' } },
            {
              key: 'z',
              label: surface.role === 'fin' ? 'Side' : 'Rise',
              width: 52,
              cell: { type: 'quantity' },
            },
            { key: 'chord', label: 'Chord', width: 54, cell: { type: 'quantity' } },
            { key: 'twist', label: 'Twist', width: 46, cell: { type: 'quantity' } },
            {
              key: 'section',
              label: 'Section',
              cell: { type: 'choice', options: sections.map((x) => ({ value: x.id, label: x.name })) },
              width: 88,
            },
          ]}
        />
      </section>
      <section className="block">
        <h2>
          Controls <span className="right dim">of half span and chord</span>
        </h2>
        <DocTable
          path={`${P}.controls`}
          caption={`${surface.name} controls`}
          addLabel="Add a control"
          newRow={() => ({
            id: freshId('control', surface.controls),
            name: 'Control',
            kind: surface.role === 'fin' ? 'rudder' : surface.role === 'wing' ? 'aileron' : 'elevator',
            from: 0.5,
            to: 0.95,
            chordFraction: 0.25,
            maxDeflection: 0.35,
          })}
          columns={[
            {
              key: 'kind',
              label: 'Kind',
              cell: { type: 'choice', options: KINDS.map((k) => ({ value: k, label: k })) },
            },
            { key: 'from', label: 'From', width: 50, cell: { type: 'quantity' } },
            { key: 'to', label: 'To', width: 50, cell: { type: 'quantity' } },
            { key: 'chordFraction', label: 'Chord', width: 50, cell: { type: 'quantity' } },
            { key: 'maxDeflection', label: 'Throw', width: 50, cell: { type: 'quantity' } },
            ...(surface.controls.some((c) => ['aileron', 'elevon', 'flaperon'].includes(c.kind))
              ? [
                  {
                    key: 'differential',
                    label: 'Down / up',
                    cell: { type: 'quantity' as const, kind: 'percent' as const },
                    width: 48,
                  },
                ]
              : []),
          ]}
        />
      </section>
      <Servos path={P} surface={surface} />
      <SurfaceRole path={P} index={index} surface={surface} />
    </div>
  );
}

/** A station half way between the last two. */
function betweenLast(stations: Surface['stations']) {
  const [a, b] = stations.slice(-2);
  if (!a || !b) return a;
  const between = (key: 'y' | 'x' | 'z' | 'chord' | 'twist') => (a[key] + b[key]) / 2;
  return {
    y: between('y'),
    x: between('x'),
    z: between('z'),
    chord: between('chord'),
    twist: between('twist'),
    section: a.section,
  };
}

export const SOURCES: Record<string, { label: string; value: object | null }> = {
  typed: { label: 'typed', value: null },
  wire: { label: 'wires', value: { kind: 'wire', length: 0.3, diameter: 0.003, count: 2 } },
  strut: { label: 'struts', value: { kind: 'strut', length: 0.3, chord: 0.02, thickness: 0.006, count: 2 } },
  'drawn wheels': {
    label: 'wheels as drawn',
    value: { kind: 'drawn wheels', width: 0.02, faired: false },
  },
  wheel: { label: 'wheels', value: { kind: 'wheel', diameter: 0.06, width: 0.02, count: 2, faired: false } },
  opening: { label: 'open bay', value: { kind: 'opening', length: 0.2, width: 0.08 } },
  bluff: { label: 'box or ball', value: { kind: 'bluff', frontal: 0.002, shape: 'rounded' } },
};
