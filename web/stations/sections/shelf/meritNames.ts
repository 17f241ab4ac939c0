/** What sections are chosen by, and how each is meant. */
import type { Merit } from '@skiametra/core/section';

export const MERIT_NAMES: Record<Merit, [name: string, hint: string]> = {
  clMax: ['Largest lift', 'at the stall’s Reynolds number'],
  glide: ['Lift to drag', 'at the working lift'],
  lowDrag: ['Low-drag range', 'lift range with drag within a quarter of the least'],
  moment: ['Small moment', 'about the quarter chord, at the working lift'],
  sparDepth: ['Spar depth', 'thickness where the spar stands'],
  flatBottom: ['Flat bottom', 'lies on the board: gap under the aft 70 %'],
  tolerance: ['Forgives building', 'drag as drawn over drag as it may be built'],
};
