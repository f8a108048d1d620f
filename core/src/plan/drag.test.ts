import { describe, expect, it } from '@jest/globals';
import { dragLimit } from './drag.ts';
import type { PlanView } from './view.ts';

const H = 3_600_000;
const block = (opId: string, fromH: number, toH: number, over: object = {}) => ({
  opId,
  spans: [{ fromMs: fromH * H, toMs: toH * H }],
  isMend: false,
  coat: null,
  ...over,
});
/** Degreased from 1 to 2; primed from 3 to 4 on a window of 3 to 30; then a coat that comes too late, mended first. */
const view = {
  lanes: [
    {
      blocks: [
        block('wipe', 1, 2),
        block('prime', 3, 4, { coat: { opensMs: 3 * H, shutsMs: 30 * H } }),
        block('late/mend', 50, 51, { isMend: true }),
        block('late', 52, 53, { coat: { opensMs: 51 * H, shutsMs: 75 * H } }),
      ],
    },
  ],
} as unknown as Pick<PlanView, 'lanes'>;
const session = (fromH: number, toH: number) => ({ fromMs: fromH * H, toMs: toH * H });

describe('work while it is dragged', () => {
  it.each([
    ['prime', session(2, 5), null],
    // An hour of it must be over by 30: begun at 29 it just is, begun at 29:01 it is not.
    ['prime', session(29, 33), null],
    ['prime', session(29 + 1 / 60, 33), { why: 'shut', limitMs: 30 * H }],
    // Of a session that ends at 3:59 not an hour is left after it has opened at 3.
    ['prime', session(0, 3 + 59 / 60), { why: 'opens', limitMs: 3 * H }],
    ['prime', session(0, 2.5), { why: 'before', limitMs: 2 * H }],
    // What is mended anyway has its window cut anew wherever it goes; only what comes before it binds.
    ['late', session(90, 94), null],
    ['late', session(3, 4.5), { why: 'before', limitMs: 4 * H }],
    ['wipe', session(0, 9), null],
    ['nothing', session(0, 9), null],
  ])('%s in %j: %j', (opId, to, limit) => expect(dragLimit(view, opId, to)).toEqual(limit));
});
