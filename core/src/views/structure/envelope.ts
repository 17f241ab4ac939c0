/** The diagram of load factor over speed: what the air gives, what the wing stands, what is asked. */
import type { Design } from '../../design';
import type { Cases } from '../../steps';
import type { CaseVerdict } from '../../steps';

interface Line {
  /** [m/s] */ readonly x: readonly number[];
  readonly y: readonly number[];
}

export interface Envelope {
  /** [m/s] */ readonly stall: number;
  readonly fastest: number;
  /** fastest at which a full pull cannot overload it [m/s] */ readonly safeSpeed: number;
  /** load factors: failure and allowed, up and down (down is below nil) */ readonly fails: readonly [
    number,
    number,
  ];
  readonly allowed: readonly [number, number];
  readonly asked: readonly [number, number];
  /** stall lines, as far as the diagram goes */ readonly up: Line;
  readonly down: Line;
  /** gust lines, from 1 g at rest */ readonly gustUp: Line;
  readonly gustDown: Line;
  /** full pull at the fastest [g]; null where nobody says how fast it is flown */ readonly pull:
    number | null;
}

const POINTS = 40;

export function envelopeOf(
  { structure: s }: Pick<Design, 'structure'>,
  { stall, fastest, assumed, airAllows, stallDown }: Cases,
  { cases, up, down }: { cases: readonly CaseVerdict[]; up: CaseVerdict; down: CaseVerdict },
): Envelope {
  const at = (c: CaseVerdict) => c.n * c.factor,
    fails: [number, number] = [at(up), at(down)],
    allowed: [number, number] = [fails[0] / s.safetyFactor, fails[1] / s.safetyFactor],
    speeds = Array.from({ length: POINTS + 1 }, (_, i) => (fastest * i) / POINTS),
    gust = (id: 'gust-up' | 'gust-down') => cases.find((c) => c.id === id)!.n;
  return {
    stall,
    fastest,
    safeSpeed: stall * Math.sqrt(allowed[0]),
    fails,
    allowed,
    asked: [s.requiredLoadFactor, -s.requiredNegative],
    up: { x: speeds, y: speeds.map((v) => (v / stall) ** 2) },
    down: { x: speeds, y: speeds.map((v) => -((v / stallDown) ** 2)) },
    gustUp: { x: [0, fastest], y: [1, gust('gust-up')] },
    gustDown: { x: [0, fastest], y: [1, gust('gust-down')] },
    pull: assumed ? null : airAllows,
  };
}
