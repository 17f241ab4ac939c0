'use client';
/** What is cut, as files: paper, laser, router, and the bare outline. */
import { Button } from '@mantine/core';
import { modelOf } from '@skiametra/core/assess';
import type { Section } from '@skiametra/core/design';
import { writeDat } from '@skiametra/formats';
import { give } from '../../../parts/give';
import { pointsOf } from './points';
import type { Cut, Kit } from './useTemplates';

interface Props {
  section: Section;
  kit: Kit | null;
  cut: Cut | null;
  /** the sheet in view */ shown: number;
}

export function CutFiles({ section, kit, cut, shown }: Props) {
  const name = section.name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
  const sheet = cut?.sheets[shown];
  const one = `${name}-sheet-${shown + 1}`;
  const dat = () =>
    give(`${name}.dat`, 'text/plain', writeDat(section.name, pointsOf(modelOf(section).outline)));
  const made = kit && cut && sheet ? { kit, cut, sheet } : null;
  const pdf = () =>
    made && give(`${name}-templates.pdf`, 'application/pdf', made.kit.sheetsPdf(made.cut.sheets) as BlobPart);
  const svg = () => made && give(`${one}.svg`, 'image/svg+xml', made.kit.sheetSvg(made.sheet));
  const dxf = () => made && give(`${one}.dxf`, 'image/vnd.dxf', made.kit.sheetDxf(made.sheet));
  return (
    <div className="line gap8 wraps">
      <Button variant="light" disabled={!made} onClick={pdf}>
        PDF, all sheets
      </Button>
      <Button variant="default" disabled={!made} onClick={svg}>
        SVG
      </Button>
      <Button variant="default" disabled={!made} onClick={dxf}>
        DXF
      </Button>
      <Button variant="subtle" onClick={dat}>
        Section .dat
      </Button>
    </div>
  );
}
