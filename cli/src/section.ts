/** `skia section`: one section at one Reynolds number over a range of angles, as JSON. */
import { readFile, stat } from 'node:fs/promises';
import { basename } from 'node:path';
import {
  analyseModel,
  contourFacts,
  contourFromPoints,
  inviscidAt,
  sectionModel,
  solveInviscid,
  type SectionModel,
  type ShapeSpec,
} from '@skiametra/core/section';
import { parseDat } from '@skiametra/formats';
import { UsageError } from './usage';

export const SECTION_OPTIONS = {
  airfoil: { type: 'string' },
  re: { type: 'string' },
  alpha: { type: 'string' },
  amplification: { type: 'string' },
  'trip-top': { type: 'string' },
  'trip-bottom': { type: 'string' },
  // names of before, refused with the present one
  ncrit: { type: 'string' },
  'xtr-top': { type: 'string' },
  'xtr-bottom': { type: 'string' },
  flap: { type: 'string' },
  inviscid: { type: 'boolean' },
  cp: { type: 'boolean' },
} as const;

type Text = {
  [K in keyof typeof SECTION_OPTIONS]: (typeof SECTION_OPTIONS)[K]['type'] extends 'string' ? K : never;
}[keyof typeof SECTION_OPTIONS];
type Values = Partial<Record<Text, string>> & { inviscid?: boolean; cp?: boolean };

/** What options were called before. */
const RENAMED = { ncrit: 'amplification', 'xtr-top': 'trip-top', 'xtr-bottom': 'trip-bottom' } as const;

function refuseOldNames(v: Values): void {
  for (const [was, is] of Object.entries(RENAMED)) {
    const value = v[was as keyof typeof RENAMED];
    if (value !== undefined) throw new UsageError(`--${was} is called --${is} now: --${is} ${value}`);
  }
}

const DEG = Math.PI / 180,
  MAX_ANGLES = 400,
  MAX_DAT_BYTES = 200_000;

function number(name: string, text: string | undefined, lo: number, hi: number, fallback?: number): number {
  if (text === undefined && fallback !== undefined) return fallback;
  const v = text === undefined || text.trim() === '' ? NaN : Number(text);
  if (!(v >= lo && v <= hi))
    throw new UsageError(
      `--${name} takes a number from ${lo} to ${hi}${text === undefined ? '' : `, not “${text}”`}.`,
    );
  return v;
}

function angles(text: string | undefined): number[] {
  const parts = text?.split(':') ?? [];
  const n = parts.map((p) => (p.trim() === '' ? NaN : Number(p)));
  if ((n.length !== 1 && n.length !== 3) || n.some((v) => !(Math.abs(v) <= 90)))
    throw new UsageError('--alpha takes one angle or FROM:TO:STEP in degrees, as --alpha=-4:14:0.5.');
  if (n.length === 1) return n;
  const [from, to, step] = n;
  if (!(step! > 0 && to! >= from!))
    throw new UsageError('--alpha=FROM:TO:STEP needs FROM below TO and a step above zero.');
  const count = Math.floor((to! - from!) / step! + 1e-9) + 1;
  if (count > MAX_ANGLES)
    throw new UsageError(`--alpha asks for ${count} angles; ${MAX_ANGLES} is the most.`);
  return Array.from({ length: count }, (_, i) => Number((from! + i * step!).toFixed(9)));
}

/** A shape by name or from a coordinate file. */
async function shapeNamed(text: string | undefined): Promise<{ name: string; shape: ShapeSpec }> {
  if (!text) throw new UsageError('Name a section: --airfoil naca2412, naca23012, flatplate or a .dat file.');
  const naca = /^naca[ -]?(\d{4,5})(?:-(\d)(\d))?$/i.exec(text);
  if (naca) {
    const [, digits = '', nose, at] = naca;
    if (digits.length === 5 && nose !== undefined)
      throw new UsageError(`“${text}” is not a section name: only four-digit sections take a dash.`);
    const name = `NACA ${digits}${nose === undefined ? '' : `-${nose}${at}`}`;
    return {
      name,
      shape:
        digits.length === 5
          ? { kind: 'naca5', digits }
          : nose === undefined
            ? { kind: 'naca4', digits }
            : { kind: 'naca4m', digits, nose: Number(nose), at: Number(at) },
    };
  }
  if (/^flat-?plate$/i.test(text))
    return { name: 'Flat plate', shape: { kind: 'plate', camber: 0, at: 0.5, thickness: 0.01 } };
  const info = await stat(text).catch(() => null);
  if (!info?.isFile())
    throw new UsageError(
      `“${text}” is neither a section name nor a file; names are like naca2412, naca23012 and flatplate.`,
    );
  if (info.size > MAX_DAT_BYTES)
    throw new UsageError(`${text} is larger than 200 kB; a section file has a few hundred lines.`);
  const dat = parseDat(await readFile(text, 'utf8'), basename(text).replace(/\.[^.]*$/, ''));
  if (dat.status === 'error') throw new UsageError(`${text}: ${dat.message}`);
  contourFromPoints(dat.points);
  return { name: dat.name, shape: { kind: 'points', points: dat.points } };
}

