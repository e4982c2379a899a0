import { largestPhoto } from '$lib/photo-limits.ts';
import { browserStore } from './browser-store.ts';
import { newId } from './new-id.ts';

/** A photograph taken and not yet with the server. */
export interface Waiting {
  readonly id: string;
  readonly surveyId: string;
  readonly what: string;
  readonly blob: Blob;
}

const STORE = 'photos';
const database = browserStore('indaga-photos', STORE, 'id');

/** Every photograph that waits in this browser, of whatever engine. */
export const photosWaiting = (): Promise<Waiting[]> =>
  database()
    .then((db) => db.getAll(STORE) as Promise<Waiting[]>)
    .catch(() => []);

/**
 * Photographs on their way: kept in this browser until the server has them, so that a lost connection or a reload loses
 * none. `arrived` is told the name under which the server keeps it.
 */
export class PhotoBox {
  waiting: readonly Waiting[] = $state.raw([]);
  message: { readonly what: string; readonly text: string } | undefined = $state.raw();
  private busy = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly surveyId: string,
    private readonly arrived: (what: string, photo: string) => void
  ) {}

  /** Takes up what an earlier visit could not send. */
  async restore(): Promise<void> {
    const all = await photosWaiting();
    // One taken while the store was read stays in the list.
    const have = new Set(this.waiting.map((w) => w.id));
    this.waiting = [...all.filter((w) => w.surveyId === this.surveyId && !have.has(w.id)), ...this.waiting];
    void this.flush();
  }

  async take(what: string, file: File): Promise<void> {
    this.message = undefined;
    if (file.size > largestPhoto)
      return this.say(
        what,
        `“${file.name}” is ${Math.round(file.size / 1e6)} MB; 20 MB is the most. Take it smaller, or crop it.`
      );
    const waiting: Waiting = { id: newId(), surveyId: this.surveyId, what, blob: file };
    this.waiting = [...this.waiting, waiting];
    await database()
      .then((db) => db.put(STORE, waiting))
      .catch(() => undefined);
    await this.flush();
  }

  private say(what: string, text: string): void {
    this.message = { what, text };
  }

  private async forget(w: Waiting): Promise<void> {
    this.waiting = this.waiting.filter((x) => x !== w);
    await database()
      .then((db) => db.delete(STORE, w.id))
      .catch(() => undefined);
  }

  /** Sends one that waits, from a page of another engine; what does not go now goes later. */
  async sendOne(id: string): Promise<void> {
    const w = (await photosWaiting()).find((x) => x.id === id);
    if (w) await this.post(w).catch(() => undefined);
  }

  async flush(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    clearTimeout(this.timer);
    try {
      for (const w of this.waiting) await this.post(w);
    } catch {
      this.timer = setTimeout(() => void this.flush(), 5000);
    } finally {
      this.busy = false;
    }
  }

  private async post(w: Waiting): Promise<void> {
    const response = await fetch('/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: w.blob
    });
    if (response.ok) {
      const { photo } = (await response.json()) as { photo: string };
      this.arrived(w.what, photo);
      await this.forget(w);
      return;
    }
    const { message, verdict } = (await response.json().catch(() => ({}))) as { message?: string; verdict?: string };
    if (message) this.say(w.what, message);
    // Only what is wrong with the picture itself lets it go; a closed door or a full disk does not.
    if (verdict === 'picture') await this.forget(w);
    else throw new Error(`answer ${response.status}`);
  }
}
