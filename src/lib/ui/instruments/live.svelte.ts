import type { Received } from '$core/instruments/capture.ts';
import { badOf, LineBuffer, SourceReader, type LineCounts } from '$core/instruments/lines.ts';
import { signalNames, type SignalName } from '$core/instruments/signals.ts';
import type { LineBatch, SourceState } from '$core/instruments/wire.ts';

/** What an instrument shows now. */
export interface Shown {
  readonly name: SignalName;
  readonly value: number;
  readonly sentence: string;
  readonly source: string;
  /** Others that call themselves the same and are alive. */
  readonly others: readonly string[];
  /** Sentences in the last second. */
  readonly rate: number;
  readonly at: number;
}

/** A source that sent within this is alive; after it what it showed is old, ms. */
export const FRESH = 3000;
/** The screen follows at most so often, ms. */
const SCREEN = 50;

interface Track {
  value: number;
  sentence: string;
  at: number;
  /** Moments of the sentences of the last second. */
  counted: number;
  from: number;
  rate: number;
}

const DEVICE = 'serial';
const FILE = 'file';

/**
 * What instruments send to this browser, whichever way it comes in: the server's ways, a serial device, a recording. It keeps
 * the latest of each and hands every value on; it records nothing by itself.
 */
export class LiveInstruments {
  ways: readonly SourceState[] = $state.raw([]);
  shown: readonly Shown[] = $state.raw([]);
  state: 'off' | 'connecting' | 'on' | 'lost' = $state('off');
  problem = $state('');
  /** A serial device or a recording that is under way here. */
  device = $state('');
  replaying = $state('');
  private events: EventSource | undefined;
  private readonly tracks = new Map<SignalName, Map<string, Track>>();
  private readonly readers = new Map<string, SourceReader>();
  private readonly takers = new Set<(r: Received) => void>();
  private frame: ReturnType<typeof setTimeout> | undefined;
  private stopReplay: (() => void) | undefined;
  private stopDevice: (() => Promise<void>) | undefined;
  private users = 0;

  /** Connects while somebody looks; returns how to leave. */
  use(): () => void {
    this.users += 1;
    if (this.users === 1) this.connect();
    return () => {
      this.users -= 1;
      if (this.users === 0) this.disconnect();
    };
  }

  private connect(): void {
    this.state = 'connecting';
    const events = new EventSource('/instruments/live');
    this.events = events;
    events.addEventListener('open', () => (this.state = 'on'));
    events.addEventListener('error', () => (this.state = 'lost'));
    events.addEventListener('ways', (e) => (this.ways = JSON.parse((e as MessageEvent<string>).data) as SourceState[]));
    events.addEventListener('lines', (e) => {
      for (const b of JSON.parse((e as MessageEvent<string>).data) as LineBatch[]) this.push(b.source, b.lines);
    });
  }

  private disconnect(): void {
    this.events?.close();
    [this.events, this.state] = [undefined, 'off'];
    this.stopReplay?.();
    void this.stopDevice?.();
  }

  /** Every value that comes in, as it comes. */
  listen(taker: (r: Received) => void): () => void {
    this.takers.add(taker);
    return () => this.takers.delete(taker);
  }

  push(source: string, lines: readonly string[]): void {
    const reader = this.readers.get(source) ?? new SourceReader();
    this.readers.set(source, reader);
    const at = Date.now();
    for (const line of lines)
      for (const sample of reader.read(line)) {
        this.keep(sample.name, source, sample.value, sample.sentence, at);
        for (const take of this.takers) take({ ...sample, source, at });
      }
    this.frame ??= setTimeout(() => this.refresh(), SCREEN);
  }

  private keep(name: SignalName, source: string, value: number, sentence: string, at: number): void {
    const sources = this.tracks.get(name) ?? new Map<string, Track>();
    this.tracks.set(name, sources);
    const track = sources.get(source);
    if (!track) return void sources.set(source, { value, sentence, at, counted: 1, from: at, rate: 0 });
    if (at - track.from >= 1000) {
      track.rate = Math.round((track.counted * 1000) / (at - track.from));
      [track.counted, track.from] = [0, at];
    }
    track.counted += 1;
    [track.value, track.sentence, track.at] = [value, sentence, at];
  }

