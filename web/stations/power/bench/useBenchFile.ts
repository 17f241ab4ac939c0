'use client';
/** Readings from a file of somebody's own stand. */
import type { BenchBody } from '@skiametra/core/design';
import { MAX_BENCH_BYTES, parseBenchCsv } from '@skiametra/formats';
import { keepOriginal } from '../../../parts/originals';
import { fullWith } from './useStand';
import type { Take } from './useTake';

/** More rows than anybody types: it was logged. */
const LOGGED = 40;
const LONGEST_NAME = 80;

/** @returns takes a file; what stands against it is said, else what was noticed in it */
export function useBenchFile(
  testId: string,
  bench: BenchBody,
  take: Take,
  say: (trouble: string | null) => void,
): (file: File | null) => void {
  const read = async (f: File) => {
    if (f.size > MAX_BENCH_BYTES)
      return `${f.name} is larger than ${MAX_BENCH_BYTES / 1e6} MB; nothing was taken.`;
    const parsed = parseBenchCsv(await f.text());
    if (parsed.status === 'error') return `${f.name} was not taken. ${parsed.message}`;
    const run = {
      name: f.name.slice(0, LONGEST_NAME),
      kind: parsed.rows.length > LOGGED ? ('log' as const) : ('table' as const),
      rows: parsed.rows,
    };
    const refused = fullWith(bench, 1) ?? (await take((b) => ({ ...b, runs: [...b.runs, run] })));
    if (refused !== null) return refused;
    const lost = `The readings of ${f.name} were taken, but the file itself could not be kept`,
      kept = await keepOriginal(testId, f, lost);
    return kept.status === 'error' ? kept.message : (parsed.remarks[0] ?? null);
  };
  return (file) => {
    if (file) void read(file).then(say);
  };
}
