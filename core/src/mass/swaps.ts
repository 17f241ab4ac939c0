/**
 * The swap set: labelled parts that can be fitted in place of another. What a fitting changes in the document, and the label
 * to print.
 */
import { powertrainOf, type Design, type Item, type Swap, drivesOf, setPath } from '../design';
import { nearlySame } from '../numeric';
import { genericParts, sameBlades, sameMotor, type PartsList } from '../power';
import { itemMass } from './ledger';
import { itemOfPart, partMass } from './parts';

/** The line of the mass list that a kind of part is; null when the list has none. */
export function itemOfKind(design: Pick<Design, 'items'>, kind: Swap['kind']): Item | null {
  return (kind === 'pack' ? firstPack(design) : itemOfPart(design, kind)) ?? null;
}
const firstPack = (design: Pick<Design, 'items'>) =>
  design.items.find((i) => i.part?.kind === 'pack' && i.part.of !== 'second');

/** The line of the drive's controller; null when the list has none. */
export function controllerItem(design: Pick<Design, 'items'>): Item | null {
  return itemOfPart(design, 'controller') ?? null;
}

/** How many of a part an aircraft carries: one on each shaft, one pack. */
const carried = (design: Pick<Design, 'power' | 'drives' | 'thrusters'>, kind: Swap['kind']) =>
  kind === 'pack' ? 1 : (powertrainOf(design).arrangement?.count ?? 1);

/** What a line is planned to weigh with one part's mass known: it follows the part from there on. */
function plannedAs(design: Design, item: Item, one: number, count: number): Item['planned'] {
  const usual = item.part ? partMass(design, item.part) : null;
  return usual ? { kind: 'part', factor: (count * one) / usual } : { kind: 'mass', mass: count * one };
}

/** Where a part's data stands in the design's forward drive; null where there is no such place. */
function dataOf(design: Design, swap: Swap): { path: string; value: unknown } | null {
  const drive = drivesOf(design).forward;
  if (!drive) return null;
  if (swap.kind !== 'pack') return { path: `drives.${drive.id}.${swap.kind}`, value: swap.data };
  const pack = design.power.packs.find((p) => p.id === drive.packs[0]);
  if (!pack) return null;
  return { path: `power.packs.${pack.id}`, value: { id: pack.id, name: pack.name, ...swap.data } };
}

/** Changes of a design (paths under `design`) that fit a part: its data, and its mass and place in the list. */
export function fitChanges(design: Design, swap: Swap): { path: string; value: unknown }[] {
  const item = itemOfKind(design, swap.kind),
    data = dataOf(design, swap);
  if (!data) return [];
  if (!item) return [data];
  const count = carried(design, swap.kind),
    fitted = setPath(design, data.path, data.value);
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
    { path: `items.${item.id}.planned`, value: plannedAs(fitted, item, swap.mass, count) },
    { path: `items.${item.id}.weighed`, value: swap.weighed ? count * swap.mass : null },
    ...range,
    ...placed,
  ];
}

/** Whether a design flies with this part now. */
export function isFitted(design: Design, swap: Swap): boolean {
  const p = powertrainOf(design);
  if (swap.kind === 'propeller') return sameBlades(p.propeller, swap.data);
  if (swap.kind === 'motor') return sameMotor(p.motor, swap.data);
  return (
    p.battery.series === swap.data.series &&
    p.battery.parallel === swap.data.parallel &&
    nearlySame(p.battery.capacity, swap.data.capacity) &&
    (p.battery.chemistry ?? 'LiPo') === (swap.data.chemistry ?? 'LiPo')
  );
}

const inch = (m: number) => Number((m / 0.0254).toFixed(2));

/** Size and rating of a part in a line. */
function sizeText(swap: Swap): string {
  if (swap.kind === 'propeller') {
    const { diameter, pitch, blades } = swap.data;
    return `${inch(diameter)} × ${inch(pitch)} in, ${blades} blades`;
  }
  if (swap.kind === 'motor') {
    const { kv, resistance, maxCurrent } = swap.data;
    const rpm = Math.round((kv * 60) / (2 * Math.PI));
    return `${rpm} rpm/V, ${(resistance * 1000).toFixed(0)} mΩ, at most ${maxCurrent} A`;
  }
  const { series, parallel, chemistry, capacity, maxC } = swap.data;
  const cells = `${series}S${parallel > 1 ? `${parallel}P` : ''}`;
  return `${cells} ${chemistry ?? 'LiPo'}, ${Math.round(capacity / 3.6)} mAh, ${maxC} C`;
}

/** What stands on the sticker, in metric units. */
export function labelText(swap: Swap): string {
  const c = swap.kind === 'propeller' ? swap.data.correction : undefined;
  const place = swap.x === null ? '' : `, at x ${(swap.x * 1000).toFixed(0)} mm`;
  return [
    swap.label,
    sizeText(swap),
    `${(swap.mass * 1000).toFixed(1)} g ${swap.weighed ? 'weighed' : 'not weighed'}${place}`,
    ...(c ? [`bench: thrust ${c.thrust.toFixed(2)}, torque ${c.torque.toFixed(2)} of computed`] : []),
    ...(swap.note ? [swap.note] : []),
  ].join('\n');
}

/**
 * The catalogue and the design's own parts: what is fitted, and the swap set. Own parts come first, their ids begin with
 * `own-`.
 */
export function partsFor(design: Design): PartsList {
  const list = genericParts(),
    p = powertrainOf(design),
    mass = (kind: Swap['kind']) => {
      const i = itemOfKind(design, kind);
      return i ? itemMass(i, design) / carried(design, kind) : 0;
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
  const item = controllerItem(design),
    at = `drives.${drivesOf(design).forward?.id}.controller`;
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
          { path: at, value: esc.data },
          ...(item
            ? [
                {
                  path: `items.${item.id}.planned`,
                  value: plannedAs(setPath(design, at, esc.data), item, esc.mass, carried(design, 'motor')),
                },
                { path: `items.${item.id}.weighed`, value: null },
              ]
            : []),
        ]
      : []),
  ];
}
