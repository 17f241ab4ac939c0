/** What a search through the catalogue is asked. */
import { G0 } from '../../air';
import { powertrainOf, courseOf } from '../../design';
import { controllerItem, itemOfKind } from '../../mass';
import { type Drive, type MatchTask } from '../../power';
import { entryOf } from '../../assess';

import { type Scene } from './scene';
import { largestPropeller } from './electric';

/** What a match of parts is asked in this state: the airframe without its drive, and the brief's limits. */
export function matchTask(s: Scene, d: Drive): MatchTask {
  const { design, brief, state, f, ledger, air } = s;
  const out = new Set(
    [itemOfKind(design, 'motor'), itemOfKind(design, 'propeller'), controllerItem(design)].map((i) => i?.id),
  );
  const driveMass = state.points
    .filter((p) => {
      const i = design.items.find((x) => x.id === p.id);
      return i && (out.has(i.id) || i.group === 'battery');
    })
    .reduce((a, p) => a + p.mass, 0);
  const v = Math.max(s.speed, 1.1 * s.stall),
    L = state.mass * G0,
    parts = s.frame.parts(v, L),
    q = 0.5 * air.density * v * v;
  const limit = (id: string) =>
    brief.requirements.find((r) => r.quantity === id && r.op !== 'atLeast' && !r.wish)?.max ?? null;
  return {
    airframeMass: state.mass - driveMass,
    area: s.area,
    clMax: entryOf(ledger, 'clMax', s.loading.id)!.value,
    dragArea: (parts.parasite + parts.profile) / q,
    induced: (parts.induced * q) / L ** 2,
    density: air.density,
    soundSpeed: air.soundSpeed,
    gravity: G0,
    avionics: powertrainOf(design).avionicsCurrent,
    ...(powertrainOf(design).wire ? { wire: powertrainOf(design).wire } : {}),
    reserve: design.flight.reserve,
    factors: { thrust: f.thrust, electricalLoss: f.electricalLoss, capacity: f.capacity, torque: f.torque },
    strip: brief.site.stripLength,
    wind: brief.site.wind,
    friction: brief.site.rollingFriction,
    groundCl: design.flight.groundCl,
    liftOffFactor: design.flight.liftOffFactor,
    throttle: design.flight.lapThrottle,
    speed: Math.round(1.5 * s.stall),
    limits: {
      diameter: largestPropeller(s, d),
      current: limit('staticCurrent'),
      mass: limit('mass'),
      climb: 2,
      time: courseOf(brief)?.window ?? 0,
      margin: 0.15,
    },
  };
}
