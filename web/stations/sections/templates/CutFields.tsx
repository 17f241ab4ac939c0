'use client';
/** What is cut, what is taken off it, and of what sheet. */
import { NativeSelect, Switch } from '@mantine/core';
import type { Section } from '@skiametra/core/design';
import { formatNumber } from '@skiametra/core/units';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { inRange } from './points';
import { ALONE, type CutOptions, type Templates } from './useTemplates';

interface Props {
  section: Section;
  templates: Templates;
}

export function CutFields({ section, templates }: Props) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const { options: o, set } = templates;
  return (
    <>
      <NativeSelect
        label="Cut out"
        value={o.of}
        onChange={(e) => set({ of: e.currentTarget.value })}
        data={[
          { value: ALONE, label: `${section.name} alone` },
          ...surfaces.map((s) => ({ value: s.id, label: `All ribs of the ${s.role}` })),
        ]}
      />
      <div className="fields">
        {o.of === ALONE ? (
          <QuantityField
            label="Chord"
            kind="length"
            value={o.chord}
            onCommit={inRange(0.01, 3, (chord) => set({ chord }), 'A chord of 10 mm to 3 m.')}
          />
        ) : (
          <QuantityField
            label="Ribs, root to tip"
            kind="count"
            value={o.ribs}
            onCommit={inRange(2, 60, (v) => set({ ribs: Math.round(v) }), 'From 2 to 60 ribs.')}
          />
        )}
        <QuantityField
          label="Skin lies on it, thick"
          kind="length"
          value={o.sheeting}
          onCommit={inRange(0, 0.01, (sheeting) => set({ sheeting }), 'From 0 to 10 mm.')}
        />
        <QuantityField
          label="Wood left round holes"
          hint="0 for no lightening holes"
          kind="length"
          value={o.rim}
          onCommit={inRange(0, 0.04, (rim) => set({ rim }), 'From 0 to 40 mm.')}
        />
        <QuantityField
          label="The cut takes away"
          hint="half of it is added all round"
          kind="length"
          value={o.kerf}
          onCommit={inRange(0, 0.003, (kerf) => set({ kerf }), 'From 0 to 3 mm.')}
        />
      </div>
      <SparFields templates={templates} />
      <SheetSize templates={templates} />
    </>
  );
}

function SparFields({ templates: { options: o, set, sparAt } }: { templates: Templates }) {
  return (
    <>
      <NativeSelect
        label={`The spar passes at ${formatNumber(100 * sparAt, 3)} % (Structure)`}
        value={o.face}
        onChange={(e) => set({ face: e.currentTarget.value as CutOptions['face'] })}
        data={[
          { value: 'both', label: 'in notches of both faces' },
          { value: 'round', label: 'through a round hole' },
          { value: 'through', label: 'through a square hole' },
          { value: 'none', label: 'nowhere' },
        ]}
      />
      {o.face !== 'none' && (
        <div className="fields">
          <QuantityField
            label={o.face === 'round' ? 'Hole across' : 'Notch, wide'}
            kind="length"
            value={o.slotWidth}
            onCommit={inRange(0.0003, 0.06, (slotWidth) => set({ slotWidth }), 'From 0.3 to 60 mm.')}
          />
          {o.face !== 'round' && (
            <QuantityField
              label="Notch, deep"
              kind="length"
              value={o.slotDepth}
              onCommit={inRange(0.0003, 0.06, (slotDepth) => set({ slotDepth }), 'From 0.3 to 60 mm.')}
            />
          )}
        </div>
      )}
    </>
  );
}

function SheetSize({ templates: { options: o, set } }: { templates: Templates }) {
  const [long, wide] = o.sheet;
  return (
    <>
      <div className="fields">
        <QuantityField
          label="Sheet, long"
          kind="length"
          value={long}
          onCommit={inRange(0.05, 3, (v) => set({ sheet: [v, wide] }), 'From 50 mm to 3 m.')}
        />
        <QuantityField
          label="Sheet, wide"
          kind="length"
          value={wide}
          onCommit={inRange(0.05, 3, (v) => set({ sheet: [long, v] }), 'From 50 mm to 3 m.')}
        />
      </div>
      <Switch
        size="xs"
        label="May be turned a quarter (grain)"
        checked={o.turn}
        onChange={(e) => set({ turn: e.currentTarget.checked })}
      />
    </>
  );
}
