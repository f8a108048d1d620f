/** Longest slice of work before other requests get their turn. */
const SLICE_MS = 12;
const turn = (): Promise<void> => new Promise((done) => setImmediate(done));

/** Drives a long derivation in slices, so that the server keeps answering; says each step. */
export async function inTurns<S, T>(steps: Generator<S, T>, onStep?: (step: S) => void): Promise<T> {
  let sliceStart = performance.now();
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    onStep?.(next.value);
    if (performance.now() - sliceStart < SLICE_MS) continue;
    await turn();
    sliceStart = performance.now();
  }
}
