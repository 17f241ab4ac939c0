'use client';
/** Ribs and cores to cut, on sheets. */
import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { Cautions } from '../../../parts/Cautions';
import { CutFields } from './CutFields';
import { CutFiles } from './CutFiles';
import { SheetDrawing } from './SheetDrawing';
import { useTemplates, type Cut } from './useTemplates';

export function Templates({ section }: { section: Section }) {
  const templates = useTemplates(section);
  const [asked, setShown] = useState(0);
  const { kit, cut, problem } = templates;
  const shown = Math.min(asked, (cut?.sheets.length ?? 1) - 1);
  const now = cut?.sheets[shown];
  return (
    <div className="cols cols-templates">
      <div className="stack gap8">
        <Cautions at="export" />
        <CutFields section={section} templates={templates} />
        <CutFiles section={section} kit={kit} cut={cut} shown={shown} />
      </div>
      <div className="stack gap8">
        {!kit && <span className="dim">Getting the template tools.</span>}
        {problem && (
          <p className="stoptext" role="alert">
            {problem.charAt(0).toUpperCase() + problem.slice(1)}.
          </p>
        )}
        {cut && <SheetChoice cut={cut} shown={shown} onShow={setShown} />}
        {now && <SheetDrawing sheet={now} />}
        {cut && <Warnings cut={cut} />}
      </div>
    </div>
  );
}

interface ChoiceProps {
  cut: Cut;
  shown: number;
  onShow: (sheet: number) => void;
}
function SheetChoice({ cut, shown, onShow }: ChoiceProps) {
  const pieces = cut.templates.length - cut.tooLarge.length,
    sheets = cut.sheets.length;
  return (
    <div className="line gap8 base">
      <strong className="note">
        {pieces} {pieces === 1 ? 'piece' : 'pieces'} on {sheets} {sheets === 1 ? 'sheet' : 'sheets'}
      </strong>
      {sheets > 1 &&
        cut.sheets.map((_, i) => (
          <Button
            key={i}
            size="compact-xs"
            variant={i === shown ? 'light' : 'subtle'}
            onClick={() => onShow(i)}
          >
            {i + 1}
          </Button>
        ))}
    </div>
  );
}

const MOST_WARNINGS = 6;

function Warnings({ cut }: { cut: Cut }) {
  const warnings = [
    ...new Set([
      ...cut.templates.flatMap((t) => t.warnings.map((w) => `${t.label}: ${w}`)),
      ...cut.tooLarge.map((l) => `${l} is larger than the sheet and left out.`),
    ]),
  ];
  return (
    <>
      {warnings.slice(0, MOST_WARNINGS).map((w) => (
        <div key={w} className="looktext note">
          ▲ {w}
        </div>
      ))}
      {warnings.length > MOST_WARNINGS && (
        <div className="dim note">and {warnings.length - MOST_WARNINGS} more of the same kind.</div>
      )}
    </>
  );
}
