'use client';
/** Skin, core and covering of the parts whose mass is calculated. */
import { Button } from '@mantine/core';
import type { Item } from '@skiametra/core/design';
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

/** Paper or film as it is usually taken [kg/m2]. */
const USUAL_COVERING = { perArea: 0.06 };

export function MadeOf() {
  const items = useWorkspace((w) => w.content.document.design.items);
  return (
    <details open className="mt8">
      <summary className="dim clickable">What calculated parts are made of</summary>
      {items.map(
        (item, i) =>
          item.planned.kind === 'made' && (
            <Layers
              key={item.id}
              name={item.name}
              path={`${DESIGN}.items.${i}.planned`}
              planned={item.planned}
            />
          ),
      )}
    </details>
  );
}

interface LayersProps {
  name: string;
  path: string;
  planned: Extract<Item['planned'], { kind: 'made' }>;
}
function Layers({ name, path, planned }: LayersProps) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <div className="namedfields five">
      <span>{name}</span>
      {planned.skin && (
        <>
          <DocField label="skin" path={`${path}.skin.thickness`} />
          <DocField label="of density" path={`${path}.skin.density`} />
        </>
      )}
      {planned.core && (
        <>
          <DocField label="core density" path={`${path}.core.density`} />
          <DocField label="infill" path={`${path}.core.infill`} />
        </>
      )}
      {planned.covering ? (
        <DocField label="covering" path={`${path}.covering.perArea`} />
      ) : (
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => edit({ type: 'set', path: `${path}.covering`, value: USUAL_COVERING })}
        >
          + covering
        </Button>
      )}
    </div>
  );
}
