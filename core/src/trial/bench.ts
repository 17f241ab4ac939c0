/**
 * Thrust-stand runs: tare from the rows with the motor stopped, steady windows averaged, runs compared, and three factors
 * fitted (thrust and torque of the propeller, electrical loss) with their uncertainties.
 *   thrust against rpm says the propeller's thrust, whatever the controller does with the throttle;
 *   rpm and current at full throttle, where the duty is 1 for certain, say torque and loss; part throttle counts little,
 *   since a controller's throttle curve is not known.
 * Factors come by Gauss-Newton with next to no prior, so that `refine` may weigh them against its own.
 */
import { airAt, G0 } from '../air';
import {
  powertrainOf,
  type BenchBody,
  type Brief,
  type Calibration,
  type Design,
  type Measurement,
  type Powertrain,
} from '../design';
import { FACTOR_IDS } from '../design';
import { updateLinear } from '../numeric';
import {
  buildDrive,
  MEAN_SOC,
  operate,
  propellerLoad,
  sameBlades,
  sameMotor,
  thrusterOf,
  type Drive,
} from '../power';

export interface BenchPoint {
  run: number;
  throttle: number;
  volts: number;
  amps: number;
  thrust: number;
  omega: number;
  temperature: number | null;
  /** of the mean: thrust [N], relative rpm */ thrustSigma: number;
  omegaSpread: number;
  steady: boolean;
}

export interface BenchStep {
  throttle: number;
  volts: number;
  amps: number;
  thrust: number;
  omega: number;
  power: number;
  gramsPerWatt: number;
  runs: number;
  /** largest thrust over least, between runs, less 1 */ spread: number;
  predicted: { thrust: number; amps: number; omega: number };
}

export interface BenchFit {
  thrust: number;
  torque: number;
  loss: number;
  /** standard uncertainties, same order */ sigma: [number, number, number];
  covariance: number[][];
}

export interface BenchResult {
  points: BenchPoint[];
  steps: BenchStep[];
  /** per run: reading of the stopped scale at the start and its change to the end [N] */ tares: {
    name: string;
    start: number;
    drift: number;
  }[];
  fit: BenchFit | null;
  /** full throttle at the site, pack at half charge, as the ledger has it */ corrected: {
    thrust: number;
    amps: number;
    omega: number;
  } | null;
  measurements: Measurement[];
  /** factors to keep with a propeller of the swap set, over the present calibration */ correction: {
    thrust: number;
    torque: number;
  } | null;
  claims: string[];
  remarks: string[];
}

type Row = BenchBody['runs'][number]['rows'][number];
const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;
const spreadOf = (v: readonly number[]) => {
  const m = mean(v);
  return Math.sqrt(v.reduce((s, x) => s + (x - m) ** 2, 0) / Math.max(1, v.length - 1));
};

/** Scale reading with the motor stopped, at the start and at the end [N]; null when the run has no such row. */
export function tareOf(rows: readonly Row[]): { start: number; end: number; t0: number; t1: number } | null {
  const idle = rows.filter((r) => r[1] < 0.005 && r[5] < 5);
  if (idle.length === 0) return null;
  const first = rows.findIndex((r) => r[1] >= 0.005),
    head = idle.filter((r) => first < 0 || r[0] <= rows[first][0]),
    tail = idle.filter((r) => !head.includes(r));
  const start = head.length ? mean(head.map((r) => r[4])) : mean(tail.map((r) => r[4])),
    end = tail.length ? mean(tail.map((r) => r[4])) : start;
  return { start, end, t0: rows[0][0], t1: rows[rows.length - 1][0] };
}

/** Windows of one throttle, the first two fifths left out; a window that still drifts is marked. */
export function steadyPoints(rows: readonly Row[], run: number, kind: 'log' | 'table'): BenchPoint[] {
  const tare = tareOf(rows),
    zero = (t: number) =>
      tare
        ? tare.start +
          (tare.t1 > tare.t0 ? ((t - tare.t0) / (tare.t1 - tare.t0)) * (tare.end - tare.start) : 0)
        : 0;
  const point = (list: readonly Row[]): BenchPoint => {
    const at = (k: number) => list.map((r) => r[k] as number),
      thrust = list.map((r) => r[4] - zero(r[0])),
      omega = at(5);
    const half = list.length >> 1,
      drift =
        list.length >= 6
          ? Math.abs(mean(omega.slice(half)) / Math.max(mean(omega.slice(0, half)), 1e-9) - 1)
          : 0;
    const temps = list.map((r) => r[6]).filter((x) => x !== null);
    return {
      run,
      throttle: list[0][1],
      volts: mean(at(2)),
      amps: mean(at(3)),
      thrust: mean(thrust),
      omega: mean(omega),
      temperature: temps.length ? mean(temps) : null,
      thrustSigma: list.length > 1 ? spreadOf(thrust) / Math.sqrt(list.length) : 0.01 * Math.abs(thrust[0]),
      omegaSpread: list.length > 1 ? spreadOf(omega) / Math.max(mean(omega), 1e-9) : 0.005,
      steady: drift < 0.02,
    };
  };
  const turning = (p: BenchPoint) => p.throttle >= 0.005 && p.omega > 5;
  if (kind === 'table') return rows.map((r) => point([r])).filter(turning);
  const windows: Row[][] = [];
  for (const r of rows) {
    const last = windows[windows.length - 1];
    if (last && Math.abs(last[0][1] - r[1]) < 0.004) last.push(r);
    else windows.push([r]);
  }
  return windows
    .flatMap((w) => {
      const kept = w.slice(Math.floor(0.4 * w.length));
      return w.length >= 5 ? [point(kept)] : [];
    })
    .filter(turning);
}

