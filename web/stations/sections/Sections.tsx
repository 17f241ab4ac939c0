'use client';
import { Button, SegmentedControl, UnstyledButton } from '@mantine/core';
import { useMemo, useState } from 'react';
import { sectionWork } from '@skiametra/core/views';
import { DEFAULT_CHORD_PLACE, sparOf, type SectionChoice } from '@skiametra/core/design';
import { contourFacts } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import { StationFindings } from '../../parts/Findings';
import { StatePicker } from '../../parts/StatePicker';
import { freshId } from '../../parts/table';
import { useTab } from '../../parts/frame/useAddress';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { candidatesOf, type Candidate } from './candidates';
import { Compare } from './compare/Compare';
import { Outline } from './Outline';
import { PressurePicture } from './pressure/PressurePicture';
import { SectionEditor } from './editor/SectionEditor';
import { ShelfTable } from './shelf/ShelfTable';
import { Templates } from './templates/Templates';
import { outlineOf, useShelf } from './useShelf';

const LIST = 'document.design.sections';
const PAGES = [
  { value: 'shelf', label: 'Shelf' },
  { value: 'compare', label: 'Compare' },
  { value: 'flow', label: 'Pressure' },
  { value: 'cut', label: 'Templates' },
];
const CHOICE: SectionChoice = {
  lift: 0.5,
  weights: { clMax: 3, glide: 3, lowDrag: 1, moment: 1, sparDepth: 1, flatBottom: 1, tolerance: 2 },
  errors: { thickness: 0.05, camber: 0.004, nose: 0.25, edge: 0.004 },
};

export function Sections() {
  const none = useWorkspace((w) => w.content.document.design.sections.length === 0);
  return none ? <NoSection /> : <ChooseSections />;
}

/** Without a section there is nothing to choose among. */
function NoSection() {
  return (
    <p className="atmost560 flush">
      Nothing of this aircraft has a section: it hangs on its rotors, whose blades are chosen under Power.
    </p>
  );
}

