import { Capture, type Arm, type CaptureEvent, type Taken } from '$core/instruments/capture.ts';
import { signals, type SignalName } from '$core/instruments/signals.ts';
import type { Conditions, Instrument } from '$core/record/reading.ts';
import type { Session } from '../session/session.svelte.ts';
import type { LiveInstruments } from './live.svelte.ts';

export interface RecorderOptions {
  /** Conditions and gauge of the sheet, which stand beside what was measured. */
  readonly conditions?: () => Conditions;
  readonly instrument?: () => Instrument | undefined;
}

/** How often the clock looks whether an instrument has gone silent, ms. */
const TICK = 250;

/**
 * Records what armed instruments measure into a session: readings as a person would type them, with their sentence, each to
 * be taken back like any entry. Nothing is recorded unless armed.
 */
export class Recorder {
  arm: Arm | undefined = $state.raw();
  /** What happened last, in a sentence. */
  says = $state('');
  taken = $state(0);
  private capture: Capture | undefined;
  private leave: (() => void) | undefined;
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(
    private readonly session: Session,
    private readonly live: LiveInstruments,
    private readonly options: RecorderOptions = {}
  ) {}

  start(arm: Arm): void {
    this.stop();
    [this.arm, this.says, this.taken] = [arm, '', 0];
    this.capture = new Capture(arm);
    this.leave = this.live.listen((r) => this.handle(this.capture!.push(r), r.source));
    this.timer = setInterval(() => this.handle(this.capture!.tick(Date.now()), ''), TICK);
  }

  stop(): void {
    this.leave?.();
    clearInterval(this.timer);
    [this.arm, this.capture, this.leave] = [undefined, undefined, undefined];
  }

  private handle(events: readonly CaptureEvent[], source: string): void {
    for (const e of events) {
      if (e.kind === 'taken') this.record(e.taken, source);
      else if (e.kind === 'armed') this.arm = e.arm;
      else if (e.kind === 'problem')
        this.says =
          e.problem === 'silent'
            ? `${signals[e.name].label} went silent in the middle: nothing was recorded. Let it go and pull again.`
            : `Two instruments call themselves “${e.name}”: nothing is recorded until one of them is switched off.`;
      else {
        this.says =
          e.because === 'all'
            ? 'Every cylinder is read.'
            : 'Let down: the stage ends here, what came after is not recorded.';
        this.stop();
      }
    }
  }

  private record(t: Taken, source: string): void {
    const { session, options } = this;
    const named = options.instrument?.();
    const name = nameOf(signalOf(t), source);
    const instrument: Instrument = named ?? { name, ...(t.resolution ? { resolution: t.resolution } : {}) };
    session.read(t.what, t.value, {
      at: new Date(t.at).toISOString(),
      ...(t.cylinder === undefined ? {} : { cylinder: t.cylinder }),
      conditions: { ...(options.conditions?.() ?? {}), ...t.conditions },
      instrument,
      sentence: t.sentence.slice(0, 200)
    });
    this.taken += 1;
    this.says = '';
  }
}

const signalOf = (t: Taken): SignalName =>
  t.what.startsWith('compression.')
    ? 'gauge'
    : t.what === 'gear.casePressure'
      ? 'case'
      : t.what === 'run.rpm'
        ? 'tach'
        : t.what === 'run.volts'
          ? 'batt'
          : 'head';

/** Readings of a stand-in say so: they are of no real engine. */
export const nameOf = (name: SignalName, source: string): string =>
  `${signals[name].label}${source === 'page' ? ', a stand-in' : source === 'file' ? ', from a recording' : ''}`;
