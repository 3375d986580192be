import { defineConfig } from 'vite';

/** One file for Node: core is bundled from source, packages stay outside. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20' },
  ssr: { noExternal: ['@acorn-tally/core'] },
});
