/**
 * Layouts to begin from, each drawn at the span and mean chord of the design it replaces and balanced by shifting the
 * wings along the body. What each layout fixes and what it costs stands beside it. Proportions are common practice, no
 * source.
 */
import { GLIDERS } from './gliders';
import type { LayoutTemplate } from './kit';
import { MULTIROTORS } from './multirotors';
import { PAIRED } from './paired';
import { RUBBERS } from './rubber';
import { TILTING } from './tilting';
import { TAILED } from './tailed';
import { TAILLESS } from './tailless';

export { balanced } from './build';
export { multirotor } from './multirotors';
export type { LayoutTemplate } from './kit';

export const LAYOUT_TEMPLATES: readonly LayoutTemplate[] = [
  ...TAILED,
  ...PAIRED,
  ...TAILLESS,
  ...TILTING,
  ...GLIDERS,
  ...RUBBERS,
  ...MULTIROTORS,
];
