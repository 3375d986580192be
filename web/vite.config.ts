import { basename } from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

/** What many share and none needs before the minutes stand: charts, what panels are made of, tables as text. */
const later = [
  'chart\\.?js',
  '@kurkle',
  'src/charts/setup',
  'remove-scroll',
  'use-sidecar',
  'ModalBase',
  'Drawer',
  'parts/SidePanel',
  'papaparse',
  'formats/csv',
  'core/src/testFlights',
  'records/listedTest',
  'components/Checkbox',
  'components/Table',
  'components/Fieldset',
  'components/Skeleton',
  'records/fitted',
  'estimate/whatIf',
  'battery/charging',
];
const shared = new RegExp(`^(?!.*(${later.join('|')})).*\\.(m?js|tsx?)$`);

export default defineConfig({
  plugins: [
    react(),
    // Once, when it is built; the server only hands out what lies beside each file.
    compression({
      include: /\.(js|css|html|svg|json)$/,
      threshold: 1024,
      algorithms: [defineAlgorithm('gzip', { level: 9 }), defineAlgorithm('brotliCompress')],
    }),
  ],
  worker: { format: 'es' },
  css: {
    // A class is called after the file it stands in, so that whoever looks at the page finds the place.
    modules: { generateScopedName: (name, file) => `${basename(file, '.module.css')}_${name}` },
  },
  build: {
    outDir: 'dist',
    target: 'es2023',
    manifest: true,
    license: { fileName: 'licences.md' },
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        // What nearly every view needs is one file: many small ones compress worse, by a tenth of the first load.
        codeSplitting: { groups: [{ name: 'common', test: shared, minShareCount: 5 }] },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? 4310}` } },
});
