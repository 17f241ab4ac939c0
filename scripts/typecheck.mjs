// The type check: the whole by its own rules; web, command line, formats and devices by stricter ones, under which what is
// picked from a list may be missing and what is optional is left out rather than set to nothing; the core without DOM and Node.
import { relative } from 'node:path';
import ts from 'typescript';
import { ROOT } from './lib.mjs';

const STRICTER = { noUncheckedIndexedAccess: true, exactOptionalPropertyTypes: true };
const STRICT_FOLDERS = /^(web|cli|formats|devices)\//;

/** Diagnostics of a project, of those files alone that the filter lets through. */
function check(config, more, wanted) {
  const read = ts.getParsedCommandLineOfConfigFile(
    `${ROOT}/${config}`,
    { noEmit: true, ...more },
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: (d) => {
        throw new Error(ts.flattenDiagnosticMessageText(d.messageText, '\n'));
      },
    },
  );
  const program = ts.createProgram(read.fileNames, read.options);
  const files = program.getSourceFiles().filter((f) => wanted(relative(ROOT, f.fileName)));
  return [
    ...program.getConfigFileParsingDiagnostics(),
    ...program.getGlobalDiagnostics(),
    ...files.flatMap((f) => [...program.getSyntacticDiagnostics(f), ...program.getSemanticDiagnostics(f)]),
  ];
}

const own = (f) => !f.includes('node_modules') && !f.startsWith('..');
const found = [
  ...check('tsconfig.json', {}, (f) => own(f) && !STRICT_FOLDERS.test(f)),
  ...check('tsconfig.json', STRICTER, (f) => own(f) && STRICT_FOLDERS.test(f)),
  ...check('core/tsconfig.json', {}, own),
];
const host = {
  getCanonicalFileName: (f) => f,
  getCurrentDirectory: () => ROOT,
  getNewLine: () => '\n',
};
if (found.length > 0) {
  console.error(ts.formatDiagnostics(found, host));
  console.error(`${found.length} type errors.`);
  process.exit(1);
}
