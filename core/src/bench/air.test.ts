import { describe, expect, it } from '@jest/globals';
import { unfitSpans } from './air.ts';

const span = (fromMs: number, toMs: number) => ({ fromMs, toMs });

describe('air that does not fit', () => {
  it('is what is left of the forecast, cut at both ends, by hand', () => {
    expect(unfitSpans([], 0, 10)).toEqual([span(0, 10)]);
    expect(unfitSpans([span(0, 10)], 0, 10)).toEqual([]);
    expect(unfitSpans([span(2, 4), span(6, 8)], 0, 10)).toEqual([span(0, 2), span(4, 6), span(8, 10)]);
    // Fit that begins before now, overlaps, or lies beyond the forecast leaves nothing backwards.
    expect(unfitSpans([span(-5, 3), span(1, 2)], 0, 10)).toEqual([span(3, 10)]);
    expect(unfitSpans([span(2, 4), span(20, 30)], 0, 10)).toEqual([span(0, 2), span(4, 10)]);
  });
});
