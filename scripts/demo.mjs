// npm run demo: installs if needed, builds, seeds the made-up yard into a database of its own, starts, prints the address.
import fs from 'node:fs';
import path from 'node:path';
import { bin, install, root, run, start } from './tools.mjs';

const port = process.env.PORT ?? '4310';
const host = process.env.HOST ?? '127.0.0.1';
const data = path.resolve(process.env.INDAGA_DATA ?? path.join(root, 'demo-data'));
const env = { ...process.env, PORT: port, HOST: host, INDAGA_DATA: data, INDAGA_DEMO: '1' };

install();
if (process.argv.includes('--fresh') && fs.existsSync(data)) {
  const aside = `${data}-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  fs.renameSync(data, aside);
  console.log(`The earlier demo yard was moved to ${aside}.`);
}
run(bin('vite'), ['build', '--logLevel', 'error'], { env });
if (!fs.existsSync(path.join(data, 'indaga.sqlite'))) run(bin('tsx'), ['demo/seed-cli.ts'], { env });
else console.log(`The demo yard of ${data} is kept as it is; "npm run demo -- --fresh" builds a new one.`);

const server = start(process.execPath, ['scripts/server.mjs'], { env });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
const address = `http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`;
const until = Date.now() + 30_000;
while (Date.now() < until) {
  try {
    await fetch(`http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/health`);
    console.log(`\nIndaga demo yard: ${address}\nIts database is in ${data}; it holds made-up engines only.\n`);
    break;
  } catch {
    await new Promise((r) => setTimeout(r, 200));
  }
}