/** What a new run would be taken with: the chosen part of the swap set, or the design's own. */
export function fittedNow(design: Design, propeller: string | null): NonNullable<BenchBody['fitted']> {
  const swap = design.swaps?.find((s) => s.id === propeller),
    { x: _x, z: _z, downThrust: _d, sideThrust: _s, correction: _c, ...own } = powertrainOf(design).propeller;
  const { correction: _k, ...data } =
    swap?.kind === 'propeller' ? swap.data : (own as typeof own & { correction?: undefined });
  return { propeller: data, motor: powertrainOf(design).motor };
}

type Bolted = Pick<BenchBody, 'propeller' | 'pack' | 'fitted'>;

/** The power part of a design with what is bolted to the stand: parts as they come, without corrections of earlier runs. */
export function benchPower(design: Design, bench: Bolted): Powertrain {
  const fitted = bench.fitted ?? fittedNow(design, bench.propeller),
    pack = design.swaps?.find((s) => s.id === bench.pack),
    { x, z } = powertrainOf(design).propeller;
  return {
    ...powertrainOf(design),
    motor: fitted.motor,
    propeller: { ...fitted.propeller, x, z },
    ...(pack?.kind === 'pack' ? { battery: pack.data, second: undefined } : {}),
  };
}

export function benchDrive(design: Design, bench: Bolted, density: number): Drive {
  const power = benchPower(design, bench);
  return buildDrive(
    power,
    density,
    { thrust: 1, electricalLoss: 1, capacity: 1, torque: 1 },
    thrusterOf(power),
  );
}

const scaled = (d: Drive, x: readonly number[]): Drive => ({
  ...d,
  thrustFactor: d.thrustFactor * x[0],
  torqueFactor: d.torqueFactor * x[1],
  packResistance: 0,
  avionics: 0,
  escResistance: d.escResistance * x[2],
  wireResistance: d.wireResistance * x[2],
  motorResistance: d.motorResistance * x[2],
  noLoadFactor: d.noLoadFactor * x[2],
});

/** Relative uncertainty of a hobby scale and tachometer, that no repeat shows (common practice, no source). */
const SCALE_SHARE = 0.015,
  METER_SHARE = 0.015,
  THROTTLE_SHARE = 0.08;

function fitFactors(d: Drive, points: readonly BenchPoint[]): BenchFit | null {
  const used = points.filter((p) => p.steady && p.thrust > 0.02);
  if (used.length < 2 || !used.some((p) => p.throttle >= 0.97)) return null;
  const model = (x: readonly number[]) =>
    used.flatMap((p) => {
      const e = scaled(d, x),
        o = operate(e, p.throttle, 0, 1, p.volts);
      return [
        propellerLoad(d.curve, p.omega, 0, d.density).thrust * d.count * e.thrustFactor,
        o.omega,
        o.current,
      ];
    });
  const sigma = used.flatMap((p) => {
    const loose = p.throttle >= 0.97 ? METER_SHARE : THROTTLE_SHARE;
    return [
      Math.hypot(p.thrustSigma, SCALE_SHARE * p.thrust, (2 * p.omegaSpread * p.thrust) / 3),
      loose * p.omega,
      1.5 * loose * p.amps,
    ];
  });
  const data = used.flatMap((p) => [p.thrust, p.omega, p.amps]);
  let x = [1, 1, 1],
    covariance: number[][] = [];
  for (let k = 0; k < 6; k++) {
    const at = model(x),
      J = at.map(() => [0, 0, 0]);
    x.forEach((v, j) => {
      const up = model(x.map((u, i) => (i === j ? u + 0.01 : u))),
        down = model(x.map((u, i) => (i === j ? v - 0.01 : u)));
      at.forEach((_, r) => {
        J[r][j] = (up[r] - down[r]) / 0.02;
      });
    });
    const wide = [1, 1, 1].map((_, i) => [1, 1, 1].map((__, j) => (i === j ? 4 : 0)));
    const residual = data.map((v, r) => v - at[r] + J[r].reduce((s, g, j) => s + g * (x[j] - 1), 0));
    const u = updateLinear([1, 1, 1], wide, J, residual, sigma);
    x = u.mean.map((v) => Math.min(3, Math.max(0.2, v)));
    covariance = u.covariance;
  }
  // many points share one scale and one meter: their common error does not average out
  const common = [SCALE_SHARE, 2 * METER_SHARE, 0.1];
  covariance = covariance.map((row, i) => row.map((v, j) => v + (i === j ? common[i] ** 2 : 0)));
  return {
    thrust: x[0],
    torque: x[1],
    loss: x[2],
    sigma: [0, 1, 2].map((i) => Math.sqrt(covariance[i][i])) as BenchFit['sigma'],
    covariance,
  };
}

