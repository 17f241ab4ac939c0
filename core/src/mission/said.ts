/** What a flight has to say: what ends it, what would next, what does not fit, what was never flown. */
import type { Mission } from '../design';
import { say, type Said } from '../words';
import type { Flight, FlownLeg } from './flight';
import { ON_GROUND } from './legs';

/** Something that lasts, and a leg that has room for it or not. */
export function saidOfLeg({ leg, time, speed, done: { room } }: FlownLeg): Said[] {
  if (!room) return [];
  const { needs, has } = room;
  if (room.of === 'leg') {
    const fields = { leg: leg.name, seconds: time, speed, needs, has };
    return [needs > has ? say('leg-too-short', fields) : say('leg-fits', fields)];
  }
  if (room.of === 'spot' && has < needs)
    return [say('glide-short', { leg: leg.name, reaches: has, spot: needs })];
  return [];
}

export function endingSaid(mission: Mission, f: Flight): Said {
  const { by, leg, counted } = f.ending;
  if (leg !== null) {
    const name = f.legs.find((l) => l.leg.id === leg)?.leg.name ?? leg;
    return say('mission-stops', { by, leg: name });
  }
  if (counted) {
    const name = mission.rounds.find((r) => r.times === null)?.name ?? '';
    return say('mission-counted', { by, rounds: f.rounds, name });
  }
  return say('mission-done', { left: f.charge > 0 ? 1 - f.share : null, seconds: f.time });
}

/** On the ground nothing has to be flown first. */
const proven = ({ leg, energy }: FlownLeg) => leg.flown || energy === 0 || ON_GROUND.has(leg.kind);

/** Legs that nobody has flown with this aircraft, told where there are such. */
export function unflownSaid(f: Flight): Said[] {
  const legs = [...new Set(f.legs.slice(0, f.reached).flatMap((l) => (proven(l) ? [] : [l.leg.name])))];
  return legs.length > 0 && f.unproven > 0 ? [say('mission-unflown', { legs, share: f.unproven })] : [];
}

/** The leg that comes nearest to a limit, where nothing ends the mission before its end. */
export function tightestSaid(f: Flight): Said[] {
  if (f.ending.leg !== null || !f.margin || f.ending.next?.by === f.margin.of) return [];
  const at = f.legs.slice(0, f.reached).find((l) => l.margin === f.margin),
    { of, ratio } = f.margin;
  return at ? [say('mission-tightest', { leg: at.leg.name, of, ratio })] : [];
}
