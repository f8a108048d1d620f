import type { MixClock } from '../cure/potLife.ts';

export type MixTrouble = 'mix-gone' | 'mix-unknown';

/**
 * Whether a mix may still be used: not past the worst end of its pot life, and never when that end is not known (paint past
 * it does not bond and does not cure). A one-pack does not go off in the cup.
 */
export function mixTrouble({ gone }: Pick<MixClock, 'gone'>, atMs: number): MixTrouble | null {
  if (gone === null) return null;
  if (gone.worstMs !== null) return atMs >= gone.worstMs ? 'mix-gone' : null;
  return gone.isUnknown ? 'mix-unknown' : null;
}
