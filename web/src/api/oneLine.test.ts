import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { oneLine, type Heard } from './oneLine.ts';

/** A line as the browser opens it; the test speaks into it. */
class Line {
  static open: Line[] = [];
  onmessage: ((e: { data: string }) => void) | null = null;
  onopen: (() => void) | null = null;
  constructor() {
    Line.open.push(this);
  }
  close(): void {
    Line.open = Line.open.filter((l) => l !== this);
  }
  say(topic: string): void {
    this.onmessage?.({ data: JSON.stringify({ topic }) });
  }
}
/** All pages of one browser hear each other, at once here. */
class Channel {
  static all: Channel[] = [];
  private listener: ((e: { data: unknown }) => void) | null = null;
  constructor() {
    Channel.all.push(this);
  }
  addEventListener(_: string, listener: (e: { data: unknown }) => void): void {
    this.listener = listener;
  }
  postMessage(data: unknown): void {
    for (const c of Channel.all) if (c !== this) c.listener?.({ data });
  }
  close(): void {
    Channel.all = Channel.all.filter((c) => c !== this);
  }
}

const before = { EventSource: globalThis.EventSource, BroadcastChannel: globalThis.BroadcastChannel };
let leave: (() => void)[] = [];
function page(): Heard['topic'][] {
  const heard: Heard['topic'][] = [];
  leave.push(oneLine(({ topic }) => heard.push(topic)));
  return heard;
}

describe('six pages of one browser', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    localStorage.clear();
    Object.assign(globalThis, { EventSource: Line, BroadcastChannel: Channel });
  });
  afterEach(() => {
    for (const l of leave) l();
    leave = [];
    Line.open = [];
    Channel.all = [];
    jest.useRealTimers();
    Object.assign(globalThis, before);
  });

  it('have one line, and all hear what it says', () => {
    const pages = Array.from({ length: 6 }, page);
    jest.advanceTimersByTime(30_000);
    expect(Line.open).toHaveLength(1);
    Line.open[0]!.onopen?.();
    Line.open[0]!.say('facts');
    expect(pages).toEqual(Array.from({ length: 6 }, () => ['opened', 'facts']));
  });
  it('when the one with the line is closed, another takes it at once', () => {
    const pages = [page(), page(), page()];
    leave.shift()!();
    expect(Line.open).toHaveLength(1);
    Line.open[0]!.say('facts');
    expect(pages).toEqual([[], ['facts'], ['facts']]);
  });
  it('when it falls asleep without a word, another takes it within seconds, and it lets go when it wakes', () => {
    page();
    const [asleep] = Line.open;
    // Its last word was long ago.
    localStorage.setItem('calvetta-line', JSON.stringify({ page: 'asleep', untilMs: Date.now() - 1 }));
    const second = page();
    expect(Line.open).toHaveLength(2);
    jest.advanceTimersByTime(2_000);
    expect(Line.open).toHaveLength(1);
    expect(Line.open).not.toContain(asleep);
    Line.open[0]!.say('facts');
    expect(second).toEqual(['facts']);
  });
  it('a clock that was set back leaves nobody without a line', () => {
    localStorage.setItem('calvetta-line', JSON.stringify({ page: 'x', untilMs: Date.now() + 86_400_000 }));
    page();
    expect(Line.open).toHaveLength(1);
  });
  it.each(['{', '"x"', '{"page":1}', 'null'])('a lease that cannot be read (%s) is nobody’s', (text) => {
    localStorage.setItem('calvetta-line', text);
    page();
    expect(Line.open).toHaveLength(1);
  });
  it('in a browser that keeps nothing every page has its own line', () => {
    const broken = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('no room');
    });
    const pages = [page(), page()];
    expect(Line.open).toHaveLength(2);
    for (const l of Line.open) l.say('facts');
    // Each heard both lines: asking twice does no harm.
    expect(pages.map((p) => p.length)).toEqual([2, 2]);
    broken.mockRestore();
  });
});
