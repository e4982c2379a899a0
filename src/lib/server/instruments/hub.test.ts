import { badOf } from '$core/instruments/lines.ts';
import { sentenceOf } from '$core/instruments/signals.ts';
import type { LineBatch, SourceState } from '$core/instruments/wire.ts';
import dgram from 'node:dgram';
import net from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { addressOf, InstrumentHub } from './hub.ts';
import { liveStream } from './stream.ts';

let hub: InstrumentHub;
afterEach(() => hub?.stop());

/** A port that was free a moment ago. */
const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = net.createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as net.AddressInfo;
      server.close(() => resolve(port));
    });
  });
function listening(on: InstrumentHub) {
  const lines: string[] = [];
  const sources = new Set<string>();
  let states: readonly SourceState[] = [];
  on.listen({
    take: (batches: readonly LineBatch[]) => {
      for (const b of batches) {
        sources.add(b.source);
        lines.push(...b.lines);
      }
    },
    states: (s) => (states = s)
  });
  return { lines, sources, states: () => states };
}
const until = async (true_: () => boolean): Promise<void> => {
  for (let k = 0; k < 500 && !true_(); k++) await new Promise((r) => setTimeout(r, 10));
};
const head = sentenceOf('head', 300);

describe('ways in', () => {
  it('addresses', () => {
    expect(addressOf('udp:127.0.0.1:10110')).toEqual({ kind: 'udp', host: '127.0.0.1', port: 10110 });
    expect(addressOf(' TCP:[::1]:99 ')).toEqual({ kind: 'tcp', host: '::1', port: 99 });
    for (const bad of ['', 'udp', 'udp:10110', 'http:127.0.0.1:80', 'tcp:127.0.0.1:0', 'tcp:127.0.0.1:70000'])
      expect(addressOf(bad)).toBeUndefined();
  });
  it('are listed, off until they are switched on, and off again', async () => {
    const port = await freePort();
    hub = new InstrumentHub(`udp:127.0.0.1:${port},nonsense`);
    const id = `udp:127.0.0.1:${port}`;
    expect(hub.states().map((s) => [s.id, s.on])).toEqual([
      [id, false],
      ['page', true]
    ]);
    const heard = listening(hub);
    const socket = dgram.createSocket('udp4');
    const send = (text: string): Promise<void> =>
      new Promise((resolve) => socket.send(text, port, '127.0.0.1', () => resolve()));
    await send(head);
    expect(await hub.switch(id, true)).toBe(true);
    await send(`${head}\r\n${head}\r\n`);
    await send('$YXXDR,C,20');
    await until(() => heard.lines.length >= 3);
    expect(heard.lines).toEqual([head, head, '$YXXDR,C,20']);
    expect(hub.states()[0]!.counts.good).toBe(2);
    expect(badOf(hub.states()[0]!.counts)).toBe(1);
    await hub.switch(id, false);
    await send(head);
    await new Promise((r) => setTimeout(r, 60));
    expect(heard.lines).toHaveLength(3);
    socket.close();
    expect(await hub.switch('udp:elsewhere:1', true)).toBe(false);
  });
  it('a sentence cut in two over TCP is whole; two devices are two sources', async () => {
    const port = await freePort();
    hub = new InstrumentHub(`tcp:127.0.0.1:${port}`);
    await hub.switch(`tcp:127.0.0.1:${port}`, true);
    const heard = listening(hub);
    const connect = (): Promise<net.Socket> =>
      new Promise((resolve) => {
        const s = net.connect(port, '127.0.0.1', () => resolve(s));
        s.setNoDelay(true);
      });
    const [a, b] = [await connect(), await connect()];
    a.write(head.slice(0, 9));
    await new Promise((r) => setTimeout(r, 40));
    a.write(`${head.slice(9)}\r\n`);
    b.write(`${head}\n`);
    await until(() => heard.lines.length === 2);
    expect(heard.lines).toEqual([head, head]);
    expect(heard.sources.size).toBe(2);
    a.destroy();
    b.destroy();
  });
  it('a port that is taken is said in a sentence, and can be tried again', async () => {
    const port = await freePort();
    const other = net.createServer().listen(port, '127.0.0.1');
    await new Promise((r) => other.once('listening', r));
    hub = new InstrumentHub(`tcp:127.0.0.1:${port}`);
    const id = `tcp:127.0.0.1:${port}`;
    await hub.switch(id, true);
    expect(hub.states()[0]).toMatchObject({ on: false, problem: `TCP port ${port} is taken by another program.` });
    await new Promise((r) => other.close(r));
    await hub.switch(id, true);
    expect(hub.states()[0]).toMatchObject({ on: true });
    expect(hub.states()[0]!.problem).toBeUndefined();
  });
  it('five thousand sentences in a burst are all passed on', async () => {
    hub = new InstrumentHub('');
    const heard = listening(hub);
    for (let k = 0; k < 50; k++) hub.post(Array.from({ length: 100 }, () => head).join('\n'));
    await until(() => heard.lines.length === 5000);
    expect(heard.lines).toHaveLength(5000);
  });
});

describe('the stream to the sheets', () => {
  it('tells the ways in, then the lines; it ends with its request', async () => {
    hub = new InstrumentHub('');
    const abort = new AbortController();
    const reader = liveStream(hub, abort.signal).body!.getReader();
    const next = async (): Promise<string> => new TextDecoder().decode((await reader.read()).value);
    expect(await next()).toMatch(/^event: ways\ndata: \[\{"id":"page"/);
    hub.post(head);
    expect(await next()).toMatch(/^event: lines\ndata: .*head/);
    abort.abort();
    expect((await reader.read()).done).toBe(true);
    // Nobody listens any more: a line more does no harm.
    hub.post(head);
  });
});
