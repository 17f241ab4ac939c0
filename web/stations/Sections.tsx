'use client';
import { Button, FileButton, Textarea } from '@mantine/core';
import { useMemo, useState, type CSSProperties } from 'react';
import { contourOf, curveOf, POLAR_REYNOLDS } from '@skiametra/core/assess';
import type { Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { contourFacts, contourFromPoints } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import { parseDat, writeDat } from '@skiametra/formats';
import { ChartFrame, type Series } from '../parts/ChartFrame';
import { StationFindings } from '../parts/Findings';
import { LoadingPicker } from '../parts/LoadingPicker';
import { Readings } from '../parts/Reading';
import { freshId } from '../parts/SheetTable';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const LIST = 'document.design.sections';

/** Outline of a section, or the reason there is none. */
function outlineOf(shape: Section['shape']): { xy: Float64Array } | { message: string } {
  try { return contourOf(shape); } catch (e) { if (e instanceof DomainError) return { message: e.message }; throw e; }
}

export function Sections() {
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const ledger = useWorkspace((w) => w.ledger);
  const edit = useWorkspace((w) => w.edit);
  const [chosen, setChosen] = useState(sections[0].id);
  const section = sections.find((s) => s.id === chosen) ?? sections[0];
  const usedBy = surfaces.filter((s) => s.stations.some((p) => p.section === section.id));
  return (
    <div className="station">
      <div className="stack">
        <section className="block"><h2>Sections of this design</h2>
          {sections.map((s) => (
            <button key={s.id} type="button" className="reading" aria-pressed={s.id === section.id} onClick={() => setChosen(s.id)} style={{ display: 'grid', gridTemplateColumns: '90px 1fr', gap: 10, alignItems: 'center', background: s.id === section.id ? 'var(--paper-2)' : undefined }}>
              <Outline shape={s.shape} /><span>{s.name}</span>
            </button>
          ))}
          <Button variant="subtle" mt={4} onClick={() => { const id = freshId('section', sections); edit({ type: 'insert', path: LIST, value: { id, name: 'NACA 2412', shape: { kind: 'naca4', digits: '2412' }, note: 'generated' } }); setChosen(id); }}>Add a section</Button>
        </section>
        <SectionEditor key={section.id} section={section} used={usedBy.length > 0} onRemoved={() => setChosen(sections[0].id)} />
        <StationFindings of={['sections']} />
      </div>
      <div className="stack">
        <Outline shape={section.shape} large />
        {ledger && <Polars id={section.id} />}
      </div>
      <div className="stack"><Facts section={section} /><div><LoadingPicker /></div><Readings title="Where this design works" ids={['reynoldsStall', 'reynoldsLap', 'clMax']} /></div>
    </div>
  );
}

function Outline({ shape, large }: { shape: Section['shape']; large?: boolean }) {
  const c = useMemo(() => outlineOf(shape), [shape]);
  if ('message' in c) return <span className="stoptext">{c.message}</span>;
  const n = c.xy.length / 2;
  const pts = Array.from({ length: n }, (_, i) => `${(100 * c.xy[2 * i]).toFixed(2)},${(-100 * c.xy[2 * i + 1]).toFixed(2)}`).join(' ');
  const ys = Array.from({ length: n }, (_, i) => -100 * c.xy[2 * i + 1]);
  const top = Math.min(...ys) - 3, h = Math.max(...ys) - Math.min(...ys) + 6;
  return <svg viewBox={`-2 ${top} 104 ${h}`} width="100%" style={{ maxHeight: large ? 150 : 34 }} role="img" aria-label="Section outline"><polygon points={pts} fill="var(--paper-2)" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" />{large && <line x1={0} x2={100} y1={0} y2={0} stroke="var(--hair)" strokeDasharray="2 2" vectorEffect="non-scaling-stroke" />}</svg>;
}

function SectionEditor({ section, used, onRemoved }: { section: Section; used: boolean; onRemoved: () => void }) {
  const edit = useWorkspace((w) => w.edit);
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const [digits, setDigits] = useState(section.shape.kind === 'naca4' ? section.shape.digits : '');
  const [text, setText] = useState('');
  const [error, setError] = useState<string | null>(null);
  const index = sections.findIndex((s) => s.id === section.id);
  const put = (next: Section) => {
    const c = outlineOf(next.shape);
    if ('message' in c) { setError(`${c.message[0].toUpperCase()}${c.message.slice(1)}; the section stays as it was.`); return; }
    setError(edit({ type: 'set', path: `${LIST}.${section.id}`, value: next }));
  };
  const takeDat = (source: string, fallback: string) => {
    const r = parseDat(source, fallback);
    if (r.status === 'error') { setError(`${r.message} The section stays as it was.`); return; }
    try { contourFromPoints(r.points); } catch (e) { if (e instanceof DomainError) { setError(`${e.message[0].toUpperCase()}${e.message.slice(1)}; the section stays as it was.`); return; } throw e; }
    put({ ...section, name: r.name, shape: { kind: 'points', points: r.points }, note: `opened from ${r.form === 'selig' ? 'Selig' : 'Lednicer'} coordinates` });
  };
  const openFile = (f: File | null) => {
    if (!f) return;
    if (f.size > 200_000) { setError(`${f.name} is larger than 200 kB; the section stays as it was.`); return; }
    void f.text().then((t) => takeDat(t, f.name.replace(/\.[^.]*$/, '')));
  };
  const download = () => {
    const c = contourOf(section.shape);
    const pts = Array.from({ length: c.xy.length / 2 }, (_, i) => [c.xy[2 * i], c.xy[2 * i + 1]] as const);
    const a = document.createElement('a');
    a.href = URL.createObjectURL(new Blob([writeDat(section.name, pts)], { type: 'text/plain' }));
    a.download = `${section.name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase()}.dat`;
    a.click();
  };
  return (
    <section className="block"><h2>{section.name}</h2>
      <div className="stack" style={{ gap: 8 }}>
        <form className="qf" onSubmit={(e) => { e.preventDefault(); put({ ...section, name: `NACA ${digits}`, shape: { kind: 'naca4', digits }, note: 'generated' }); }}>
          <label htmlFor="digits">NACA 4-digit</label>
          <div className="box"><input id="digits" value={digits} maxLength={8} onChange={(e) => setDigits(e.target.value)} /><Button type="submit" variant="subtle">Use</Button></div>
        </form>
        <Textarea label="Or paste coordinates (.dat)" rows={3} value={text} onChange={(e) => setText(e.currentTarget.value)} styles={{ input: { fontFamily: 'var(--mantine-font-family-monospace)' } }} />
        <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
          <Button variant="light" disabled={text.trim() === ''} onClick={() => takeDat(text, 'Pasted section')}>Take pasted</Button>
          <FileButton onChange={openFile} accept=".dat,.txt" inputProps={{ 'aria-label': 'Section file' }}>{(p) => <Button variant="default" {...p}>Open .dat</Button>}</FileButton>
          <Button variant="subtle" onClick={download}>Save .dat</Button>
          {!used && sections.length > 1 && <Button variant="subtle" color="red" onClick={() => { edit({ type: 'remove', path: LIST, index }); onRemoved(); }}>Remove</Button>}
        </div>
        {error && <div role="alert" className="stoptext" style={{ fontSize: '0.8rem' }}>{error}</div>}
        <div className="dim" style={{ fontSize: '0.75rem' }}>{section.note}</div>
      </div>
    </section>
  );
}

function Polars({ id }: { id: string }) {
  const ledger = useWorkspace((w) => w.ledger)!;
  const names = [1, 2, 3].map((i) => Math.round(POLAR_REYNOLDS[i] / 1000));
  const looks: Series['look'][] = ['ghost', 'predicted', 'ink'];
  const pick = (q: string) => names.map((re, i) => ({ re, look: looks[i], c: curveOf(ledger, `${q}-${re}k`, id) })).filter((x) => x.c);
  const cl = pick('cl'), cd = pick('cd');
  return (
    <>
      <div className="cols" style={{ '--cols': 'minmax(0, 1fr) minmax(0, 1fr)' } as CSSProperties}>
        <ChartFrame title="Lift" height={215} xName="Angle" xKind="angle" yName="cl" yKind="ratio" series={cl.map((x) => ({ name: `Re ${x.re} 000`, x: x.c!.x, y: x.c!.y, look: x.look }))} />
        <ChartFrame title="Drag" height={215} xName="cd" xKind="ratio" yName="cl" yKind="ratio" series={cd.map((x, i) => ({ name: `Re ${x.re} 000`, x: x.c!.y.map((v) => Math.min(v, 0.08)), y: cl[i].c!.y, look: x.look }))} />
      </div>
      <ChartFrame title="Moment about the quarter chord" height={150} xName="Angle" xKind="angle" yName="cm" yKind="ratio" series={pick('cm').map((x) => ({ name: `Re ${x.re} 000`, x: x.c!.x, y: x.c!.y, look: x.look }))} />
      <p className="dim" style={{ margin: 0, fontSize: '0.78rem' }}>Panels with a boundary layer marched once along the surface: good for lift slope, zero lift and drag while the flow is attached. The layer does not push back on the pressure, so the largest lift and anything past it are estimates, and below Re 60 000 so is the drag.</p>
    </>
  );
}

function Facts({ section }: { section: Section }) {
  const facts = useMemo(() => { const c = outlineOf(section.shape); return 'message' in c ? null : contourFacts({ xy: c.xy }); }, [section.shape]);
  const ledger = useWorkspace((w) => w.ledger);
  const re = Math.round(POLAR_REYNOLDS[2] / 1000);
  const cl = ledger && curveOf(ledger, `cl-${re}k`, section.id), cd = ledger && curveOf(ledger, `cd-${re}k`, section.id);
  const best = cl && cd ? Math.max(...cl.y.map((v, i) => v / cd.y[i])) : null;
  const row = (name: string, value: string) => <div key={name} style={{ display: 'flex', padding: '5px 0', borderBottom: '1px solid var(--hair)' }}><span className="dim">{name}</span><span className="num" style={{ marginLeft: 'auto' }}>{value}</span></div>;
  return (
    <section className="block"><h2>{section.name}</h2>
      {facts && <>{row('Thickness', `${formatNumber(100 * facts.thickness, 3)} % at ${formatNumber(100 * facts.thicknessAt, 2)} %`)}{row('Camber', `${formatNumber(100 * facts.camber, 2)} % at ${formatNumber(100 * facts.camberAt, 2)} %`)}</>}
      {cl && row(`Largest cl, Re ${re} 000`, formatNumber(Math.max(...cl.y.slice(0, cl.y.length - 3)), 3))}
      {best !== null && row(`Best cl/cd, Re ${re} 000`, formatNumber(best, 3))}
    </section>
  );
}
