/** Ways to a shape: by digits, by file, by numbers, by blending. */
import type { Section } from '@skiametra/core/design';
import type { ShapeChange } from '@skiametra/core/section';

export const LIST = 'document.design.sections';
export type Shape = Section['shape'];
export const KINDS: { value: Shape['kind']; label: string }[] = [
  { value: 'naca4', label: 'NACA 4-digit' },
  { value: 'naca4m', label: 'NACA 4-digit, modified' },
  { value: 'naca5', label: 'NACA 5-digit' },
  { value: 'classShape', label: 'Class-shape weights' },
  { value: 'points', label: 'Coordinates' },
  { value: 'blend', label: 'Blend of two' },
  { value: 'stepped', label: 'Stepped' },
  { value: 'plate', label: 'Flat or bent sheet' },
  { value: 'film', label: 'Film on ribs' },
  { value: 'folded', label: 'Folded sheet' },
];
export const NO_CHANGE: ShapeChange = { thickness: 1, camber: 1, flap: null };

/** How a shape is written in its text box; points and blends have their own entry. */
export function written(shape: Shape): string {
  switch (shape.kind) {
    case 'naca4':
    case 'naca5':
      return shape.digits;
    case 'naca4m':
      return `${shape.digits}-${shape.nose}${shape.at}`;
    case 'classShape':
      return `${shape.upper.join(' ')}\n${shape.lower.join(' ')}`;
    case 'folded':
      return shape.corners.map((c) => c.join(' ')).join('\n');
    case 'stepped':
      return shape.digits;
    default:
      return '';
  }
}

const numbers = (line: string): number[] =>
  line
    .trim()
    .split(/[\s,;]+/)
    .filter((t) => t !== '')
    .map(Number);

/** The shape that a text means, or the sentence that refuses it. */
export function read(kind: Shape['kind'], text: string, now: Shape): { shape: Shape; name: string } | string {
  const t = text.trim();
  if (kind === 'naca4') return { shape: { kind, digits: t }, name: `NACA ${t}` };
  if (kind === 'naca5') return { shape: { kind, digits: t }, name: `NACA ${t}` };
  if (kind === 'naca4m') {
    const [, digits, nose, at] = /^(\d{4})-(\d)(\d)$/.exec(t) ?? [];
    return digits
      ? { shape: { kind, digits, nose: Number(nose), at: Number(at) }, name: `NACA ${t}` }
      : 'A modified section is written like 2412-63: nose index 0 to 9, then tenths of the largest thickness';
  }
  if (kind === 'classShape' || kind === 'folded') {
    const rows = text
      .split('\n')
      .map(numbers)
      .filter((r) => r.length > 0);
    if (rows.flat().some((v) => !Number.isFinite(v))) return 'There is a word among the numbers';
    const [upper, lower, more] = rows;
    if (kind === 'classShape')
      return upper && lower && !more
        ? { shape: { kind, upper, lower }, name: 'Class-shape section' }
        : 'Write two lines of weights: the upper face, then the lower';
    return rows.every((r) => r.length === 2)
      ? {
          shape: {
            kind,
            corners: rows as [number, number][],
            thickness: now.kind === 'folded' ? now.thickness : 0.004,
          },
          name: 'Folded sheet',
        }
      : 'Write one corner a line: its place along the chord and its height, 0 0 first and 1 0 last';
  }
  if (kind === 'stepped')
    return {
      shape: {
        kind,
        digits: t,
        steps: now.kind === 'stepped' ? now.steps : [{ face: 'upper', at: 0.5, depth: 0.02 }],
      },
      name: `NACA ${t}, stepped`,
    };
  return 'Choose another way to enter this shape';
}

export const HINTS: Partial<Record<Shape['kind'], string>> = {
  naca4: 'as 4412: camber %, its place in tenths, thickness %',
  naca4m: 'as 2412-63',
  naca5: 'as 23012; 23112 is reflexed',
  classShape: 'a line of weights a face',
  folded: 'a corner a line: place, height',
  stepped: 'the section the step is cut in',
};
