/** What hangs on rotors: CG beside what they hold, one of them worked too hard, wind beyond what is held. */
import { hovers, leavingOf, liftingPlaces, returningOf, type Design, type Item, type State } from '../design';
import { hoverShare } from '../layout';
import { itemMass } from '../mass';
import { say } from '../words';
import { entryOf, type AddFinding, type Fix, type Ledger } from './ledger';

const hangs = (d: Design, s: State) =>
  hovers(d, s) || leavingOf(d, s) === 'hover' || returningOf(d, s) === 'hover';

/** An item inside its range that takes the CG back [m]; null where none reaches. */
function mover(design: Design, mass: number, off: number): { item: Item; index: number; to: number } | null {
  const found = design.items.flatMap((item, index) => {
    const own = itemMass(item, design),
      to = item.x - (off * mass) / own;
    const reaches = item.movable && own > 0 && to >= item.movable.from && to <= item.movable.to;
    return reaches ? [{ item, index, to: Math.round(to * 1000) / 1000 }] : [];
  });
  return found.reduce<(typeof found)[number] | null>(
    (a, b) => (a && Math.abs(a.to - a.item.x) <= Math.abs(b.to - b.item.x) ? a : b),
    null,
  );
}

/** Two shafts, or rotors on one line, hold a CG on that line alone. */
function besideRotors(design: Design, ledger: Ledger, state: State, add: AddFinding): boolean {
  const places = liftingPlaces(design).map((p) => ({ ...p, most: 1 })),
    mass = entryOf(ledger, 'mass', state.id)?.value,
    x = entryOf(ledger, 'cgX', state.id)?.value;
  if (mass === undefined || x === undefined) return false;
  const share = hoverShare(places, { mass, x, y: 0 });
  if (!share?.beside || Math.abs(share.beside.x) < 1e-3) return false;
  const off = share.beside.x,
    moved = mover(design, mass, off);
  const said = say('cg-beside-rotors', {
    state: state.name,
    rotors: places.length,
    off,
    mass,
    moved: moved && { item: moved.item.name, by: moved.to - moved.item.x },
  });
  const fix: Fix | null = moved && {
    label: say('move-under-rotors', { item: moved.item.name, by: moved.to - moved.item.x }),
    changes: [{ path: `design.items.${moved.index}.x`, value: moved.to }],
  };
  add('balance', 'stop', state.id, said, fix);
  return true;
}

/** A rotor asked for more than this share of its thrust leaves nothing to steer with. Common practice, no source. */
const MOST_LOAD = 0.75;

export function rotorFindings(design: Design, ledger: Ledger, add: AddFinding): void {
  const hanging = design.states.filter((s) => hangs(design, s));
  // one sentence for the first state of one kind of trouble
  for (const s of hanging) if (besideRotors(design, ledger, s, add)) break;
  const worked = hanging.flatMap((s) => {
    const load = entryOf(ledger, 'rotorLoad', s.id)?.value ?? 0;
    return load > MOST_LOAD ? [{ s, load }] : [];
  });
  const worst = worked.reduce<(typeof worked)[number] | null>(
    (a, b) => (a && a.load >= b.load ? a : b),
    null,
  );
  if (worst)
    add(
      'power',
      worst.load >= 1 ? 'stop' : 'look',
      worst.s.id,
      say('rotor-worked-hard', { state: worst.s.name, load: worst.load, most: MOST_LOAD }),
    );
  const short = hanging.find((s) => (entryOf(ledger, 'windMargin', s.id)?.value ?? 0) < 0);
  if (short)
    add(
      'flight',
      'look',
      short.id,
      say('wind-not-held', {
        state: short.name,
        held: entryOf(ledger, 'rotorTopSpeed', short.id)!.value,
        short: -entryOf(ledger, 'windMargin', short.id)!.value,
      }),
    );
}
