/** What of the wing's structure fails first, in which case, at how many g. */
import {
  CASES,
  bentDihedral,
  deflected,
  eachCase,
  loadCases,
  verdictOf,
  type CaseId,
  type Learnt,
  type Verdict,
} from '../structure';
import { say, type Said } from '../words';
import { curvesOf, quantitiesOf, part, remark } from './quantity';
import { bearing, cases } from './spanLoads';
import { NOTHING, step, type Source } from './step';

const BEAM =
  'Beam under the lattice’s lift, capped by each section’s limit, less the wing’s own mass; members share by stiffness ' +
  '(Gere, Mechanics of Materials); every way of failing, the lowest counts';

interface Strength {
  /** [N m] */ readonly up: number;
  readonly down: number;
}

const strength = step({
  id: 'strength at the root',
  scope: 'all',
  needs: { bearing },
  causes: ['strength', 'stiffness'],
  slice: NOTHING,
  run: ({ bearing }, _, f): Strength | null =>
    bearing && {
      up: Math.min(bearing.up.strength[0] * f.strength, bearing.up.stiffness[0] * f.stiffness),
      down: Math.min(bearing.down.strength[0] * f.strength, bearing.down.stiffness[0] * f.stiffness),
    },
});

const stiffness = step({
  id: 'stiffness at the root',
  scope: 'all',
  needs: { bearing },
  causes: ['stiffness'],
  slice: NOTHING,
  run: ({ bearing }, _, f): { EI: number; GJ: number } | null =>
    bearing && { EI: bearing.EI[0] * f.stiffness, GJ: bearing.GJ[0] * f.stiffness },
});

export interface CaseVerdict extends Verdict {
  readonly id: CaseId;
  /** load factor of the case */ readonly n: number;
  /** [m/s] */ readonly speed: number;
}

interface Verdicts {
  readonly cases: readonly CaseVerdict[];
  /** cases that break at the lowest load factor, up and down */ readonly up: CaseVerdict;
  readonly down: CaseVerdict;
}

/** Load factor at which a case breaks. */
const breaksAt = (c: CaseVerdict): number => Math.abs(c.n) * c.factor;

const failing = (all: readonly CaseVerdict[], ids: readonly CaseId[]): CaseVerdict =>
  all.filter((c) => ids.includes(c.id)).reduce((a, c) => (breaksAt(c) < breaksAt(a) ? c : a));

/** What nothing loads is borne any number of times: no number. */
const finite = (x: number | undefined) => (x !== undefined && Number.isFinite(x) ? x : undefined);

/** Who lets go, how and where. */
function firstToFail({ id, weak, y }: CaseVerdict, { design }: Source): Said[] {
  if (!weak) return y > 0 || !design.structure.members.length ? [] : [say('nothing-bears', { y })];
  const member = design.structure.members.find((m) => m.id === weak.member)?.name ?? weak.member;
  return [say('fails-first', { ...weak, member, y, of: id })];
}

export const verdicts = step({
  id: 'structure',
  scope: 'state',
  needs: { bearing, cases },
  causes: ['strength', 'stiffness'],
  slice: NOTHING,
  run: ({ bearing, cases }, _, f): Verdicts | null => {
    if (!bearing || !cases) return null;
    const learnt: Learnt = { strength: f.strength, stiffness: f.stiffness };
    const all: CaseVerdict[] = [];
    eachCase(cases, ({ id, n, speed, load }) =>
      all.push({ id, n, speed, ...verdictOf(bearing, load, learnt) }),
    );
    return {
      cases: all,
      up: failing(all, ['pull', 'fast-pull']),
      down: failing(all, ['push', 'fast-push']),
    };
  },
});

interface Bent {
  /** at load factor 1 */ readonly y: number[];
  readonly moment: number[];
  readonly deflection: number[];
}

/** The wing at load factor 1, as it is pulled at the stall. */
export const bent = step({
  id: 'bending at 1 g',
  scope: 'state',
  needs: { bearing, cases },
  causes: ['stiffness'],
  slice: NOTHING,
  run: ({ bearing, cases }, _, f): Bent | null => {
    if (!bearing || !cases) return null;
    const [pull] = loadCases(cases, ['pull']),
      moment = pull.load.moment.map((m) => m / pull.n),
      curvature = moment.map((m, p) => (bearing.EI[p] > 0 ? m / (bearing.EI[p] * f.stiffness) : 0));
    return {
      y: [...bearing.y],
      moment: [...moment],
      deflection: [...deflected(bearing.y, curvature)],
    };
  },
});

/** Bending is spoken of from here on [rad]. */
const TELLING_BEND = (3 * Math.PI) / 180;

interface Envelope {
  readonly allowed: number;
  /** null where nobody says how fast it is flown */ readonly pull: number | null;
  readonly gust: number;
  readonly safeSpeed: number;
  readonly fastest: number;
}

/** What the diagram of load factor over speed says in numbers. */
export const envelope = step({
  id: 'safe pull',
  scope: 'state',
  needs: { cases, verdicts },
  slice: ({ design }) => ({ safety: design.structure.safetyFactor }),
  run: ({ cases, verdicts }, { safety }): Envelope | null => {
    if (!cases || !verdicts) return null;
    const allowed = breaksAt(verdicts.up) / safety;
    return {
      allowed,
      pull: cases.assumed ? null : cases.airAllows,
      gust: verdicts.cases.find((c) => c.id === 'gust-up')!.n,
      safeSpeed: cases.stall * Math.sqrt(allowed),
      fastest: cases.fastest,
    };
  },
});

