/** The swap set: labelled parts that can be fitted in place of another. What a fitting changes in the document, and the label to print. */
import type { Design, Swap } from '../design';

/** The line of the mass list that a kind of part is; null when the list has none. */
export function itemOfKind(design: Pick<Design, 'items'>, kind: Swap['kind']): Design['items'][number] | null {
  const named = (re: RegExp) => design.items.find((i) => i.group === 'propulsion' && re.test(i.name));
  return (kind === 'propeller' ? named(/propeller/i) : kind === 'motor' ? named(/motor/i) : design.items.find((i) => i.group === 'battery')) ?? null;
}

/** Changes of a design (paths under `design`) that fit a part: its data, and its mass and place in the list. */
export function fitChanges(design: Design, swap: Swap): { path: string; value: unknown }[] {
  const item = itemOfKind(design, swap.kind), p = design.power;
  const data = swap.kind === 'propeller'
    ? { path: 'power.propeller', value: { ...swap.data, x: p.propeller.x, z: p.propeller.z, ...(p.propeller.downThrust !== undefined ? { downThrust: p.propeller.downThrust } : {}), ...(p.propeller.sideThrust !== undefined ? { sideThrust: p.propeller.sideThrust } : {}) } }
    : swap.kind === 'motor' ? { path: 'power.motor', value: swap.data } : { path: 'power.battery', value: swap.data };
  if (!item) return [data];
  const placed = swap.x === null ? [] : [{ path: `items.${item.id}.x`, value: swap.x }];
  // a place outside the item's range is the part's own place: the range opens to it
  const range = swap.x !== null && item.movable && (swap.x < item.movable.from || swap.x > item.movable.to) ? [{ path: `items.${item.id}.movable`, value: { from: Math.min(item.movable.from, swap.x), to: Math.max(item.movable.to, swap.x) } }] : [];
  return [data, { path: `items.${item.id}.planned`, value: { kind: 'mass', mass: swap.mass } }, { path: `items.${item.id}.weighed`, value: swap.weighed ? swap.mass : null }, ...range, ...placed];
}

const same = (a: number, b: number) => Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(a));

/** Whether a design flies with this part now. */
export function isFitted(design: Design, swap: Swap): boolean {
  const p = design.power;
  if (swap.kind === 'propeller') return same(p.propeller.diameter, swap.data.diameter) && same(p.propeller.pitch, swap.data.pitch) && p.propeller.blades === swap.data.blades && (p.propeller.family ?? 'thin-electric') === (swap.data.family ?? 'thin-electric');
  if (swap.kind === 'motor') return same(p.motor.kv, swap.data.kv) && same(p.motor.resistance, swap.data.resistance);
  return p.battery.series === swap.data.series && p.battery.parallel === swap.data.parallel && same(p.battery.capacity, swap.data.capacity) && (p.battery.chemistry ?? 'LiPo') === (swap.data.chemistry ?? 'LiPo');
}

/** What stands on the sticker, in metric units. */
export function labelText(swap: Swap): string {
  const inch = (m: number) => Number((m / 0.0254).toFixed(2));
  const what = swap.kind === 'propeller' ? `${inch(swap.data.diameter)} × ${inch(swap.data.pitch)} in, ${swap.data.blades} blades`
    : swap.kind === 'motor' ? `${Math.round((swap.data.kv * 60) / (2 * Math.PI))} rpm/V, ${(swap.data.resistance * 1000).toFixed(0)} mΩ, at most ${swap.data.maxCurrent} A`
      : `${swap.data.series}S${swap.data.parallel > 1 ? `${swap.data.parallel}P` : ''} ${swap.data.chemistry ?? 'LiPo'}, ${Math.round(swap.data.capacity / 3.6)} mAh, ${swap.data.maxC} C`;
  const correction = swap.kind === 'propeller' && swap.data.correction ? `\nbench: thrust ${swap.data.correction.thrust.toFixed(2)}, torque ${swap.data.correction.torque.toFixed(2)} of computed` : '';
  return `${swap.label}\n${what}\n${(swap.mass * 1000).toFixed(1)} g ${swap.weighed ? 'weighed' : 'not weighed'}${swap.x === null ? '' : `, at x ${(swap.x * 1000).toFixed(0)} mm`}${correction}${swap.note ? `\n${swap.note}` : ''}`;
}
