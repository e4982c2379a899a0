import { crank, USUAL_VALVE } from '../../physics/cranking.ts';
import type { CylinderShape } from '../../physics/slider-crank.ts';
import { ZERO_CELSIUS } from '../../units/factors.ts';
import { sentenceOf, signals, type SignalName } from '../signals.ts';

/** A made-up engine on the bench, as far as instruments see it. */
export interface StandInEngine {
  readonly title: string;
  readonly shape: CylinderShape;
  /** Leak of each cylinder, Cd·A in m². */
  readonly leaks: readonly number[];
  readonly strokes: 2 | 4;
  /** Cranking speed on a rested battery, 1/min. */
  readonly rpm: number;
  /** Share of the gear case's pressure that is lost in a minute, at air and at vacuum. */
  readonly caseLoss: { readonly air: number; readonly vacuum: number };
  /** Where the head settles, K, how fast, s, and how far the starboard bank is hotter; one bank where it is left out. */
  readonly head: { readonly settles: number; readonly tau: number; readonly starboard?: number };
}

/** What hands do at the bench. */
export interface Controls {
  /** The cylinder whose hole the gauge is screwed into. */
  readonly cylinder: number;
  /** Starter pressed or rope pulled. */
  readonly cranking: boolean;
  /** The gauge's release pressed. */
  readonly release: boolean;
  /** 0 shut, 1 wide open. */
  readonly throttle: number;
  /** What the case's valve does: air or vacuum to the regulator's setting, Pa, shut off, or let down. */
  readonly valve: 'fill' | 'shut' | 'let-down';
  readonly regulator: number;
  readonly running: boolean;
}
export const atRest: Controls = {
  cylinder: 1,
  cranking: false,
  release: false,
  throttle: 1,
  valve: 'let-down',
  regulator: 27_600,
  running: false
};

interface Meter {
  /** How often it sends, 1/s; its division, error of its zero and of its span, noise, all in SI. */
  readonly rate: number;
  readonly step: number;
  readonly noise: number;
  /** How fast it follows, s. */
  readonly lag: number;
  /** The highest it can show; it stands there when there is more. */
  readonly top?: number;
}
/** Rates, divisions, lags of ordinary instruments of each kind (C). */
const meters: Partial<Record<SignalName, Meter>> = {
  gauge: { rate: 20, step: 500, noise: 300, lag: 0.03, top: 2.1e6 },
  case: { rate: 2, step: 100, noise: 60, lag: 0.2, top: 2.1e5 },
  casetemp: { rate: 0.5, step: 0.1, noise: 0.02, lag: 5 },
  head: { rate: 2, step: 0.1, noise: 0.1, lag: 1.5 },
  headp: { rate: 2, step: 0.1, noise: 0.1, lag: 1.5 },
  heads: { rate: 2, step: 0.1, noise: 0.1, lag: 1.5 },
  batt: { rate: 10, step: 0.01, noise: 0.01, lag: 0.02 },
  tach: { rate: 10, step: 10, noise: 4, lag: 0.1 }
};

const AIR = ZERO_CELSIUS + 18;
/** A shut throttle lets this share of the filling through. */
const SHUT = 0.72;
/** The gauge lets go and the case empties in about this time, s. */
const EMPTIES = 0.15;
const FILLS = 1.5;
/** A head off the water cools in about this time, s. */
const COOLS = 600;
const IDLE = 950;
const PULLS = 12;

/** Simulated instruments at a made-up engine: what hands do goes in, the sentences that the instruments send come out. */
export class StandIns {
  private seconds = 0;
  private needle = 0;
  private angle = 0;
  private pulls = 0;
  private pressure = 0;
  private charge = 12.6;
  private heads = { port: AIR, starboard: AIR };
  private readonly shown = new Map<SignalName, number>();
  private readonly due = new Map<SignalName, number>();
  private readonly series = new Map<number, readonly number[]>();

