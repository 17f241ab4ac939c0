'use client';
/** One section of the design: what shape it is, and what is changed on it. Every entry is tried before it is taken. */
import { Button, FileButton, NativeSelect, Textarea } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import type { Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { contourFromPoints, type PlainShape, type ShapeChange } from '@skiametra/core/section';
import { parseDat } from '@skiametra/formats';
import { QuantityField } from '../../parts/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { outlineOf } from './useShelf';

const LIST = 'document.design.sections';
type Shape = Section['shape'];
const KINDS: { value: Shape['kind']; label: string }[] = [
  { value: 'naca4', label: 'NACA 4-digit' },
  { value: 'naca4m', label: 'NACA 4-digit, modified' },
  { value: 'naca5', label: 'NACA 5-digit' },
  { value: 'classShape', label: 'Class-shape weights' },
  { value: 'points', label: 'Coordinates' },
  { value: 'blend', label: 'Blend of two' },
  { value: 'stepped', label: 'Stepped' },
  { value: 'plate', label: 'Flat or bent sheet' },
  { value: 'film', label: 'Film on ribs' },
  { value: 'folded', label: 'Folded sheet' },
];
const capital = (s: string) => `${s[0].toUpperCase()}${s.slice(1)}`;
const NO_CHANGE: ShapeChange = { thickness: 1, camber: 1, flap: null };

/** How a shape is written in its text box; points and blends have their own entry. */
function written(shape: Shape): string {
  switch (shape.kind) {
    case 'naca4':
    case 'naca5':
      return shape.digits;
    case 'naca4m':
      return `${shape.digits}-${shape.nose}${shape.at}`;
    case 'classShape':
      return `${shape.upper.join(' ')}\n${shape.lower.join(' ')}`;
    case 'folded':
      return shape.corners.map((c) => c.join(' ')).join('\n');
    case 'stepped':
      return shape.digits;
    default:
      return '';
  }
}

const numbers = (line: string): number[] =>
  line
    .trim()
    .split(/[\s,;]+/)
    .filter((t) => t !== '')
    .map(Number);

/** The shape that a text means, or the sentence that refuses it. */
function read(kind: Shape['kind'], text: string, now: Shape): { shape: Shape; name: string } | string {
  const t = text.trim();
  if (kind === 'naca4') return { shape: { kind, digits: t }, name: `NACA ${t}` };
  if (kind === 'naca5') return { shape: { kind, digits: t }, name: `NACA ${t}` };
  if (kind === 'naca4m') {
    const m = /^(\d{4})-(\d)(\d)$/.exec(t);
    return m
      ? { shape: { kind, digits: m[1], nose: Number(m[2]), at: Number(m[3]) }, name: `NACA ${t}` }
      : 'A modified section is written like 2412-63: nose index 0 to 9, then tenths of the largest thickness';
  }
  if (kind === 'classShape' || kind === 'folded') {
    const rows = text
      .split('\n')
      .map(numbers)
      .filter((r) => r.length > 0);
    if (rows.flat().some((v) => !Number.isFinite(v))) return 'There is a word among the numbers';
    if (kind === 'classShape')
      return rows.length === 2
        ? { shape: { kind, upper: rows[0], lower: rows[1] }, name: 'Class-shape section' }
        : 'Write two lines of weights: the upper face, then the lower';
    return rows.every((r) => r.length === 2)
      ? {
          shape: {
            kind,
            corners: rows.map((r) => [r[0], r[1]] as [number, number]),
            thickness: now.kind === 'folded' ? now.thickness : 0.004,
          },
          name: 'Folded sheet',
        }
      : 'Write one corner a line: its place along the chord and its height, 0 0 first and 1 0 last';
  }
  if (kind === 'stepped')
    return {
      shape: {
        kind,
        digits: t,
        steps: now.kind === 'stepped' ? now.steps : [{ face: 'upper', at: 0.5, depth: 0.02 }],
      },
      name: `NACA ${t}, stepped`,
    };
  return 'Choose another way to enter this shape';
}

const HINTS: Partial<Record<Shape['kind'], string>> = {
  naca4: 'as 4412: camber %, its place in tenths, thickness %',
  naca4m: 'as 2412-63',
  naca5: 'as 23012; 23112 is reflexed',
  classShape: 'a line of weights a face',
  folded: 'a corner a line: place, height',
  stepped: 'the section the step is cut in',
};

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

function BlendFields({
  shape,
  plain,
  onPut,
}: {
  shape: Shape;
  plain: readonly Section[];
  onPut: (s: Shape, name: string) => void;
}) {
  const [a, setA] = useState(plain[0].id);
  const [b, setB] = useState(plain[1].id);
  const [share, setShare] = useState(shape.kind === 'blend' ? shape.share : 0.5);
  const of = (id: string) => plain.find((s) => s.id === id) ?? plain[0];
  const data = plain.map((s) => ({ value: s.id, label: s.name }));
  return (
    <div className="fields">
      <NativeSelect
        label="From"
        size="xs"
        value={a}
        onChange={(e) => setA(e.currentTarget.value)}
        data={data}
      />
      <NativeSelect
        label="towards"
        size="xs"
        value={b}
        onChange={(e) => setB(e.currentTarget.value)}
        data={data}
      />
      <QuantityField
        label="Share of the second"
        kind="percent"
        value={share}
        onCommit={(v) => {
          if (!(v >= 0 && v <= 1)) return 'From 0 to 100 %.';
          setShare(v);
          return null;
        }}
      />
      <Button
        size="xs"
        variant="light"
        className="selfend"
        onClick={() =>
          onPut(
            {
              kind: 'blend',
              a: of(a).shape as PlainShape as never,
              b: of(b).shape as PlainShape as never,
              share,
            },
            `${of(a).name} to ${of(b).name}, ${Math.round(100 * share)} %`,
          )
        }
      >
        Blend
      </Button>
    </div>
  );
}
