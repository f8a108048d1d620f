import { DAY_MS, type Span } from '../base/time.ts';

const dayOf = (ms: number): number => Math.floor(ms / DAY_MS);

/** Spans, found by the days they touch; what is added last is taken back first. */
export class ByDay<S extends Span> {
  private readonly days = new Map<number, S[]>();

  /** Puts a span in. What takes it back. */
  add(span: S): () => void {
    const lists: S[][] = [];
    for (let day = dayOf(span.fromMs); day <= dayOf(span.toMs); day++) {
      let list = this.days.get(day);
      if (!list) this.days.set(day, (list = []));
      list.push(span);
      lists.push(list);
    }
    return () => {
      for (const list of lists) list.pop();
    };
  }

  /** A span that overlaps another, of the earliest day on which one does; null: none does. */
  firstIn({ fromMs, toMs }: Span): S | null {
    const last = dayOf(toMs);
    for (let day = dayOf(fromMs); day <= last; day++) {
      const list = this.days.get(day);
      if (!list) continue;
      for (const s of list) if (s.fromMs < toMs && s.toMs > fromMs) return s;
    }
    return null;
  }

  /** All that overlap a span, each once. */
  allIn({ fromMs, toMs }: Span): readonly S[] {
    const out: S[] = [];
    const [first, last] = [dayOf(fromMs), dayOf(toMs)];
    for (let day = first; day <= last; day++)
      for (const s of this.days.get(day) ?? []) {
        // One that touches several of these days is counted on the first of them.
        const isCounted = day > first && dayOf(s.fromMs) < day;
        if (!isCounted && s.fromMs < toMs && s.toMs > fromMs) out.push(s);
      }
    return out;
  }
}
