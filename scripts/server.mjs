// The built application behind Node's own http server. Unlike the adapter's entry it takes the protocol as http and the
// host from the request, so that the same installation answers at localhost, at 127.0.0.1 and to a tablet on the network
// without being told its address; behind a proxy set ORIGIN, or let the proxy send x-forwarded-proto.
import compression from 'compression';
import http from 'node:http';
import { constants } from 'node:zlib';

// A bundle with its photographs is the only thing that is large; everything else is refused by its announced length before it is read.
process.env.BODY_SIZE_LIMIT ??= '210M';
const LARGEST = 25 * 1024 * 1024;
const tooLarge = (request) =>
  request.url?.split('?')[0] !== '/import' && Number(request.headers['content-length'] ?? 0) > LARGEST;
if (!process.env.ORIGIN) process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';
const { handler } = await import('../build/handler.js');

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 3000);
// Pages go out compressed; a stream of events must not wait in a compressor's buffer, and assets are compressed when built.
const compressed = compression({
  // Fast rather than small: a page is made for one reader, and the tightest packing saves a tenth for thrice the time.
  level: 3,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 3 } },
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') && compression.filter(request, response)
});
const server = http.createServer((request, response) => {
  request.headers['x-forwarded-proto'] ??= 'http';
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
});
server.listen(port, host, () => console.log(`Indaga listens on http://${host}:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
