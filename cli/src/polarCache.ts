/**
 * Section polars kept between commands in the user's cache folder, one file each, named by content; a damaged or foreign
 * file is computed again.
 */
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { computePolar, missingPolars } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { polarSchema, rememberPolar } from '@skiametra/core/section';

const folder = (): string =>
  join(process.env.XDG_CACHE_HOME || join(homedir(), '.cache'), 'skiametra', 'polars');

/** Brings every polar that an assessment of the document needs into memory. Works without a cache folder, only slower. */
export async function warmPolars(document: DesignDocument): Promise<void> {
  for (const task of missingPolars(document.design)) {
    const file = join(folder(), `${task.key}.json`);
    const kept = await readFile(file, 'utf8')
      .then(
        (t) => polarSchema.safeParse(JSON.parse(t)),
        () => null,
      )
      .catch(() => null);
    if (kept?.success) {
      rememberPolar(task.key, kept.data);
      continue;
    }
    let polar;
    try {
      polar = computePolar(task);
    } catch (e) {
      if (e instanceof DomainError) continue;
      throw e;
    } // the assessment names what is wrong
    rememberPolar(task.key, polar);
    try {
      await mkdir(folder(), { recursive: true });
      await writeFile(`${file}.${process.pid}`, JSON.stringify(polar));
      await rename(`${file}.${process.pid}`, file);
    } catch {
      /* no cache, no harm */
    }
  }
}
