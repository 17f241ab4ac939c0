/** The swap set: labelled parts that can be fitted in place of another. What a fitting changes in the document, and the label to print. */
import type { Design, Swap } from '../design';
import type { PartsList } from './catalogue';
import { genericParts } from './catalogue';
import type { MotorData } from './motor';
import type { PropellerSize } from './propeller';

/** The line of the mass list that a kind of part is; null when the list has none. */
export function itemOfKind(
  design: Pick<Design, 'items'>,
  kind: Swap['kind'],
): Design['items'][number] | null {
  const named = (re: RegExp) => design.items.find((i) => i.group === 'propulsion' && re.test(i.name));
  return (
    (kind === 'propeller'
      ? named(/propeller/i)
      : kind === 'motor'
        ? named(/motor/i)
        : design.items.find((i) => i.group === 'battery')) ?? null
  );
}

/** The line of the mass list that is the controller of the drive, not of lift motors; null when the list has none. */
export function controllerItem(design: Pick<Design, 'items'>): Design['items'][number] | null {
  return (
    design.items.find(
      (i) => i.group === 'propulsion' && /controller|esc\b/i.test(i.name) && !/lift/i.test(i.name),
    ) ?? null
  );
}

/** Changes of a design (paths under `design`) that fit a part: its data, and its mass and place in the list. */
export function fitChanges(design: Design, swap: Swap): { path: string; value: unknown }[] {
  const item = itemOfKind(design, swap.kind),
    p = design.power;
  const data =
    swap.kind === 'propeller'
      ? {
          path: 'power.propeller',
          value: {
            ...swap.data,
            x: p.propeller.x,
            z: p.propeller.z,
            ...(p.propeller.downThrust !== undefined ? { downThrust: p.propeller.downThrust } : {}),
            ...(p.propeller.sideThrust !== undefined ? { sideThrust: p.propeller.sideThrust } : {}),
          },
        }
      : swap.kind === 'motor'
        ? { path: 'power.motor', value: swap.data }
        : { path: 'power.battery', value: swap.data };
  if (!item) return [data];
  const placed = swap.x === null ? [] : [{ path: `items.${item.id}.x`, value: swap.x }];
  // a place outside the item's range is the part's own place: the range opens to it
  const range =
    swap.x !== null && item.movable && (swap.x < item.movable.from || swap.x > item.movable.to)
      ? [
          {
            path: `items.${item.id}.movable`,
            value: { from: Math.min(item.movable.from, swap.x), to: Math.max(item.movable.to, swap.x) },
          },
        ]
      : [];
  return [
    data,
    { path: `items.${item.id}.planned`, value: { kind: 'mass', mass: swap.mass } },
    { path: `items.${item.id}.weighed`, value: swap.weighed ? swap.mass : null },
    ...range,
    ...placed,
  ];
}

const same = (a: number, b: number) => Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(a));

/** Whether two propellers are the same size and kind. */
export function sameBlades(a: PropellerSize, b: PropellerSize): boolean {
  return (
    same(a.diameter, b.diameter) &&
    same(a.pitch, b.pitch) &&
    a.blades === b.blades &&
    (a.family ?? 'thin-electric') === (b.family ?? 'thin-electric')
  );
}

/** Whether two motors are the same by Kv and resistance. */
export function sameMotor(
  a: Pick<MotorData, 'kv' | 'resistance'>,
  b: Pick<MotorData, 'kv' | 'resistance'>,
): boolean {
  return same(a.kv, b.kv) && same(a.resistance, b.resistance);
}

/** Whether a design flies with this part now. */
export function isFitted(design: Design, swap: Swap): boolean {
  const p = design.power;
  if (swap.kind === 'propeller') return sameBlades(p.propeller, swap.data);
  if (swap.kind === 'motor') return sameMotor(p.motor, swap.data);
  return (
    p.battery.series === swap.data.series &&
    p.battery.parallel === swap.data.parallel &&
    same(p.battery.capacity, swap.data.capacity) &&
    (p.battery.chemistry ?? 'LiPo') === (swap.data.chemistry ?? 'LiPo')
  );
}

