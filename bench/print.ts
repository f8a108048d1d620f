/** One measured thing beside its baseline. */
export interface Line {
  readonly what: string;
  readonly value: string;
}

export function print(title: string, lines: readonly Line[]): void {
  console.log(`\n${title}`);
  const width = Math.max(...lines.map((l) => l.what.length));
  for (const l of lines) console.log(`  ${l.what.padEnd(width)}  ${l.value}`);
}

/** Best of `rounds`, ms: the least disturbed run. */
export function bestMs(rounds: number, work: () => void): number {
  let best = Infinity;
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}
