'use client';
import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import type { SectionWork } from '@skiametra/core/views';
import type { Section, SectionChoice } from '@skiametra/core/design';
import { gapBetween, limitSentence, type Polar } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import { parsePolarCsv } from '@skiametra/formats';
import { ChartFrame, type Series } from '../../parts/ChartFrame';
import { QuantityField } from '../../parts/fields/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Overlay } from './Outline';
import type { ShelfRow } from './useShelf';

const LOOKS: Series['look'][] = ['predicted', 'ink', 'second', 'ghost'];

interface Props {
  rows: readonly ShelfRow[];
  work: SectionWork;
  section: Section;
  choice: SectionChoice;
  onChoice: (c: SectionChoice) => string | null;
}

/** The picked sections over each other, the worst case of each built one as a band, and what was measured as discs. */
export function ComparePolars({ rows, work, section, choice, onChoice }: Props) {
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  const list = rows.filter((r) => r.outline).slice(0, 4);
  const curves = list.flatMap((r, i) =>
    r.atWork ? [{ name: r.candidate.name, look: LOOKS[i], p: r.atWork, built: r.built }] : [],
  );
  const inside = (p: Polar) => p.points.filter((q) => q.cd < 0.12);
  const series = (
    x: (q: Polar['points'][number]) => number,
    y: (q: Polar['points'][number]) => number,
  ): Series[] =>
    curves.map((c, i) => ({
      name: c.name,
      look: c.look,
      x: inside(c.p).map(x),
      y: inside(c.p).map(y),
      sigma: i === 0 ? (c.built ? gapBetween(inside(c.p), c.built, y) : null) : null,
    }));
  const measured = section.measured ?? [];
  const discs = (x: 'alpha' | 'cd', y: 'cl'): Series[] =>
    measured
      .map((m): Series => {
        const pts = m.points.filter((p) => p[x] !== null);
        return {
          name: `${m.name}, Re ${formatNumber(m.reynolds, 3)}`,
          look: 'measured',
          marks: true,
          x: pts.map((p) => p[x]!),
          y: pts.map((p) => p[y]),
        };
      })
      .filter((s) => s.x.length > 0);
  const cases = curves.flatMap((c) => [c.p.clMax, ...(c.built ? [c.built.clMax] : [])]);
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > 200_000) {
      setError(`${f.name} is larger than 200 kB; nothing was taken.`);
      return;
    }
    void f.text().then((t) => {
      const r = parsePolarCsv(t);
      if (r.status === 'error') {
        setError(`${r.message} Nothing was taken.`);
        return;
      }
      const entry = {
        name: f.name.replace(/\.[^.]*$/, '').slice(0, 60) || 'Measured',
        reynolds: r.reynolds ?? work.atWork,
        points: r.points,
      };
      setError(
        edit({
          type: 'set',
          path: `document.design.sections.${section.id}`,
          value: { ...section, measured: [...measured, entry] },
        }) ??
          (r.skipped > 0 ? `${r.skipped} lines held no lift with an angle or drag and were left out.` : null),
      );
    });
  };
  if (list.length === 0)
    return <p className="dim">Tick sections on the shelf to lay them over each other.</p>;
  return (
    <div className="stack">
      <div className="cols cols-comparepolars">
        <Overlay list={list.map((r) => ({ name: r.candidate.name, contour: r.outline! }))} />
        <section className="block">
          <h2>As it may be built</h2>
          <div className="fields">
            <QuantityField
              label="Thickness off by"
              value={choice.errors.thickness}
              kind="percent"
              onCommit={(v) => onChoice({ ...choice, errors: { ...choice.errors, thickness: v } })}
            />
            <QuantityField
              label="Camber short by"
              hint="share of the chord"
              value={choice.errors.camber}
              kind="chordPercent"
              onCommit={(v) => onChoice({ ...choice, errors: { ...choice.errors, camber: v } })}
            />
            <QuantityField
              label="Nose sharper by"
              hint="of its radius"
              value={choice.errors.nose}
              kind="percent"
              onCommit={(v) => onChoice({ ...choice, errors: { ...choice.errors, nose: v } })}
            />
            <QuantityField
              label="Edge thicker by"
              hint="share of the chord"
              value={choice.errors.edge}
              kind="chordPercent"
              onCommit={(v) => onChoice({ ...choice, errors: { ...choice.errors, edge: v } })}
            />
          </div>
        </section>
      </div>
      {curves.length > 0 && (
        <>
          <p className="flush note">
            <strong>{curves[0].name}.</strong> {limitSentence(curves[0].p)} The band is its worst case as
            built.{' '}
            {curves.length > 1 &&
              `Poorest of all that are shown, drawn or built: largest lift ${Math.min(...cases).toFixed(2)}.`}
          </p>
          <div className="cols cols-comparepolars2">
            <ChartFrame
              title={`Lift at Re ${formatNumber(work.atWork, 2)}`}
              height={220}
              xName="Angle"
              xKind="angle"
              yName="cl"
              yKind="ratio"
              series={[
                ...series(
                  (q) => q.alpha,
                  (q) => q.cl,
                ),
                ...discs('alpha', 'cl'),
              ]}
            />
            <ChartFrame
              title="Drag"
              height={220}
              xName="cd"
              xKind="ratio"
              yName="cl"
              yKind="ratio"
              series={[
                ...series(
                  (q) => q.cd,
                  (q) => q.cl,
                ).map((s) => ({ ...s, sigma: null })),
                ...(curves[0].built
                  ? [
                      {
                        name: `${curves[0].name}, as built`,
                        look: 'ghost' as const,
                        x: inside(curves[0].built).map((q) => q.cd),
                        y: inside(curves[0].built).map((q) => q.cl),
                      },
                    ]
                  : []),
                ...discs('cd', 'cl'),
              ]}
            />
            <ChartFrame
              title="Transition, upper face"
              height={200}
              xName="Angle"
              xKind="angle"
              yName="Share of the chord"
              yKind="chordPercent"
              series={curves.map((c) => {
                const q = inside(c.p).filter((v) => v.how === 'solved');
                return {
                  name: c.name,
                  look: c.look,
                  x: q.map((v) => v.alpha),
                  y: q.map((v) => v.transitionUpper),
                };
              })}
            />
            <ChartFrame
              title="Moment about the quarter chord"
              height={200}
              xName="Angle"
              xKind="angle"
              yName="cm"
              yKind="ratio"
              series={series(
                (q) => q.alpha,
                (q) => q.cm,
              ).map((s) => ({ ...s, sigma: null }))}
            />
          </div>
        </>
      )}
      <div className="line gap12 base wraps">
        <FileButton onChange={open} accept=".csv,.txt" inputProps={{ 'aria-label': 'Measured polar file' }}>
          {(p) => (
            <Button variant="default" size="xs" {...p}>
              Open a measured polar (CSV)
            </Button>
          )}
        </FileButton>
        {measured.map((m, i) => (
          <span key={`${m.name}-${i}`} className="note">
            ● {m.name}, {m.points.length} points{' '}
            <Button
              size="compact-xs"
              variant="subtle"
              color="red"
              aria-label={`Remove ${m.name}`}
              onClick={() =>
                setError(
                  edit({
                    type: 'set',
                    path: `document.design.sections.${section.id}`,
                    value: { ...section, measured: measured.filter((_, k) => k !== i) },
                  }),
                )
              }
            >
              Remove
            </Button>
          </span>
        ))}
        <span className="dim note">Columns alpha, cl, cd; shown as discs with {section.name}.</span>
        {error && (
          <span role="alert" className="stoptext note">
            {error}
          </span>
        )}
      </div>
    </div>
  );
}
