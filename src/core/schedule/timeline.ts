/** Times at which one of several alike things is taken: how the earliest free stretch is found. */
export class Timeline {
  private readonly starts: number[] = [];
  private readonly ends: number[] = [];

  /** The first moment from `from` on at which it is free for so long. */
  free(from: number, length: number): number {
    let t = from;
    for (let k = this.after(from); k < this.starts.length; k++) {
      if (this.starts[k]! >= t + length) return t;
      if (this.ends[k]! > t) t = this.ends[k]!;
    }
    return t;
  }

  take(start: number, end: number): void {
    if (end <= start) return;
    let k = this.starts.length;
    while (k > 0 && this.starts[k - 1]! > start) k--;
    this.starts.splice(k, 0, start);
    this.ends.splice(k, 0, end);
  }

  release(start: number, end: number): void {
    const k = this.starts.findIndex((s, i) => s === start && this.ends[i] === end);
    if (k >= 0) {
      this.starts.splice(k, 1);
      this.ends.splice(k, 1);
    }
  }

  /** The first stretch that ends after a moment; stretches do not overlap, so both lists are in order. */
  private after(moment: number): number {
    let [lo, hi] = [0, this.ends.length];
    while (lo < hi) {
      const mid = (lo + hi) >> 1;
      if (this.ends[mid]! > moment) hi = mid;
      else lo = mid + 1;
    }
    return lo;
  }
}
