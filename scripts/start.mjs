// npm run demo / npm start: installs and builds what is missing, then becomes the server.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensurePackages, root } from './setup.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Tide Pebble needs Node 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}
ensurePackages();
await build();
const server = spawn(process.execPath, [join(root, 'dist/server/main.mjs'), ...process.argv.slice(2)], {
  stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));
