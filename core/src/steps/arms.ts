/** Arms, booms, legs and mounts: what the state asks of each, and the one that is worst off. */
import { liftingCount, type Design } from '../design';
import { armVerdict, namedIn, type ArmVerdict } from '../structure';
import { planformOf } from '../surface';
import { say, type Said } from '../words';
import { air } from './air';
import { balance } from './balance';
import { hover } from './hover';
import { quantitiesOf, part } from './quantity';
import { fastest } from './spanLoads';
import { G0 } from '../air';
import { step, type Source } from './step';

function armsIn({ design }: Source) {
  const { arms = [], materials, requiredLoadFactor } = design.structure;
  return {
    arms,
    materials,
    up: requiredLoadFactor,
    areas: Object.fromEntries(design.surfaces.map((s) => [s.id, planformOf(s).area])),
    rotors: liftingCount(design),
  };
}

interface Arms {
  readonly all: readonly ArmVerdict[];
  readonly worst: ArmVerdict | null;
}

export const arms = step({
  id: 'arms',
  scope: 'state',
  needs: { air, balance, hover },
  wants: { fastest },
  causes: ['strength', 'stiffness'],
  slice: armsIn,
  run: (
    { air, balance: { state }, fastest, hover },
    { arms, materials, up, areas, rotors },
    f,
  ): Arms | null => {
    if (arms.length === 0) return null;
    const named = namedIn({ structure: { materials } as Design['structure'] }),
      asked = {
        mass: state.mass,
        thrust: hover && rotors > 0 ? (hover.thrustToWeight * state.mass * G0) / rotors : null,
        // without a wing no tail is loaded
        q: fastest ? 0.5 * air.density * fastest.speed ** 2 : 0,
        up,
        areas,
      };
    const all = arms.flatMap((a) => armVerdict(a, asked, named, f) ?? []);
    return { all, worst: all.reduce<ArmVerdict | null>((w, a) => (!w || a.factor < w.factor ? a : w), null) };
  },
});

/** Which one it is, and how it lets go. */
function worstOff(r: Arms | null): Said[] {
  const worst = r?.worst;
  if (!worst?.first) return [];
  return [say('fails-first', { ...worst.first, member: worst.name, of: null })];
}

const ARMS = quantitiesOf(arms, {
  armFactor: {
    name: 'Times arms and legs are borne',
    kind: 'ratio',
    station: 'structure',
    formula: 'least of what an arm stands at its end over what loads it there',
    method:
      'Cantilevers (Gere, Mechanics of Materials; impact, 2.8); every way of failing, the lowest counts',
    better: 'more',
    read: (r) => r?.worst?.factor,
    remarks: worstOff,
  },
});

export const ARMS_PART = part([arms], ARMS);