const STRUCTURE = {
  ...quantitiesOf(strength, {
    sparMoment: {
      name: 'Moment at failure, root',
      kind: 'moment',
      station: 'structure',
      formula: 'lowest of all members and ways over its share of the moment',
      method: 'Transformed section (Gere, 6.3); walls and caps by NACA TN 3781 and NASA SP-8007',
      better: 'more',
      read: (r) => r?.up,
    },
  }),
  ...quantitiesOf(stiffness, {
    sparStiffness: {
      name: 'Bending stiffness, root',
      kind: 'bendingStiffness',
      station: 'structure',
      formula: 'sum of E · I of all members',
      method: 'Transformed section (Gere, 6.3)',
      better: 'more',
      read: (r) => r?.EI,
    },
  }),
  ...quantitiesOf(verdicts, {
    failLoadFactor: {
      name: 'Load factor at failure',
      kind: 'loadFactor',
      station: 'structure',
      formula:
        'least load factor of a pull, at the stall or at the fastest, at which any place or way fails; {sparMoment}',
      method: BEAM,
      better: 'more',
      read: (r) => (r ? breaksAt(r.up) : undefined),
      remarks: (r, source) => (r ? firstToFail(r.up, source) : []),
    },
    failLoadFactorDown: {
      name: 'Load factor at failure, downward',
      kind: 'loadFactor',
      station: 'structure',
      formula: 'the same of a push',
      method: BEAM,
      better: 'more',
      read: (r) => (r ? breaksAt(r.down) : undefined),
      remarks: (r, source) => (r ? firstToFail(r.down, source) : []),
    },
    caseLoad: {
      name: 'Load factor of the case',
      kind: 'loadFactor',
      station: 'structure',
      formula: 'asked, or of the gust at the fastest: 1 ± K · ρ · V · U · a / (2 · W/S)',
      method: '14 CFR 23.333, 23.341, 23.349 (from memory), gust of the site',
      cases: CASES,
      read: (r, of) => r?.cases.find((c) => c.id === of)?.n,
    },
    caseFactor: {
      name: 'Times the case is borne',
      kind: 'ratio',
      station: 'structure',
      formula: 'least of limit / load over all places and ways',
      method: BEAM,
      better: 'more',
      cases: CASES,
      read: (r, of) => finite(r?.cases.find((c) => c.id === of)?.factor),
    },
  }),
  ...quantitiesOf(envelope, {
    allowedLoadFactor: {
      name: 'Allowed load factor',
      kind: 'loadFactor',
      station: 'structure',
      formula: '{failLoadFactor} / safety factor',
      method: BEAM,
      better: 'more',
      read: (r) => r?.allowed,
    },
    pullLoadFactor: {
      name: 'Load factor of a full pull, fastest',
      kind: 'loadFactor',
      station: 'structure',
      formula: '(fastest / {stallSpeed})²',
      method: 'What the air gives at the largest lift coefficient',
      read: (r) => r?.pull ?? undefined,
    },
    gustLoadFactor: {
      name: 'Load factor of a gust, fastest',
      kind: 'loadFactor',
      station: 'structure',
      formula: '1 + K · ρ · V · U · a / (2 · {mass} · g / {wingArea})',
      method: '14 CFR 23.341 (from memory), gust of the site',
      better: 'less',
      read: (r) => r?.gust,
      remarks: (r) => remark(r?.pull === null, 'fastest-assumed', {}),
    },
    safePullSpeed: {
      name: 'Fastest for a full pull',
      kind: 'speed',
      station: 'structure',
      formula: '{stallSpeed} · √ {allowedLoadFactor}',
      method: 'Stall line at the allowed load factor',
      better: 'more',
      read: (r) => r?.safeSpeed,
    },
  }),
  ...quantitiesOf(bent, {
    tipDeflection: {
      name: 'Tip deflection at 1 g',
      kind: 'length',
      station: 'structure',
      formula: '∬ M / EI from the root; {sparStiffness} there',
      method: BEAM,
      better: 'less',
      read: (r) => r?.deflection[r.deflection.length - 1],
    },
    bendDihedral: {
      name: 'Dihedral that bending adds at 1 g',
      kind: 'angle',
      station: 'structure',
      formula: 'mean slope of the bent wing, weighted by the distance out; {tipDeflection} at the tip',
      method: 'Strip theory: roll by sideslip goes with slope times arm',
      read: (r) => (r ? bentDihedral(r.y, r.deflection) : undefined),
      remarks: (r) =>
        remark(r !== null && bentDihedral(r.y, r.deflection) > TELLING_BEND, 'bends-dihedral', {}),
    },
  }),
};

const STRUCTURE_CURVES = curvesOf(bent, {
  sparMoment: { xKind: 'length', yKind: 'moment', read: (r) => r && { x: r.y, y: r.moment } },
  sparDeflection: { xKind: 'length', yKind: 'length', read: (r) => r && { x: r.y, y: r.deflection } },
});

export const STRUCTURE_PART = part(
  [strength, stiffness, verdicts, envelope, bent],
  STRUCTURE,
  STRUCTURE_CURVES,
);
