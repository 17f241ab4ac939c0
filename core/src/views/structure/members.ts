/** Members as they are drawn: where they stand in the section, and their parts at each place. */
import type { Design } from '../../design';
import { depthOf, memberMass, roomAt, shapeAt, tipOf, type Bearing } from '../../structure';

/** One part of a cross-section, from the lowest fibre up. */
export interface PartView {
  readonly part: string;
  readonly material: string;
  /** [m] */ readonly bottom: number;
  readonly top: number;
  /** [m2] */ readonly area: number;
  /** [Pa] */ readonly modulus: number;
}

/** A member at one place; null where it is not. */
export interface PlaceView {
  /** [m] */ readonly height: number;
  readonly width: number;
  readonly neutral: number;
  /** [N m2] */ readonly EI: number;
  /** of the moment */ readonly share: number;
  readonly parts: readonly PartView[];
}

export interface MemberView {
  readonly id: string;
  readonly name: string;
  readonly chordPlace: number;
  /** both halves [kg] */ readonly mass: number;
  /** depth of the section where it stands [m] */ readonly room: readonly number[];
  /** depth that it takes of it, 0 for what is the section's own [m] */ readonly depth: readonly number[];
  readonly at: readonly (PlaceView | null)[];
}

export function memberViews(design: Design, b: Bearing): MemberView[] {
  const surface = design.surfaces.find((s) => s.id === b.surface)!,
    end = tipOf(surface);
  return b.members.map(({ member, sections }) => ({
    id: member.id,
    name: member.name,
    chordPlace: member.chordPlace,
    mass: memberMass(design, member.id)?.mass ?? 0,
    room: Array.from(b.y, (y) => roomAt(design, member, y)),
    depth: Array.from(b.y, (y) => {
      const shape = shapeAt(member, y, end);
      return shape ? depthOf(shape) : 0;
    }),
    at: sections.map((s, p): PlaceView | null => {
      if (!s) return null;
      const low = Math.min(...s.slabs.map((slab) => slab.bottom));
      return {
        height: s.height,
        width: s.width,
        neutral: s.neutral,
        EI: s.EI,
        share: b.EI[p] > 0 ? s.EI / b.EI[p] : 0,
        parts: s.slabs.map(({ part, material, bottom, top, area }) => ({
          part,
          material: material.name,
          bottom: bottom - low,
          top: top - low,
          area,
          modulus: material.modulus,
        })),
      };
    }),
  }));
}

/** Bending stress at a height of a part, pressed above the neutral axis by an upward load [Pa]; tension is positive. */
export function stressAt(at: PlaceView, part: PartView, height: number, moment: number): number {
  return (-part.modulus * moment * at.share * (height - at.neutral)) / at.EI;
}
