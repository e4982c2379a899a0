import type { Move } from '$core/moves/move.ts';
import type { Session } from '../session/session.svelte.ts';

/**
 * The move one is at. What is entered changes the list of moves at once; the one in hand stays until one says that it is done, so
 * that nothing changes under the thumb.
 */
export class PinnedMove {
  private held: Move | undefined = $state.raw();
  private asked = $state(false);
  /** How many readings stood when it was taken in hand. */
  private since = $state(0);
  /** Said when the list still asks for the same. */
  still = $state('');

  constructor(private readonly session: () => Session) {}

  private readonly open = $derived.by(() => {
    const s = this.session();
    const list = s.moves.filter((m) => !s.later.has(m.id));
    return list.length ? list : s.moves;
  });
  private readonly first = $derived(this.open.find((m) => !m.waits) ?? this.open[0]);
  /** Danger waits for nobody: it takes the place of what is in hand, and gives it back when it is over. */
  readonly move = $derived(this.first?.class === 1 ? this.first : (this.held ?? this.first));
  /** What comes after the one in hand. */
  readonly then = $derived(this.open.filter((m) => m.id !== this.move?.id && !m.waits).slice(0, 3));

  /** Called once the page is there: from now on the move stays. */
  pin(): void {
    if (!this.held) this.hold();
  }

  private hold(): void {
    this.held = this.first;
    this.since = this.session().survey.readings.length;
  }

  /** Whether a reading was taken for the move in hand: what stood before it does not answer a repeat. */
  fresh(id: string): boolean {
    return this.session()
      .survey.readings.slice(this.since)
      .some((r) => r.id === id);
  }

  /** Goes on to what the list says now; waits for it where it is still being weighed. */
  done(): void {
    this.asked = true;
    this.settle();
  }

  later(): void {
    const s = this.session();
    if (this.move) s.later = new Set([...s.later, this.move.id]);
    this.still = '';
    this.hold();
  }

  /** Takes the next move once the list is of the last entry. */
  settle(): void {
    if (!this.asked || this.session().weighing === 'weighing') return;
    this.asked = false;
    const same = this.first && this.first.id === this.held?.id;
    this.still = same ? `Still asked for: ${this.first!.because}` : '';
    this.hold();
  }
}
