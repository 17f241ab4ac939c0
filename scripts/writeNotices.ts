/** Writes THIRD-PARTY.md: every package that ships with the application, its licence, and the fonts. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

interface LockEntry {
  version?: string;
  license?: string;
  dev?: boolean;
  devOptional?: boolean;
  link?: boolean;
  os?: string[];
  cpu?: string[];
}
interface Shipped {
  name: string;
  version: string;
  path: string;
  licence: string | undefined;
}

/** Packages of the lock file that run in the product: not those for development, for one machine only, or our own. */
export function shippedPackages(lock: { packages: Record<string, LockEntry> }): Shipped[] {
  return Object.entries(lock.packages)
    .filter(
      ([path, p]) =>
        path.startsWith('node_modules/') && !p.dev && !p.devOptional && !p.link && !p.os && !p.cpu,
    )
    .map(([path, p]) => ({
      name: path.replace(/^.*node_modules\//, ''),
      version: p.version ?? '',
      path,
      licence: p.license,
    }))
    .sort((a, b) => a.name.localeCompare(b.name) || a.version.localeCompare(b.version));
}

function licenceOf(root: string, p: Shipped): string {
  if (p.licence) return p.licence;
  const file = join(root, p.path, 'package.json');
  if (!existsSync(file)) return 'not installed here';
  const own = JSON.parse(readFileSync(file, 'utf8')) as { license?: string | { type: string } };
  return typeof own.license === 'string' ? own.license : (own.license?.type ?? 'not stated');
}

/** The whole page. */
export function noticesPage(root = ROOT): string {
  const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')) as Parameters<
    typeof shippedPackages
  >[0];
  const rows = shippedPackages(lock).map((p) => `| ${p.name} | ${p.version} | ${licenceOf(root, p)} |`);
  const fonts = rows.filter((r) => r.includes('@fontsource'));
  return `# Third-party notices

What ships with the application beside its own code. Written by \`npm run notices\` from the lock file; the
licence texts lie in each package's folder under \`node_modules\`. Fonts are among the packages (${fonts.length} of
them, under the SIL Open Font Licence where it says OFL-1.1) and are served from here, never fetched.

| package | version | licence |
| --- | --- | --- |
${rows.join('\n')}
`;
}

if (process.argv[1]?.endsWith('writeNotices.ts')) {
  writeFileSync(join(ROOT, 'THIRD-PARTY.md'), noticesPage());
  console.log('THIRD-PARTY.md written');
}
