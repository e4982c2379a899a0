const KEY = 'indaga-instruments';

/** Whether instruments enter their own readings in this browser; kept for the next visit. What reads them is fetched only then. */
class Wanted {
  private value = $state(false);

  /** Takes up what was switched on at an earlier visit: once the page is there, so that it is first drawn as the server drew it. */
  restore(): void {
    if (localStorage.getItem(KEY) === 'yes') this.value = true;
  }

  get on(): boolean {
    return this.value;
  }
  set on(on: boolean) {
    this.value = on;
    localStorage.setItem(KEY, on ? 'yes' : 'no');
  }
}

export const instrumentsWanted = new Wanted();
