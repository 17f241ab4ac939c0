/**
 * The usual cautions, each for the place of work it stands at. Short; all of them yield to local rules and to somebody
 * experienced. Shown above the first control there, whatever part is selected; `docs/safety.md` lists them.
 */
import { hovers, leavingOf, type Design, type State, powertrainOf, type DesignDocument } from '../design';

export const PLACES = [
  'drive',
  'rubber',
  'hover',
  'bench',
  'structure',
  'states',
  'flight',
  'air',
  'export',
] as const;
export type Place = (typeof PLACES)[number];

type Designed = Pick<DesignDocument, 'design'>;
type Source = Designed & Pick<DesignDocument, 'brief'>;

export interface Caution {
  id: string;
  hazard: string;
  places: readonly Place[];
  text: string;
  /** where it bears; everywhere without it */ when?: (of: Source, state: State | undefined) => boolean;
}

const powered = ({ design }: Designed) => !powertrainOf(design).unpowered;
const lifts = ({ design }: Designed) => {
  const { lift, rotorCount } = powertrainOf(design);
  return lift !== undefined || (rotorCount ?? 0) > 0;
};
const plansDrop = ({ brief }: Source) =>
  brief.missions.some((m) => m.rounds.some((r) => r.legs.some((l) => l.kind === 'drop')));
const leaves =
  (...ways: string[]) =>
  ({ design }: Source, s: State | undefined) =>
    s !== undefined && ways.includes(leavingOf(design, s));

/** Ends every caution: whose word counts more. */
export const LAST_WORD = 'Local rules and somebody experienced come first.';

export const CAUTIONS: readonly Caution[] = [
  {
    id: 'pack',
    hazard: 'lithium batteries',
    places: ['drive', 'bench'],
    text: 'Packs burn: charge under watch on a fireproof base, never one that is swollen or dented; store at half charge.',
    when: (d) => powered(d) || lifts(d),
  },
  {
    id: 'blades',
    hazard: 'propellers',
    places: ['drive', 'bench', 'flight'],
    text: 'Blades cut: arming plug out before hands go near, nobody in their plane, a nicked one is thrown away.',
    when: (d) => powered(d) || lifts(d),
  },
  {
    id: 'stand',
    hazard: 'running a motor on a stand',
    places: ['bench'],
    text:
      'Clamp the stand to what does not move, glasses on, plug in last; stop at 70 °C of the case, at any ' +
      'smell or rattle.',
  },
  {
    id: 'rubber',
    hazard: 'stretched rubber',
    places: ['rubber', 'flight'],
    text: 'Stretched rubber snaps: glasses on, wind in a tube, hold the shaft.',
    when: ({ design }) => design.power.rubber !== undefined,
  },
  {
    id: 'rotors',
    hazard: 'lift rotors',
    places: ['hover', 'flight'],
    text:
      'Rotors start without warning: blades off on the bench, tethered for the first hover, everybody ' +
      'behind a net or ten metres off.',
    when: lifts,
  },
  {
    id: 'load-test',
    hazard: 'breaking a structure',
    places: ['structure'],
    text:
      'A load test throws splinters: glasses on, load from the side, nobody underneath. After a repair ' +
      'it is tested again.',
  },
  {
    id: 'dust',
    hazard: 'cutting and laying up composites',
    places: ['structure'],
    text: 'Carbon dust and wet resin harm lungs and skin: mask, gloves, air. A calculation does not replace a proof load.',
  },
  {
    id: 'hand',
    hazard: 'launching by hand',
    places: ['flight'],
    text:
      'Thrown by hand: fingers behind the blades, motor started by a second person or after it has left the ' +
      'hand, nobody ahead.',
    when: leaves('hand'),
  },
  {
    id: 'line',
    hazard: 'launching on a line',
    places: ['flight'],
    text:
      'A line under tension cuts and whips: gloves, a weak link, nobody beside or in front of it, let go ' +
      'only from behind.',
    when: leaves('bungee', 'winch', 'rail'),
  },
  {
    id: 'tow',
    hazard: 'towing',
    places: ['states', 'flight'],
    text: 'What is towed swings and can be lost: a release that works under load, a line that breaks first, nobody below.',
    when: (d, s) => s?.towed !== undefined || leaves('towed')(d, s),
  },
  {
    id: 'drop',
    hazard: 'dropping and lowering',
    places: ['states', 'flight'],
    text:
      'Dropping and lowering are regulated: permission for the place, a clear ground watched by a second ' +
      'person, nothing hard or heavy.',
    when: (d, s) => (s?.count ?? 0) > 0 || leaves('dropped')(d, s) || plansDrop(d),
  },
  {
    id: 'below',
    hazard: 'dropping and lowering',
    places: ['air'],
    text:
      'Nothing is dropped or lowered over people, roads or animals: a cleared strip below, a watcher beside it, ' +
      'a line that breaks first.',
  },
  {
    id: 'people',
    hazard: 'flying over and near people',
    places: ['flight'],
    text:
      'Not over people, roads or animals, and never towards the flight line; the farther it glides, the ' +
      'more room it needs.',
  },
  {
    id: 'tools',
    hazard: 'tools and fumes',
    places: ['export'],
    text:
      'Knives, saws, hot wires and laser cutters cut and burn, and their fumes harm: guards on, air moving. ' +
      'Measure the 50 mm bar on a print before cutting by it.',
  },
];

