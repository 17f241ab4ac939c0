'use client';
/** The wing up and down under its worst cases, with a cut at the place that is pointed at. */
import { useState } from 'react';
import { Slider } from '@mantine/core';
import { isUp } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import type { CaseView, StructureReport } from '@skiametra/core/views';
import { StationFindings } from '../../../parts/Findings';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { CasePicker } from './CasePicker';
import { CrossSection } from './CrossSection';
import { nearestPlace, WingPicture } from './WingPicture';

const weakest = (cases: readonly CaseView[]): CaseView =>
  cases.reduce((a, c) => (c.factor < a.factor ? c : a));

function useChosen(cases: readonly CaseView[]) {
  const [id, setId] = useState<CaseView['id'] | null>(null);
  return { chosen: cases.find((c) => c.id === id) ?? weakest(cases), choose: setId };
}

/** What the hatching says. */
function Key({ safety }: { safety: number }) {
  return (
    <ul className="marginkey" aria-label="What the hatching says">
      <li className="breaks">breaks within the case</li>
      <li className="thin">borne less than {safety} times</li>
      <li className="holds">holds</li>
    </ul>
  );
}

export function WingTab({ report, ghost }: { report: StructureReport; ghost?: StructureReport | null }) {
  const safety = useWorkspace((w) => w.content.document.design.structure.safetyFactor),
    units = useWorkspace((w) => w.units),
    up = useChosen(report.cases.filter((c) => isUp(c.id))),
    down = useChosen(report.cases.filter((c) => !isUp(c.id)));
  const [side, setSide] = useState<'up' | 'down'>('up'),
    [at, setAt] = useState<number | null>(null),
    of = side === 'up' ? up.chosen : down.chosen,
    place = nearestPlace(report.y, at ?? of.place);
  const bent = (id: CaseView['id']) => ghost?.cases.find((c) => c.id === id)?.deflection;
  return (
    <div className="stack gap8">
      <StationFindings of="structure" />
      {(['up', 'down'] as const).map((s) => {
        const { chosen, choose } = s === 'up' ? up : down;
        return (
          <div key={s}>
            <CasePicker
              label={s === 'up' ? 'Upward' : 'Downward'}
              cases={report.cases.filter((c) => isUp(c.id) === (s === 'up'))}
              chosen={chosen}
              safety={safety}
              onChoose={(id) => {
                choose(id);
                setSide(s);
                setAt(null);
              }}
            />
            <WingPicture
              report={report}
              of={chosen}
              ghost={bent(chosen.id)}
              safety={safety}
              place={s === side ? place : nearestPlace(report.y, chosen.place)}
              onPlace={(p) => {
                setSide(s);
                setAt(report.y[p]!);
              }}
            />
          </div>
        );
      })}
      <Key safety={safety} />
      <div className="cols cutrow">
        <div>
          <span className="dim note" id="cut-place">
            Cut, {side === 'up' ? 'upward case' : 'downward case'}
          </span>
          <Slider
            aria-labelledby="cut-place"
            thumbLabel="Place of the cut"
            min={0}
            max={report.y[report.y.length - 1]!}
            step={report.tip / 100}
            value={report.y[place]!}
            label={(v) => formatQuantity(v, 'length', units)}
            onChange={setAt}
          />
        </div>
        <CrossSection report={report} of={of} place={place} />
      </div>
    </div>
  );
}
