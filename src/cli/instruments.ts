import { StandIns } from '../core/instruments/stand-ins/bench.ts';
import { standInCase, standInCases, type StandInCase } from '../core/instruments/stand-ins/cases.ts';
import { randomLcg, randomNormal } from 'd3-random';
import dgram from 'node:dgram';
import fs from 'node:fs';
import net from 'node:net';
import { parseArgs } from 'node:util';

const HELP = `Usage: npm run instruments -- --list
       npm run instruments -- --case NAME [--udp PORT | --tcp PORT | --file FILE] [--speed N]

Stand-in instruments at a made-up engine: plays a test over a way in, as real devices would (IEC 61162-1 line sentences).

  --list           the cases that there are
  --case NAME      the case to play
  --udp PORT       send to this port of this machine (default 10110)
  --tcp PORT       connect to this port of this machine and send there
  --file FILE      write a recording instead, each line with its milliseconds, as fast as it goes
  --speed N        play N times as fast (default 1; what is measured then runs as fast too)
  --seed N         draws of the instruments' noise (default 1)
  -h, --help       this text

Exit codes: 0 played; 1 the way in could not be used; 2 the command line is wrong.
`;

/** Hands and instruments move on by this, s. */
const STEP = 0.05;

/** Every sentence of a case with its moment, ms from its start. */
export function* sentencesOf(
  c: StandInCase,
  seed: number
): Generator<{ readonly at: number; readonly lines: string[] }> {
  const stand = new StandIns(c.engine, randomNormal.source(randomLcg(seed))(0, 1));
  const steps = Math.ceil(c.seconds / STEP);
  for (let k = 0; k < steps; k++) {
    const lines = stand.step(c.hands(k * STEP), STEP);
    if (lines.length) yield { at: Math.round(k * STEP * 1000), lines };
  }
}

type Send = (lines: readonly string[]) => void;
interface Out {
  readonly send: Send;
  readonly close: () => void;
  readonly failed: () => string | undefined;
}

function udp(port: number): Promise<Out> {
  const socket = dgram.createSocket('udp4');
  return Promise.resolve({
    send: (lines) => socket.send(lines.join('\r\n') + '\r\n', port, '127.0.0.1'),
    close: () => socket.close(),
    failed: () => undefined
  });
}
function tcp(port: number): Promise<Out> {
  return new Promise((resolve, reject) => {
    let wrong: string | undefined;
    const socket = net.connect(port, '127.0.0.1');
    socket.once('error', reject);
    socket.once('connect', () => {
      socket.off('error', reject);
      socket.on('error', (e) => (wrong = e.message));
      socket.on('close', () => (wrong ??= 'the connection was closed'));
      resolve({
        send: (lines) => void socket.write(lines.join('\r\n') + '\r\n'),
        close: () => socket.end(),
        failed: () => wrong
      });
    });
  });
}

const portOf = (text: string | undefined): number | undefined => {
  const port = Number(text);
  return Number.isInteger(port) && port > 0 && port < 65_536 ? port : undefined;
};

async function play(c: StandInCase, out: Out, speed: number, seed: number): Promise<string | undefined> {
  const from = performance.now();
  for (const { at, lines } of sentencesOf(c, seed)) {
    const wait = at / speed - (performance.now() - from);
    if (wait > 4) await new Promise((r) => setTimeout(r, wait));
    const wrong = out.failed();
    if (wrong) return wrong;
    out.send(lines);
  }
  // What was sent last is still on its way.
  await new Promise((r) => setTimeout(r, 100));
  out.close();
  return undefined;
}

/** The command; gives back its exit code. */
export async function main(
  argv: readonly string[],
  say: (text: string) => void,
  complain: (text: string) => void
): Promise<number> {
  let values;
  try {
    ({ values } = parseArgs({
      args: [...argv],
      options: {
        list: { type: 'boolean', default: false },
        case: { type: 'string' },
        udp: { type: 'string' },
        tcp: { type: 'string' },
        file: { type: 'string' },
        speed: { type: 'string', default: '1' },
        seed: { type: 'string', default: '1' },
        help: { type: 'boolean', short: 'h', default: false }
      }
    }));
  } catch (e) {
    complain(`${(e as Error).message}\n`);
    return 2;
  }
  if (values.help) return (say(HELP), 0);
  if (values.list) {
    for (const [name, c] of Object.entries<StandInCase>(standInCases))
      say(
        `${name.padEnd(18)} ${c.title} (${c.seconds < 120 ? `${Math.round(c.seconds)} s` : `${Math.round(c.seconds / 60)} min`})\n`
      );
    return 0;
  }
  const c = values.case === undefined ? undefined : standInCase(values.case);
  const [speed, seed] = [Number(values.speed), Number(values.seed)];
  const port = portOf(values.udp ?? values.tcp ?? '10110');
  const wrong = !c
    ? values.case === undefined
      ? 'Say which case to play, or --list.'
      : `There is no case “${values.case}”; --list names them.`
    : [values.udp, values.tcp, values.file].filter((x) => x !== undefined).length > 1
      ? 'Say one of --udp, --tcp and --file.'
      : port === undefined
        ? 'A port is a number from 1 to 65535.'
        : !(speed > 0 && speed <= 1000 && Number.isFinite(seed))
          ? 'A speed is a number above 0 and at most 1000, a seed a number.'
          : undefined;
  if (wrong || !c) {
    complain(`${wrong}\n`);
    return 2;
  }
  try {
    if (values.file !== undefined) {
      const text = [...sentencesOf(c, seed)].flatMap(({ at, lines }) => lines.map((l) => `${at} ${l}`)).join('\r\n');
      fs.writeFileSync(values.file, text + '\r\n');
      say(`${c.title}: written to ${values.file}.\n`);
      return 0;
    }
    const out = values.tcp === undefined ? await udp(port!) : await tcp(port!);
    say(
      `${c.title}: playing to ${values.tcp === undefined ? 'UDP' : 'TCP'} port ${port} for ${Math.round(c.seconds / speed)} s.\n`
    );
    const failed = await play(c, out, speed, seed);
    if (failed) complain(`Stopped: ${failed}.\n`);
    return failed ? 1 : 0;
  } catch (e) {
    const { code, message } = e as NodeJS.ErrnoException;
    complain(
      code === 'ECONNREFUSED'
        ? `Nothing listens on TCP port ${port}: switch it on in the application first.\n`
        : `${message}\n`
    );
    return 1;
  }
}
