/**
 * What the parts of a design weigh, so that a line of the mass list can follow the part it is. Estimates of such parts as
 * they usually come (see each part's own file); `planned.factor` is what this very part weighs over the usual.
 */
import { powertrainOf, type Design, type Item, type PartLink, type Powertrain } from '../design';
import { motorMass, packOf, propellerMass, rubberMotor, controllerMass, wireMass } from '../power';
import { memberMass } from '../structure';

type Driven = Pick<Design, 'power' | 'drives' | 'thrusters'>;
type Bearer = Driven & Pick<Design, 'structure' | 'surfaces' | 'sections'>;

const shafts = (p: Powertrain) => p.arrangement?.count ?? 1;
const rotors = (p: Powertrain, link: PartLink) => (link.of ? 1 : (p.rotorCount ?? 1));

type Estimate = (p: Powertrain, link: PartLink, d: Bearer) => number | null;
const ESTIMATES: Partial<Record<PartLink['kind'], Estimate>> = {
  motor: (p) => shafts(p) * motorMass(p.motor),
  propeller: (p, { of }) => {
    if (of !== 'rubber') return shafts(p) * propellerMass(p.propeller);
    return p.rubber ? propellerMass(p.rubber.propeller) : null;
  },
  controller: (p) => shafts(p) * controllerMass(p.esc.maxCurrent),
  pack: (p, { of }) => {
    if (of !== 'second') return packOf(p.battery).mass;
    return p.second ? packOf(p.second.battery).mass : null;
  },
  wire: ({ wire }) => (wire ? wireMass(wire.length, wire.area) : null),
  rubber: ({ rubber }) => (rubber ? rubberMotor(rubber).mass : null),
  'lift motor': (p, link) => (p.lift ? rotors(p, link) * motorMass(p.lift.motor) : null),
  'lift rotor': (p, link) => (p.lift ? rotors(p, link) * propellerMass(p.lift.propeller) : null),
  'solar cells': ({ solar }) => (solar ? solar.series * solar.strings * solar.cell.mass : null),
  spar: (_, { of }, d) => memberMass(d, of)?.mass ?? null,
};

/** Usual mass of a part [kg]; null where nothing is known of its weight (a servo, a leg) or the design has none. */
export function partMass(design: Bearer, part: PartLink): number | null {
  return ESTIMATES[part.kind]?.(powertrainOf(design), part, design) ?? null;
}

/** Whether the part that a line weighs is in the aircraft at all; a line that is no part always is. */
export function aboard(design: Driven, item: Pick<Item, 'part'>): boolean {
  const power = powertrainOf(design),
    { part } = item;
  switch (part?.kind) {
    case 'motor':
    case 'controller':
    case 'wire':
      return !power.unpowered;
    case 'propeller':
      return part.of === 'rubber' ? power.rubber !== undefined : !power.unpowered;
    case 'pack':
      return part.of === 'second'
        ? power.second !== undefined
        : !power.unpowered || power.lift !== undefined || power.solar !== undefined;
    case 'fan':
      return power.fan !== undefined && !power.unpowered;
    case 'rubber':
      return power.rubber !== undefined;
    case 'lift motor':
    case 'lift rotor':
      return power.lift !== undefined;
    case 'solar cells':
      return power.solar !== undefined;
    default:
      return true;
  }
}

/** A line that follows members of the structure: they say where it is. */
export function followsMembers(item: Pick<Item, 'planned' | 'part'>): boolean {
  return item.planned.kind === 'part' && item.part?.kind === 'spar';
}

/** Whether a line stands where it is put; areal and made ones stand where their surface is, members where they are drawn. */
export function standsWherePut(item: Pick<Item, 'planned' | 'part'>): boolean {
  return (item.planned.kind === 'mass' || item.planned.kind === 'part') && !followsMembers(item);
}

/** Planned mass of a line that follows its part [kg]. */
export function followedMass(design: Bearer, item: Item): number {
  if (item.planned.kind !== 'part' || !item.part) return 0;
  return item.planned.factor * (partMass(design, item.part) ?? 0);
}

/** The line of a part; of several the first. @param of as in the link; left out, a line without it */
export function itemOfPart(
  design: Pick<Design, 'items'>,
  kind: PartLink['kind'],
  of?: string,
): Item | undefined {
  return design.items.find((i) => i.part?.kind === kind && (of === undefined || i.part?.of === of));
}

/** Lets every typed line that is a part follow it from here on, at the mass it has today. */
export function linkParts<D extends Bearer & Pick<Design, 'items'>>(design: D): D {
  const items = design.items.map((item): Item => {
    const usual = item.part && item.planned.kind === 'mass' ? partMass(design, item.part) : null;
    if (!usual || item.planned.kind !== 'mass' || !(item.planned.mass > 0)) return item;
    return { ...item, planned: { kind: 'part', factor: item.planned.mass / usual } };
  });
  return { ...design, items };
}
