import { Balance } from './balance/Balance';
import { Brief } from './brief/Brief';
import { Flight } from './flight/Flight';
import { Power } from './power/Power';
import { Refine } from './refine/Refine';
import { Score } from './score/Score';
import { Sections } from './sections/Sections';
import { Shape } from './shape/Shape';
import { Structure } from './structure/Structure';
import { Test } from './test/Test';
import { Trade } from './trade/Trade';

export const STATION_VIEWS = {
  brief: Brief,
  shape: Shape,
  sections: Sections,
  balance: Balance,
  power: Power,
  structure: Structure,
  flight: Flight,
  score: Score,
  trade: Trade,
  test: Test,
  refine: Refine,
};
