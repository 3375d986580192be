// npm run demo: one command from a fresh clone to the running application with the example in it.
import { buildIfStale, installIfStale, start } from './lib.mjs';

installIfStale();
buildIfStale();
const server = start(process.execPath, ['server/dist/main.js', '--demo']);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
