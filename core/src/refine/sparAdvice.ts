/** A wing that is too weak: its first member thickened in small steps until every state stands what is asked. */
import { entryOf, type Ledger } from '../assess';
import { hovers, setPath, sparOf, type Design, type DesignDocument, type MemberShape } from '../design';
import { itemOfPart, partMass } from '../mass';
import { bearingOf } from '../structure';
import { say } from '../words';
import type { Advice } from './advice';

/** The size of a shape that makes it stronger, and what it is called. */
function sizeOf(shape: MemberShape): { key: string; name: string; step: number } {
  switch (shape.kind) {
    case 'tube':
    case 'rod':
      return { key: 'outer', name: 'diameter', step: 0.0005 };
    case 'strip':
    case 'square tube':
      return { key: 'height', name: 'depth', step: 0.0005 };
    case 'nose':
    case 'sandwich':
      return { key: 'skin', name: 'skin', step: 0.0001 };
    case 'print':
      return { key: 'wall', name: 'wall', step: 0.0002 };
    case 'sheet':
      return { key: 'thickness', name: 'thickness', step: 0.0005 };
    default:
      return { key: 'cap', name: 'caps', step: 0.0005 };
  }
}

/** Moment at which the root of the wing fails, pressed above [N m]; 0 where nothing bears. */
function rootMoment(design: Design): number {
  const found = bearingOf(design);
  if (found.status !== 'bears') return 0;
  const { strength, stiffness } = found.bearing.up;
  return Math.min(strength[0], stiffness[0]);
}

/** What the thicker spar weighs more, and who adds it. */
function sparWeight(design: Design, thicker: Design): { more: number; listed: boolean } {
  const more = partMass(thicker, { kind: 'spar' })! - partMass(design, { kind: 'spar' })!;
  return { more, listed: itemOfPart(design, 'spar') !== undefined };
}

/** Tried sizes, and a little to spare where the lift of a heavier wing differs. */
const TRIES = 40,
  SPARE = 1.03;

/** @returns null where the wing stands what is asked, or nothing bears */
export function sparAdvice(doc: DesignDocument, ledger: Ledger): Advice | null {
  const { design } = doc,
    need = design.structure.requiredLoadFactor * design.structure.safetyFactor,
    flying = design.states.filter((l) => !hovers(design, l)),
    least = Math.min(...flying.map((l) => entryOf(ledger, 'failLoadFactor', l.id)?.value ?? Infinity)),
    member = sparOf(design),
    before = rootMoment(design);
  if (least >= need || !member || !(before > 0)) return null;
  const { key, name, step } = sizeOf(member.shape),
    path = `structure.members.${member.id}.shape.${key}`,
    from = (member.shape as unknown as Record<string, number>)[key],
    because = say('too-weak', { at: least, needed: need });
  for (let k = 1; k <= TRIES; k++) {
    const to = from + k * step,
      trial = setPath(design, path, to),
      at = least * (rootMoment(trial) / before);
    if (!(at >= SPARE * need)) continue;
    const label = say('thicken', { member: member.name, size: name, from, to });
    return {
      id: 'spar',
      because,
      said: say('thickened-spar', { change: label, at, ...sparWeight(design, trial) }),
      fix: { label, changes: [{ path, value: to }] },
    };
  }
  return { id: 'spar', because, said: say('no-spar-enough', {}), fix: null };
}
