import { SourceReader } from '../core/instruments/lines.ts';
import dgram from 'node:dgram';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import { main } from './instruments.ts';

async function ran(...argv: string[]) {
  const [out, wrong]: [string[], string[]] = [[], []];
  const code = await main(
    argv,
    (t) => void out.push(t),
    (t) => void wrong.push(t)
  );
  return { code, out: out.join(''), wrong: wrong.join('') };
}

describe('the command line of the stand-ins', () => {
  it('lists its cases and says how it is used', async () => {
    expect((await ran('--list')).out).toMatch(/^compression-six +Compression of a sound six \(50 s\)\n/);
    expect((await ran('--help')).out).toMatch(/^Usage: npm run instruments/);
  });
  it.each([
    [[], /Say which case/],
    [['--case', 'constructor'], /There is no case “constructor”/],
    [['--case', 'run-hot', '--udp', '1', '--file', 'x'], /Say one of/],
    [['--case', 'run-hot', '--udp', '99999'], /A port is a number/],
    [['--case', 'run-hot', '--speed', '0'], /A speed is a number/],
    [['--other'], /Unknown option/]
  ] as const)('%j is refused with a sentence', async (argv, says) => {
    const r = await ran(...argv);
    expect([r.code, r.out]).toEqual([2, '']);
    expect(r.wrong).toMatch(says);
  });
  it('writes a recording whose every sentence is good, the same for the same seed', async () => {
    const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-instruments-'));
    const [a, b] = ['a', 'b'].map((n) => path.join(directory, n)) as [string, string];
    for (const file of [a, b]) expect((await ran('--case', 'compression-low', '--file', file)).code).toBe(0);
    const text = fs.readFileSync(a, 'utf8');
    expect(text).toBe(fs.readFileSync(b, 'utf8'));
    const reader = new SourceReader();
    const lines = text.trim().split('\r\n');
    for (const line of lines) reader.read(line.replace(/^\d+ /, ''));
    expect(reader.counts).toMatchObject({ good: lines.length, other: 0 });
    fs.rmSync(directory, { recursive: true });
  });
  it('plays to a UDP port', async () => {
    const socket = dgram.createSocket({ type: 'udp4', recvBufferSize: 4 << 20 });
    await new Promise<void>((r) => socket.bind(0, '127.0.0.1', r));
    const reader = new SourceReader();
    socket.on('message', (m) =>
      m
        .toString()
        .trim()
        .split('\r\n')
        .forEach((l) => reader.read(l))
    );
    const { code } = await ran('--case', 'compression-six', '--udp', String(socket.address().port), '--speed', '100');
    expect(code).toBe(0);
    // What was sent may still wait to be read where the machine is busy.
    await vi.waitFor(() => expect(reader.counts.good).toBeGreaterThan(500), { timeout: 60_000, interval: 50 });
    socket.close();
  });
  it('says so where nothing listens on the TCP port', async () => {
    const server = net.createServer();
    await new Promise<void>((r) => server.listen(0, '127.0.0.1', r));
    const { port } = server.address() as net.AddressInfo;
    await new Promise((r) => server.close(r));
    const r = await ran('--case', 'compression-six', '--tcp', String(port));
    expect([r.code, r.wrong]).toEqual([
      1,
      `Nothing listens on TCP port ${port}: switch it on in the application first.\n`
    ]);
  });
});
