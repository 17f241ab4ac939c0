/** The plan form of an aircraft: as much of a design as its silhouette needs. */
import type { Design } from '@skiametra/core/design';

export interface PlanForm {
  body: { x: number; width: number }[];
  surfaces: {
    id: string;
    role: Design['surfaces'][number]['role'];
    x: number;
    stations: { x: number; y: number; chord: number }[];
  }[];
}

export function planForm(design: Pick<Design, 'body' | 'surfaces'>): PlanForm {
  return {
    body: design.body.map(({ x, width }) => ({ x, width })),
    surfaces: design.surfaces.map(({ id, role, x, stations }) => ({
      id,
      role,
      x,
      stations: stations.map((p) => ({ x: p.x, y: p.y, chord: p.chord })),
    })),
  };
}
