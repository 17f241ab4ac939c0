/** The swap set: what each part would move. */
import { isFitted, itemOfKind, labelText } from '../../mass';

import { type Scene } from './scene';

export interface SwapRow {
  id: string;
  kind: string;
  label: string;
  mass: number;
  weighed: boolean;
  fitted: boolean;
  cgShift: number;
  massShift: number;
  text: string;
}

export function swapRows(s: Scene): SwapRow[] {
  return (s.design.swaps ?? []).map((w) => {
    const item = itemOfKind(s.design, w.kind),
      now = item && s.state.points.find((p) => p.id === item.id);
    const mass = s.state.mass + w.mass - (now?.mass ?? 0),
      x = w.x ?? now?.x ?? 0;
    const moment = s.state.mass * s.state.x - (now ? now.mass * now.x : 0) + w.mass * x;
    return {
      id: w.id,
      kind: w.kind,
      label: w.label,
      mass: w.mass,
      weighed: w.weighed,
      fitted: isFitted(s.design, w),
      cgShift: now ? moment / mass - s.state.x : 0,
      massShift: w.mass - (now?.mass ?? 0),
      text: labelText(w),
    };
  });
}
