/** Words of structure and of the shape's stall. */
import type { Speech } from './speech';

export const STRUCTURE_WORDS = {
  'no-material': (f: { material: string }) =>
    `The spar names a material “${f.material}” that is not in the store.`,
  'solid-tube': (_: object) => 'The tube wall reaches the middle: it is a solid rod.',
  'full-box': (_: object) => 'The two caps fill the whole spar depth.',
  'breaks-up': (f: { state: string; at: number; asked: number; factor: number }) =>
    `This wing breaks at ${f.at.toFixed(1)} g in ${f.state}; ${f.asked} g with a factor of ${f.factor} needs ${(f.asked * f.factor).toFixed(1)} g. Deepen the spar or thicken its caps.`,
  'breaks-down': (f: { state: string; at: number; needed: number }) =>
    `Downward the wing breaks at ${f.at.toFixed(1)} g in ${f.state}; ${f.needed.toFixed(1)} g is needed.`,
  'ailerons-lost': (f: { reserve: number; wanted: number }, s: Speech) =>
    `In the heaviest state the ailerons lose the wing ${s.q(Math.max(0, f.reserve), 'angle', 1)} after its first strip stalls; ${s.q(f.wanted, 'angle', 1)} is wanted, or it drops a wing. Washout or another section outboard moves the stall inboard: see the stall map.`,
  'low-reynolds': (f: { reynolds: number }) =>
    `The wing works at a Reynolds number of ${Math.round(f.reynolds / 1000)} thousand: the section estimate is rough below 60 thousand.`,
  'thick-section': (f: { name: string; percent: string }) =>
    `Section ${f.name} is ${f.percent} % thick; is that meant?`,
};
