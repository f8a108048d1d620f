import { describe, expect, it } from '@jest/globals';
import { batchKey, isSameBatch } from './batch.ts';

describe('a batch, however it is written (common practice, no published source)', () => {
  it.each([
    ['B4', 'b 4'],
    ['2217-04/A', '2217 04 a'],
    ['Batch: 2217.04', '221704'],
    ['LOT no. 77', '77'],
    ['Ｂ４', 'B4'],
    ['# 4711', '4711'],
  ])('%s is %s', (a, b) => expect(isSameBatch(a, b)).toBe(true));
  it('another is another, and nothing is no batch', () => {
    expect(isSameBatch('B4', 'B5')).toBe(false);
    expect(isSameBatch('B14', 'B4')).toBe(false);
    expect(isSameBatch('–', '/')).toBe(false);
    expect(batchKey('lot')).toBe('LOT');
  });
});
