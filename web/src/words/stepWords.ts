import type { FactKind } from '@calvetta/core';

/** Steps that an entry of their own says, with its own form. */
export const LOGS_AS: Readonly<Partial<Record<string, FactKind>>> = {
  degrease: 'degreased',
  strip: 'stripped',
  abrade: 'abraded',
  pretreat: 'pretreated',
  bake: 'baked',
};
/** Steps that come out one way or the other. */
export const HAS_RESULT: readonly string[] = ['gate', 'test', 'test-fit', 'wash', 'refer'];
