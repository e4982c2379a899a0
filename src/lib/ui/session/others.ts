/** How often the server is asked where it tells nothing, ms. */
const EVERY = 60_000;

/**
 * Hears from the server when somebody adds to a survey (server-sent events), and asks now and then besides. Rests while the page
 * is not seen: a browser allows few connections.
 */
export class Others {
  private source: EventSource | undefined;
  private readonly timer: ReturnType<typeof setInterval>;
  private readonly seen = (): void => {
    if (document.visibilityState === 'visible') this.listen();
    else this.rest();
  };

  constructor(
    private readonly surveyId: string,
    private readonly added: () => void
  ) {
    this.timer = setInterval(() => document.visibilityState === 'visible' && this.added(), EVERY);
    document.addEventListener('visibilitychange', this.seen);
    this.seen();
  }

  private listen(): void {
    if (this.source || typeof EventSource === 'undefined') return;
    this.source = new EventSource(`/surveys/${this.surveyId}/live`);
    this.source.addEventListener('changed', () => this.added());
  }

  private rest(): void {
    this.source?.close();
    this.source = undefined;
  }

  end(): void {
    clearInterval(this.timer);
    document.removeEventListener('visibilitychange', this.seen);
    this.rest();
  }
}
