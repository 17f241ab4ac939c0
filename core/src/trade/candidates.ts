/** What one step of is worth asking about: a gram, a centimetre, a second, a unit, a cell, a percent of throttle. */
import { drivesOf, hasWing, missionsAsked, powertrainOf, type DesignDocument } from '../design';
import { leverOf, type Lever } from './levers';

export interface Candidate {
  readonly lever: Lever;
  /** SI; choices are gone through one by one */ readonly step: number;
}

const DEG = Math.PI / 180,
  INCH = 0.0254,
  MAH = 3.6,
  RPM_PER_VOLT = (2 * Math.PI) / 60;
/** So many items are asked about, the heaviest. */
const ITEMS = 6;

/** A gram on what flies in a hall, ten on what is carried by hand, a hundred on what needs a trailer. */
function gramStep(doc: DesignDocument): number {
  const all = doc.design.items.reduce((s, i) => s + (leverOf(doc, `mass:${i.id}`)?.value(doc) ?? 0), 0);
  return all < 0.3 ? 1e-3 : all < 15 ? 1e-2 : 0.1;
}

/** A centimetre; a millimetre where that is much. */
const sizeStep = (lever: Lever | null, doc: DesignDocument) => ((lever?.value(doc) ?? 1) < 0.1 ? 1e-3 : 1e-2);

type Pair = readonly [id: string, step: number];

function shapeSteps(doc: DesignDocument): Pair[] {
  const { surfaces } = doc.design;
  if (!hasWing(doc.design)) return [];
  return surfaces.flatMap((s): Pair[] => {
    const sized = ['span', 'chord'].map((w): Pair => [
        `${w}:${s.id}`,
        sizeStep(leverOf(doc, `${w}:${s.id}`), doc),
      ]),
      behind: Pair[] = s.role === 'tail' || s.role === 'canard' ? [[`design.surfaces.${s.id}.x`, 1e-2]] : [];
    return [...sized, ...behind];
  });
}

function massSteps(doc: DesignDocument): Pair[] {
  const weigh = (id: string) => leverOf(doc, `mass:${id}`)?.value(doc) ?? 0,
    heavy = [...doc.design.items].sort((a, b) => weigh(b.id) - weigh(a.id)).slice(0, ITEMS),
    gram = gramStep(doc);
  return [
    ...heavy.map((i): Pair => [`mass:${i.id}`, gram]),
    ...doc.design.items.filter((i) => i.movable).map((i): Pair => [`design.items.${i.id}.x`, 5e-3]),
    ['design.payload.unitMass', gram],
  ];
}

function powerSteps(doc: DesignDocument): Pair[] {
  const { design } = doc,
    { forward, lift } = drivesOf(design),
    p = powertrainOf(design);
  const drives = [forward, lift].flatMap((d): Pair[] =>
    d
      ? [
          [`design.drives.${d.id}.propeller.diameter`, 0.5 * INCH],
          [`design.drives.${d.id}.propeller.pitch`, 0.5 * INCH],
          [`design.drives.${d.id}.motor.kv`, 20 * RPM_PER_VOLT],
        ]
      : [],
  );
  const electric: Pair[] = [
      ['pack:series', 1],
      ['pack:capacity', 100 * MAH],
      ...drives,
      ['design.flight.lapThrottle', 0.01],
      ['design.flight.reserve', 0.01],
    ],
    rubber: Pair[] = [
      ['design.power.rubber.strands', 2],
      ['design.power.rubber.length', 1e-2],
      ['design.power.rubber.wound', 0.01],
      ['design.power.rubber.propeller.pitch', 1e-2],
      ['design.power.rubber.propeller.diameter', 1e-2],
      ['design.power.rubber.trimCl', 0.02],
    ];
  return [...(p.unpowered && !lift ? [] : electric), ...(p.rubber ? rubber : [])];
}

/** Times and speeds of the missions that are scored by their legs. */
function legSteps({ brief }: DesignDocument): Pair[] {
  const asked = new Set(missionsAsked(brief));
  return brief.missions
    .filter((m) => asked.has(m.id))
    .flatMap((m) =>
      m.rounds.flatMap((r) =>
        r.legs.flatMap((l): Pair[] => {
          const at = `brief.missions.${m.id}.rounds.${r.id}.legs.${l.id}`;
          return [
            ...(l.time ? [[`${at}.time`, 1] as const] : []),
            ...(l.speed ? [[`${at}.speed`, 0.5] as const] : []),
          ];
        }),
      ),
    );
}

const CHOICES = ['part:propeller', 'part:motor', 'part:pack'];

/** Every input of this document that is worth a step, as its state is flown. */
export function candidatesOf(doc: DesignDocument, state: string): Candidate[] {
  const { design } = doc,
    carried = design.states.find((s) => s.id === state)?.count ?? 0;
  const pairs: Pair[] = [
    ...(carried > 0 ? [[`design.states.${state}.count`, 1] as const] : []),
    ...shapeSteps(doc),
    ...massSteps(doc),
    ...powerSteps(doc),
    ['design.flight.turnBank', DEG],
    ...design.dragItems.map((d): Pair => [`design.dragItems.${d.id}.dragArea`, 1e-4]),
    ...legSteps(doc),
    ...(hasWing(design)
      ? design.surfaces.filter((s) => s.role === 'wing').map((s): Pair => [`section:${s.id}`, 1])
      : []),
    ...CHOICES.map((c): Pair => [c, 1]),
  ];
  return pairs.flatMap(([id, step]) => {
    const lever = leverOf(doc, id);
    return lever && lever.value(doc) !== null && (lever.choices === null || lever.choices.length > 1)
      ? [{ lever, step }]
      : [];
  });
}
