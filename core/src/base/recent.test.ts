import { describe, expect, it } from '@jest/globals';
import { recent } from './recent.ts';

describe('what is kept of the last few', () => {
  it('is worked out once while it is remembered, and again after', () => {
    const asked: string[] = [];
    const of = recent((k: { name: string }) => asked.push(k.name), 2);
    const [a, b, c] = [{ name: 'a' }, { name: 'b' }, { name: 'c' }];
    of(a);
    of(b);
    of(a);
    expect(asked).toEqual(['a', 'b']);
    of(c);
    of(b);
    expect(asked).toEqual(['a', 'b', 'c']);
    of(a);
    expect(asked).toEqual(['a', 'b', 'c', 'a']);
  });
  it('tells equal objects apart: one that only looks the same is another', () => {
    const of = recent((k: { n: number }) => ({ double: 2 * k.n }));
    const one = { n: 1 };
    expect(of(one)).toBe(of(one));
    expect(of({ n: 1 })).not.toBe(of(one));
  });
});
