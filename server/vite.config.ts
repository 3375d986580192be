import { defineConfig } from 'vite';

/** The server and the thread it reckons in, for Node: core is bundled from source, packages stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    rollupOptions: { input: { main: 'src/main.ts', calculations: 'src/calculations/worker.ts' } },
  },
  ssr: { noExternal: ['@acorn-tally/core'] },
});
