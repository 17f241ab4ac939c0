/** What flies a mission: one state as far as its legs ask, and the packs it draws on. SI, radians. */
import type { Drawn, ThermalMass } from '../power';

export type StoreId = 'drive' | 'lift';

/** Something that draws on a pack steadily. */
export interface Draw {
  readonly from: StoreId;
  /** @param soc of that pack, 0 to 1 */ at(soc: number): Drawn;
  /** through one motor [A]; 0 with the motors off */ readonly motorCurrent: number;
  /** of one motor, and the air past it [W, m/s] */ readonly copper: number;
  readonly iron: number;
  readonly stream: number;
}

/** A way of leaving or coming back. */
export interface Away {
  readonly seconds: number;
  /** over the ground [m] */ readonly way: number;
  /** there is so much room [m]; null where none is needed */ readonly room: number | null;
  /** airspeed as it is flying, or before it comes down */ readonly speed: number;
  readonly done: boolean;
}

export interface Climbing {
  readonly speed: number;
  /** [m/s] */ rate(soc: number): number;
  readonly draw: Draw;
}

/** Flight on what was wound up: how high it is by time. */
export interface FreeFlight {
  readonly seconds: number;
  height(time: number): number;
  /** highest, and when */ readonly peak: number;
  readonly peakTime: number;
}

export interface Craft {
  readonly state: string;
  readonly mass: number;
  readonly cgX: number;
  /** [chord]; null without a wing */ readonly staticMargin: number | null;
  /** units of payload aboard */ readonly units: number;
  readonly hangs: boolean;
  /** a motor pulls it, or lifts it */ readonly powered: boolean;
  /** level [m/s]; 0 where it hangs */ readonly stall: number;
  /** load factor that its structure may bear; null where nobody knows */ readonly strength: number | null;
  /** airspeeds of its own: on a course, and to stay up long */ readonly own: number;
  readonly loiter: number;
  readonly bank: number;
  readonly glide: { readonly speed: number; sink(speed: number, load: number): number } | null;
  /** level; null where nothing pulls it @param more drag beyond its own [N] */
  level(speed: number, load: number, more?: number): Draw | null;
  /** drag of the whole [N] */ drag(speed: number, load: number): number;
  /** on rotors, still or level; null where none lift it, or not so fast */ hold(speed: number): Draw | null;
  /** straight up on rotors */ rise(rate: number): Draw | null;
  /** null: it climbs by no motor, or not on a wing */ climb(speed: number | null): Climbing | null;
  /** motors off */ readonly rest: Draw;
  readonly free: FreeFlight | null;
  readonly takeOff: Away | null;
  readonly landing: Away | null;
  /** full throttle as it leaves */ leaving(): Draw;
  /** from rotors to wing or back */ readonly change: Away | null;
  readonly changing: Draw | null;
  /** the same with so many units gone */ without(units: number): Craft;
}

export interface Store {
  /** pack that it is, where several drives share one */ readonly bank: StoreId;
  /** all of it, and what may be used [A s] */ readonly full: number;
  readonly usable: number;
  /** least volts under load */ readonly least: number;
  /** [A] */ readonly pack: number;
  readonly motor: number;
  readonly controller: number;
  /** of one motor; null where nothing turns */ readonly heat: ThermalMass | null;
  /** winding limit [K] */ readonly hottest: number;
}
