/**
 * Where the movable items must go, and failing that how much ballast.
 * All loadings are held inside the CG limits; the aim is the least distance moved, then the least added mass.
 */
import type { Design } from '../design';
import { loadedState, type MassState } from './ledger';

export interface Move { item: string; name: string; from: number; to: number }
export interface Ballast { mass: number; x: number; place: 'nose' | 'tail' }
export type BalanceProposal =
  | { status: 'inside'; moves: []; ballast: null; sentence: string }
  | { status: 'moved'; moves: Move[]; ballast: null; sentence: string }
  | { status: 'ballast'; moves: Move[]; ballast: Ballast; sentence: string }
  | { status: 'conflict'; moves: []; ballast: null; sentence: string };

/** CG limits [m], forward and aft, in design x. */
export interface CgLimits { forward: number; aft: number }

/** Shift of CG (positive aft) that puts every loading inside, nearest to zero; null when the spread is wider than the limits. */
function wantedShifts(states: readonly MassState[], limits: CgLimits): { lo: number; hi: number } {
  let lo = -Infinity, hi = Infinity;
  for (const s of states) {
    lo = Math.max(lo, (limits.forward - s.x) * s.mass);
    hi = Math.min(hi, (limits.aft - s.x) * s.mass);
  }
  return { lo, hi };
}

const mm = (m: number) => `${Math.abs(m * 1000).toFixed(0)} mm`;

/**
 * Moment shift [kg m] wanted lies between lo and hi; one item after another is moved, heaviest first.
 * @param inset stays this far inside the limits where it can, as a fraction of their width
 */
export function solveBalance(design: Design, limits: CgLimits, growth = 1, inset = 0.1): BalanceProposal {
  const states = design.loadings.map((l) => loadedState(design, l, 'best', growth));
  const inner = { forward: limits.forward + inset * (limits.aft - limits.forward), aft: limits.aft - inset * (limits.aft - limits.forward) };
  const now = wantedShifts(states, limits);
  if (now.lo > now.hi) return { status: 'conflict', moves: [], ballast: null, sentence: 'The loadings spread wider than the limits allow: bring the payload nearer to the CG, or lengthen the tail arm.' };
  if (now.lo <= 0 && now.hi >= 0) return { status: 'inside', moves: [], ballast: null, sentence: 'Every loading is inside the limits.' };
  const room = wantedShifts(states, inner);
  const target = room.lo <= room.hi ? room : now;
  let need = target.lo > 0 ? target.lo : target.hi;
  const moves: Move[] = [];
  const points = new Map(states[0].points.map((p) => [p.id, p.mass]));
  const movable = design.items.filter((i) => i.movable).sort((a, b) => points.get(b.id)! - points.get(a.id)!);
  for (const item of movable) {
    if (Math.abs(need) < 1e-7) break;
    const mass = points.get(item.id)!;
    if (!(mass > 0)) continue;
    const to = Math.min(item.movable!.to, Math.max(item.movable!.from, item.x + need / mass));
    if (Math.abs(to - item.x) < 1e-4) continue;
    moves.push({ item: item.id, name: item.name, from: item.x, to });
    need -= mass * (to - item.x);
  }
  const said = moves.map((m) => `Move the ${m.name.toLowerCase()} ${mm(m.to - m.from)} ${m.to > m.from ? 'aft' : 'forward'}`).join('; ');
  if (Math.abs(need) < 1e-7) return { status: 'moved', moves, ballast: null, sentence: `${said}.` };
  const place = need < 0 ? 'nose' : 'tail';
  const x = need < 0 ? design.body[0].x + 0.02 : design.body[design.body.length - 1].x - 0.02;
  const mid = states.reduce((a, s) => a + s.x, 0) / states.length;
  const mass = Math.abs(need / (x - mid));
  return { status: 'ballast', moves, ballast: { mass, x, place }, sentence: `${said ? `${said}, and add` : 'Nothing movable reaches: add'} ${(mass * 1000).toFixed(0)} g of ballast in the ${place}.` };
}

/** Where one item must sit for the CG of a loading to come to `cgX`; null when the item has no mass. */
export function placeForCg(design: Design, itemId: string, loadingId: string, cgX: number, growth = 1): number | null {
  const loading = design.loadings.find((l) => l.id === loadingId) ?? design.loadings[0];
  const state = loadedState(design, loading, 'best', growth);
  const point = state.points.find((p) => p.id === itemId);
  if (!point || !(point.mass > 0)) return null;
  return point.x + ((cgX - state.x) * state.mass) / point.mass;
}
