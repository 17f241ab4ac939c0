/** How the aircraft grows on its way from plan to scale: by group, forecast of the finished mass, and what the growth breaks. */
import type { Design, Item } from '../design';
import { plannedItem } from './ledger';
import { aboard } from './parts';

export interface GroupGrowth {
  group: Item['group'];
  /** planned mass of all items, and of those weighed [kg] */ planned: number;
  plannedWeighed: number;
  weighed: number;
  /** weighed over planned of what was weighed; null before anything was */ factor: number | null;
  /** finished mass of the group: weighed, and the rest grown alike [kg] */ forecast: number;
}

export interface Growth {
  groups: GroupGrowth[];
  planned: number;
  forecast: number;
  /** of all that was weighed; null before anything was */ factor: number | null;
  /** standard uncertainty of the forecast [kg] */ sigma: number;
}

/** Groups without a weighing grow as all weighed ones together; nothing weighed: no growth is claimed. */
export function growthOf(design: Design): Growth {
  const rows = design.items
    .filter((i) => aboard(design, i))
    .map((i) => ({ item: i, plan: plannedItem(i, design).mass }));
  const sum = (list: typeof rows, f: (r: (typeof rows)[number]) => number) =>
    list.reduce((s, r) => s + f(r), 0);
  const done = rows.filter((r) => r.item.weighed !== null);
  const planDone = sum(done, (r) => r.plan);
  const factor = planDone > 0 ? sum(done, (r) => r.item.weighed!) / planDone : null;
  const groups = [...new Set(rows.map((r) => r.item.group))].map((group): GroupGrowth => {
    const mine = rows.filter((r) => r.item.group === group),
      weighedRows = mine.filter((r) => r.item.weighed !== null);
    const planned = sum(mine, (r) => r.plan),
      plannedWeighed = sum(weighedRows, (r) => r.plan),
      weighed = sum(weighedRows, (r) => r.item.weighed!);
    const own = plannedWeighed > 0 ? weighed / plannedWeighed : null;
    return {
      group,
      planned,
      plannedWeighed,
      weighed,
      factor: own,
      forecast: weighed + (planned - plannedWeighed) * (own ?? factor ?? 1),
    };
  });
  const open = rows.filter((r) => r.item.weighed === null);
  return {
    groups,
    planned: sum(rows, (r) => r.plan),
    forecast: groups.reduce((s, g) => s + g.forecast, 0),
    factor,
    sigma: Math.sqrt(sum(open, (r) => (r.item.spread * r.plan) ** 2)),
  };
}
