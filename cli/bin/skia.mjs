#!/usr/bin/env node
// Runs the TypeScript source through the loader; everything else is in src/main.ts.
import { tsImport } from 'tsx/esm/api';

const { main } = await tsImport('../src/main.ts', import.meta.url);
process.exitCode = await main(process.argv.slice(2), process.stdout, process.stderr);