function stepsOf(d: Drive, points: readonly BenchPoint[]): BenchStep[] {
  const by = new Map<number, BenchPoint[]>();
  for (const p of points) {
    const key = Math.round(p.throttle * 100) / 100;
    by.set(key, [...(by.get(key) ?? []), p]);
  }
  return [...by]
    .sort((a, b) => a[0] - b[0])
    .map(([throttle, list]) => {
      const of = (k: 'volts' | 'amps' | 'thrust' | 'omega') => mean(list.map((p) => p[k])),
        thrusts = list.map((p) => p.thrust);
      const o = operate({ ...d, packResistance: 0, avionics: 0 }, throttle, 0, 1, of('volts'));
      return {
        throttle,
        volts: of('volts'),
        amps: of('amps'),
        thrust: of('thrust'),
        omega: of('omega'),
        power: of('volts') * of('amps'),
        gramsPerWatt: (1000 * of('thrust')) / G0 / Math.max(of('volts') * of('amps'), 1e-9),
        runs: list.length,
        spread: list.length > 1 ? Math.max(...thrusts) / Math.max(Math.min(...thrusts), 1e-9) - 1 : 0,
        predicted: { thrust: o.thrust, amps: o.current, omega: o.omega },
      };
    });
}

/** Whether what was on the stand is the propeller and motor that the design flies now. */
export function isOwnDrive(design: Design, bench: Pick<BenchBody, 'propeller' | 'fitted'>): boolean {
  const fitted = bench.fitted ?? fittedNow(design, bench.propeller);
  return (
    sameBlades(powertrainOf(design).propeller, fitted.propeller) &&
    sameMotor(powertrainOf(design).motor, fitted.motor)
  );
}

/** @param temperature of the air at the bench [K] */
export function reduceBench(
  brief: Brief,
  design: Design,
  calibration: Calibration,
  bench: BenchBody,
  temperature: number,
): BenchResult {
  const air = airAt(brief.site.elevation, temperature, brief.site.humidity),
    d = benchDrive(design, bench, air.density);
  const points = bench.runs.flatMap((r, i) => steadyPoints(r.rows, i, r.kind));
  const tares = bench.runs.map((r) => {
    const t = tareOf(r.rows);
    return { name: r.name, start: t?.start ?? 0, drift: t ? t.end - t.start : 0 };
  });
  const steps = stepsOf(d, points),
    remarks: string[] = [];
  const most = Math.max(0, ...points.map((p) => p.thrust));
  bench.runs.forEach((r, i) => {
    if (!tareOf(r.rows))
      remarks.push(`${r.name}: no row with the motor stopped, so the scale’s zero is not known.`);
    else if (Math.abs(tares[i].start) > Math.max(0.03, 0.005 * most))
      remarks.push(
        `${r.name}: the scale read ${tares[i].start.toFixed(2)} N with the motor stopped: a wrong tare. It was taken off; tare again before the next run.`,
      );
    if (Math.abs(tares[i].drift) > Math.max(0.03, 0.005 * most))
      remarks.push(
        `${r.name}: the zero wandered by ${tares[i].drift.toFixed(2)} N; it was taken off in proportion to time.`,
      );
  });
  const restless = points.filter((p) => !p.steady);
  if (restless.length)
    remarks.push(
      `${restless.length} window${restless.length > 1 ? 's were' : ' was'} still changing and ${restless.length > 1 ? 'are' : 'is'} not used: hold each throttle longer.`,
    );
  const apart = steps.filter((s) => s.spread > 0.04);
  if (apart.length)
    remarks.push(
      `Runs differ by ${(100 * Math.max(...apart.map((s) => s.spread))).toFixed(0)} % in thrust at ${apart.map((s) => `${(s.throttle * 100).toFixed(0)} %`).join(', ')}: a loose mount, a wall close behind, or a warmer pack.`,
    );
  const fit = fitFactors(d, points);
  if (!fit && points.length)
    remarks.push(
      'No steady point at full throttle: nothing was fitted. Part throttle does not tell torque from loss.',
    );
  const own = isOwnDrive(design, bench);
  const site = own && fit ? siteFigures(brief, design, fit) : null;
  const cal = (id: 'thrust' | 'torque') => calibration.mean[FACTOR_IDS.indexOf(id)];
  return {
    points,
    steps,
    tares,
    fit,
    corrected: site && { thrust: site.values[0], amps: site.values[1], omega: site.values[2] },
    measurements: site ? measured(site, bench.runs.length) : [],
    correction:
      !own && fit
        ? { thrust: clampFactor(fit.thrust / cal('thrust')), torque: clampFactor(fit.torque / cal('torque')) }
        : null,
    claims: claimLines(bench, steps),
    remarks,
  };
}