function ChooseSections() {
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const kept = useWorkspace((w) => w.content.document.design.sectionChoice);
  const sparAt = useWorkspace((w) => sparOf(w.content.document.design)?.chordPlace ?? DEFAULT_CHORD_PLACE);
  const loading = useWorkspace((w) => w.loading);
  const ledger = useWorkspace((w) => w.ledger);
  const edit = useWorkspace((w) => w.edit);
  const [chosen, setChosen] = useState(sections[0]?.id ?? '');
  const [page, setPage] = useTab(['shelf', 'compare', 'flow', 'cut']);
  const [extra, setExtra] = useState<ReadonlySet<string>>(new Set());
  const [notice, setNotice] = useState<string | null>(null);
  const section = sections.find((s) => s.id === chosen) ?? sections[0]!;
  const used = surfaces.some((s) => s.stations.some((p) => p.section === section.id));
  const work = useMemo(() => sectionWork(ledger, loading), [ledger, loading]);
  const choice = useMemo<SectionChoice>(() => kept ?? { ...CHOICE, lift: work.lift }, [kept, work.lift]);
  const candidates = useMemo(() => candidatesOf(sections), [sections]);
  // the shelf waits for the ledger: before it, nobody knows the Reynolds numbers of this design
  const known = ledger !== null;
  const waiting = useMemo(() => (known ? candidates : []), [known, candidates]);
  const shelf = useShelf(waiting, work, choice, sparAt);
  const ownId = `own:${section.id}`;
  const picked = new Set([ownId, ...extra]);
  const compared = [
    ...shelf.rows.filter((r) => r.candidate.id === ownId),
    ...shelf.rows.filter((r) => extra.has(r.candidate.id) && r.candidate.id !== ownId),
  ];
  const onChoice = (c: SectionChoice) =>
    edit({ type: 'set', path: 'document.design.sectionChoice', value: c });
  const add = (c: Candidate | null) => {
    const id = freshId('section', sections);
    const refused = edit({
      type: 'insert',
      path: LIST,
      value: c
        ? { id, name: c.name, shape: c.section.shape, note: 'from the shelf' }
        : { id, name: 'NACA 2412', shape: { kind: 'naca4', digits: '2412' }, note: 'generated' },
    });
    setNotice(
      refused ?? (c ? `${c.name} is now a section of this design; give it to a surface in Shape.` : null),
    );
    if (!refused) setChosen(id);
  };
  const own = shelf.rows.find((r) => r.candidate.id === ownId);
  return (
    <div className="station cols-sections">
      <div className="stack">
        <section className="block">
          <h2>
            Of this design
            <span className="right">
              <StatePicker />
            </span>
          </h2>
          {sections.map((s) => {
            const o = outlineOf(s);
            return (
              <UnstyledButton
                key={s.id}
                className={`reading asgrid gap12 mid ${s.id === section.id ? 'chosen' : ''}`}
                aria-pressed={s.id === section.id}
                onClick={() => setChosen(s.id)}
                style={{ gridTemplateColumns: '76px 1fr' }}
              >
                {'outline' in o ? (
                  <Outline contour={o.outline} label="" />
                ) : (
                  <span className="stoptext">?</span>
                )}
                <span>{s.name}</span>
              </UnstyledButton>
            );
          })}
          <Button variant="subtle" size="xs" mt={4} onClick={() => add(null)}>
            Add a section
          </Button>
          {notice && (
            <div role="status" className="note">
              {notice}
            </div>
          )}
        </section>
        <SectionEditor
          key={`${section.id}-${JSON.stringify(section.shape).length}`}
          section={section}
          used={used}
          onRemoved={() => setChosen(sections[0]?.id ?? '')}
        />
        <Facts section={section} />
        <StationFindings of="sections" />
      </div>
      <div className="stack gap12">
        <SegmentedControl
          size="xs"
          value={page}
          onChange={setPage}
          data={PAGES}
          aria-label="Page"
          className="selfstart"
        />
        {!ledger && page !== 'cut' && (
          <p className="dim" role="status">
            The Reynolds numbers of this design are being worked out.
          </p>
        )}
        {page === 'shelf' && ledger && (
          <ShelfTable
            shelf={shelf}
            choice={choice}
            work={work}
            picked={picked}
            onPick={(id) =>
              setExtra((x) => {
                const n = new Set(x);
                if (n.has(id)) n.delete(id);
                else n.add(id);
                return n;
              })
            }
            onChoice={onChoice}
            onUse={add}
          />
        )}
        {page === 'compare' && ledger && (
          <Compare rows={compared} work={work} section={section} choice={choice} onChoice={onChoice} />
        )}
        {page === 'flow' && ledger && (
          <PressurePicture key={section.id} section={section} reynolds={work.atWork} polar={own?.atWork} />
        )}
        {page === 'cut' && <Templates key={section.id} section={section} />}
      </div>
    </div>
  );
}

function Facts({ section }: { section: Candidate['section'] }) {
  const facts = useMemo(() => {
    const o = outlineOf(section);
    return 'outline' in o ? contourFacts(o.outline) : null;
  }, [section]);
  if (!facts) return null;
  const percent = (v: number, f = 3) => `${formatNumber(100 * v, f)} %`;
  const row = (name: string, value: string) => (
    <div key={name} className="line pad4 ruled note">
      <span className="dim">{name}</span>
      <span className="num atend">{value}</span>
    </div>
  );
  return (
    <section className="block">
      <h2>Outline</h2>
      {row('Thickness', `${percent(facts.thickness)} at ${percent(facts.thicknessAt, 2)}`)}
      {row('Camber', `${percent(facts.camber, 2)} at ${percent(facts.camberAt, 2)}`)}
      {row('Nose radius', percent(facts.noseRadius, 2))}
      {row('Area / chord²', formatNumber(facts.area, 3))}
    </section>
  );
}
