/** A mission as it was flown, and what it is flown with. SI; angles in radians. */
import type { Leg } from '../design';
import type { Craft, Store, StoreId } from './craft';
import type { Ending } from './ending';
import type { Done, Place, Stretch } from './stretch';
import type { Margin } from './margins';

export interface Crew extends Place {
  /** in a state by its id */ craft(state: string): Craft;
  /** by what draws on it */ readonly stores: Readonly<Record<StoreId, Store>>;
  /** charge kept back */ readonly reserve: number;
  /** [K] */ readonly air: number;
  readonly limits: Limits;
  /** charge that all is flown at, for laws; null: it runs down */ readonly held?: number | null;
}

/** As the person typed them; null where nothing is said. */
export interface Limits {
  readonly height: number | null;
  readonly mass: number | null;
}

/** One leg, one time. */
export interface FlownLeg {
  readonly leg: Leg;
  readonly round: string;
  /** 1 for the first time that the round is flown */ readonly pass: number;
  readonly state: string;
  readonly stretches: readonly Stretch[];
  /** since the clock began [s] */ readonly from: number;
  readonly time: number;
  readonly distance: number;
  /** from the packs [J, A s] */ readonly energy: number;
  readonly charge: number;
  /** mean and largest [W, A], least volts under load; 0 without a draw */ readonly power: number;
  readonly current: number;
  readonly volts: number;
  /** of the pack that it draws on, at its end */ readonly soc: number;
  /** of the charge that may be used, reserve taken off, at its end */ readonly share: number;
  readonly heightFrom: number;
  readonly height: number;
  readonly before: Craft;
  readonly after: Craft;
  readonly speed: number;
  readonly load: number;
  /** hottest of the winding [K] */ readonly winding: number;
  readonly given: number;
  readonly margins: readonly Margin[];
  readonly margin: Margin | null;
  readonly done: Done;
}

export interface Flight {
  readonly legs: readonly FlownLeg[];
  /** how many of them are begun before it ends */ readonly reached: number;
  readonly ending: Ending;
  readonly time: number;
  readonly distance: number;
  readonly energy: number;
  readonly charge: number;
  /** of the charge that may be used, reserve taken off */ readonly share: number;
  /** some rounds are flown as often as fits: so many, unrounded */ readonly counted: boolean;
  readonly rounds: number;
  readonly given: number;
  readonly peak: number;
  /** energy share of legs that were never flown on this aircraft */ readonly unproven: number;
  readonly margin: Margin | null;
}
