import { describe, expect, it } from '@jest/globals';
import { mixedGroups, type LaidFinish } from './laid.ts';

const coat = (partId: string, batch: string | null, over: Partial<LaidFinish> = {}): LaidFinish => ({
  partId,
  colourGroup: 'lining green',
  productId: 'gloss-2k',
  batch,
  ...over,
});

describe('batches that meet on a colour group', () => {
  it('left and right from two tins are named with their parts', () =>
    expect(mixedGroups([coat('left', 'G1'), coat('left', 'G1'), coat('right', 'G2')])).toEqual([
      {
        colourGroup: 'lining green',
        productId: 'gloss-2k',
        batches: [
          { batch: 'G1', partIds: ['left'] },
          { batch: 'G2', partIds: ['right'] },
        ],
      },
    ]));
  it('one batch is no trouble; another group, another product and no batch are not compared', () =>
    expect(
      mixedGroups([
        coat('left', 'G1'),
        coat('right', 'G1'),
        coat('door', null),
        coat('beam', 'R1', { colourGroup: 'beam red' }),
        coat('cab', 'E1', { productId: 'enamel' }),
      ]),
    ).toEqual([]));
});
