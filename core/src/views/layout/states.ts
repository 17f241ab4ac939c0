/** Rows of the states, and which of them is the worst. */
import { say } from '../../words';
import { hovers, type Design } from '../../design';
import { balance, type QuantityId } from '../../steps';
import { entryOf, type Ledger } from '../../assess';
import type { Run } from '../../assess';

import { type LayoutReport } from './report';

export interface StateRow {
  loading: string;
  name: string;
  mass: number;
  cgX: number;
  cgSpread: number;
  ixx: number;
  iyy: number;
  izz: number;
  margin: number;
  yaw: number;
  extraDrag: number;
  hover: boolean;
  inside: boolean;
}

export function stateRows(design: Design, ledger: Ledger, run: Run): StateRow[] {
  const at = (id: QuantityId, l: string) => entryOf(ledger, id, l)?.value ?? NaN;
  const { marginMin, marginMax } = design.flight;
  return design.states.map((l) => {
    const { state: s } = run.of(balance, l.id),
      margin = at('staticMargin', l.id);
    return {
      loading: l.id,
      name: l.name,
      mass: s.mass,
      cgX: s.x,
      cgSpread: s.sigmaX,
      ixx: s.ixx,
      iyy: s.iyy,
      izz: s.izz,
      margin,
      yaw: at('yawStiffness', l.id),
      extraDrag: (l.addedDrag ?? 0) + (l.towed?.dragArea ?? 0),
      hover: hovers(design, l),
      inside: hovers(design, l) || (margin >= marginMin - 1e-5 && margin <= marginMax + 1e-5),
    };
  });
}

export function worstState(design: Design, rows: readonly StateRow[]): LayoutReport['worst'] {
  const flying = rows.filter((r) => !r.hover && Number.isFinite(r.margin));
  if (flying.length === 0) return null;
  const least = flying.reduce((a, r) => (r.margin < a.margin ? r : a)),
    wag = flying.reduce((a, r) => (r.yaw < a.yaw ? r : a));
  const { marginMin, marginMax } = design.flight;
  const most = flying.reduce((a, r) => (r.margin > a.margin ? r : a));
  if (least.margin < marginMin)
    return {
      loading: least.loading,
      said: say('worst-margin', { state: least.name, margin: least.margin, least: marginMin }),
    };
  if (most.margin > marginMax)
    return {
      loading: most.loading,
      said: say('worst-nose-heavy', { state: most.name, margin: most.margin }),
    };
  if (wag.yaw < 0.03)
    return {
      loading: wag.loading,
      said: say('worst-yaw', { state: wag.name, stiffness: wag.yaw }),
    };
  return {
    loading: least.loading,
    said: say('least-margin', { state: least.name, margin: least.margin }),
  };
}
