/** A flight on rubber. */
import { say, type Said } from '../../words';
import { powertrainOf } from '../../design';
import { dethermalizerTime, rubberMotor, thinned, type RubberMotor, type RubberRow } from '../../power';
import { flyRubber } from '../../steps';
import { rubberCase } from '../rubberCase';

import { type Scene } from './scene';

export interface RubberReport {
  motor: Omit<RubberMotor, 'torqueAt'>;
  curve: { turns: number; torque: number }[];
  rows: RubberRow[];
  time: number;
  peak: number;
  motorRun: number | null;
  turnsLeft: number;
  launchOmega: number;
  meanOmega: number;
  touched: number | null;
  end: string;
  /** [s]; null without wind or field */ dethermalizer: number | null;
  remarks: Said[];
}

export function rubberPart(s: Scene): RubberReport {
  const r = powertrainOf(s.design).rubber!,
    flight = flyRubber(rubberCase(s.run, s.loading.id, r));
  const { torqueAt, ...motor } = rubberMotor(r);
  const remarks: Said[] = [say('share-of-rubber', { share: motor.mass / s.state.mass })];
  if (r.wound > 0.95) remarks.push(say('wound-hard', {}));
  if (!r.lubricated) remarks.push(say('dry-rubber', {}));
  return {
    motor,
    curve: Array.from({ length: 41 }, (_, i) => {
      const turns = (motor.breakTurns * i) / 40;
      return { turns, torque: torqueAt(turns) };
    }),
    rows: thinned(flight),
    time: flight.time,
    peak: flight.peak,
    motorRun: flight.motorRun,
    turnsLeft: flight.turnsLeft,
    launchOmega: flight.launchOmega,
    meanOmega: flight.meanOmega,
    touched: flight.touched,
    end: flight.end,
    dethermalizer: r.field !== null ? dethermalizerTime(r.field, s.brief.site.wind, 0.7 * flight.peak) : null,
    remarks,
  };
}
