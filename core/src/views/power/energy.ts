/** Where the energy comes from: sun and packs. */
import { say, type Said } from '../../words';
import { type Design, powertrainOf } from '../../design';
import { itemMass } from '../../mass';
import { CHEMISTRY, joinPacks, operateForThrust, packOf, solarArray, solarDay } from '../../power';
import { entryOf } from '../../assess';
import { type Scene, slowSpeed } from './scene';
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
