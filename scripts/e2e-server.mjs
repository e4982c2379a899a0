// The built application on a fresh database with the demo yard, for the end-to-end tests. A test may ask it to be
// killed and started again: POST /kill on CONTROL_PORT does what a power cut would.
import fs from 'node:fs';
import http from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { bin, run, start } from './tools.mjs';

const data = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-e2e-'));
const port = process.env.PORT ?? '4319';
const env = {
  ...process.env,
  INDAGA_DATA: data,
  INDAGA_DEMO: '1',
  LOG_LEVEL: 'error'
};
run(bin('tsx'), ['demo/seed-cli.ts'], { env });
let server = start(process.execPath, ['scripts/server.mjs'], { env });

const control = http.createServer((request, response) => {
  if (request.url === '/kill') server.kill('SIGKILL');
  if (request.url === '/start') server = start(process.execPath, ['scripts/server.mjs'], { env });
  response.end('ok');
});
control.listen(Number(process.env.CONTROL_PORT ?? Number(port) + 1), '127.0.0.1');

function stop() {
  server.kill('SIGKILL');
  control.close();
  fs.rmSync(data, { recursive: true, force: true });
  process.exit(0);
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
