'use client';
/** The best that can be flown, the present design, the compared version, and names of limits beside the map. */
import { leverOf } from '@skiametra/core/trade';
import { useEffect, useState } from 'react';
import type { DesignDocument } from '@skiametra/core/design';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { alongAxis, cellPlace } from './mapFrame';
import { MAP, nameHeights, type SweepPicture } from './sweepFrame';
import type { Found } from './useSweep';

const put = (p: { x: number; y: number }) => `translate(${MAP.left + p.x * MAP.w} ${MAP.top + p.y * MAP.h})`;
const APART = 15;

interface Props {
  found: Found;
  map: SweepPicture;
  chosen: number | null;
}

export function MapMarks({ found, map, chosen }: Props) {
  const ghost = useGhostPlace(found);
  return (
    <g className="sweepmarks">
      <LimitNames map={map} />
      {ghost && <path transform={put(ghost)} d="M0 -7L7 0L0 7L-7 0Z" className="sweepghost" />}
      {map.present && (
        <g transform={put(map.present)} className="sweeppresent">
          <circle r={6} />
          <path d="M-10 0h20M0 -10v20" />
        </g>
      )}
      {map.best && <path transform={put(map.best)} d="M0 -8L8 0L0 8L-8 0Z" className="sweepbest" />}
      {chosen !== null && (
        <rect
          transform={put(cellPlace(map.grid, chosen))}
          x={-MAP.w / map.grid.columns / 2}
          y={-MAP.h / map.grid.rows / 2}
          width={MAP.w / map.grid.columns}
          height={MAP.h / map.grid.rows}
          className="sweepchosen"
        />
      )}
    </g>
  );
}

function LimitNames({ map }: { map: SweepPicture }) {
  const x = MAP.left + MAP.w,
    heights = nameHeights(
      map.limits.map((l) => MAP.top + l.at.y * MAP.h),
      MAP.top + 8,
      MAP.top + MAP.h - 4,
      APART,
    );
  return (
    <>
      {map.limits.map((l, i) => (
        <g key={l.id}>
          <path
            className="sweepleader"
            d={`M${MAP.left + l.at.x * MAP.w} ${MAP.top + l.at.y * MAP.h}L${x + 6} ${heights[i]! - 4}`}
          />
          <text x={x + 9} y={heights[i]} className="sweeplimitname">
            {l.name.length > 25 ? `${l.name.slice(0, 24)}…` : l.name}
            <title>{l.name}</title>
          </text>
        </g>
      ))}
    </>
  );
}

/** Where the compared version stands on this map. */
function useGhostPlace({ task }: Found): { x: number; y: number } | null {
  const againstId = useWorkspace((w) => w.againstId),
    documentOf = useWorkspace((w) => w.documentOf),
    [other, setOther] = useState<{ id: number; document: DesignDocument | null } | null>(null);
  useEffect(() => {
    if (againstId === null) return;
    let here = true;
    void documentOf(againstId).then((document) => here && setOther({ id: againstId, document }));
    return () => {
      here = false;
    };
  }, [againstId, documentOf]);
  const doc = other !== null && other.id === againstId ? other.document : null,
    [across, up] = task.axes;
  if (!doc || !across || !up) return null;
  const x = alongAxis(across.values, leverOf(doc, across.lever.id)?.value(doc) ?? null),
    y = alongAxis(up.values, leverOf(doc, up.lever.id)?.value(doc) ?? null);
  return x === null || y === null ? null : { x, y: 1 - y };
}
