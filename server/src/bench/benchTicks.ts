import { benchOf, type PartCard, type Snapshot } from '@calvetta/core';

/** Rows in one answer: the first screens at once, the rest with the next. */
export const ROWS_AT_ONCE = 100;
/** Rows of answers that are remembered, so that a page can ask for what has changed since its own; and of how many answers at least. */
const KEEP_ROWS = 400_000;
const KEEP_ANSWERS = 32;

/** What a page has after an answer: rows as text, by part. Texts are shared between answers. */
interface Had {
  readonly order: readonly string[];
  readonly rows: ReadonlyMap<string, string>;
}

const texts = new WeakMap<PartCard, string>();
function textOf(card: PartCard): string {
  let text = texts.get(card);
  if (text === undefined) texts.set(card, (text = JSON.stringify(card)));
  return text;
}

interface Worked {
  /** Everything but the rows, as the inside of a JSON object. */
  readonly head: string;
  readonly order: readonly string[];
  readonly rows: ReadonlyMap<string, string>;
  /** Answers given from it, by what their page had: forty pages that had the same cost one. */
  readonly answers: Map<string, string>;
}
const worked = new WeakMap<Snapshot, Worked>();
function workedOf(snapshot: Snapshot): Worked {
  let w = worked.get(snapshot);
  if (!w) {
    const { rows, ...head } = benchOf(snapshot);
    w = {
      head: JSON.stringify(head).slice(1, -1),
      order: rows.map((r) => r.partId),
      rows: new Map(rows.map((r) => [r.partId, textOf(r)] as const)),
      answers: new Map<string, string>(),
    };
    worked.set(snapshot, w);
  }
  return w;
}

const isSameOrder = (a: readonly string[], b: readonly string[]): boolean =>
  a === b || (a.length === b.length && a.every((id, i) => id === b[i]));

/** The Bench in pieces: what has changed since the answer that a page had, at most so many rows of it. */
export function benchTicks(newId: () => string) {
  const had = new Map<string, Had>();
  /** What every page has that has all of it. */
  const whole = new WeakMap<Worked, string>();

  function remember(of: Had): string {
    const version = newId();
    had.set(version, of);
    const most = Math.max(KEEP_ANSWERS, Math.floor(KEEP_ROWS / Math.max(1, of.rows.size)));
    while (had.size > most) had.delete(had.keys().next().value!);
    return version;
  }
  function wholeVersion(w: Worked): string {
    let version = whole.get(w);
    // One that is forgotten is named anew: who has it would be told everything again.
    if (version === undefined || !had.has(version)) whole.set(w, (version = remember(w)));
    return version;
  }

  function answer(w: Worked, since: string): string {
    const { head, order, rows } = w;
    const before = had.get(since);
    const out: string[] = [];
    const has = new Map<string, string>();
    let left = 0;
    for (const [partId, text] of rows) {
      const old = before?.rows.get(partId);
      if (old === text) has.set(partId, text);
      else if (out.length < ROWS_AT_ONCE) {
        out.push(text);
        has.set(partId, text);
      } else {
        left += 1;
        if (old !== undefined) has.set(partId, old);
      }
    }
    const version = left === 0 ? wholeVersion(w) : remember({ order, rows: has });
    const isSame = before !== undefined && isSameOrder(before.order, order);
    return `{${head},"version":${JSON.stringify(version)},"isWhole":${left === 0},"order":${isSame ? 'null' : JSON.stringify(order)},"rows":[${out.join(',')}]}`;
  }

  return {
    /** The answer to who had `since`; an answer nobody remembers, or an empty one, is none: everything is new. */
    since(snapshot: Snapshot, since: string): string {
      const w = workedOf(snapshot);
      // Whatever nobody remembers is one and the same.
      const key = had.has(since) ? since : '';
      let text = w.answers.get(key);
      if (text === undefined) w.answers.set(key, (text = answer(w, key)));
      return text;
    },
    /** All of it in one piece. */
    whole(snapshot: Snapshot): string {
      const { head, rows } = workedOf(snapshot);
      return `{${head},"rows":[${[...rows.values()].join(',')}]}`;
    },
  };
}
