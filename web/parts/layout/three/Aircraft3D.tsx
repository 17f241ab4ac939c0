'use client';
/** The aircraft in three dimensions, its plan form as a shadow on the ground. */
import { useEffect, useMemo, useRef, useState } from 'react';
import { modelOf } from '@skiametra/core/assess';
import type { Design } from '@skiametra/core/design';
import { aircraftMesh, thrustDiscs } from '@skiametra/core/layout';
import { DomainError } from '@skiametra/core/numeric';
import { stage } from './stage';

interface Props {
  design: Design;
  cg: { x: number; z: number } | null;
  neutralX: number | null;
}

const HEIGHT = 460;
const NO_3D = 'This browser has no 3D drawing (WebGL); the three views show the same shape.';

const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim() || '#888';

export function Aircraft3D({ design, cg, neutralX }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const meshes = useMemo(() => meshesOf(design), [design]);
  const discs = useMemo(() => thrustDiscs(design), [design]);
  useEffect(() => {
    const host = box.current;
    if (!host || !meshes) return undefined;
    let here = true,
      clear: (() => void) | null = null;
    const colours = {
      ink: colour('--ink'),
      skin: colour('--paper-2'),
      predicted: colour('--predicted'),
    };
    void stage(host, { meshes, discs, cg, neutralX }, colours, HEIGHT).then((staged) => {
      if (!staged) setTrouble(NO_3D);
      else if (here) clear = staged;
      else staged();
    });
    return () => {
      here = false;
      clear?.();
    };
  }, [meshes, discs, cg, neutralX]);
  if (!meshes) return <p className="stoptext">A section cannot be drawn; see Sections.</p>;
  return (
    <div>
      {trouble && <p className="dim">{trouble}</p>}
      <div
        ref={box}
        className="stage"
        role="img"
        aria-label="Three-dimensional view; drag to turn, wheel to come nearer"
      />
      <div className="dim small">
        Drag to turn, wheel to come nearer. Indigo: CG; ink: neutral point; on the ground: the shadow of the
        plan form.
      </div>
    </div>
  );
}

/** Null where a section cannot be drawn. */
function meshesOf(design: Design) {
  try {
    return aircraftMesh(design, new Map(design.sections.map((s) => [s.id, modelOf(s).outline])));
  } catch (e) {
    if (e instanceof DomainError) return null;
    throw e;
  }
}
