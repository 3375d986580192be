// Runs a TypeScript file on Node: node scripts/run-typescript.mjs file.ts [arguments]
import { register } from 'node:module';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const [file, ...rest] = process.argv.slice(2);
process.argv = [process.argv[0], resolve(file), ...rest];
process.env.TS_NODE_PROJECT ??= resolve('e2e/tsconfig.json');
register('@swc-node/register/esm', pathToFileURL('./'));
await import(pathToFileURL(resolve(file)).href);
