import { LineBuffer, linesOf, SourceReader } from '$core/instruments/lines.ts';
import type { LineBatch, SourceState } from '$core/instruments/wire.ts';
import { log } from '../log.ts';
import dgram from 'node:dgram';
import net from 'node:net';

/** Lines gathered before they go out, ms: a needle is on the screen well within a tenth of a second. */
const GATHER = 20;

export interface Listener {
  readonly take: (batches: readonly LineBatch[]) => void;
  readonly states: (states: readonly SourceState[]) => void;
}

interface Way {
  readonly id: string;
  readonly label: string;
  readonly open?: (way: Way) => Promise<() => void>;
  close?: (() => void) | undefined;
  on: boolean;
  problem?: string | undefined;
  readonly reader: SourceReader;
}

const words: Readonly<Record<string, string>> = {
  EADDRINUSE: 'is taken by another program',
  EACCES: 'may not be opened by this user',
  EADDRNOTAVAIL: 'is no address of this machine'
};
const problemOf = (label: string, e: NodeJS.ErrnoException): string =>
  `${label} ${words[e.code ?? ''] ?? `cannot be opened (${e.code ?? 'unknown cause'})`}.`;

export interface Address {
  readonly kind: 'udp' | 'tcp';
  readonly host: string;
  readonly port: number;
}
/** "udp:127.0.0.1:10110"; nothing where it is none. */
export function addressOf(text: string): Address | undefined {
  const found = /^(udp|tcp):(\[[0-9a-f:]+\]|[\w.-]+):(\d{1,5})$/i.exec(text.trim());
  const port = Number(found?.[3]);
  if (!found || port < 1 || port > 65_535) return undefined;
  return { kind: found[1]!.toLowerCase() as 'udp' | 'tcp', host: found[2]!.replace(/^\[|\]$/g, ''), port };
}

/**
 * The ways in by which instruments reach the server, and the open sheets that listen. Every way is off until somebody
 * switches it on; each is on the loopback address unless the environment names another.
 */
export class InstrumentHub {
  private readonly ways = new Map<string, Way>();
  private readonly listeners = new Set<Listener>();
  private gathered: LineBatch[] = [];
  private timer: NodeJS.Timeout | undefined;
  private told = '';

  constructor(addresses: string) {
    for (const text of addresses.split(',').filter((t) => t.trim())) {
      const address = addressOf(text);
      if (address) this.add(address);
      else log.error({ text }, 'INDAGA_INSTRUMENTS: not an address such as udp:127.0.0.1:10110');
    }
    this.ways.set('page', {
      id: 'page',
      label: 'Stand-in instruments, the page',
      on: true,
      reader: new SourceReader()
    });
  }

  private add(a: Address): void {
    const id = `${a.kind}:${a.host}:${a.port}`;
    const label = `${a.kind.toUpperCase()} port ${a.port}${/^(127\.|localhost$|::1$)/.test(a.host) ? '' : ` at ${a.host}`}`;
    const open = a.kind === 'udp' ? (way: Way) => this.openUdp(way, a) : (way: Way) => this.openTcp(way, a);
    this.ways.set(id, { id, label, open, on: false, reader: new SourceReader() });
  }

  private openUdp(way: Way, { host, port }: Address): Promise<() => void> {
    return new Promise((resolve, reject) => {
      const socket = dgram.createSocket({ type: net.isIPv6(host) ? 'udp6' : 'udp4', recvBufferSize: 4 << 20 });
      socket.once('error', (e) => {
        socket.close();
        reject(e);
      });
      socket.on('message', (data, from) => {
        this.take(way, `${way.id} ${from.address}:${from.port}`, linesOf(data.toString('latin1')));
      });
      socket.bind(port, host, () => {
        socket.on('error', (e) => log.warn({ err: e, way: way.id }, 'instrument port'));
        resolve(() => socket.close());
      });
    });
  }

  private openTcp(way: Way, { host, port }: Address): Promise<() => void> {
    return new Promise((resolve, reject) => {
      const peers = new Set<net.Socket>();
      const server = net.createServer((socket) => {
        peers.add(socket);
        const buffer = new LineBuffer();
        socket.on('data', (data) =>
          this.take(way, `${way.id} ${socket.remoteAddress}:${socket.remotePort}`, buffer.push(data.toString('latin1')))
        );
        socket.on('error', () => socket.destroy());
        socket.on('close', () => peers.delete(socket));
      });
      server.once('error', reject);
      server.listen(port, host, () => {
        server.on('error', (e) => log.warn({ err: e, way: way.id }, 'instrument port'));
        resolve(() => {
          server.close();
          for (const p of peers) p.destroy();
        });
      });
    });
  }

  private take(way: Way, source: string, lines: readonly string[]): void {
    if (!lines.length) return;
    for (const line of lines) way.reader.read(line);
    if (!this.listeners.size) return;
    const last = this.gathered.at(-1);
    if (last?.source === source) (last.lines as string[]).push(...lines);
    else this.gathered.push({ source, at: Date.now(), lines: [...lines] });
    this.timer ??= setTimeout(() => this.send(), GATHER);
  }

  private send(): void {
    this.timer = undefined;
    const batches = this.gathered;
    this.gathered = [];
    for (const l of this.listeners) l.take(batches);
  }

  /** Lines that the page of stand-in instruments sends. */
  post(text: string): void {
    this.take(this.ways.get('page')!, 'page', linesOf(text));
  }

  /** Opens or closes a way in. Returns whether there is such a way. */
  async switch(id: string, on: boolean): Promise<boolean> {
    const way = this.ways.get(id);
    if (!way?.open) return false;
    if (on === way.on) return true;
    way.on = on;
    way.problem = undefined;
    if (on) {
      try {
        const close = await way.open(way);
        if (way.on) way.close = close;
        else close();
      } catch (e) {
        [way.on, way.problem] = [false, problemOf(way.label, e as NodeJS.ErrnoException)];
      }
    } else {
      way.close?.();
      way.close = undefined;
    }
    this.tell();
    return true;
  }

  states(): SourceState[] {
    return [...this.ways.values()].map((w) => ({
      id: w.id,
      label: w.label,
      on: w.on,
      ...(w.problem ? { problem: w.problem } : {}),
      counts: w.reader.counts
    }));
  }

  /** Tells every listener how the ways in stand, where that has changed. */
  tell(): void {
    const states = this.states();
    const text = JSON.stringify(states);
    if (text === this.told) return;
    this.told = text;
    for (const l of this.listeners) l.states(states);
  }

  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    listener.states(this.states());
    return () => this.listeners.delete(listener);
  }

  /** Closes everything that is open. */
  stop(): void {
    for (const way of this.ways.values()) way.close?.();
    clearTimeout(this.timer);
    this.listeners.clear();
  }
}

const USUAL = 'udp:127.0.0.1:10110,tcp:127.0.0.1:10110';
let hub: InstrumentHub | undefined;
/** The one of this process; its ways in come from INDAGA_INSTRUMENTS. */
export const instrumentHub = (): InstrumentHub => (hub ??= new InstrumentHub(process.env.INDAGA_INSTRUMENTS ?? USUAL));
