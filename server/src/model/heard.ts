/** The most entries remembered one by one; older ones are taken for known. */
const KEEP = 10_000;

/** Which entries of the ledger this process has been told of. Behind one name there may be several processes: what another has stored must not be missed. */
export interface Heard {
  /** A message came that tells of entries up to this one. */
  add(seq: number): void;
  /** Everything up to this has been read from the database. */
  readonly readTo: (seq: number) => void;
  has(seq: number): boolean;
  /** Resolves when it has been told of, or after `ms`. */
  wait(seq: number, ms: number): Promise<void>;
}

export function heard(): Heard {
  const told = new Set<number>();
  const waiting = new Map<number, Set<() => void>>();
  let floor = 0;
  const has = (seq: number): boolean => seq <= floor || told.has(seq);
  return {
    has,
    add(seq) {
      told.add(seq);
      if (told.size > KEEP) {
        const oldest = told.values().next().value!;
        told.delete(oldest);
        floor = Math.max(floor, oldest);
      }
      for (const done of waiting.get(seq) ?? []) done();
    },
    readTo: (seq) => void (floor = Math.max(floor, seq)),
    wait(seq, ms) {
      if (has(seq)) return Promise.resolve();
      return new Promise((resolve) => {
        const all = waiting.get(seq) ?? new Set();
        const done = (): void => {
          clearTimeout(timer);
          all.delete(done);
          if (all.size === 0) waiting.delete(seq);
          resolve();
        };
        const timer = setTimeout(done, ms);
        waiting.set(seq, all.add(done));
      });
    },
  };
}
