/** What claims are held against. */
import { G0 } from '../../air';
import { powertrainOf } from '../../design';
import { loadedState } from '../../mass';
import { discArea, hoverPoint, operateForThrust, packInUse } from '../../power';
import { claimQuestions } from './claims';
import { type QuantityId } from '../../steps';
import { entryOf } from '../../assess';

import { type Scene } from './scene';

type Claimed = Pick<Scene, 'design' | 'ledger' | 'drive' | 'lift' | 'air' | 'state' | 'speed' | 'drag'>;

export function claimContext(s: Claimed): Parameters<typeof claimQuestions>[1] {
  const { design, ledger, drive, lift } = s,
    value = (id: QuantityId) => entryOf(ledger, id, 'all');
  const still = value('staticThrust');
  const masses = design.states
    .map((l) => loadedState(design, l, 'best', 1))
    .map((m, i) => m.mass - design.states[i].count * design.payload.unitMass);
  return {
    density: s.air.density,
    emptyMass: Math.min(...masses),
    discArea: lift ? discArea(lift) : null,
    still:
      drive && still
        ? {
            thrust: still.value,
            thrustSigma: still.sigma,
            current: value('staticCurrent')!.value,
            currentSigma: value('staticCurrent')!.sigma,
            omega: value('staticRpm')!.value,
          }
        : null,
    pitch: powertrainOf(design).propeller.pitch,
    packCurrent: packInUse(powertrainOf(design)).maxCurrent,
    packEnergy: value('usableEnergy')?.value ?? 0,
    cruisePower: drive ? operateForThrust(drive, s.drag(s.speed), s.speed).power : null,
    hoverPower: lift ? hoverPoint(lift, s.state.mass, G0, 'duty', 0).electric : null,
  };
}
