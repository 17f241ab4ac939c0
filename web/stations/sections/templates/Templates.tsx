'use client';
/** Ribs and cores to cut, on sheets. */
import { Button, NativeSelect, Switch } from '@mantine/core';
import { modelOf } from '@skiametra/core/assess';
import { sparOf, type Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { ribPlaces } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import { writeDat } from '@skiametra/formats';
import type { RibOptions, Sheet, Template } from '@skiametra/formats/template';
import { useEffect, useMemo, useState } from 'react';
import { Cautions } from '../../../parts/Cautions';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { give } from '../../../parts/give';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { SheetDrawing } from './SheetDrawing';
import { MM, pointsOf, inRange } from './points';

type Kit = typeof import('@skiametra/formats/template');

export function Templates({ section }: { section: Section }) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const sections = useWorkspace((w) => w.content.document.design.sections);
  const spar = useWorkspace((w) => sparOf(w.content.document.design)?.shape);
  const sparAt = useWorkspace((w) => sparOf(w.content.document.design)?.chordPlace ?? 0.28);
  const [kit, setKit] = useState<Kit | null>(null);
  const [of, setOf] = useState('section');
  const [chord, setChord] = useState(0.25);
  const [ribs, setRibs] = useState(9);
  const [sheeting, setSheeting] = useState(0);
  const [slotWidth, setSlotWidth] = useState(spar?.kind === 'tube' ? spar.outer : 0.006);
  const [slotDepth, setSlotDepth] = useState(spar?.kind === 'tube' ? spar.outer : 0.003);
  const [face, setFace] = useState<'both' | 'through' | 'round' | 'none'>(
    spar?.kind === 'tube' ? 'round' : 'both',
  );
  const [rim, setRim] = useState(0.006);
  const [kerf, setKerf] = useState(0);
  const [sheet, setSheet] = useState<[number, number]>([0.6, 0.3]);
  const [turn, setTurn] = useState(false);
  const [shown, setShown] = useState(0);
  useEffect(() => {
    let here = true;
    void import('@skiametra/formats/template').then((k) => {
      if (here) setKit(k);
    });
    return () => {
      here = false;
    };
  }, []);

  const made = useMemo(():
    { templates: Template[]; sheets: Sheet[]; tooLarge: string[] } | { message: string } | null => {
    if (!kit) return null;
    const slots: RibOptions['slots'] =
      face === 'none'
        ? []
        : (face === 'both' ? (['upper', 'lower'] as const) : ([face] as const)).map((f) => ({
            at: sparAt,
            width: slotWidth * MM,
            depth: slotDepth * MM,
            face: f,
          }));
    const options: RibOptions = { sheeting: sheeting * MM, slots, holes: rim * MM, kerf: kerf * MM };
    try {
      const surface = surfaces.find((s) => s.id === of);
      const places = surface
        ? ribPlaces(
            surface.stations.map((s) => ({
              y: s.y,
              chord: s.chord,
              contour: modelOf(sections.find((q) => q.id === s.section)!).outline,
            })),
            ribs,
          )
        : [{ y: 0, chord, contour: modelOf(section).outline }];
      const templates = places.map((p, i) =>
        kit.ribTemplate(
          surface
            ? `${surface.id} rib ${i + 1}, ${formatNumber(p.chord * MM, 4)} mm`
            : `${section.name}, ${formatNumber(p.chord * MM, 4)} mm`,
          pointsOf(p.contour),
          p.chord * MM,
          options,
        ),
      );
      return { templates, ...kit.nest(templates, sheet[0] * MM, sheet[1] * MM, 4, turn) };
    } catch (e) {
      if (e instanceof DomainError) return { message: e.message };
      throw e;
    }
  }, [
    kit,
    of,
    chord,
    ribs,
    sheeting,
    slotWidth,
    slotDepth,
    face,
    rim,
    kerf,
    sheet,
    turn,
    section,
    sections,
    surfaces,
    sparAt,
  ]);

  const base = section.name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
  const ok = made && 'sheets' in made ? made : null;
  const now = ok?.sheets[Math.min(shown, ok.sheets.length - 1)];
  const warnings = ok
    ? [
        ...new Set([
          ...ok.templates.flatMap((t) => t.warnings.map((w) => `${t.label}: ${w}`)),
          ...ok.tooLarge.map((l) => `${l} is larger than the sheet and left out.`),
        ]),
      ]
    : [];
  const dat = () =>
    give(`${base}.dat`, 'text/plain', writeDat(section.name, pointsOf(modelOf(section).outline)));
  return (
    <div className="cols cols-templates">
      <div className="stack gap8">
        <Cautions at="export" />
        <NativeSelect
          label="Template of"
          size="xs"
          value={of}
          onChange={(e) => {
            setOf(e.currentTarget.value);
            setShown(0);
          }}
          data={[
            { value: 'section', label: `${section.name} alone` },
            ...surfaces.map((s) => ({ value: s.id, label: `All ribs of the ${s.role}` })),
          ]}
        />
        <div className="fields">
          {of === 'section' ? (
            <QuantityField
              label="Chord"
              kind="length"
              value={chord}
              onCommit={inRange(0.01, 3, setChord, 'A chord of 10 mm to 3 m.')}
            />
          ) : (
            <QuantityField
              label="Ribs, root to tip"
              kind="ratio"
              value={ribs}
              onCommit={inRange(2, 60, (v) => setRibs(Math.round(v)), 'From 2 to 60 ribs.')}
            />
          )}
          <QuantityField
            label="Sheeting taken off"
            kind="length"
            value={sheeting}
            onCommit={inRange(0, 0.01, setSheeting, 'From 0 to 10 mm.')}
          />
          <QuantityField
            label="Rim round holes"
            hint="0 for no lightening holes"
            kind="length"
            value={rim}
            onCommit={inRange(0, 0.04, setRim, 'From 0 to 40 mm.')}
          />
          <QuantityField
            label="Width of the cut"
            hint="half of it is added all round"
            kind="length"
            value={kerf}
            onCommit={inRange(0, 0.003, setKerf, 'From 0 to 3 mm.')}
          />
        </div>
        <NativeSelect
          label={`Spar slots at ${formatNumber(100 * sparAt, 3)} % (Structure)`}
          size="xs"
          value={face}
          onChange={(e) => setFace(e.currentTarget.value as typeof face)}
          data={[
            { value: 'both', label: 'Both faces' },
            { value: 'round', label: 'Round hole' },
            { value: 'through', label: 'Square hole' },
            { value: 'none', label: 'None' },
          ]}
        />
        {face !== 'none' && (
          <div className="fields">
            <QuantityField
              label={face === 'round' ? 'Hole across' : 'Slot width'}
              kind="length"
              value={slotWidth}
              onCommit={inRange(0.0003, 0.06, setSlotWidth, 'From 0.3 to 60 mm.')}
            />
            {face !== 'round' && (
              <QuantityField
                label="Slot depth"
                kind="length"
                value={slotDepth}
                onCommit={inRange(0.0003, 0.06, setSlotDepth, 'From 0.3 to 60 mm.')}
              />
            )}
          </div>
        )}
        <div className="fields">
          <QuantityField
            label="Sheet, long"
            kind="length"
            value={sheet[0]}
            onCommit={inRange(0.05, 3, (v) => setSheet([v, sheet[1]]), 'From 50 mm to 3 m.')}
          />
          <QuantityField
            label="Sheet, wide"
            kind="length"
            value={sheet[1]}
            onCommit={inRange(0.05, 3, (v) => setSheet([sheet[0], v]), 'From 50 mm to 3 m.')}
          />
        </div>
        <Switch
          size="xs"
          label="May be turned a quarter (grain)"
          checked={turn}
          onChange={(e) => setTurn(e.currentTarget.checked)}
        />
        <div className="line gap8 wraps">
          <Button
            size="xs"
            variant="light"
            disabled={!now}
            onClick={() =>
              give(`${base}-templates.pdf`, 'application/pdf', kit!.sheetsPdf(ok!.sheets) as BlobPart)
            }
          >
            PDF, all sheets
          </Button>
          <Button
            size="xs"
            variant="default"
            disabled={!now}
            onClick={() => give(`${base}-sheet-${shown + 1}.svg`, 'image/svg+xml', kit!.sheetSvg(now!))}
          >
            SVG
          </Button>
          <Button
            size="xs"
            variant="default"
            disabled={!now}
            onClick={() => give(`${base}-sheet-${shown + 1}.dxf`, 'image/vnd.dxf', kit!.sheetDxf(now!))}
          >
            DXF
          </Button>
          <Button size="xs" variant="subtle" onClick={dat}>
            Section .dat
          </Button>
        </div>
      </div>
      <div className="stack gap8">
        {!kit && <span className="dim">Getting the template tools.</span>}
        {made && 'message' in made && (
          <p className="stoptext" role="alert">
            {made.message[0].toUpperCase()}
            {made.message.slice(1)}.
          </p>
        )}
        {ok && (
          <div className="line gap8 base">
            <strong className="note">
              {ok.templates.length - ok.tooLarge.length} {ok.templates.length === 1 ? 'piece' : 'pieces'} on{' '}
              {ok.sheets.length} {ok.sheets.length === 1 ? 'sheet' : 'sheets'}
            </strong>
            {ok.sheets.length > 1 &&
              ok.sheets.map((_, i) => (
                <Button
                  key={i}
                  size="compact-xs"
                  variant={i === shown ? 'light' : 'subtle'}
                  onClick={() => setShown(i)}
                >
                  {i + 1}
                </Button>
              ))}
          </div>
        )}
        {now && <SheetDrawing sheet={now} />}
        {warnings.slice(0, 6).map((w) => (
          <div key={w} className="looktext note">
            ▲ {w}
          </div>
        ))}
        {warnings.length > 6 && (
          <div className="dim note">and {warnings.length - 6} more of the same kind.</div>
        )}
      </div>
    </div>
  );
}