const clampFactor = (v: number) => Math.round(1000 * Math.min(2, Math.max(0.3, v))) / 1000;

/**
 * Full throttle as the ledger states it (site air, design's pack at half charge) with the fitted factors, and their
 * uncertainty.
 */
function siteFigures(
  brief: Brief,
  design: Design,
  fit: BenchFit,
): { values: [number, number, number]; sigma: [number, number, number] } {
  const air = airAt(brief.site.elevation, brief.site.temperature, brief.site.humidity),
    base = buildDrive(powertrainOf(design), air.density, {
      thrust: 1,
      electricalLoss: 1,
      capacity: 1,
      torque: 1,
    });
  const at = (x: readonly number[]): [number, number, number] => {
    const o = operate(
      {
        ...base,
        thrustFactor: x[0],
        torqueFactor: x[1],
        escResistance: base.escResistance * x[2],
        wireResistance: base.wireResistance * x[2],
        motorResistance: base.motorResistance * x[2],
        packResistance: base.packResistance * x[2],
        noLoadFactor: x[2],
      },
      1,
      0,
      MEAN_SOC,
    );
    return [o.thrust, o.current, o.omega];
  };
  const x = [fit.thrust, fit.torque, fit.loss],
    values = at(x);
  const J = x.map((v, j) => {
    const up = at(x.map((u, i) => (i === j ? v + 0.01 : u))),
      down = at(x.map((u, i) => (i === j ? v - 0.01 : u)));
    return up.map((a, k) => (a - down[k]) / 0.02);
  });
  const sigma = [0, 1, 2].map((k) =>
    Math.sqrt(J.reduce((s, g, i) => s + J.reduce((t, h, j) => t + g[k] * fit.covariance[i][j] * h[k], 0), 0)),
  );
  return { values, sigma: sigma as [number, number, number] };
}

function measured(site: NonNullable<ReturnType<typeof siteFigures>>, runs: number): Measurement[] {
  const from = `thrust stand, ${runs} run${runs > 1 ? 's' : ''}, brought to the site’s air and half charge`;
  return (['staticThrust', 'staticCurrent', 'staticRpm'] as const).map((quantity, i) => ({
    quantity,
    state: 'all',
    value: site.values[i],
    sigma: Math.max(site.sigma[i], 1e-6),
    source: 'bench',
    from,
    setAside: false,
  }));
}

/** What the maker says against the top step. */
function claimLines(bench: BenchBody, steps: readonly BenchStep[]): string[] {
  const top = steps[steps.length - 1],
    c = bench.claim;
  if (!c || !top || top.throttle < 0.97) return [];
  const line = (what: string, claimed: number, got: number, unit: string) => {
    const off = (100 * (got - claimed)) / claimed;
    return `${what}: ${claimed.toFixed(1)} ${unit} claimed${c.volts ? ` at ${c.volts.toFixed(1)} V` : ''}, ${got.toFixed(1)} ${unit} measured at ${top.volts.toFixed(1)} V: ${Math.abs(off) < 3 ? 'as claimed' : `${Math.abs(off).toFixed(0)} % ${off < 0 ? 'less' : 'more'}`}.`;
  };
  // a claim at other volts is brought to these: thrust and current go nearly with the square
  const to = c.volts ? (top.volts / c.volts) ** 2 : 1;
  return [
    ...(c.thrust !== null ? [line('Thrust', c.thrust, top.thrust, 'N')] : []),
    ...(c.current !== null ? [line('Current', c.current, top.amps, 'A')] : []),
    ...(c.volts && c.thrust !== null && Math.abs(to - 1) > 0.03
      ? [`Brought to ${top.volts.toFixed(1)} V the claim is ${(c.thrust * to).toFixed(1)} N.`]
      : []),
  ];
}
