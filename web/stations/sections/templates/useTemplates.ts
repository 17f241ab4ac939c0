'use client';
/** Ribs and cores laid out on sheets, by the options of the person. */
import { useEffect, useMemo, useState } from 'react';
import { modelOf } from '@skiametra/core/assess';
import { DEFAULT_CHORD_PLACE, sparOf, type Design, type Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { ribPlaces } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import type { RibOptions, Sheet, Template } from '@skiametra/formats/template';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { MM, pointsOf } from './points';

export type Kit = typeof import('@skiametra/formats/template');

/** Lengths in m. */
export interface CutOptions {
  /** a surface, or the section alone */ of: string;
  chord: number;
  ribs: number;
  sheeting: number;
  slotWidth: number;
  slotDepth: number;
  face: 'both' | 'through' | 'round' | 'none';
  rim: number;
  kerf: number;
  sheet: readonly [number, number];
  /** a piece may be turned a quarter against the grain */ turn: boolean;
}
/** The option of a section that stands alone. */
export const ALONE = 'section';
/** Room between pieces on a sheet [mm]. */
const GAP = 4;

export interface Cut {
  templates: Template[];
  sheets: Sheet[];
  tooLarge: string[];
}
export type Templates = ReturnType<typeof useTemplates>;

/** Options as they are first: a rod fits a round hole, a spar of caps both faces. */
function firstOptions(design: Design): CutOptions {
  const spar = sparOf(design)?.shape;
  const rod = spar?.kind === 'tube' ? spar.outer : null;
  return {
    of: ALONE,
    chord: 0.25,
    ribs: 9,
    sheeting: 0,
    slotWidth: rod ?? 0.006,
    slotDepth: rod ?? 0.003,
    face: rod === null ? 'both' : 'round',
    rim: 0.006,
    kerf: 0,
    sheet: [0.6, 0.3],
    turn: false,
  };
}

export function useTemplates(section: Section) {
  const design = useWorkspace((w) => w.content.document.design);
  const [options, setOptions] = useState(() => firstOptions(design));
  const kit = useKit();
  const sparAt = sparOf(design)?.chordPlace ?? DEFAULT_CHORD_PLACE;
  const made = useMemo(
    () => (kit ? cut(kit, section, design, options) : null),
    [kit, section, design, options],
  );
  const set = (change: Partial<CutOptions>) => setOptions({ ...options, ...change });
  const problem = made && 'message' in made ? made.message : null;
  return { kit, options, set, sparAt, problem, cut: made && 'sheets' in made ? made : null };
}

/** The tools are large: they come when they are first wanted. */
function useKit(): Kit | null {
  const [kit, setKit] = useState<Kit | null>(null);
  useEffect(() => {
    let here = true;
    void import('@skiametra/formats/template').then((k) => {
      if (here) setKit(k);
    });
    return () => {
      here = false;
    };
  }, []);
  return kit;
}

function cut(kit: Kit, section: Section, design: Design, o: CutOptions): Cut | { message: string } {
  const ribs: RibOptions = {
    sheeting: o.sheeting * MM,
    slots: slotsOf(o, sparOf(design)?.chordPlace ?? DEFAULT_CHORD_PLACE),
    holes: o.rim * MM,
    kerf: o.kerf * MM,
  };
  try {
    const templates = placesOf(section, design, o).map(({ label, chord, contour }) =>
      kit.ribTemplate(`${label}, ${formatNumber(chord * MM, 4)} mm`, pointsOf(contour), chord * MM, ribs),
    );
    return { templates, ...kit.nest(templates, o.sheet[0] * MM, o.sheet[1] * MM, GAP, o.turn) };
  } catch (e) {
    if (e instanceof DomainError) return { message: e.message };
    throw e;
  }
}

function slotsOf({ face, slotWidth, slotDepth }: CutOptions, at: number): RibOptions['slots'] {
  if (face === 'none') return [];
  const faces = face === 'both' ? (['upper', 'lower'] as const) : ([face] as const);
  return faces.map((f) => ({ at, width: slotWidth * MM, depth: slotDepth * MM, face: f }));
}

/** Every rib that is cut, root to tip, or the section alone. */
function placesOf(section: Section, { surfaces, sections }: Design, o: CutOptions) {
  const surface = surfaces.find((s) => s.id === o.of);
  if (!surface) return [{ label: section.name, chord: o.chord, contour: modelOf(section).outline }];
  const stations = surface.stations.flatMap(({ y, chord, section: id }) => {
    const own = sections.find((q) => q.id === id);
    return own ? [{ y, chord, contour: modelOf(own).outline }] : [];
  });
  return ribPlaces(stations, o.ribs).map(({ chord, contour }, i) => ({
    label: `${surface.id} rib ${i + 1}`,
    chord,
    contour,
  }));
}
