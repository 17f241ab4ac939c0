'use client';
/** A section made, read, bent and blended. */
import { Button, FileButton, NativeSelect, Textarea } from '@mantine/core';
import type { Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { contourFromPoints, type ShapeChange } from '@skiametra/core/section';
import { parseDat } from '@skiametra/formats';
import { useState, type FormEvent } from 'react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { outlineOf } from '../useShelf';
import { BlendFields } from './BlendFields';
import { type Shape, written, NO_CHANGE, LIST, capital, read, KINDS, HINTS } from './shapes';

export function SectionEditor({
  section,
  used,
  onRemoved,
}: {
  section: Section;
  used: boolean;
  onRemoved: () => void;
}) {
  const edit = useWorkspace((w) => w.edit);
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const [kind, setKind] = useState<Shape['kind']>(section.shape.kind);
  const [text, setText] = useState(written(section.shape));
  const [dat, setDat] = useState('');
  const [error, setError] = useState<string | null>(null);
  const { shape } = section;
  const change: ShapeChange = section.change ?? NO_CHANGE;
  const put = (next: Section): string | null => {
    const path = `${LIST}.${section.id}`;
    const o = outlineOf(next);
    const refused =
      'problem' in o
        ? `${capital(o.problem)}; the section stays as it was.`
        : edit({ type: 'set', path, value: next });
    setError(refused);
    return refused;
  };
  const setShape = (s: Shape, name = section.name, note = section.note) =>
    put({ ...section, shape: s, name, note });
  const setChange = (c: ShapeChange) =>
    put({ ...section, change: c.thickness === 1 && c.camber === 1 && !c.flap ? undefined : c });
  const take = (e: FormEvent) => {
    e.preventDefault();
    const r = read(kind, text, shape);
    if (typeof r === 'string') {
      setError(`${r}; the section stays as it was.`);
      return;
    }
    setShape(r.shape, r.name, 'generated');
  };
  const takeDat = (source: string, fallback: string) => {
    const r = parseDat(source, fallback);
    if (r.status === 'error') {
      setError(`${r.message} The section stays as it was.`);
      return;
    }
    try {
      contourFromPoints(r.points);
    } catch (e) {
      if (e instanceof DomainError) {
        setError(`${capital(e.message)}; the section stays as it was.`);
        return;
      }
      throw e;
    }
    setShape(
      { kind: 'points', points: r.points },
      r.name,
      r.form === 'selig'
        ? 'opened from points in one round, trailing edge to trailing edge'
        : 'opened from points of two faces, each nose to trailing edge',
    );
  };
  const openFile = (f: File | null) => {
    if (!f) return;
    if (f.size > 200_000) {
      setError(`${f.name} is larger than 200 kB; the section stays as it was.`);
      return;
    }
    void f.text().then((t) => takeDat(t, f.name.replace(/\.[^.]*$/, '')));
  };
  const plain = sections.filter(
    (s) => s.shape.kind !== 'blend' && s.shape.kind !== 'stepped' && s.id !== section.id,
  );
  const typed =
    kind === 'naca4' ||
    kind === 'naca4m' ||
    kind === 'naca5' ||
    kind === 'classShape' ||
    kind === 'folded' ||
    kind === 'stepped';
  const many = kind === 'classShape' || kind === 'folded';
  return (
    <section className="block">
      <h2>{section.name}</h2>
      <div className="stack gap8">
        <NativeSelect
          label="Shape"
          size="xs"
          value={kind}
          onChange={(e) => {
            const k = e.currentTarget.value as Shape['kind'];
            setKind(k);
            setError(null);
            if (k === 'plate' || k === 'film')
              setShape(
                { kind: k, camber: k === 'film' ? 0.06 : 0, at: 0.4, thickness: k === 'film' ? 0.004 : 0.03 },
                k === 'film' ? 'Film on ribs' : 'Sheet',
                'generated',
              );
            else setText(k === shape.kind ? written(shape) : '');
          }}
          data={KINDS}
        />
        {typed && (
          <form className="qf" onSubmit={take}>
            <label htmlFor="digits">{KINDS.find((k) => k.value === kind)!.label}</label>
            {many ? (
              <>
                <Textarea
                  id="digits"
                  rows={3}
                  value={text}
                  onChange={(e) => setText(e.currentTarget.value)}
                  styles={{ input: { fontFamily: 'var(--mantine-font-family-monospace)' } }}
                />
                <Button type="submit" variant="subtle">
                  Use
                </Button>
              </>
            ) : (
              <div className="box">
                <input id="digits" value={text} maxLength={10} onChange={(e) => setText(e.target.value)} />
                <Button type="submit" variant="subtle">
                  Use
                </Button>
              </div>
            )}
            <div className="dim tiny">{HINTS[kind]}</div>
          </form>
        )}
        {(shape.kind === 'plate' || shape.kind === 'film') && kind === shape.kind && (
          <div className="fields">
            <QuantityField
              label="Camber"
              kind="chordPercent"
              value={shape.camber}
              onCommit={(camber) => setShape({ ...shape, camber })}
            />
            <QuantityField
              label="Its place"
              kind="chordPercent"
              value={shape.at}
              onCommit={(at) => setShape({ ...shape, at })}
            />
            <QuantityField
              label="Thickness"
              kind="chordPercent"
              value={shape.thickness}
              onCommit={(thickness) => setShape({ ...shape, thickness })}
            />
          </div>
        )}
        {shape.kind === 'folded' && kind === 'folded' && (
          <QuantityField
            label="Thickness of the sheet"
            kind="chordPercent"
            value={shape.thickness}
            onCommit={(thickness) => setShape({ ...shape, thickness })}
          />
        )}
        {shape.kind === 'stepped' &&
          kind === 'stepped' &&
          shape.steps.map((s, i) => (
            <div key={i} className="fields three">
              <NativeSelect
                label="Step on"
                size="xs"
                value={s.face}
                onChange={(e) =>
                  setShape({
                    ...shape,
                    steps: shape.steps.map((q, k) =>
                      k === i ? { ...q, face: e.currentTarget.value as 'upper' | 'lower' } : q,
                    ),
                  })
                }
                data={[
                  { value: 'upper', label: 'upper face' },
                  { value: 'lower', label: 'lower face' },
                ]}
              />
              <QuantityField
                label="at"
                kind="chordPercent"
                value={s.at}
                onCommit={(at) =>
                  setShape({ ...shape, steps: shape.steps.map((q, k) => (k === i ? { ...q, at } : q)) })
                }
              />
              <QuantityField
                label="depth"
                kind="chordPercent"
                value={s.depth}
                onCommit={(depth) =>
                  setShape({ ...shape, steps: shape.steps.map((q, k) => (k === i ? { ...q, depth } : q)) })
                }
              />
            </div>
          ))}
        {shape.kind === 'stepped' && kind === 'stepped' && shape.steps.length < 2 && (
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() =>
              setShape({ ...shape, steps: [...shape.steps, { face: 'lower', at: 0.5, depth: 0.01 }] })
            }
          >
            Add a second step
          </Button>
        )}
        {kind === 'blend' &&
          (plain.length < 2 ? (
            <p className="dim flush note">A blend needs two other sections in this design.</p>
          ) : (
            <BlendFields shape={shape} plain={plain} onPut={(s, name) => setShape(s, name, 'blend')} />
          ))}
        {kind === 'points' && (
          <>
            <Textarea
              label="Paste coordinates (.dat)"
              rows={3}
              value={dat}
              onChange={(e) => setDat(e.currentTarget.value)}
              styles={{ input: { fontFamily: 'var(--mantine-font-family-monospace)' } }}
            />
            <Button
              variant="light"
              size="xs"
              disabled={dat.trim() === ''}
              onClick={() => takeDat(dat, 'Pasted section')}
            >
              Take pasted
            </Button>
          </>
        )}
        <details>
          <summary className="note clickable">
            Scaled, or with a flap{section.change ? ' · changed' : ''}
          </summary>
          <div className="fields mt8">
            <QuantityField
              label="Thickness times"
              kind="ratio"
              value={change.thickness}
              onCommit={(thickness) => setChange({ ...change, thickness })}
            />
            <QuantityField
              label="Camber times"
              kind="ratio"
              value={change.camber}
              onCommit={(camber) => setChange({ ...change, camber })}
            />
            <QuantityField
              label="Flap hinge"
              kind="chordPercent"
              value={change.flap?.hinge ?? 0.75}
              onCommit={(hinge) => setChange({ ...change, flap: { hinge, angle: change.flap?.angle ?? 0 } })}
            />
            <QuantityField
              label="Flap down by"
              kind="angle"
              value={change.flap?.angle ?? 0}
              onCommit={(angle) =>
                setChange({
                  ...change,
                  flap: angle === 0 ? null : { hinge: change.flap?.hinge ?? 0.75, angle },
                })
              }
            />
          </div>
        </details>
        <div className="line gap8 wraps">
          <FileButton onChange={openFile} accept=".dat,.txt" inputProps={{ 'aria-label': 'Section file' }}>
            {(p) => (
              <Button size="xs" variant="default" {...p}>
                Open .dat
              </Button>
            )}
          </FileButton>
          {!used && sections.length > 1 && (
            <Button
              size="xs"
              variant="subtle"
              color="red"
              onClick={() => {
                edit({ type: 'remove', path: LIST, index: sections.findIndex((s) => s.id === section.id) });
                onRemoved();
              }}
            >
              Remove
            </Button>
          )}
        </div>
        {error && (
          <div role="alert" className="stoptext note">
            {error}
          </div>
        )}
        <div className="dim small">{section.note}</div>
      </div>
    </section>
  );
}
