import type { Fact } from '$core/engine/fact.ts';
import type { Entry } from '$core/record/entries.ts';
import type { Batch, BatchAnswer } from '$core/survey/wire.ts';

export type Queued = { readonly kind: 'entry'; readonly entry: Entry } | { readonly kind: 'fact'; readonly fact: Fact };

const idOf = (q: Queued): string => (q.kind === 'entry' ? q.entry.body.id : q.fact.id);

const PREFIX = 'indaga-outbox:';
export const outboxKey = (surveyId: string): string => `${PREFIX}${surveyId}`;
/** Surveys of which something waits in this browser. */
export function unsentSurveys(): string[] {
  try {
    return Object.keys(localStorage).flatMap((k) => (k.startsWith(PREFIX) ? [k.slice(PREFIX.length)] : []));
  } catch {
    return [];
  }
}

/**
 * What is recorded here and not yet confirmed by the server. Written to this browser before it is sent, and sent again
 * until it is confirmed; the server knows an id it has seen, so nothing is written twice.
 */
export class Outbox {
  waiting: readonly Queued[] = $state.raw([]);
  state: 'saved' | 'saving' | 'kept' = $state('saved');
  /** This browser could not keep what waits: it is lost when the page is closed before it was sent. */
  unkept = $state(false);
  refusals: readonly { readonly id: string; readonly message: string }[] = $state.raw([]);
  private timer: ReturnType<typeof setTimeout> | undefined;
  private busy = false;
  /** Asked for while one was under way: what was told meanwhile may not be in its answer. */
  private again = false;
  private delay = 1000;

  constructor(
    private readonly surveyId: string,
    private seq: number,
    private factSeq: number,
    private readonly receive: (a: BatchAnswer) => void
  ) {}

  private get key(): string {
    return outboxKey(this.surveyId);
  }

  /** Up to where the server has told. */
  get told(): { readonly seq: number; readonly factSeq: number } {
    return { seq: this.seq, factSeq: this.factSeq };
  }

  /** Goes on from where an earlier visit had been told. */
  goOnFrom(told: { readonly seq: number; readonly factSeq: number }): void {
    this.seq = Math.max(this.seq, told.seq);
    this.factSeq = Math.max(this.factSeq, told.factSeq);
  }

  private keep(): void {
    try {
      if (this.waiting.length) localStorage.setItem(this.key, JSON.stringify(this.waiting));
      else localStorage.removeItem(this.key);
      this.unkept = false;
    } catch {
      // Store full or forbidden: the entries still wait in memory and are still sent.
      this.unkept = this.waiting.length > 0;
    }
  }

  restore(): readonly Queued[] {
    try {
      this.waiting = JSON.parse(localStorage.getItem(this.key) ?? '[]') as Queued[];
    } catch {
      this.waiting = [];
    }
    if (this.waiting.length) this.state = 'kept';
    return this.waiting;
  }

  waitsFor(path: string): boolean {
    return this.waiting.some((q) => q.kind === 'fact' && q.fact.path === path);
  }

  put(queued: Queued): void {
    this.waiting = [...this.waiting, queued];
    this.keep();
    void this.flush();
  }

  /** No further attempt is made by itself. */
  rest(): void {
    clearTimeout(this.timer);
  }

  dismiss(): void {
    this.refusals = [];
  }

  /** Sends what waits and fetches what others added. */
  async flush(): Promise<void> {
    if (this.busy) {
      this.again = true;
      return;
    }
    this.busy = true;
    this.again = false;
    clearTimeout(this.timer);
    const sending = this.waiting.slice(0, 200);
    if (sending.length) this.state = 'saving';
    try {
      const response = await fetch(`/api/surveys/${this.surveyId}/entries`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          since: this.seq,
          factSince: this.factSeq,
          entries: sending.filter((q) => q.kind === 'entry').map((q) => q.entry),
          facts: sending.filter((q) => q.kind === 'fact').map((q) => q.fact)
        } satisfies Batch)
      });
      if (!response.ok) throw new Error(`answer ${response.status}`);
      const answer = (await response.json()) as BatchAnswer;
      const sent = new Set(sending.map(idOf));
      this.waiting = this.waiting.filter((q) => !sent.has(idOf(q)));
      this.keep();
      this.seq = answer.entries.at(-1)?.seq ?? this.seq;
      this.factSeq = answer.facts.at(-1)?.seq ?? this.factSeq;
      if (answer.refused.length) this.refusals = answer.refused;
      this.receive(answer);
      this.delay = 1000;
      this.state = this.waiting.length ? 'saving' : 'saved';
      this.busy = false;
      if (this.waiting.length || this.again) void this.flush();
    } catch {
      this.busy = false;
      this.state = this.waiting.length ? 'kept' : 'saved';
      this.delay = Math.min(this.delay * 1.6, 20_000);
      if (this.waiting.length) this.timer = setTimeout(() => void this.flush(), this.delay);
    }
  }
}
