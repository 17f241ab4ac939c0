/** Where the energy comes from and where it goes: sun, packs, the legs of a flight. */
import { say, type Said } from '../../words';
import { G0 } from '../../air';
import { type Design, powertrainOf, timedLegs, type TimedLeg } from '../../design';
import { itemMass } from '../../mass';
import { phasePlan, type PhasePlan } from '../../mission';
import {
  CHEMISTRY,
  joinPacks,
  MEAN_SOC,
  operate,
  operateForThrust,
  packOf,
  packVolts,
  solarArray,
  solarDay,
  type Drive,
} from '../../power';
import { airframe, corridor } from '../../steps';
import { entryOf } from '../../assess';

import { type Scene } from './scene';
import { slowSpeed } from './scene';
import { type PowerReport } from './report';

export function solarPart(s: Scene): PowerReport['solar'] {
  const { solar } = powertrainOf(s.design);
  if (!solar) return null;
  const load = s.drive ? operateForThrust(s.drive, s.drag(slowSpeed(s)), slowSpeed(s)).power : 0;
  const usable =
    entryOf(s.ledger, 'usableEnergy', 'all')?.value ??
    packOf(powertrainOf(s.design).battery).energy * powertrainOf(s.design).battery.usable;
  return { array: solarArray(solar), day: solarDay(solar, load, usable, s.air.temperature), load };
}

export function packRemarks(design: Design): Said[] {
  const { battery, second } = powertrainOf(design),
    a = packOf(battery);
  const listed = design.items
      .filter((i) => i.group === 'battery')
      .reduce((m, i) => m + itemMass(i, design), 0),
    usual = a.mass + (second ? packOf(second.battery).mass : 0);
  const { series, nominal, full, least } = a,
    out = [
      say('pack-volts', { series, parallel: battery.parallel, nominal, full, least }),
      say('pack-weighs', {
        several: second !== undefined,
        usual,
        listed,
        care: CHEMISTRY[a.chemistry].care,
      }),
    ];
  if (!second) return out;
  const pair = joinPacks(a, packOf(second.battery), second.joined);
  return pair.status === 'unsafe'
    ? [...out, pair.said]
    : [
        ...out,
        say('packs-together', {
          cells: pair.pack.cells,
          charge: pair.pack.charge,
          volts: pair.pack.nominal,
          how: second.joined,
        }),
        ...pair.remarks,
      ];
}

export function phasesPart(s: Scene): PhasePlan | null {
  const { brief, design, ledger, drive } = s,
    phases = timedLegs(brief);
  if (!phases.length) return null;
  const usable = entryOf(ledger, 'usableEnergy', 'all')?.value ?? 0;
  return phasePlan(
    phases.map((p) => ({
      id: p.id,
      name: p.name,
      kind: p.kind,
      time: p.time,
      flown: p.flown ?? false,
      power: phasePower(s, p, drive),
    })),
    usable,
    design.flight.reserve,
  );
}

/** Pack power of a phase [W]; null when the drive cannot hold it. */
function phasePower(s: Scene, p: TimedLeg, drive: Drive | null): number | null {
  const { design, ledger } = s,
    l = design.states.find((x) => x.id === p.state)!,
    frame = s.run.of(airframe, l.id),
    weight = frame.mass * G0;
  const rest = drive ? drive.avionics * packVolts(drive, MEAN_SOC) : 0,
    stall = entryOf(ledger, 'stallSpeed', l.id)!.value;
  const held = (d: Drive, thrust: number, v: number) => {
    const o = operateForThrust(d, thrust, v);
    return o.duty <= 1 ? o.power : null;
  };
  if (p.kind === 'glide') return rest;
  if (p.kind === 'hover' || p.kind === 'drop') {
    if (s.lift) return held(s.lift, weight, 0);
    if (p.kind === 'hover') return null;
  }
  if (p.kind === 'transition' && s.lift && drive) {
    const change = s.run.maybe(corridor, l.id)?.change;
    return change?.done ? change.energy / change.time : null;
  }
  if (!drive) return null;
  if (p.kind === 'climb') return operate(drive, 1, p.speed ?? 1.35 * stall).power;
  if (p.kind === 'ground') return p.speed === 0 ? rest : operate(drive, 1, p.speed ?? 0.7 * stall).power;
  const v = p.speed ?? entryOf(ledger, 'lapSpeed', l.id)!.value;
  return held(drive, frame.drag(v), v);
}
