/** `skia hover`: what hanging takes, who carries how much, flight on the rotors over speed, as JSON in SI. */
import { assess, entryOf, StepCache, type Ledger, type QuantityId } from '@skiametra/core/assess';
import { hovers, type DesignDocument } from '@skiametra/core/design';
import { rotorReport, type RotorReport } from '@skiametra/core/views';
import { UsageError } from './usage';

const round = (v: number | null | undefined): number | null =>
  v != null && Number.isFinite(v) ? Number(v.toPrecision(6)) : null;

const NAMES: Readonly<Record<string, QuantityId>> = {
  mass: 'mass',
  power: 'hoverPower',
  current: 'hoverCurrent',
  throttle: 'hoverThrottle',
  thrustToWeight: 'hoverMargin',
  time: 'hoverTime',
};
const FLIGHT: Readonly<Record<string, QuantityId>> = {
  topSpeed: 'rotorTopSpeed',
  windMargin: 'windMargin',
  longestTime: 'longestTime',
  longestSpeed: 'longestSpeed',
  farthestWay: 'farthestWay',
  farthestSpeed: 'farthestSpeed',
  climbStraightUp: 'riseRate',
  descendNoFasterThan: 'ringDescent',
};

function told(ledger: Ledger, state: string, names: Readonly<Record<string, QuantityId>>): object {
  return Object.fromEntries(
    Object.entries(names).map(([name, id]) => {
      const e = entryOf(ledger, id, state);
      return [name, e ? { value: round(e.value), sigma: round(e.sigma) } : null];
    }),
  );
}

function rotorsJson({ share, places, weak }: RotorReport): object {
  return {
    rotors: places.map((p, i) => ({
      name: p.name,
      x: p.x,
      y: p.y,
      turns: p.turns,
      share: round(share?.beside ? null : share?.rotors[i]!.share),
      thrust: round(share?.beside ? null : share?.rotors[i]!.thrust),
      ofItsThrust: round(share?.beside ? null : share?.rotors[i]!.load),
    })),
    besideWhatTheyHold: share?.beside ? { x: round(share.beside.x), y: round(share.beside.y) } : null,
    cgRange: share && !share.beside ? { from: round(share.from), to: round(share.to) } : null,
    worstAt70: weak && { rotor: places[weak.rotor]!.name, thrustToWeight: round(weak.margin) },
    worstLost: round(share?.without),
  };
}

function curveRows(ledger: Ledger, state: string): object[] {
  const of = (id: string) => ledger.curves.find((c) => c.id === id && c.state === state),
    power = of('rotorPower'),
    climb = of('rotorClimb');
  if (!power || !climb) return [];
  return power.x.flatMap((speed, i) =>
    Number.isFinite(power.y[i]!)
      ? [{ speed: round(speed), power: round(power.y[i]!), climb: round(climb.y[i]!) }]
      : [],
  );
}

/** @param asked a state; the first that hovers where null @throws UsageError one sentence */
export function hoverCommand(doc: DesignDocument, asked: string | null): object {
  const { design } = doc,
    state = design.states.find((s) => s.id === asked) ?? design.states.find((s) => hovers(design, s));
  if (!state) throw new UsageError('No state of this design hovers: mark one under Balance, States.');
  const cache = new StepCache(),
    ledger = assess(doc.brief, design, doc.calibration, cache),
    report = rotorReport(doc, ledger, state.id, cache);
  if (!report) throw new UsageError('No rotor of this design stands anywhere: give its thrusters places.');
  return {
    state: state.name,
    cg: { x: round(report.cg.x), y: round(report.cg.y) },
    hover: told(ledger, state.id, NAMES),
    ...rotorsJson(report),
    flight: told(ledger, state.id, FLIGHT),
    overSpeed: curveRows(ledger, state.id),
  };
}
