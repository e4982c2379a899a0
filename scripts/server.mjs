// The built application behind Node's own http server. Unlike the adapter's entry it takes the protocol as http and the
// host from the request, so that the same installation answers at localhost, at 127.0.0.1 and to a tablet on the network
// without being told its address; behind a proxy set ORIGIN, or let the proxy send x-forwarded-proto.
import compression from 'compression';
import fs from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import path from 'node:path';
import { constants } from 'node:zlib';

// A bundle with its photographs is the only thing that is large; everything else is refused by its announced length before it is read.
process.env.BODY_SIZE_LIMIT ??= '210M';
const LARGEST = 25 * 1024 * 1024;
const tooLarge = (request) =>
  request.url?.split('?')[0] !== '/import' && Number(request.headers['content-length'] ?? 0) > LARGEST;
if (!process.env.ORIGIN) process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';

/** Ends with one sentence for whoever starts it. @param {number} code @param {string} message @returns {never} */
const stop = (code, message) => {
  console.error(message);
  process.exit(code);
};

const host = process.env.HOST || '127.0.0.1';
const wanted = process.env.PORT || '3000';
const port = /^\d{1,5}$/.test(wanted) ? Number(wanted) : -1;
if (port < 0 || port > 65_535)
  stop(2, `PORT is "${wanted}", which is no port: a number from 1 to 65535, for example PORT=3000.`);
process.env.HOST = host;
process.env.PORT = String(port);

// Nothing that fails in a timer or beside a request ends the process: it is logged, and the next request is answered.
for (const kind of ['uncaughtException', 'unhandledRejection'])
  process.on(kind, (err) => {
    const e = err instanceof Error ? err : new Error(String(err));
    console.error(
      JSON.stringify({ level: 60, time: Date.now(), msg: kind, err: { message: e.message, stack: e.stack } })
    );
  });

const { handler } = await import('../build/handler.js').catch((err) => {
  // What is wrong with the data directory comes with its own sentence and code.
  const problem = err?.exitCode ? err : err?.cause;
  if (problem?.exitCode) stop(problem.exitCode, problem.message);
  if (err?.code === 'ERR_MODULE_NOT_FOUND' && /build/.test(err.message))
    stop(3, 'The application is not built yet: npm run build, or npm run demo, which does it all.');
  stop(1, `Indaga did not start: ${err?.message ?? err}`);
});
// Pages go out compressed; a stream of events must not wait in a compressor's buffer, and assets are compressed when built.
const compressed = compression({
  // Fast rather than small: a page is made for one reader, and the tightest packing saves a tenth for thrice the time.
  level: 3,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 3 } },
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') && compression.filter(request, response)
});
// A directory of `npm run certificate`: the server speaks https itself. Behind a proxy that does, leave it out.
const certificate = process.env.INDAGA_CERTIFICATE;
const read = (name) => {
  try {
    return fs.readFileSync(path.join(certificate, name));
  } catch {
    return stop(
      10,
      `INDAGA_CERTIFICATE names ${certificate}, where ${name} cannot be read. Make one: npm run certificate.`
    );
  }
};
const tls = certificate ? { cert: read('server.crt'), key: read('server.key') } : undefined;
const protocol = tls ? 'https' : 'http';
const answer = (request, response) => {
  request.headers['x-forwarded-proto'] ??= protocol;
  if (tooLarge(request)) {
    response.statusCode = 413;
    response.setHeader('connection', 'close');
    response.end('This is larger than anything that is taken here.');
    return;
  }
  compressed(request, response, () =>
    handler(request, response, () => {
      response.statusCode = 404;
      response.end('There is nothing at this address.');
    })
  );
};
const server = tls ? https.createServer(tls, answer) : http.createServer(answer);
server.on('error', (err) => {
  const why = {
    EADDRINUSE: `Port ${port} is in use by another program. Stop that one, or name another: PORT=${port === 65_535 ? 3000 : port + 1}.`,
    EACCES: `Port ${port} is not open to this user: take one over 1023, for example PORT=3000.`,
    EADDRNOTAVAIL: `HOST is "${host}", which is no address of this machine: HOST=127.0.0.1 for this machine alone, HOST=0.0.0.0 for the network.`,
    ENOTFOUND: `HOST is "${host}", which nobody knows: HOST=127.0.0.1 for this machine alone, HOST=0.0.0.0 for the network.`
  }[err.code ?? ''];
  stop(9, why ?? `Indaga cannot listen on ${host}:${port}: ${err.message}`);
});
server.listen(port, host, () => console.log(`Indaga listens on ${protocol}://${host}:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
