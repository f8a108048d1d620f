import { isCasting, type Pace, type Substrate } from '@calvetta/core';
import { useLearned } from '../api/queries.ts';

const AS_USUAL: Pace = {};
/** How long work on such metal takes this shop, learned from its own hours; empty until it has logged some. */
export function usePace(substrate: Substrate): Pace {
  const { data } = useLearned();
  return data?.pace[isCasting(substrate) ? 'casting' : 'plate'] ?? AS_USUAL;
}
