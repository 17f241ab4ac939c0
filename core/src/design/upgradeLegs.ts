/**
 * 5 to 6: legs by the kinds that are flown. What was `ground` is a take-off, or a wait where it stood still; `cruise` is
 * straight for a time.
 */
import { isRaw, type Raw } from './upgradeShapes';

function newLeg(leg: unknown): unknown {
  if (!isRaw(leg)) return leg;
  if (leg.kind === 'ground') return { ...leg, kind: leg.speed === 0 ? 'wait' : 'takeOff' };
  if (leg.kind === 'cruise') return { ...leg, kind: 'straight' };
  return leg;
}

const each = (list: unknown, of: (row: Raw) => Raw): unknown =>
  Array.isArray(list) ? list.map((r) => (isRaw(r) ? of(r) : (r as unknown))) : list;

export function withFlownLegs(document: unknown): unknown {
  if (!isRaw(document)) return document;
  const { brief } = document;
  if (!isRaw(brief)) return { ...document, schemaVersion: 6 };
  const missions = each(brief.missions, (m) => ({
    ...m,
    rounds: each(m.rounds, (r) => ({
      ...r,
      legs: Array.isArray(r.legs) ? (r.legs as unknown[]).map(newLeg) : r.legs,
    })),
  }));
  return { ...document, schemaVersion: 6, brief: { ...brief, missions } };
}