/** Cautions of a place for an aircraft in a state, in the order of the list. */
export function cautionsAt(place: Place, of: Source, state?: State): Caution[] {
  return CAUTIONS.filter((c) => c.places.includes(place) && (c.when?.(of, state) ?? true));
}

export interface CheckLine {
  text: string;
  caution: boolean;
}

/** Lines for what is aboard: none of them speaks of a part that is not. */
function aboardLines(design: Design): CheckLine[] {
  const d = { design },
    motor = powered(d) || lifts(d);
  return [
    ...(motor
      ? [
          { text: 'Range check made; failsafe stops every motor', caution: true },
          { text: 'Pack: no swelling or damage, charged under watch, fixed in place', caution: true },
          {
            text: 'Propellers: no nicks, tight, everyone out of their plane before the arming plug goes in',
            caution: true,
          },
        ]
      : []),
    ...(lifts(d)
      ? [{ text: 'Each lift rotor turns its own way and answers its own corner', caution: true }]
      : []),
    ...(design.power.rubber
      ? [
          { text: 'Rubber: no nicks, lubricated, hooks closed; glasses on for winding', caution: true },
          { text: 'Dethermalizer set, or a way to end the flight', caution: false },
        ]
      : []),
    ...(design.surfaces.some((s) => s.controls.length > 0) && !design.power.rubber
      ? [{ text: 'Controls move the right way; throws as drawn', caution: false }]
      : []),
  ];
}

const WAY_LINES: Partial<Record<string, string>> = {
  hand: 'Thrower clear of blades and tail; nobody ahead',
  bungee: 'Line, hook and weak link sound; nobody beside the line',
  winch: 'Line, hook and weak link sound; nobody beside the line',
  rail: 'Rail fixed, release tried; nobody ahead of it',
  dolly: 'Dolly runs straight and lets go',
  towed: 'Release tried under load; signals agreed with the tow pilot',
  dropped: 'Release tried; both pilots agree on the word',
  hover: 'Nobody within ten metres; the switch that stops it in one hand',
};

/** The list to be ticked before a flight: from what is aboard, how this state leaves, what it carries and drops. */
export function preflightFor(design: Design, state: State | undefined): CheckLine[] {
  const way = state ? WAY_LINES[leavingOf(design, state)] : undefined;
  const wing = state === undefined || !hovers(design, state);
  const carries = (state?.count ?? 0) > 0;
  return [
    { text: 'Local rules read: mass, height, airspace, insurance; permission for the site', caution: true },
    { text: 'People behind the flight line; one person near the aircraft', caution: true },
    ...(wing ? [{ text: 'Wing, tail and joints: no cracks, no play, spar seated', caution: false }] : []),
    { text: 'CG checked on the bench in this state', caution: false },
    ...(carries ? [{ text: `${design.payload.name}: latched, cannot shift`, caution: false }] : []),
    ...(state?.towed ? [{ text: 'Tow line sound, release works under load', caution: true }] : []),
    ...aboardLines(design),
    ...(way ? [{ text: way, caution: true }] : []),
    { text: 'Stopwatch ready, card read aloud', caution: false },
  ];
}
