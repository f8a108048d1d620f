import { AppError } from '../http/errors.ts';

/** Misses before anybody has to wait. */
const FREE = 5;
const FIRST_WAIT_MS = 60_000;
const LONGEST_WAIT_MS = 3_600_000;
/** Of one address, whatever names it tries. */
const FREE_OF_ADDRESS = 50;
/** A name alone never locks anybody out: it only slows down. */
const SLOWEST_MS = 2_000;
const FORGOTTEN_MS = 2 * LONGEST_WAIT_MS;
const MOST_KEPT = 10_000;

interface Misses {
  readonly n: number;
  readonly lastMs: number;
}

/** Wrong phrases, by whoever tries them: what makes guessing slow without letting a stranger lock others out. */
export class Tries {
  private readonly misses = new Map<string, Misses>();
  private readonly nowMs: () => number;
  constructor(nowMs: () => number) {
    this.nowMs = nowMs;
  }

  /** Throws while whoever asks has to wait; takes its time for a name that is being tried a lot. */
  async before(name: string, address: string): Promise<void> {
    const waitMs = Math.max(
      this.waitMs(both(name, address), FREE),
      this.waitMs(`a\n${address}`, FREE_OF_ADDRESS),
    );
    if (waitMs > 0) throw new AppError('too-many-tries', { waitS: Math.ceil(waitMs / 1000) });
    const over = this.of(`n\n${name}`) - FREE;
    if (over > 0) await new Promise((go) => setTimeout(go, Math.min(100 * 2 ** over, SLOWEST_MS)));
  }
  missed(name: string, address: string): void {
    for (const key of [both(name, address), `a\n${address}`, `n\n${name}`]) {
      const n = this.of(key) + 1;
      // Put last again, so that what goes first is what was longest ago.
      this.misses.delete(key);
      this.misses.set(key, { n, lastMs: this.nowMs() });
    }
    for (const key of this.misses.keys()) {
      if (this.misses.size <= MOST_KEPT) break;
      this.misses.delete(key);
    }
  }
  passed(name: string, address: string): void {
    this.misses.delete(both(name, address));
    this.misses.delete(`n\n${name}`);
  }

  private of(key: string): number {
    const m = this.misses.get(key);
    return m && this.nowMs() - m.lastMs < FORGOTTEN_MS ? m.n : 0;
  }
  private waitMs(key: string, free: number): number {
    const n = this.of(key);
    if (n < free) return 0;
    const wait = Math.min(FIRST_WAIT_MS * 2 ** (n - free), LONGEST_WAIT_MS);
    return this.misses.get(key)!.lastMs + wait - this.nowMs();
  }
}
const both = (name: string, address: string): string => `b\n${name}\n${address}`;