/** What stands on the sticker, in metric units. */
export function labelText(swap: Swap): string {
  const inch = (m: number) => Number((m / 0.0254).toFixed(2));
  const what =
    swap.kind === 'propeller'
      ? `${inch(swap.data.diameter)} × ${inch(swap.data.pitch)} in, ${swap.data.blades} blades`
      : swap.kind === 'motor'
        ? `${Math.round((swap.data.kv * 60) / (2 * Math.PI))} rpm/V, ${(swap.data.resistance * 1000).toFixed(0)} mΩ, at most ${swap.data.maxCurrent} A`
        : `${swap.data.series}S${swap.data.parallel > 1 ? `${swap.data.parallel}P` : ''} ${swap.data.chemistry ?? 'LiPo'}, ${Math.round(swap.data.capacity / 3.6)} mAh, ${swap.data.maxC} C`;
  const correction =
    swap.kind === 'propeller' && swap.data.correction
      ? `\nbench: thrust ${swap.data.correction.thrust.toFixed(2)}, torque ${swap.data.correction.torque.toFixed(2)} of computed`
      : '';
  return `${swap.label}\n${what}\n${(swap.mass * 1000).toFixed(1)} g ${swap.weighed ? 'weighed' : 'not weighed'}${swap.x === null ? '' : `, at x ${(swap.x * 1000).toFixed(0)} mm`}${correction}${swap.note ? `\n${swap.note}` : ''}`;
}

/** The catalogue and the design's own parts: what is fitted, and the swap set. Own parts come first, their ids begin with `own-`. */
export function partsFor(design: Design): PartsList {
  const list = genericParts(),
    p = design.power,
    mass = (kind: Swap['kind']) => {
      const i = itemOfKind(design, kind);
      return i ? (i.weighed ?? (i.planned.kind === 'mass' ? i.planned.mass : 0)) : 0;
    };
  const swaps = design.swaps ?? [],
    { x: _x, z: _z, downThrust: _d, sideThrust: _s, ...blades } = p.propeller;
  const cells = Math.max(p.battery.series, 4);
  const motors = [
    ...(swaps.some((s) => s.kind === 'motor' && isFitted(design, s))
      ? []
      : [{ id: 'own-motor', name: 'The one fitted now', mass: mass('motor'), cells, data: p.motor }]),
    ...swaps.flatMap((s) =>
      s.kind === 'motor' ? [{ id: `own-${s.id}`, name: s.label, mass: s.mass, cells: 14, data: s.data }] : [],
    ),
  ];
  const propellers = [
    ...(swaps.some((s) => s.kind === 'propeller' && isFitted(design, s))
      ? []
      : [{ id: 'own-propeller', name: 'The one fitted now', mass: mass('propeller'), data: blades }]),
    ...swaps.flatMap((s) =>
      s.kind === 'propeller' ? [{ id: `own-${s.id}`, name: s.label, mass: s.mass, data: s.data }] : [],
    ),
  ];
  const packs = [
    ...(swaps.some((s) => s.kind === 'pack' && isFitted(design, s))
      ? []
      : [{ id: 'own-pack', name: 'The one fitted now', mass: mass('pack'), data: p.battery }]),
    ...swaps.flatMap((s) =>
      s.kind === 'pack' ? [{ id: `own-${s.id}`, name: s.label, mass: s.mass, data: s.data }] : [],
    ),
  ];
  return {
    motors: [...motors, ...list.motors],
    propellers: [...propellers, ...list.propellers],
    packs: [...packs, ...list.packs],
    escs: list.escs,
  };
}

/** Changes of a design that fit a whole combination of a parts list; ids that are not in it change nothing. */
export function combinationChanges(
  design: Design,
  parts: PartsList,
  ids: { motor: string; propeller: string; pack: string; esc: string },
): { path: string; value: unknown }[] {
  const base = { weighed: false, x: null, note: '' },
    motor = parts.motors.find((m) => m.id === ids.motor),
    propeller = parts.propellers.find((m) => m.id === ids.propeller),
    pack = parts.packs.find((m) => m.id === ids.pack),
    esc = parts.escs.find((e) => e.id === ids.esc);
  const item = controllerItem(design);
  return [
    ...(motor
      ? fitChanges(design, {
          ...base,
          kind: 'motor',
          id: 'm',
          label: motor.name,
          mass: motor.mass,
          data: motor.data,
        })
      : []),
    ...(propeller
      ? fitChanges(design, {
          ...base,
          kind: 'propeller',
          id: 'p',
          label: propeller.name,
          mass: propeller.mass,
          data: propeller.data,
        })
      : []),
    ...(pack
      ? fitChanges(design, {
          ...base,
          kind: 'pack',
          id: 'b',
          label: pack.name,
          mass: pack.mass,
          data: pack.data,
        })
      : []),
    ...(esc
      ? [
          { path: 'power.esc', value: esc.data },
          ...(item
            ? [
                { path: `items.${item.id}.planned`, value: { kind: 'mass', mass: esc.mass } },
                { path: `items.${item.id}.weighed`, value: null },
              ]
            : []),
        ]
      : []),
  ];
}
