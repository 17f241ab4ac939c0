/** A drum that lets a line out and takes it in: V = pi D n / gear. Elementary kinematics. */
import { requirePositive } from '../numeric';

export interface Drum {
  /** diameter [m] */ readonly drum: number;
  /** of the motor [rad/s] */ readonly rotation: number;
  /** motor turns for one of the drum */ readonly gear?: number | undefined;
}

/** Speed of the line [m/s]. @throws DomainError `out-of-range` for a drum or gear that is not above 0 */
export function lineSpeed({ drum, rotation, gear = 1 }: Drum): number {
  requirePositive('diameter of the drum', drum, 'm');
  requirePositive('gear ratio', gear);
  return ((drum / 2) * rotation) / gear;
}

/** Slips that a stated speed may rest on: how many times the drum's own it then is. */
export type Slip = 'ten' | 'hundred' | 'minute' | 'radius' | 'gear';

/** Within this a ratio is taken for that of a slip. */
const CLOSE = 0.12;
/** Further apart than this two figures disagree. */
const AGREE = 0.1;

/** @returns why they may differ; null where they agree, 'unknown' where no usual slip explains it */
export function slipOf(stated: number, computed: number, gear = 1): Slip | 'unknown' | null {
  const ratio = stated / computed,
    near = (r: number) => Math.abs(Math.log(ratio / r)) < CLOSE,
    either = (r: number) => near(r) || near(1 / r);
  if (Math.abs(ratio - 1) <= AGREE) return null;
  if (gear !== 1 && either(gear)) return 'gear';
  if (either(10)) return 'ten';
  if (either(100) || either(1000)) return 'hundred';
  if (either(60)) return 'minute';
  if (either(2)) return 'radius';
  return 'unknown';
}

/** Way over the ground that something takes which lasts [m]: seconds times speed. */
export const roomFor = (seconds: number, speed: number): number => seconds * speed;