  private refresh(): void {
    this.frame = undefined;
    const now = Date.now();
    this.shown = signalNames.flatMap((name): Shown[] => {
      const alive = [...(this.tracks.get(name) ?? [])].filter(([, t]) => now - t.at < 10 * FRESH);
      const [first, ...others] = alive.sort(([, a], [, b]) => b.at - a.at);
      if (!first) return [];
      const [source, { value, sentence, at, rate }] = first;
      return [
        {
          name,
          value,
          sentence,
          source,
          at,
          rate,
          others: others.filter(([, t]) => now - t.at < FRESH).map(([s]) => s)
        }
      ];
    });
  }

  /** The latest value of an instrument, where it is of now. */
  fresh(name: SignalName, now: number): Shown | undefined {
    return this.shown.find((s) => s.name === name && now - s.at < FRESH && s.others.length === 0);
  }

  /** Lines that could not be used, of the ways in and of what comes in here. */
  get bad(): number {
    const here = [DEVICE, FILE].flatMap((s): LineCounts[] => {
      const reader = this.readers.get(s);
      return reader ? [reader.counts] : [];
    });
    return [...this.ways.map((w) => w.counts), ...here].reduce((n, c) => n + badOf(c), 0);
  }

  async switch(id: string, on: boolean): Promise<void> {
    this.problem = '';
    try {
      const answer = await fetch('/instruments/live', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, on })
      });
      if (!answer.ok) throw new Error();
      this.ways = (await answer.json()) as SourceState[];
    } catch {
      this.problem = 'The server did not answer; the way in is as it was.';
    }
  }

  /** Plays a recording: lines with or without their milliseconds before them. */
  async replay(file: File, speed: number): Promise<void> {
    this.stopReplay?.();
    this.problem = '';
    const lines = (await file.text()).split(/\r\n|\n|\r/).filter((l) => l.trim());
    if (!lines.some((l) => l.includes('$'))) return void (this.problem = `${file.name} holds no sentences.`);
    const stamped = lines.map((l) => {
      const found = /^(\d+(?:\.\d+)?)\s+(\$.*)$/.exec(l);
      return found ? { at: Number(found[1]), line: found[2]! } : { at: undefined, line: l };
    });
    const from = performance.now();
    let next = 0;
    const timer = setInterval(() => {
      const played = (performance.now() - from) * speed;
      const due: string[] = [];
      // Lines without a moment are played ten a second.
      while (next < stamped.length && (stamped[next]!.at ?? next * 100) <= played) due.push(stamped[next++]!.line);
      if (due.length) this.push(FILE, due);
      if (next >= stamped.length) this.stopReplay?.();
    }, 20);
    this.replaying = file.name;
    this.stopReplay = () => {
      clearInterval(timer);
      [this.replaying, this.stopReplay] = ['', undefined];
    };
  }

  endReplay(): void {
    this.stopReplay?.();
  }

  /** Whether this browser can open a serial device. */
  get serial(): boolean {
    return typeof navigator !== 'undefined' && 'serial' in navigator;
  }

  /** Opens a serial device that the person picks, at the usual speed of the standard. */
  async openDevice(baudRate = 4800): Promise<void> {
    this.problem = '';
    try {
      const port = await navigator.serial!.requestPort();
      await port.open({ baudRate });
      this.device = 'Serial device';
      const reader = port.readable!.getReader();
      this.stopDevice = async () => {
        await reader.cancel().catch(() => {});
        await port.close().catch(() => {});
        [this.device, this.stopDevice] = ['', undefined];
      };
      void this.follow(reader);
    } catch (e) {
      // Nothing picked is no fault.
      if ((e as Error).name !== 'NotFoundError')
        this.problem = 'The device could not be opened: another program may have it.';
    }
  }

  private async follow(reader: ReadableStreamDefaultReader<Uint8Array>): Promise<void> {
    const [buffer, decoder] = [new LineBuffer(), new TextDecoder('latin1')];
    try {
      for (;;) {
        const { value, done } = await reader.read();
        if (done) return;
        this.push(DEVICE, buffer.push(decoder.decode(value, { stream: true })));
      }
    } catch {
      this.problem = 'The serial device has gone.';
    } finally {
      await this.stopDevice?.();
    }
  }

  async closeDevice(): Promise<void> {
    await this.stopDevice?.();
  }
}

let live: LiveInstruments | undefined;
/** The instruments of this browser tab. */
export const liveInstruments = (): LiveInstruments => (live ??= new LiveInstruments());
