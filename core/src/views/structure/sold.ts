/** Members that are sold, ranked for the place of one in this wing, with what a gram is worth. */
import { evaluate, runOf, type StepCache } from '../../assess';
import { hovers, type Design, type DesignDocument, type Item, type Member } from '../../design';
import { bearing, cases } from '../../steps';
import {
  extentOf,
  loadCases,
  memberMass,
  namedIn,
  rankSold,
  roomAt,
  soldOf,
  type Bearing,
  type Demand,
  type LoadCase,
  type Ranked,
  type SoldKind,
} from '../../structure';
import { isMirrored } from '../../surface';

export interface SoldReport {
  readonly member: string;
  readonly kind: SoldKind;
  readonly tried: number;
  /** those that do, lightest first, then the nearest */ readonly rows: readonly Ranked[];
  /** of the member that stands there now [kg] */ readonly mass: number;
  /** change of the best score by a gram more in the wing; null where nothing is scored */ readonly perGram:
    number | null;
}

/** Rows that are handed on: more than anybody reads. */
const SHOWN = 60;

/** The largest of all loads at every place, times the factor to failure. */
function demandOf(b: Bearing, loads: readonly LoadCase[], safety: number): Demand {
  const most = (of: (load: LoadCase['load'], p: number) => number) =>
    Float64Array.from(b.y, (_, p) => safety * Math.max(0, ...loads.map((c) => of(c.load, p))));
  return {
    y: b.y,
    up: most((l, p) => l.moment[p]),
    down: most((l, p) => -l.moment[p]),
    shear: most((l, p) => Math.abs(l.shear[p])),
    torque: most((l, p) => Math.abs(l.torque[p])),
  };
}

/** Ten grams in the wing, to see what they are worth. */
const MORE = 0.01;

function heavier(design: Design, x: number): Design {
  const item: Item = {
    id: 'ten-grams-more',
    name: 'Ten grams more',
    group: 'structure',
    planned: { kind: 'mass', mass: MORE },
    basis: 'guess',
    spread: 0,
    weighed: null,
    x,
    y: 0,
    z: 0,
    inWing: true,
    movable: null,
  };
  return { ...design, items: [...design.items, item] };
}

function perGram(doc: DesignDocument, member: Member, cache: StepCache): number | null {
  const score = (design: Design) =>
    evaluate({ ...doc, design }, [{ id: 'bestScore' }], cache)['bestScore@all'];
  const now = score(doc.design),
    x = memberMass(doc.design, member.id)?.x ?? 0,
    then = score(heavier(doc.design, x));
  return now === undefined || then === undefined || !(now > 0) ? null : (then - now) / (1000 * MORE);
}

/** @returns null where nothing bears, or no member is called so @throws DomainError where the design cannot be computed */
export function soldReport(
  doc: DesignDocument,
  memberId: string,
  kind: SoldKind,
  cache: StepCache,
): SoldReport | null {
  const { brief, design, calibration } = doc,
    run = runOf({ brief, design }, calibration, cache),
    b = run.maybe(bearing),
    member = b?.members.find((m) => m.member.id === memberId)?.member,
    surface = design.surfaces.find((s) => s.id === b?.surface);
  if (!b || !member || !surface) return null;
  const loads = design.states
      .filter((s) => !hovers(design, s))
      .flatMap((s) => {
        const of = run.of(cases, s.id);
        return of ? loadCases(of) : [];
      }),
    [from, to] = extentOf(member, b.tip),
    sold = soldOf(kind);
  const rows = rankSold(
    {
      bearing: b,
      member,
      from,
      to,
      room: Array.from(b.y, (y) => roomAt(design, member, y)),
      demand: demandOf(b, loads, design.structure.safetyFactor),
      named: namedIn(design),
      sides: isMirrored(surface) ? 2 : 1,
    },
    sold,
  );
  return {
    member: memberId,
    kind,
    tried: sold.length,
    rows: rows.slice(0, SHOWN),
    mass: memberMass(design, memberId)?.mass ?? 0,
    perGram: perGram(doc, member, cache),
  };
}
