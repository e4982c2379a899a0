import type { Entry } from '$core/record/entries.ts';
import { newId } from './new-id.ts';
import { clock } from './clock.ts';
import { allUnsent, asideCount } from './outbox-store.ts';
import { Outbox } from './outbox.svelte.ts';
import { Overdue } from './overdue.ts';
import { PhotoBox, photosWaiting, type Waiting } from './photo-box.svelte.ts';

/**
 * What waits in this browser for any engine, counted and sent from whatever page is open. The engine whose pages are open sends
 * its own.
 */
export class Unsent {
  /** What waits longer than it takes to send. */
  entries = $state(0);
  photos = $state(0);
  /** What the server did not take, kept here until somebody has seen to it. */
  aside = $state(0);
  /** What the server did not take, in sentences. */
  refused: readonly string[] = $state.raw([]);
  private busy = false;
  private readonly overdue = new Overdue();

  /** Counts what waits, in all. What is only under way is not counted: a line that comes and goes moves the page under a finger. */
  async count(): Promise<void> {
    const [entries, photos] = [await allUnsent(), await photosWaiting()];
    const ids = [...entries, ...photos].map(({ id }) => id);
    const waits = this.overdue.of(ids, performance.now(), navigator.onLine);
    this.entries = entries.filter(({ id }) => waits.has(id)).length;
    this.photos = photos.filter(({ id }) => waits.has(id)).length;
    this.aside = await asideCount();
  }

  /** Sends what waits of every engine but the one that is open, which sends for itself. */
  async send(open: string | undefined, who = ''): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      for (const w of await photosWaiting())
        if (w.surveyId !== open && !w.what.startsWith('tray:')) await this.photo(w, who);
      for (const id of new Set((await allUnsent()).map((k) => k.surveyId))) if (id !== open) await this.survey(id);
      await this.count();
    } finally {
      this.busy = false;
    }
  }

  /** Only sent: what others added is asked for by the engine's own pages. */
  private async of(surveyId: string): Promise<Outbox> {
    const box = new Outbox(surveyId, Number.MAX_SAFE_INTEGER, Number.MAX_SAFE_INTEGER, () => {});
    await box.restore();
    return box;
  }

  private async survey(id: string): Promise<void> {
    const box = await this.of(id);
    await box.flush();
    box.rest();
    if (box.refusals.length) this.refused = [...this.refused, ...box.refusals.map((r) => r.message)];
  }

  /** A photograph of another engine: sent, and its reading put where that engine's entries wait. */
  private async photo(w: Waiting, who: string): Promise<void> {
    const box = new PhotoBox(w.surveyId, (what, photo) => {
      const body = { id: newId(), at: clock.date().toISOString(), what, value: photo, ...(who ? { by: who } : {}) };
      void this.of(w.surveyId).then((o) => o.put({ kind: 'entry', entry: { type: 'reading', body } as Entry }));
    });
    await box.sendOne(w.id);
  }
}