function flapOf(text: string | undefined): { hinge: number; angle: number } | null {
  if (text === undefined) return null;
  const parts = text.split(',').map((p) => (p.trim() === '' ? NaN : Number(p)));
  const [hinge = NaN, deg = NaN] = parts;
  if (parts.length !== 2 || !(hinge >= 0.4 && hinge <= 0.95) || !(Math.abs(deg) <= 40))
    throw new UsageError(
      '--flap takes HINGE,DEG: a hinge place of 0.4 to 0.95 of the chord and an angle within 40 degrees, as --flap 0.75,10.',
    );
  return { hinge, angle: deg * DEG };
}

const trimmed = (v: number, places = 6): number => Number(v.toFixed(places));

/** @returns the JSON that is printed @throws UsageError, DomainError */
export async function sectionCommand(v: Values): Promise<object> {
  refuseOldNames(v);
  const { name, shape } = await shapeNamed(v.airfoil);
  const alphas = angles(v.alpha);
  const flap = flapOf(v.flap);
  if (v.cp && !v.inviscid) throw new UsageError('--cp goes with --inviscid.');
  const reynolds = v.inviscid && v.re === undefined ? null : number('re', v.re, 1e3, 2e7);
  const amplification = number('amplification', v.amplification, 1, 14, 9);
  const tripUpper = number('trip-top', v['trip-top'], 0, 1, 1),
    tripLower = number('trip-bottom', v['trip-bottom'], 0, 1, 1);
  const model = sectionModel(shape, flap ? { thickness: 1, camber: 1, flap } : null);
  const facts = contourFacts(sectionModel(shape).outline);
  const head = {
    airfoil: { name, thickness: trimmed(facts.thickness), camber: trimmed(facts.camber) },
    reynolds,
    amplification,
  };
  return v.inviscid
    ? { ...head, ...inviscid(model, alphas, v.cp ?? false) }
    : { ...head, ...viscous(model, reynolds!, alphas, { nCrit: amplification, tripUpper, tripLower }) };
}

function inviscid(model: SectionModel, alphas: number[], cp: boolean): object {
  const basis = solveInviscid(model.outline);
  const { xy } = model.outline;
  const points = alphas.map((alpha) => {
    const p = inviscidAt(basis, alpha * DEG);
    const list = cp
      ? {
          cp: Array.from(p.speed, (u, i) => [
            trimmed(xy[2 * i]!),
            trimmed(xy[2 * i + 1]!),
            trimmed(1 - u * u),
          ]),
        }
      : {};
    return {
      alpha,
      cl: trimmed(p.cl),
      cd: 0,
      cm: trimmed(p.cm),
      transitionTop: null,
      transitionBottom: null,
      converged: true,
      ...list,
    };
  });
  const list = cp ? { cp: (points[0] as { cp?: unknown }).cp } : {};
  return { points, clMax: null, alphaClMax: null, ...list };
}

function viscous(
  model: SectionModel,
  reynolds: number,
  alphas: number[],
  options: { nCrit: number; tripUpper: number; tripLower: number },
): object {
  const a = analyseModel(
    model,
    reynolds,
    alphas.map((d) => d * DEG),
    options,
  );
  return {
    points: a.points.map(({ converged, point }, i) =>
      point
        ? {
            alpha: alphas[i],
            cl: trimmed(point.cl),
            cd: trimmed(point.cd),
            cm: trimmed(point.cm),
            transitionTop: trimmed(point.transitionUpper, 4),
            transitionBottom: trimmed(point.transitionLower, 4),
            converged,
          }
        : {
            alpha: alphas[i],
            cl: null,
            cd: null,
            cm: null,
            transitionTop: null,
            transitionBottom: null,
            converged: false,
          },
    ),
    clMax: a.clMax === null ? null : trimmed(a.clMax),
    alphaClMax: a.alphaClMax === null ? null : trimmed(a.alphaClMax / DEG, 3),
    confidence: a.confidence,
    warnings: a.warnings,
  };
}
