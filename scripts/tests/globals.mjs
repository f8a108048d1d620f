/**
 * What `@jest/globals` gives a test in plain Node. The runner knows no limits of time: what hangs would hang for good. A database and a
 * browser on a busy machine are slow, and slow is not wrong: the limit is wide where a test names none.
 */
const PATIENCE_MS = 120_000;

export const { describe, expect, jest } = globalThis;

const inTime = (fn, limitMs = PATIENCE_MS) =>
  async function () {
    let timer;
    const tooLate = new Promise((_, fail) => {
      timer = setTimeout(() => fail(new Error(`not done after ${limitMs} ms`)), limitMs);
    });
    try {
      return await Promise.race([fn(), tooLate]);
    } finally {
      clearTimeout(timer);
    }
  };

const limited = (base) => Object.assign((name, fn, limitMs) => base(name, inTime(fn, limitMs)), base);
export const it = Object.assign(limited(globalThis.it), {
  only: limited(globalThis.it.only),
  skip: globalThis.it.skip,
  each:
    (...table) =>
    (name, fn, limitMs) =>
      globalThis.it.each(...table)(name, (...row) => inTime(() => fn(...row), limitMs)()),
});
const hook = (base) => (fn, limitMs) => base(inTime(fn, limitMs));
export const afterAll = hook(globalThis.afterAll);
export const afterEach = hook(globalThis.afterEach);
export const beforeAll = hook(globalThis.beforeAll);
export const beforeEach = hook(globalThis.beforeEach);
