'use client';
/** Materials that a person keeps for all projects: kept from this one, taken into it. */
import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { OwnMaterial } from '@skiametra/core/design';
import { called } from '../../../parts/called';
import { STRUCTURE } from '../../../parts/paths';
import { freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import {
  dropMaterialAction,
  keepMaterialAction,
  listMaterialsAction,
  type Answer,
} from '../../../server/actions';
import type { KeptMaterial } from '../../../server/ownShelf';

export function MaterialShelf({ materials }: { materials: readonly OwnMaterial[] }) {
  const edit = useWorkspace((w) => w.edit),
    [kept, setKept] = useState<readonly KeptMaterial[]>([]),
    [trouble, setTrouble] = useState<string | null>(null);
  const take = (r: Answer<KeptMaterial[]>) => {
    if (r.status === 'refused') return setTrouble(r.message);
    setKept(r.value);
    setTrouble(null);
  };
  useEffect(() => {
    let here = true;
    void called(listMaterialsAction()).then((r) => here && take(r));
    return () => {
      here = false;
    };
  }, []);
  const here = new Set(materials.map((m) => m.name));
  return (
    <div className="stack gap8">
      {materials.length > 0 && (
        <div className="line gap8 mid wraps">
          <span className="dim note">Keep for all my projects:</span>
          {materials.map((m) => (
            <Button
              key={m.id}
              size="compact-xs"
              variant="subtle"
              onClick={() => void called(keepMaterialAction(m)).then(take)}
            >
              {m.name}
            </Button>
          ))}
        </div>
      )}
      {kept.map(({ id, body: material }) => (
        <div key={id} className="line gap8 mid">
          <span>{material.name}</span>
          <Button
            size="compact-xs"
            variant="light"
            disabled={here.has(material.name)}
            onClick={() =>
              setTrouble(
                edit({
                  type: 'insert',
                  path: `${STRUCTURE}.materials`,
                  value: { ...material, id: freshId('own', materials) },
                }),
              )
            }
          >
            {here.has(material.name) ? 'in this project' : 'Take it in'}
          </Button>
          <Button
            size="compact-xs"
            variant="subtle"
            aria-label={`Take ${material.name} off the shelf`}
            onClick={() => void called(dropMaterialAction(id)).then(take)}
          >
            Off the shelf
          </Button>
        </div>
      ))}
      {trouble && (
        <div role="alert" className="stoptext note">
          {trouble}
        </div>
      )}
    </div>
  );
}
