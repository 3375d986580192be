// npm run dev: server and web rebuild and reload while you edit. The web is on port 5173, the API behind it on PORT.
import { installIfStale, run, start } from './lib.mjs';

installIfStale();
run('npm', ['exec', '--workspace', 'server', '--', 'vite', 'build', '--logLevel', 'warn']);
const dev = start('node_modules/.bin/concurrently', [
  '--kill-others',
  '--names',
  'build,server,web',
  'npm exec --workspace server -- vite build --watch --emptyOutDir=false --logLevel warn',
  'node --watch-path=server/dist server/dist/main.js',
  'npm exec --workspace web -- vite',
]);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => dev.kill(signal));
dev.on('exit', (code) => process.exit(code ?? 0));