  constructor(
    readonly engine: StandInEngine,
    /** Noise of the instruments, standard normal. */
    private readonly normal: () => number
  ) {}

  /** The needle after each pull in one cylinder with the throttle open, Pa gauge: the cranking model. */
  private needles(cylinder: number): readonly number[] {
    let found = this.series.get(cylinder);
    if (!found) {
      const { engine } = this;
      found = crank({
        cylinder: engine.shape,
        rpm: engine.rpm,
        pulls: PULLS,
        leak: engine.leaks[cylinder - 1] ?? 0,
        gauge: 12e-6,
        valve: USUAL_VALVE
      }).needle;
      this.series.set(cylinder, found);
    }
    return found;
  }

  /** The true values of now; what is not there now is left out. */
  private truth(c: Controls): Partial<Record<SignalName, number>> {
    const volts = c.running ? 14.1 : c.cranking ? this.charge - 1.3 : this.charge;
    const rpm = c.running ? IDLE : c.cranking ? this.speed() : 0;
    const two = this.engine.head.starboard !== undefined;
    return {
      gauge: this.needle,
      case: this.pressure,
      casetemp: AIR,
      ...(two ? { headp: this.heads.port, heads: this.heads.starboard } : { head: this.heads.port }),
      batt: volts,
      tach: rpm
    };
  }

  private speed(): number {
    return this.engine.rpm * (1 - 0.25 * Math.max(0, 12.6 - this.charge));
  }

  private move(c: Controls, dt: number): void {
    if (c.release) {
      this.needle *= Math.exp(-dt / EMPTIES);
      [this.pulls, this.angle] = [0, 0];
    } else if (c.cranking) {
      this.charge = Math.max(9, this.charge - 0.02 * dt);
      this.angle += (this.speed() / 60) * dt * (this.engine.strokes === 4 ? 0.5 : 1);
      if (this.angle >= this.pulls + 1) {
        const list = this.needles(c.cylinder);
        const full = list[Math.min(this.pulls, list.length - 1)]!;
        this.needle = Math.max(this.needle, full * (SHUT + (1 - SHUT) * Math.min(1, Math.max(0, c.throttle))));
        this.pulls += 1;
      }
    }
    if (c.valve === 'fill') this.pressure += (c.regulator - this.pressure) * (1 - Math.exp(-dt / FILLS));
    else if (c.valve === 'let-down') this.pressure *= Math.exp(-dt / EMPTIES);
    else {
      const { air, vacuum } = this.engine.caseLoss;
      this.pressure *= Math.exp((-(this.pressure < 0 ? vacuum : air) * dt) / 60);
    }
    const { settles, tau, starboard = 0 } = this.engine.head;
    const toward = (from: number, to: number, time: number): number => from + (to - from) * (1 - Math.exp(-dt / time));
    const end = c.running ? settles : AIR;
    const time = c.running ? tau : COOLS;
    this.heads = {
      port: toward(this.heads.port, end, time),
      starboard: toward(this.heads.starboard, c.running ? end + starboard : AIR, time)
    };
  }

  /** Moves on by `dt` seconds (0.05 or less) and gives the sentences that were sent meanwhile. */
  step(c: Controls, dt: number): string[] {
    this.move(c, dt);
    this.seconds += dt;
    const lines: string[] = [];
    for (const [name, value] of Object.entries(this.truth(c)) as [SignalName, number][]) {
      const meter = meters[name]!;
      const before = this.shown.get(name) ?? value;
      const now = before + (value - before) * (1 - Math.exp(-dt / meter.lag));
      this.shown.set(name, now);
      const due = this.due.get(name) ?? 0;
      if (this.seconds + 1e-9 < due) continue;
      this.due.set(name, due + 1 / meter.rate);
      const read = Math.round((now + meter.noise * this.normal()) / meter.step) * meter.step;
      lines.push(sentenceOf(name, Math.max(signals[name].min, Math.min(meter.top ?? Infinity, read))));
    }
    return lines;
  }
}
