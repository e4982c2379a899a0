/**
 * The server's time on this device. A tablet's own clock may be minutes off, or be set while it is used: each answer of the server says
 * what its clock showed, and from then on time runs by the device's monotonic clock. What was last measured is kept for a page that opens
 * without a connection.
 */
interface Measured {
  /** The server's clock at that moment, and the device's two clocks, ms. */
  readonly server: number;
  readonly mono: number;
  readonly wall: number;
  /** How long the answer took: half of it is how wrong this can be. */
  readonly trip: number;
}

const KEY = 'indaga-clock';
/** A device this close is right: its own time is used as it is, ms. */
const CLOSE = 1000;
/** Clocks further apart than this show different times, ms. */
const PARTED = 2000;

export class ServerClock {
  private measured: Measured | undefined;

  constructor(
    private readonly wall: () => number = () => Date.now(),
    private readonly mono: () => number = () => performance.now(),
    private readonly store: Pick<Storage, 'getItem' | 'setItem'> | undefined = storage()
  ) {}

  /** What to call before a request; hand what it gives to `answered`. */
  asked(): number {
    return this.mono();
  }

  /** The server's clock as an answer told it. */
  answered(now: string | undefined, asked: number): void {
    const told = Date.parse(now ?? '');
    if (Number.isNaN(told)) return;
    const [mono, wall] = [this.mono(), this.wall()];
    const trip = Math.max(0, mono - asked);
    const old = this.measured;
    // The monotonic clock is better than any answer: measured anew only where the two clocks of the device part, as after a sleep or
    // when it was set, or to know it more closely.
    if (old) {
      const parted = Math.abs(mono - old.mono - (wall - old.wall)) > PARTED;
      if (!parted && (trip >= old.trip || Math.abs(told + trip / 2 - this.now()) > PARTED)) return;
    }
    this.measured = { server: told + trip / 2, mono, wall, trip };
    try {
      this.store?.setItem(KEY, String(Math.round(this.measured.server - wall)));
    } catch {
      // Not kept: measured again with the next answer.
    }
  }

  /** The server's time now, ms. */
  now(): number {
    const wall = this.wall();
    const m = this.measured;
    if (!m) return wall + this.near(this.lastKnown());
    // A monotonic clock rests while the device sleeps, a wall clock can be set back: whichever went further is right.
    const passed = Math.max(this.mono() - m.mono, wall - m.wall);
    return wall + this.near(m.server + passed - wall);
  }

  /** What is added to the device's clock, whole ms; 0 where it is right. */
  get added(): number {
    return Math.round(this.now() - this.wall());
  }

  date(): Date {
    return new Date(this.now());
  }

  private near(offset: number): number {
    return Math.abs(offset) < CLOSE ? 0 : offset;
  }

  private lastKnown(): number {
    try {
      const kept = Number(this.store?.getItem(KEY) ?? 0);
      return Number.isFinite(kept) ? kept : 0;
    } catch {
      return 0;
    }
  }
}

function storage(): Storage | undefined {
  try {
    return typeof localStorage === 'undefined' ? undefined : localStorage;
  } catch {
    return undefined;
  }
}

/** The one clock of this page. */
export const clock = new ServerClock();
