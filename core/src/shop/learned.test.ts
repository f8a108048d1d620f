import { describe, expect, it } from '@jest/globals';
import { learnedOf, type Learned } from './learned.ts';

const row = (over: Partial<Learned>): Learned => ({
  productId: 'etch-2k',
  substrate: 'zinc-diecast',
  prep: 'bead',
  held: 0,
  failed: 0,
  ...over,
});
describe('what the shop has learned of a product on a metal', () => {
  it('adds up over preparations, and nothing of another metal', () => {
    const learned = [
      row({ held: 1 }),
      row({ prep: 'blast', failed: 1 }),
      row({ substrate: 'steel-sheet', failed: 5 }),
    ];
    expect(learnedOf(learned, 'etch-2k', 'zinc-diecast')).toEqual({ held: 1, failed: 1, isWarning: false });
    expect(learnedOf(learned, 'epoxy-primer', 'zinc-diecast')).toBeNull();
  });
  it('warns where it failed twice and never held (common practice, no published source)', () => {
    expect(learnedOf([row({ failed: 1 })], 'etch-2k', 'zinc-diecast')?.isWarning).toBe(false);
    expect(learnedOf([row({ failed: 2 })], 'etch-2k', 'zinc-diecast')?.isWarning).toBe(true);
    expect(learnedOf([row({ failed: 2, held: 1 })], 'etch-2k', 'zinc-diecast')?.isWarning).toBe(false);
  });
});
