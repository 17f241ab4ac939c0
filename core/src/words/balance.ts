/** Words of mass and balance. */
import { lower, othersToo, type AnySaid, type Speech } from './speech';

type MoveFields = { name: string; by: number; across: boolean };

function move(m: MoveFields, s: Speech): string {
  const way = m.by > 0 ? 'aft' : 'forward';
  return `Move the ${lower(m.name)} ${s.q(Math.abs(m.by), 'length', 0)} ${way}${m.across ? ', turned across' : ''}`;
}
const moves = (list: readonly MoveFields[], s: Speech) => list.map((m) => move(m, s)).join('; ');

const FAULTS = { unstable: 'is unstable', 'tail-heavy': 'is tail-heavy', 'nose-heavy': 'is nose-heavy' };

export const BALANCE_WORDS = {
  'balance-inside': (_: object) => 'Every state is inside the limits.',
  'balance-spread': (_: object) =>
    'The states spread wider than the limits allow: bring the payload nearer to the CG, or lengthen the tail arm.',
  'balance-moves': (f: { moves: readonly MoveFields[] }, s: Speech) => `${moves(f.moves, s)}.`,
  /** as it stands on a button */
  'balance-moves-label': (f: { moves: readonly MoveFields[] }, s: Speech) => moves(f.moves, s),
  'balance-ballast': (
    f: { moves: readonly MoveFields[]; mass: number; resolution: number; place: 'nose' | 'tail' },
    s: Speech,
  ) => {
    const first = f.moves.length ? `${moves(f.moves, s)}, and add` : 'Nothing movable reaches: add';
    return `${first} ${s.grams(f.mass, f.resolution)} of ballast in the ${f.place}.`;
  },
  'margin-outside': (
    f: {
      state: string;
      fault: keyof typeof FAULTS;
      others: number;
      margin: number;
      least: number;
      most: number;
      advice: AnySaid | null;
    },
    s: Speech,
  ) => {
    const wanted = `${(f.least * 100).toFixed(0)} to ${(f.most * 100).toFixed(0)} %`;
    return `${f.state} ${FAULTS[f.fault]}${othersToo(f.others)}: static margin ${s.q(f.margin, 'chordPercent', 1)}, wanted ${wanted}.${s.also(f.advice)}`;
  },
  'no-rotors': (f: { state: string; way: string }) =>
    `${f.state} ${f.way} on rotors, and none are described: another way, or the lift motors?`,
  weathercocks: (f: { state: string; stiffness: number }) =>
    `${f.state} hardly weathercocks (Cnβ ${f.stiffness.toFixed(3)} per rad, the weakest state): more fin, or a longer tail.`,
  'typed-parts': (f: { names: readonly string[] }) =>
    `${f.names.join(', ')}: typed ${f.names.length === 1 ? 'as a mass' : 'as masses'}, so that another part changes no weight.`,
  'follow-parts': (_: object) => 'Let them follow their parts',
  'off-the-scale': (f: { state: string; listed: number; scale: number; resolution: number }, s: Speech) => {
    const off = f.scale - f.listed,
      grams = (m: number) => s.grams(m, f.resolution);
    const gone = off > 0 ? 'is missing from the list' : 'is listed twice or has gone';
    return `The parts add up to ${grams(f.listed)} in ${f.state}, the scale says ${grams(f.scale)}: ${grams(Math.abs(off))} ${gone}.`;
  },
};
