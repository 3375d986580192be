import { defineConfig } from 'vite';

/** Packages of hundreds of files, of which little is used: to open each costs a third of the start. */
const bundled = [
  '@acorn-tally/core',
  '@date-fns/tz',
  '@libsql/hrana-client',
  '@nestjs/mapped-types',
  '@nestjs/swagger',
  'drizzle-orm',
  'es-toolkit',
  'uuid',
];

/** The server and the thread it reckons in, for Node: core is bundled from source, most packages stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    license: { fileName: 'licences.md' },
    rollupOptions: { input: { main: 'src/main.ts', calculations: 'src/calculations/worker.ts' } },
  },
  ssr: { noExternal: bundled },
});
