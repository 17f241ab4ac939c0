/** What lies on the shelf: the design's own sections and a choice from the generated families. */
import type { Section } from '@skiametra/core/design';

export interface Candidate {
  id: string;
  name: string;
  origin: 'own' | 'family';
  section: Pick<Section, 'shape' | 'change'>;
}

const four = (digits: string): Candidate => ({
  id: `family:${digits}`,
  name: `NACA ${digits}`,
  origin: 'family',
  section: { shape: { kind: 'naca4', digits } },
});
const five = (digits: string, note = ''): Candidate => ({
  id: `family:${digits}`,
  name: `NACA ${digits}${note}`,
  origin: 'family',
  section: { shape: { kind: 'naca5', digits } },
});

const FAMILIES: readonly Candidate[] = [
  ...['0009', '0012', '2409', '2412', '2415', '4409', '4412', '4415', '6409'].map(four),
  five('23012'),
  five('23112', ', reflexed'),
  {
    id: 'family:flat',
    name: 'Flat-bottomed 11.8 %',
    origin: 'family',
    section: {
      shape: {
        kind: 'classShape',
        upper: [0.18, 0.27, 0.22, 0.25, 0.21, 0.24],
        // straight from 28 % of the chord to the trailing edge
        lower: [-0.1598, -0.0489, -0.0687, -0.0454, -0.045, -0.0399],
      },
    },
  },
  {
    id: 'family:thin',
    name: 'NACA 3407, thin',
    origin: 'family',
    section: { shape: { kind: 'naca4', digits: '3407' } },
  },
  {
    id: 'family:step',
    name: 'NACA 2412 with a step',
    origin: 'family',
    section: { shape: { kind: 'stepped', digits: '2412', steps: [{ face: 'upper', at: 0.5, depth: 0.02 }] } },
  },
  {
    id: 'family:plate',
    name: 'Flat sheet, 3 %',
    origin: 'family',
    section: { shape: { kind: 'plate', camber: 0, at: 0.5, thickness: 0.03 } },
  },
  {
    id: 'family:arc',
    name: 'Film on ribs, 6 % arc',
    origin: 'family',
    section: { shape: { kind: 'film', camber: 0.06, at: 0.4, thickness: 0.004 } },
  },
];

/** Own sections first; a family member that the design already has is not listed twice. */
export function candidatesOf(sections: readonly Section[]): Candidate[] {
  const own = sections.map((s): Candidate => ({
    id: `own:${s.id}`,
    name: s.name,
    origin: 'own',
    section: { shape: s.shape, change: s.change },
  }));
  const have = new Set(own.filter((c) => !c.section.change).map((c) => JSON.stringify(c.section.shape)));
  return [...own, ...FAMILIES.filter((c) => !have.has(JSON.stringify(c.section.shape)))];
}
