import type { Batch, BatchAnswer } from '$core/survey/wire.ts';
import { clock } from './clock.ts';
import { dropUnsent, idOf, keepUnsent, setAside, unsentOf, type Queued } from './outbox-store.ts';

export type { Queued } from './outbox-store.ts';

/** One batch: so many things at most, of so many characters at most; a single larger one goes alone. */
const MOST = 200;
const LARGEST = 1_000_000;

/** The first of a list that go together. */
export function batchOf(waiting: readonly Queued[], most = MOST): readonly Queued[] {
  let size = 0;
  let n = 0;
  for (const q of waiting.slice(0, most)) {
    size += JSON.stringify(q).length;
    if (n && size > LARGEST) break;
    n++;
  }
  return waiting.slice(0, n);
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
  /** Why it is kept and not sent, where the server said so. */
  why = $state('');
  refusals: readonly { readonly id: string; readonly message: string }[] = $state.raw([]);
  private timer: ReturnType<typeof setTimeout> | undefined;
  private busy = false;
  /** Asked for while one was under way: what was told meanwhile may not be in its answer. */
  private again = false;
  private delay = 1000;
  private most = MOST;

  constructor(
    private readonly surveyId: string,
    private seq: number,
    private factSeq: number,
    private readonly receive: (a: BatchAnswer) => void
  ) {}

  /** Up to where the server has told. */
  get told(): { readonly seq: number; readonly factSeq: number } {
    return { seq: this.seq, factSeq: this.factSeq };
  }

  /** Goes on from where an earlier visit had been told. */
  goOnFrom(told: { readonly seq: number; readonly factSeq: number }): void {
    this.seq = Math.max(this.seq, told.seq);
    this.factSeq = Math.max(this.factSeq, told.factSeq);
  }

  /** Takes up what waits for this engine on this device, from whatever visit or tab; gives what is new to this page. */
  async restore(): Promise<readonly Queued[]> {
    const have = new Set(this.waiting.map(idOf));
    const kept = (await unsentOf(this.surveyId)).map((k) => k.queued).filter((q) => !have.has(idOf(q)));
    this.waiting = [...kept, ...this.waiting];
    if (this.waiting.length && !this.busy) this.state = 'kept';
    return kept;
  }

  waitsFor(path: string): boolean {
    return this.waiting.some((q) => q.kind === 'fact' && q.fact.path === path);
  }

  put(queued: Queued): void {
    this.waiting = [...this.waiting, queued];
    const { safe, stored } = keepUnsent({ surveyId: this.surveyId, id: idOf(queued), queued });
    if (!safe) this.unkept = true;
    void stored.then((ok) => {
      if (this.waiting.includes(queued)) this.unkept = !ok;
      // Confirmed before it was stored: it is taken out again.
      else void dropUnsent([idOf(queued)]);
    });
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
    const sending = batchOf(this.waiting, this.most);
    if (sending.length) this.state = 'saving';
    try {
      const answer = await this.post(sending);
      if (answer === 'smaller') {
        this.most = Math.max(1, Math.floor(sending.length / 2));
        this.again = true;
      } else if (typeof answer === 'string') this.refuse(sending, answer);
      else this.confirmed(sending, answer);
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

  /** The answer; "smaller" when the batch as a whole was not taken; a sentence when a single thing cannot be. Throws to be tried again. */
  private async post(sending: readonly Queued[]): Promise<BatchAnswer | string> {
    const asked = clock.asked();
    const response = await fetch(`/api/surveys/${this.surveyId}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        since: this.seq,
        factSince: this.factSeq,
        entries: sending.filter((q) => q.kind === 'entry').map((q) => q.entry),
        facts: sending.filter((q) => q.kind === 'fact').map((q) => q.fact),
        order: sending.map(idOf)
      } satisfies Batch)
    });
    if (response.ok) {
      const answer = (await response.json()) as BatchAnswer;
      clock.answered(answer.now, asked);
      this.why = '';
      return answer;
    }
    const { message } = (await response.json().catch(() => ({}))) as { message?: string };
    if (sending.length && (response.status === 400 || response.status === 413))
      return sending.length > 1 ? 'smaller' : (message ?? 'The server does not take it.');
    // Closed, full, gone: it is kept, and tried again.
    this.why = message ?? '';
    throw new Error(`answer ${response.status}`);
  }

  private confirmed(sending: readonly Queued[], answer: BatchAnswer): void {
    const sent = new Set(sending.map(idOf));
    this.waiting = this.waiting.filter((q) => !sent.has(idOf(q)));
    if (!this.waiting.length) this.unkept = false;
    void dropUnsent([...sent]);
    this.most = MOST;
    this.seq = answer.entries.at(-1)?.seq ?? this.seq;
    this.factSeq = answer.facts.at(-1)?.seq ?? this.factSeq;
    if (answer.refused.length) {
      this.refusals = answer.refused;
      void this.aside(sending, answer.refused);
    }
    this.receive(answer);
  }

  /** One thing that the server cannot read at all. */
  private refuse(sending: readonly Queued[], message: string): void {
    const refused = sending.map((q) => ({ id: idOf(q), message }));
    const gone = new Set(refused.map((r) => r.id));
    this.waiting = this.waiting.filter((q) => !gone.has(idOf(q)));
    void dropUnsent([...gone]);
    void this.aside(sending, refused);
    this.refusals = [...this.refusals, ...refused];
    this.most = MOST;
    this.receive({ entries: [], facts: [], refused });
  }

  private aside(sending: readonly Queued[], refused: BatchAnswer['refused']): Promise<void> {
    return setAside(
      refused.flatMap(({ id, message }) => {
        const queued = sending.find((q) => idOf(q) === id);
        return queued ? [{ kept: { surveyId: this.surveyId, id, queued }, message }] : [];
      })
    );
  }
}
