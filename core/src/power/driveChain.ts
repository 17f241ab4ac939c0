/**
 * The drive as it is wired, link by link: what goes in, what is lost, how near each limit is, and which link is
 * the weakest and why.
 */
import { say, type Said } from '../words';
import { timeToLimit } from './discharge';
import { motorLoss, operate, packVolts, streamSpeed, type Drive, type OperatingPoint } from './electric';
import { COPPER, settledHeat, thermalOf, USUAL_LIMIT, wireCurrent } from './motor';
import { pitchSpeed } from './propeller';

export interface Margin {
  what: 'current' | 'volts' | 'temperature' | 'tip Mach';
  value: number;
  limit: number;
  /** value over limit, 1 is at it */ used: number;
}
export interface Link {
  id: 'pack' | 'wire' | 'esc' | 'motor' | 'gear' | 'propeller';
  name: string;
  powerIn: number;
  powerOut: number;
  loss: number;
  efficiency: number;
  margins: Margin[];
}
export interface DriveChain {
  point: OperatingPoint;
  links: Link[];
  weakest: { link: Link; margin: Margin; said: Said } | null;
  /** seconds at this point before the winding is too hot; null when never */ hotAfter: number | null;
}

export const TIP_LIMIT = 0.65;

/** What the chain is judged by beside the drive itself. */
export interface ChainLimits {
  escCurrent: number;
  wireArea: number | null;
  soundSpeed: number;
  air: number;
}

const amps = (value: number, limit: number): Margin => ({
  what: 'current',
  value,
  limit,
  used: value / limit,
});

/** Hotter than this nothing is said: the varnish is gone [K]. */
const RUNAWAY = 600;

/** Temperature the winding settles at when a point is held [K]; copper resists more when hot, a few rounds settle it. */
export function settledWinding(d: Drive, o: OperatingPoint, speed: number, air: number): number {
  const thermal = thermalOf(d.motor),
    at = { temperature: air, speed: streamSpeed(d, o.thrust, speed) };
  let heat = settledHeat(thermal, motorLoss(d, o), at);
  for (let i = 0; i < 12; i++)
    heat = settledHeat(
      thermal,
      motorLoss(d, o, d.motorResistance * (1 + COPPER * (Math.min(heat.winding, RUNAWAY) - 298.15))),
      at,
    );
  return Math.min(heat.winding, RUNAWAY);
}

/** @param speed airspeed the point is flown at [m/s] */
export function driveChain(
  d: Drive,
  o: OperatingPoint,
  speed: number,
  limits: ChainLimits,
  soc = 0.5,
): DriveChain {
  const N = d.count,
    Im = o.motorCurrent,
    cable = o.duty * Im;
  const voc = packVolts(d, soc),
    packIn = voc * o.current;
  const copperLoss = motorLoss(d, o);
  const esc = N * Im * Im * d.escResistance,
    wire = N * cable * cable * d.wireResistance;
  const toMotors = o.power - d.avionics * o.voltage;
  const shaft = N * (o.torque * o.omega),
    motorOut = shaft / d.gearEfficiency;
  const motorIn = motorOut + N * (copperLoss.copper + copperLoss.iron);
  const hot = settledWinding(d, o, speed, limits.air),
    limit = d.motor.maxTemperature ?? USUAL_LIMIT;
  const tip = Math.hypot((o.omega * d.curve.size.diameter) / 2, speed) / limits.soundSpeed;
  const useful = Math.max(0, o.thrust * speed);
  const link = (
    id: Link['id'],
    name: string,
    powerIn: number,
    powerOut: number,
    margins: Margin[],
  ): Link => ({
    id,
    name,
    powerIn,
    powerOut,
    loss: powerIn - powerOut,
    efficiency: powerIn > 0 ? powerOut / powerIn : 0,
    margins,
  });
  const links: Link[] = [
    link('pack', 'Pack', packIn, o.power, [
      amps(o.current, d.pack.maxCurrent),
      { what: 'volts', value: o.voltage, limit: d.pack.least, used: d.pack.least / o.voltage },
    ]),
    ...(limits.wireArea !== null
      ? [link('wire', 'Wire', toMotors, toMotors - wire, [amps(cable, wireCurrent(limits.wireArea))])]
      : []),
    link('esc', 'Controller', toMotors - wire, toMotors - wire - esc, [amps(cable, limits.escCurrent)]),
    link('motor', N > 1 ? `${N} motors` : 'Motor', motorIn, motorOut, [
      amps(Im, d.motor.maxCurrent),
      { what: 'temperature', value: hot, limit, used: (hot - limits.air) / (limit - limits.air) },
    ]),
    ...(d.gear !== 1 ? [link('gear', `Gear ${d.gear} : 1`, motorOut, shaft, [])] : []),
    link(
      'propeller',
      d.curve.from === 'fan' ? 'Ducted fan' : N > 1 ? `${N} propellers` : 'Propeller',
      shaft,
      useful,
      [{ what: 'tip Mach', value: tip, limit: TIP_LIMIT, used: tip / TIP_LIMIT }],
    ),
  ];
  const all = links.flatMap((l) => l.margins.map((margin) => ({ link: l, margin })));
  const worst = all
    .filter((m) => m.margin.what !== 'volts' || m.margin.used > 0.97)
    .reduce<(typeof all)[number] | null>((a, b) => (!a || b.margin.used > a.margin.used ? b : a), null);
  const after = timeToLimit(d, o, limits.air, speed);
  const hotAfter = Number.isFinite(after) ? after : null;
  return {
    point: o,
    links,
    weakest: worst && { ...worst, said: weakestSaid(worst.link, worst.margin, hotAfter) },
    hotAfter,
  };
}

function weakestSaid(l: Link, m: Margin, after: number | null): Said {
  const { what, value, limit, used } = m,
    at = { link: l.name, value, limit, used };
  if (used < 0.7)
    return say('limit-far', { link: l.name, used, what: what === 'tip Mach' ? 'tip speed' : what });
  if (what === 'current') return say('limit-current', at);
  if (what === 'temperature') return say('limit-heat', { ...at, after });
  return say(what === 'tip Mach' ? 'limit-tip' : 'limit-volts', at);
}

export interface StaticCard {
  thrust: number;
  current: number;
  omega: number;
  power: number;
  specificPower: number;
  thrustToWeight: number;
  tipMach: number;
  pitchSpeed: number;
  torque: number;
  voltage: number;
  gramsPerWatt: number;
}

/** The figures people quote, at full throttle and an airspeed (0: on the bench). @param mass all-up [kg] */
export function staticCard(
  d: Drive,
  mass: number,
  speed: number,
  soundSpeed: number,
  g: number,
  soc = 0.5,
): StaticCard {
  const o = operate(d, 1, speed, soc);
  return {
    thrust: o.thrust,
    current: o.current,
    omega: o.omega,
    power: o.power,
    specificPower: o.power / mass,
    thrustToWeight: o.thrust / (mass * g),
    tipMach: Math.hypot((o.omega * d.curve.size.diameter) / 2, speed) / soundSpeed,
    pitchSpeed: pitchSpeed(d.curve.size, o.omega),
    torque: o.torque,
    voltage: o.voltage,
    gramsPerWatt: (1000 * o.thrust) / g / o.power,
  };
}
