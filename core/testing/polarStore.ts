/**
 * Polars of the demo's sections, computed once for a whole test run: keys are by content, so a changed method or
 * section never finds an old one.
 */
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { computePolar, missingPolars } from '../src/assess';
import { bitternDocument } from '../src/demo';
import type { Design } from '../src/design';
import { rememberPolar, type Polar } from '../src/section';

const FOLDER = '.data',
  FILE = `${FOLDER}/test-polars.json`;

export function loadPolars(): void {
  if (!existsSync(FILE)) return;
  for (const [key, polar] of Object.entries(JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, Polar>))
    rememberPolar(key, polar);
}

/** The demo with its ailerons down as far as tests set them where the flow is followed. */
function drooped(): Design {
  const { design } = bitternDocument(),
    [first] = design.states,
    wing = design.surfaces.find((s) => s.role === 'wing')!;
  const down = [5, 10].map((degrees) => ({
    ...first!,
    id: `down-${degrees}`,
    flaps: [{ surface: wing.id, control: wing.controls[0]!.id, angle: (degrees * Math.PI) / 180 }],
  }));
  return { ...design, states: [...design.states, ...down] };
}

/** Vitest's global set-up. */
export default function setup(): void {
  loadPolars();
  const missing = missingPolars(drooped());
  if (missing.length === 0) return;
  const all: Record<string, Polar> = existsSync(FILE)
    ? (JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, Polar>)
    : {};
  for (const task of missing) all[task.key] = computePolar(task);
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(`${FILE}.new`, JSON.stringify(all));
  renameSync(`${FILE}.new`, FILE);
}
