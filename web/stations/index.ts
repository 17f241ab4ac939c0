import { Balance } from './Balance';
import { Brief } from './Brief';
import { Flight } from './Flight';
import { Power } from './Power';
import { Refine } from './Refine';
import { Score } from './Score';
import { Sections } from './Sections';
import { Shape } from './Shape';
import { Structure } from './Structure';
import { Test } from './Test';

export const STATION_VIEWS = {
  brief: Brief,
  shape: Shape,
  sections: Sections,
  balance: Balance,
  power: Power,
  structure: Structure,
  flight: Flight,
  score: Score,
  test: Test,
  refine: Refine,
};
